const READING = { sizePx: 18, height: 1.55 };
const DISPLAY = { sizePx: 72, height: 1.06 };

/** What a line height hangs on beside the size, with the values that change nothing. */
export interface LineSetting {
  /** Height of small letters, as a share of the em. */
  readonly xHeight?: number;
  /** The longest line, in characters. */
  readonly characters?: number;
}

const held = (least: number, value: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/**
 * A line height (a multiple of the size) for a size in px: 1.55 for reading sizes up to 18 px,
 * 1.06 from 72 px, and between them falling along the logarithm of the size, because lines that
 * are few and large are read at a glance. Reading sizes get 0.002 more for each character beyond 66
 * (the eye has further to go back), as much less below, by 0.08 at most; and 0.5 for each em that
 * small letters are higher than 0.5 em, by 0.04 at most. Rounded to hundredths, as emitted.
 * Source: common practice (1.5 for body text as WCAG 2.2, 1.4.8 asks; large headings 1.0 to 1.25).
 */
export function lineHeightOf(
  sizePx: number,
  { xHeight = 0.5, characters = 66 }: LineSetting = {},
): number {
  const span = Math.log(DISPLAY.sizePx / READING.sizePx);
  const share = held(0, Math.log(sizePx / READING.sizePx) / span, 1);
  const forReading =
    held(-0.08, (characters - 66) * 0.002, 0.08) + held(-0.04, (xHeight - 0.5) * 0.5, 0.04);
  const height =
    READING.height + (DISPLAY.height - READING.height) * share + forReading * (1 - share);
  return Number(height.toFixed(2));
}

/**
 * Letter spacing in em for a size in px: none between 13 and 24 px, then tighter up to -0.022 em at
 * 72 px, because the space that keeps small letters apart opens gaps in large ones; a little more
 * below 13 px; and 0.05 em more for capitals, less of it the larger they are. Rounded to thousandths,
 * as emitted. Source: common practice.
 */
export function letterSpacingOf(sizePx: number, capitals = false): number {
  const large = held(0, (sizePx - 24) / 48, 1);
  const small = held(0, (13 - sizePx) / 4, 1);
  const spacing = -0.022 * large + 0.01 * small + (capitals ? 0.05 * (1 - 0.6 * large) : 0);
  return Number(spacing.toFixed(3)) + 0;
}
