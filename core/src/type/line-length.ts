/**
 * About how many characters stand in a line: the column's width over the mean advance of a
 * character. Widths in px, the mean advance as a share of the em. Ragged ends are not taken off.
 * Source: arithmetic; 45 to 75 characters are comfortable (common practice).
 */
export const charactersPerLine = (columnPx: number, sizePx: number, letterWidth: number): number =>
  columnPx / (sizePx * letterWidth);

/** The range in which lines are comfortable to read. Source: common practice. */
export const COMFORTABLE = { from: 45, to: 75 } as const;
