/** How the steps of a spacing scale come about. */
export const SPACE_SCALES = ['multiples', 'geometric', 'by hand'] as const;
export type SpaceScale = (typeof SPACE_SCALES)[number];

/** A series that grows by a ratio and is rounded to whole base units. */
export interface Series {
  /** The first step as a multiple of the base unit. */
  readonly first: number;
  readonly ratio: number;
}

/**
 * The first `count` steps of a geometric series in px, each rounded to whole base units and at least
 * one unit above the step before it, so that no two are alike: unit × first × ratio^index.
 * Throws a RangeError for a unit or a first step that is not above 0, or a ratio that is not above 1.
 */
export function geometricSteps(unitPx: number, { first, ratio }: Series, count: number): number[] {
  if (!(unitPx > 0) || !(first > 0)) throw new RangeError('unit and first step are above 0 px');
  if (!(ratio > 1)) throw new RangeError('a series grows: its ratio is above 1');
  const steps: number[] = [];
  for (let index = 0; index < count; index += 1) {
    const units = Math.round(first * ratio ** index);
    const before = steps.at(-1);
    steps.push(Math.max(units * unitPx, before === undefined ? unitPx : before + unitPx));
  }
  return steps;
}

/** Below this ratio two steps cannot be told apart beside each other. Common practice. */
export const LEAST_RATIO = 1.2;

/** Neighbors on a scale that are hard to tell apart: their indexes and the ratio between them. */
export const similarNeighbors = (
  stepsPx: readonly number[],
): readonly { readonly index: number; readonly ratio: number }[] =>
  stepsPx.slice(1).flatMap((px, index) => {
    const before = stepsPx[index] ?? 0;
    const ratio = before > 0 ? px / before : Infinity;
    return ratio < LEAST_RATIO ? [{ index: index + 1, ratio }] : [];
  });

const WORDS = ['hair', 'tiny', 'small', 'medium', 'large', 'huge', 'vast'] as const;

/**
 * Words for the sizes of `count` steps from the smallest up, `medium` in the middle; beyond seven
 * steps the outermost words are counted on: `vast`, `vast 2`.
 */
export function sizeWords(count: number): string[] {
  const start = Math.max(0, 3 - Math.floor((count - 1) / 2));
  return Array.from({ length: count }, (_, index) => {
    const at = start + index;
    const last = WORDS.length - 1;
    return at <= last ? (WORDS[at] ?? '') : `${WORDS[last] ?? ''} ${at - last + 1}`;
  });
}

/** The index of the step nearest to a length, by ratio; lengths of 0 or less have none. */
export function nearestStep(stepsPx: readonly number[], px: number): number | undefined {
  if (!(px > 0) || stepsPx.length === 0) return undefined;
  const away = (step: number): number => Math.abs(Math.log(step / px));
  return stepsPx.reduce(
    (best, step, index) => (away(step) < away(stepsPx[best] ?? step) ? index : best),
    0,
  );
}
