import {
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeRec2020,
  modeRgb,
  modeXyz50,
  modeXyz65,
  formatCss,
  parse,
  useMode,
} from 'culori/fn';
import { inGamut, toSrgb } from './gamut.ts';
import { oklabOf, oklchOf, type Oklch } from './oklab.ts';
import { hexOf, linear, rgbOf, type Hex, type Rgb } from './srgb.ts';

for (const mode of [modeHsl, modeHwb, modeLab, modeLch, modeLrgb, modeOklab]) useMode(mode);
for (const mode of [modeP3, modeRec2020, modeXyz50, modeXyz65]) useMode(mode);
const toRgb = useMode(modeRgb);
const toOklch = useMode(modeOklch);

export type ReadColor =
  | {
      readonly ok: true;
      /** The color, or the one that stands for it within sRGB. */
      readonly hex: Hex;
      /** The color itself, as CSS writes it, where sRGB does not hold it. */
      readonly wide?: string;
    }
  | { readonly ok: false; readonly problem: string };

/** Channels with as many digits as a screen can tell apart. */
const rounded = <Color extends object>(color: Color): Color =>
  Object.fromEntries(
    Object.entries(color).map(([key, value]) => [
      key,
      typeof value === 'number' ? Number(value.toFixed(5)) : (value as unknown),
    ]),
  ) as Color;

/**
 * Reads any opaque color that CSS can write (names, hex with or without the number sign, rgb, hsl,
 * hwb, lab, lch, oklab, oklch, color()). A color that sRGB does not hold is mapped into it at equal
 * lightness and hue, and comes back as it was in `wide` beside. Anything else comes back as a problem in words.
 */
export function parseColor(text: string): ReadColor {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: false, problem: 'Type a color, for example #b5391a.' };
  const color = parse(/^([0-9a-f]{3}|[0-9a-f]{6})$/i.test(trimmed) ? `#${trimmed}` : trimmed);
  if (color === undefined)
    return { ok: false, problem: `“${trimmed}” is not a color that CSS knows.` };
  if ((color.alpha ?? 1) < 1)
    return { ok: false, problem: 'A color here is opaque; leave the transparency out.' };
  const { r, g, b } = toRgb(color);
  const rgb: Rgb = [r, g, b];
  if (inGamut(rgb)) return { ok: true, hex: hexOf(rgb) };
  return {
    ok: true,
    hex: hexOf(toSrgb(oklchOf(oklabOf(rgb)))),
    wide: formatCss(rounded(color)),
  };
}

/**
 * A color beyond sRGB as the Color module of the open token format writes it: in OKLCH, with the color
 * that stands for it within sRGB as its fallback. What CSS cannot read is told by the fallback alone.
 */
export function wideJson(wide: string, fallback: Hex) {
  const color = toOklch(parse(wide));
  if (!color) {
    return { colorSpace: 'srgb', components: [...rgbOf(fallback)], alpha: 1, hex: fallback };
  }
  const components = [color.l, color.c, color.h ?? 0].map((part) => Number(part.toFixed(5)));
  return { colorSpace: 'oklch', components, alpha: 1, hex: fallback };
}

/**
 * Relative luminance of a color beyond sRGB, on a screen that shows it.
 * Source: WCAG 2.2, relative luminance, in the linear light of sRGB without clipping.
 */
export function wideLuminance(wide: string): number | undefined {
  const parsed = parse(wide);
  if (!parsed) return undefined;
  const color = toRgb(parsed);
  return 0.2126 * linear(color.r) + 0.7152 * linear(color.g) + 0.0722 * linear(color.b);
}

/** A color beyond sRGB in OKLCH; undefined for what CSS cannot read. */
export function wideOklch(wide: string): Oklch | undefined {
  const color = toOklch(parse(wide));
  return color && { lightness: color.l, chroma: color.c, hue: color.h ?? 0 };
}

/** A color in OKLCH as CSS writes it. */
export const oklchCss = ({ lightness, chroma, hue }: Oklch): string =>
  `oklch(${Number(lightness.toFixed(4))} ${Number(chroma.toFixed(4))} ${Number(hue.toFixed(2))})`;
