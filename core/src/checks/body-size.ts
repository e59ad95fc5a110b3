import { ROOT_PX } from '../type/fluid.ts';
import type { Check } from './finding.ts';

/** The least size of running text, in px. */
const LEAST_PX = 16;

/** Body text is 16 px or more at every width. */
export const bodySizeCheck: Check = ({ type }, { styles }) => {
  const body = styles.get('body');
  if (!body) return [];
  const smallestPx = body.size.minRem * ROOT_PX;
  if (smallestPx >= LEAST_PX - 0.001) return [];
  const ends = (['narrow', 'wide'] as const).map((end) => {
    const { base, ratio } = type.anchors[end];
    return { end, base, scale: ratio ** body.place };
  });
  const short = ends.filter(({ base, scale }) => base * scale < LEAST_PX);
  const first = short[0];
  if (!first) return [];
  const enough = (scale: number): number => Math.ceil((LEAST_PX / scale) * 100) / 100;
  return [
    {
      id: 'size:body',
      severity: 'repair',
      area: 'type',
      decision: `/type/anchors/${first.end}/base`,
      title: `${body.name} is under ${LEAST_PX} px`,
      figures: `${Number(smallestPx.toFixed(1))} px at its smallest, ${LEAST_PX} px is the least`,
      reason: 'Browsers start from 16 px because smaller running text tires many readers.',
      source: 'common practice; the initial value of font-size in CSS',
      where: { selector: `.type-${body.slug}`, widthPx: type.anchors[first.end].width },
      repair: {
        label: `Base to ${short.map(({ scale }) => `${enough(scale)} px`).join(' and ')}`,
        patch: short.map(({ end, scale }) => ({
          op: 'replace' as const,
          path: `/type/anchors/${end}/base`,
          value: enough(scale),
        })),
        before: short.map(({ base }) => `${base} px`).join(' and '),
        after: short.map(({ scale }) => `${enough(scale)} px`).join(' and '),
      },
    },
  ];
};
