/** A stroke that is drawn whole on every screen: a thinner one is smeared into a paler one. */
const WHOLE_STROKE_PX = 1.6;

/** What a text of ordinary size is read with ease at: the ratio that AA asks for. */
export const EASY = 4.5;

/**
 * Our own reading aid, asked for by no standard: the contrast ratio that is left of a thin stroke. A
 * stroke of t px, thinner than 1.6 px, covers only a part of the pixels that it touches, so its
 * contrast beyond 1 counts by t / 1.6:
 *
 *   legibility = 1 + (ratio - 1) x min(1, t / 1.6)
 *
 * From 1 (nothing to be seen) to the ratio itself. `strokePx` is above 0.
 */
export const legibility = (ratio: number, strokePx: number): number =>
  1 + (ratio - 1) * Math.min(1, strokePx / WHOLE_STROKE_PX);
