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
  parse,
  useMode,
} from 'culori/fn';
import { inGamut, toSrgb } from './gamut.ts';
import { oklabOf, oklchOf } from './oklab.ts';
import { hexOf, type Hex, type Rgb } from './srgb.ts';

for (const mode of [modeHsl, modeHwb, modeLab, modeLch, modeLrgb, modeOklab, modeOklch])
  useMode(mode);
for (const mode of [modeP3, modeRec2020, modeXyz50, modeXyz65]) useMode(mode);
const toRgb = useMode(modeRgb);

export type ReadColor =
  | { readonly ok: true; readonly hex: Hex; readonly mapped: boolean }
  | { readonly ok: false; readonly problem: string };

/**
 * Reads any opaque color that CSS can write (names, hex with or without the number sign, rgb, hsl,
 * hwb, lab, lch, oklab, oklch, color()). A color that sRGB does not hold is mapped into it at equal
 * lightness and hue, and `mapped` says so. Anything else comes back as a problem in words.
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
  if (inGamut(rgb)) return { ok: true, hex: hexOf(rgb), mapped: false };
  return { ok: true, hex: hexOf(toSrgb(oklchOf(oklabOf(rgb)))), mapped: true };
}
