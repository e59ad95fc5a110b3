import { fluidPx, kneesOf, piecesOf, ROOT_PX, type FluidSize } from '../type/fluid.ts';
import { USUAL_RANGE } from '../type/zoom.ts';
import type { TextStyle } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';
import { causeOfSize, sizeRepair } from './own-size.ts';

/** Text that grows by less when a reader doubles the browser's font size hardly follows the wish. */
const LEAST_GROWTH = 0.5;

/** By how much a size grows at a width when the browser's font size doubles: 1 is twice as large. */
export const growthAt = (size: FluidSize, widthPx: number): number =>
  fluidPx(size, widthPx, 2 * ROOT_PX) / fluidPx(size, widthPx) - 1;

/** The least growth over the usual widths. Between the knees of both sizes the share has no turn. */
export function leastGrowth(size: FluidSize): { readonly growth: number; readonly atPx: number } {
  const { fromPx, toPx } = USUAL_RANGE;
  const knees = [...kneesOf(size), ...kneesOf(size, 2 * ROOT_PX)].filter(
    (knee) => knee > fromPx && knee < toPx,
  );
  const atPx = [fromPx, ...knees, toPx].reduce((worst, width) =>
    growthAt(size, width) < growthAt(size, worst) ? width : worst,
  );
  return { growth: growthAt(size, atPx), atPx };
}

/** Whether any part of a size begins under nothing; the first part carries what rests, the others may. */
const hasNegativeBase = ({ restRem, clamps }: FluidSize): boolean =>
  clamps.some(({ baseRem }) => restRem + baseRem < 0);

/** A size in px follows nobody, whatever it is: it is to be in rem. */
const inRem = ({ type }: Pick<StyleDocument, 'type'>, { id }: TextStyle): Repair => ({
  label: 'Use rem',
  patch: [{ op: 'remove', path: `/type/roles/items/${id}/unit` }],
  before: type.roles.items[id]?.unit?.because || 'px, without a reason',
  after: 'rem',
});

const FINE = { growth: 1, atPx: USUAL_RANGE.fromPx };

/** Every text follows the reader's own font size. */
export const readerCheck = checkOf(['type'], ['styles'], (document, { styles }) =>
  [...styles.values()].flatMap((style): Finding[] => {
    // Twice the smallest is what any text is at the least; where that is enough nothing is to be looked for.
    const { minRem, maxRem, written } = style.size;
    const isFine = written.length !== 'px' && 2 * minRem >= (1 + LEAST_GROWTH) * maxRem;
    const { growth, atPx } = isFine ? FINE : leastGrowth(style.size);
    const decision = `/type/roles/items/${style.id}`;
    const where = { selector: `.type-${style.slug}`, widthPx: Math.min(1600, Math.round(atPx)) };
    if (growth < LEAST_GROWTH - 1e-6) {
      const repair =
        style.size.written.length === 'px'
          ? inRem(document, style)
          : sizeRepair(document, style, (size) => leastGrowth(size).growth >= LEAST_GROWTH);
      return [
        {
          id: `reader:${style.id}`,
          severity: 'look',
          area: 'type',
          decision,
          title: `${style.name} hardly follows the reader’s font size`,
          ...causeOfSize(style),
          figures: `twice the font size makes it ${Math.round(growth * 100)} % larger at ${Math.round(atPx)} px; ${LEAST_GROWTH * 100} % is the least`,
          reason:
            'Many readers set a larger font in their browser and never zoom. A size that hangs on the screen’s width does not hear them.',
          source: 'arithmetic on the exported expression; the limit is common practice',
          where,
          ...(repair && { repair }),
        },
      ];
    }
    const steepest = hasNegativeBase(style.size)
      ? piecesOf(style.size).find(({ constantPx }) => constantPx < -0.01)
      : undefined;
    if (!steepest) return [];
    return [
      {
        id: `constant:${style.id}`,
        severity: 'look',
        area: 'type',
        decision,
        title: `${style.name} flows more steeply than the screen grows`,
        figures: `its constant part is ${steepest.constantPx.toFixed(1)} px between ${Math.round(steepest.fromPx)} and ${Math.round(steepest.toPx)} px`,
        reason:
          'With a constant part below nothing a larger font in the browser makes the flowing part smaller.',
        source: 'arithmetic on the exported expression',
        where,
      },
    ];
  }),
);
