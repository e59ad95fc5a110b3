const READING = { sizePx: 18, height: 1.55 };
const DISPLAY = { sizePx: 72, height: 1.06 };

/**
 * A line height (a multiple of the size) for a size in px: 1.55 for reading sizes up to 18 px,
 * 1.06 from 72 px, and between them falling along the logarithm of the size, because lines that
 * are few and large are read at a glance. Rounded to hundredths, as emitted.
 * Source: common practice (1.5 for body text as WCAG 2.2, 1.4.8 asks; large headings 1.0 to 1.25).
 */
export function lineHeightOf(sizePx: number): number {
  const span = Math.log(DISPLAY.sizePx / READING.sizePx);
  const share = Math.min(1, Math.max(0, Math.log(sizePx / READING.sizePx) / span));
  return Number((READING.height + (DISPLAY.height - READING.height) * share).toFixed(2));
}

/**
 * Letter spacing in em for a size in px: none up to 24 px, then tighter up to -0.022 em at 72 px,
 * because the space that keeps small letters apart opens gaps in large ones. Rounded to
 * thousandths, as emitted. Source: common practice.
 */
export function letterSpacingOf(sizePx: number): number {
  const share = Math.min(1, Math.max(0, (sizePx - 24) / 48));
  return share === 0 ? 0 : Number((-0.022 * share).toFixed(3));
}
