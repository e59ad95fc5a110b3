import { piecesOf, type FluidSize } from '../type/fluid.ts';
import { NEEDED_GAIN, USUAL_RANGE, zoomGaps, type ZoomGap } from '../type/zoom.ts';
import { checkOf, type Finding } from './finding.ts';
import { causeOfSize, sizeRepair } from './own-size.ts';

const NONE: readonly ZoomGap[] = [];
const known = new WeakMap<
  FluidSize,
  { readonly most: number; readonly gaps: readonly ZoomGap[] }
>();

/**
 * The widths at which a size cannot be zoomed to twice itself with a browser that zooms up to so many
 * per cent; looked for once for each size.
 */
export function gapsOf(size: FluidSize, zoomPercent: number): readonly ZoomGap[] {
  const most = zoomPercent / 100;
  // At the highest zoom a text is as many times its smallest size at the least.
  if (size.maxRem * NEEDED_GAIN <= size.minRem * most) return NONE;
  const before = known.get(size);
  if (before?.most === most) return before.gaps;
  const gaps = zoomGaps(piecesOf(size), { ...USUAL_RANGE, most });
  known.set(size, { most, gaps });
  return gaps;
}

const px = (value: number): number => Math.round(value);

const stretch = ({ fromPx, toPx }: ZoomGap): string =>
  toPx >= USUAL_RANGE.toPx
    ? `from ${px(fromPx)} px up`
    : fromPx <= USUAL_RANGE.fromPx
      ? `up to ${px(toPx)} px`
      : `between ${px(fromPx)} and ${px(toPx)} px`;

/** Every text can be made twice as large by zooming as far as the readers' browsers go, at every width. */
export const zoomCheck = checkOf(['brief', 'type'], ['styles'], (document, { styles }) => {
  const { zoom } = document.brief;
  return [...styles.values()].flatMap((style): Finding[] => {
    const gaps = gapsOf(style.size, zoom);
    const [first] = gaps;
    if (!first) return [];
    const worst = gaps.reduce((one, other) => (other.gain < one.gain ? other : one), first);
    const repair = sizeRepair(document, style, (size) => gapsOf(size, zoom).length === 0);
    return [
      {
        id: `zoom:${style.id}`,
        severity: 'repair',
        area: 'type',
        decision: `/type/roles/items/${style.id}`,
        title: `${style.name} cannot be zoomed to twice its size`,
        ...causeOfSize(style),
        figures: `${gaps.map(stretch).join(', ')}; ${worst.gain.toFixed(2)} of ${NEEDED_GAIN.toFixed(2)} times at ${px(worst.worstPx)} px`,
        reason:
          'Zooming makes the screen narrower as well, and a size that follows the screen steeply shrinks as fast as it is enlarged.',
        source: `WCAG 2.2, 1.4.4, at a zoom of up to ${zoom} % (the brief); arithmetic on the exported expression`,
        where: {
          selector: `.type-${style.slug}`,
          widthPx: Math.min(1600, px(worst.worstPx)),
        },
        ...(repair && { repair }),
      },
    ];
  });
});
