import { sizeAtAnchor } from '../derive/type/styles.ts';
import { inOrder } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { checkOf } from './finding.ts';

/** The least size of running text, in px. */
const LEAST_PX = 16;

/** Body text is 16 px or more at every width. */
export const bodySizeCheck = checkOf(['type'], ['styles'], ({ type }, { styles }) => {
  const body = styles.get('body');
  if (!body) return [];
  const smallestPx = body.size.minRem * ROOT_PX;
  if (smallestPx >= LEAST_PX - 0.001) return [];
  const anchors = inOrder(type.anchors).map(([id, anchor]) => ({
    path: `/type/anchors/items/${id}/base`,
    width: anchor.width,
    base: anchor.base,
    px: sizeAtAnchor(type, anchor, body.place),
  }));
  const short = anchors.filter(({ px }) => px < LEAST_PX);
  const [first] = short;
  const enough = ({ base, px }: (typeof anchors)[number]): number =>
    Math.ceil(((LEAST_PX * base) / px) * 100) / 100;
  // A size of its own, or one made by hand, is not mended by another base.
  const byBase = first !== undefined && !body.ownSize && type.scale !== 'by hand';
  return [
    {
      id: 'size:body',
      severity: 'repair',
      area: 'type',
      decision: byBase ? first.path : '/type/roles/items/body',
      title: `${body.name} is under ${LEAST_PX} px`,
      figures: `${Number(smallestPx.toFixed(1))} px at its smallest, ${LEAST_PX} px is the least`,
      reason: 'Browsers start from 16 px because smaller running text tires many readers.',
      source: 'common practice; the initial value of font-size in CSS',
      where: {
        selector: `.type-${body.slug}`,
        ...(first && { widthPx: first.width }),
      },
      ...(byBase && {
        repair: {
          label: `Base to ${short.map((one) => `${enough(one)} px`).join(' and ')}`,
          patch: short.map((one) => ({
            op: 'replace' as const,
            path: one.path,
            value: enough(one),
          })),
          before: short.map(({ base }) => `${base} px`).join(' and '),
          after: short.map((one) => `${enough(one)} px`).join(' and '),
        },
      }),
    },
  ];
});
