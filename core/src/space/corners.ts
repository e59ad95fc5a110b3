/**
 * The radius of a corner that is nested in another, so that both run side by side: the outer radius
 * without border and padding, never below 0. All in px.
 */
export const innerRadius = (outerPx: number, borderPx: number, paddingPx: number): number =>
  Math.max(0, outerPx - borderPx - paddingPx);
