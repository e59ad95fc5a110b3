import { linear, rgbOf, type Hex } from './srgb.ts';

/**
 * Relative luminance, 0 for black to 1 for white.
 * Source: WCAG 2.2, relative luminance (with the threshold of sRGB; for 8 bits the result is the
 * same as with the one that WCAG prints).
 */
export function relativeLuminance(hex: Hex): number {
  const before = known.get(hex);
  if (before !== undefined) return before;
  const [red, green, blue] = rgbOf(hex);
  const luminance = 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
  if (known.size >= MOST_KEPT) known.clear();
  known.set(hex, luminance);
  return luminance;
}

/** Luminances that were found: a palette is asked for again and again. */
const known = new Map<Hex, number>();
const MOST_KEPT = 4000;

/** The ratio of two luminances, 1 to 21, whichever is the lighter. Source: WCAG 2.2. */
export const ratioOfLuminances = (one: number, other: number): number =>
  (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);

/** Contrast of two emitted colors, 1 to 21, never rounded. Source: WCAG 2.2, contrast ratio. */
export const contrastRatio = (one: Hex, other: Hex): number =>
  ratioOfLuminances(relativeLuminance(one), relativeLuminance(other));

export type Conformance = 'AA' | 'AAA';

/** 18 pt and 14 pt in CSS px. Source: WCAG 2.2, large scale text. */
const LARGE_PX = 24;
const LARGE_BOLD_PX = 56 / 3;
const BOLD = 700;

/** Whether text counts as large: from 24 px, or from 18 2/3 px at a weight of 700 and up. */
export const isLargeText = (sizePx: number, weight: number): boolean =>
  sizePx >= LARGE_PX || (weight >= BOLD && sizePx >= LARGE_BOLD_PX);

/** The ratio that text needs. Source: WCAG 2.2, 1.4.3 and 1.4.6. */
export function neededContrast(sizePx: number, weight: number, level: Conformance): number {
  const large = isLargeText(sizePx, weight);
  if (level === 'AAA') return large ? 4.5 : 7;
  return large ? 3 : 4.5;
}

/**
 * The ratio of every color on every color, row by row: the ratio of colors i and j stands at
 * i * colors.length + j. Each luminance is computed once.
 */
export function contrastTable(colors: readonly Hex[]): Float64Array {
  const count = colors.length;
  const lifted = Float64Array.from(colors, (color) => relativeLuminance(color) + 0.05);
  const table = new Float64Array(count * count);
  for (let row = 0; row < count; row += 1) {
    const one = lifted[row] ?? 0;
    for (let column = row; column < count; column += 1) {
      const other = lifted[column] ?? 0;
      const ratio = one > other ? one / other : other / one;
      table[row * count + column] = ratio;
      table[column * count + row] = ratio;
    }
  }
  return table;
}
