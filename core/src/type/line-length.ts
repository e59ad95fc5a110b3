/**
 * How many characters a ragged line ends before the column does, on the mean: half a word and its
 * space. Words of running text have five to six letters in the languages that are measured.
 * Source: arithmetic; common practice for the length of words.
 */
const RAGGED = 3.2;

/**
 * About how many characters stand in a line of ragged text: the column's width over the mean
 * advance of a character, less what the ragged ends lose. Widths in px, the mean advance and the
 * letter spacing as shares of the em. At least 1.
 * Source: arithmetic.
 */
export const charactersPerLine = (
  columnPx: number,
  sizePx: number,
  letterWidth: number,
  letterSpacing = 0,
): number => Math.max(1, columnPx / (sizePx * (letterWidth + letterSpacing)) - RAGGED);

/** The column in em in which lines have so many characters: the inverse. Rounded as emitted. */
export const columnEm = (characters: number, letterWidth: number): number =>
  Number(((characters + RAGGED) * letterWidth).toFixed(2));

/** The range in which lines are comfortable to read. Source: common practice. */
export const COMFORTABLE = { from: 45, to: 75 } as const;
