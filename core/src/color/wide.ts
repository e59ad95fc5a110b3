import {
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
  parse,
  useMode,
} from 'culori/fn';
import type { Oklch } from './oklab.ts';
import { linear, rgbOf, type Hex } from './srgb.ts';

for (const mode of [modeLab, modeLch, modeLrgb, modeOklab, modeP3]) useMode(mode);
for (const mode of [modeRec2020, modeXyz50, modeXyz65]) useMode(mode);
const toRgb = useMode(modeRgb);
const toOklch = useMode(modeOklch);

/** The spaces in which a color beyond sRGB is kept as it was written; of any other it is kept in OKLCH. */
export const WIDE_SPACES: ReadonlySet<string> = new Set([
  'lab',
  'lch',
  'oklab',
  'oklch',
  'srgb',
  'srgb-linear',
  'display-p3',
  'rec2020',
  'xyz-d50',
  'xyz-d65',
]);

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
