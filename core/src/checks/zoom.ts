import { piecesOf, type FluidSize } from '../type/fluid.ts';
import { NEEDED_GAIN, USUAL_RANGE, zoomGaps, type ZoomGap } from '../type/zoom.ts';
import type { Check, Finding } from './finding.ts';
import { sizeRepair } from './own-size.ts';

const NONE: readonly ZoomGap[] = [];
const known = new WeakMap<FluidSize, readonly ZoomGap[]>();

/** The widths at which a size cannot be zoomed to twice itself; looked for once for each size. */
export function gapsOf(size: FluidSize): readonly ZoomGap[] {
  // At the highest zoom a text is as many times its smallest size at the least.
  if (size.maxRem * NEEDED_GAIN <= size.minRem * USUAL_RANGE.most) return NONE;
  const found = known.get(size) ?? zoomGaps(piecesOf(size));
  known.set(size, found);
  return found;
}

const px = (value: number): number => Math.round(value);

const stretch = ({ fromPx, toPx }: ZoomGap): string =>
  toPx >= USUAL_RANGE.toPx
    ? `from ${px(fromPx)} px up`
    : fromPx <= USUAL_RANGE.fromPx
      ? `up to ${px(toPx)} px`
      : `between ${px(fromPx)} and ${px(toPx)} px`;

/** Every text can be made twice as large by zooming, at every width. */
export const zoomCheck: Check = (document, { styles }) =>
  [...styles.values()].flatMap((style): Finding[] => {
    const gaps = gapsOf(style.size);
    const [first] = gaps;
    if (!first) return [];
    const worst = gaps.reduce((one, other) => (other.gain < one.gain ? other : one), first);
    const repair = sizeRepair(document, style, (size) => zoomGaps(piecesOf(size)).length === 0);
    return [
      {
        id: `zoom:${style.id}`,
        severity: 'repair',
        area: 'type',
        decision: `/type/roles/items/${style.id}`,
        title: `${style.name} cannot be zoomed to twice its size`,
        figures: `${gaps.map(stretch).join(', ')}; ${worst.gain.toFixed(2)} of ${NEEDED_GAIN.toFixed(2)} times at ${px(worst.worstPx)} px`,
        reason:
          'Zooming makes the screen narrower as well, and a size that follows the screen steeply shrinks as fast as it is enlarged.',
        source: 'WCAG 2.2, 1.4.4, at a zoom of up to 500 %; arithmetic on the exported expression',
        where: {
          selector: `.type-${style.slug}`,
          widthPx: Math.min(1600, px(worst.worstPx)),
        },
        ...(repair && { repair }),
      },
    ];
  });
