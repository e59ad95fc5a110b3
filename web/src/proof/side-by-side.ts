/** Between pages beside each other, in px of the window. */
const BETWEEN_PX = 20;
/** So wide is the place of each at least: the width of it and what takes it away stand over it. */
const LEAST_PX = 116;

/** Where pages stand beside each other: their common scale, 1 at most, and where each begins. */
export interface SideBySide {
  readonly scale: number;
  readonly starts: readonly number[];
}

/** Puts pages of some widths beside each other in a room, all in one scale. */
export function sideBySide(widths: readonly number[], roomPx: number): SideBySide {
  const free = Math.max(LEAST_PX, roomPx - BETWEEN_PX * (widths.length - 1));
  // What would be narrower than its controls takes their room; the others share what is left.
  let scaled = widths;
  let scale = 1;
  for (let before = -1; before !== scaled.length;) {
    before = scaled.length;
    const left = free - LEAST_PX * (widths.length - scaled.length);
    const sum = scaled.reduce((total, width) => total + width, 0);
    scale = sum > 0 ? Math.min(1, Math.max(0.01, left / sum)) : scale;
    const found = scale;
    if (widths.length > 1) scaled = scaled.filter((width) => width * found >= LEAST_PX);
  }
  let start = 0;
  const starts = widths.map((width) => {
    const here = start;
    start += Math.max(LEAST_PX, width * scale) + BETWEEN_PX;
    return here;
  });
  return { scale, starts };
}
