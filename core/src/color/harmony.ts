import { toSrgb } from './gamut.ts';
import { oklabOf, oklchOf } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

/**
 * The classical rules on the hue circle: how far the other colors stand from the first, in degrees.
 * Common practice, as it is taught with every color circle.
 */
export const HUE_RULES = {
  complement: [180],
  split: [150, 210],
  neighbors: [-30, 30],
  triad: [120, 240],
  square: [90, 180, 270],
} as const;

export type HueRule = keyof typeof HUE_RULES | 'single hue';
export const HUE_RULE_NAMES = [
  ...(Object.keys(HUE_RULES) as (keyof typeof HUE_RULES)[]),
  'single hue',
] as const;

/** A single hue goes on in lightness and chroma instead: lighter and softer, darker and deeper. */
const SINGLE = [
  { lightness: 0.18, chroma: 0.7 },
  { lightness: -0.18, chroma: 0.85 },
  { lightness: 0.3, chroma: 0.35 },
] as const;

/**
 * The colors that a rule gives beside one, in OKLCH at its lightness and chroma, mapped into sRGB; the
 * whole rule turned by so many degrees. A color without hue gives grays, as it must.
 */
export function relatedColors(hex: Hex, rule: HueRule, turn = 0): readonly Hex[] {
  const color = oklchOf(oklabOf(rgbOf(hex)));
  if (rule === 'single hue')
    return SINGLE.map(({ lightness, chroma }) =>
      hexOf(
        toSrgb({
          lightness: Math.min(0.97, Math.max(0.08, color.lightness + lightness)),
          chroma: color.chroma * chroma,
          hue: color.hue + turn,
        }),
      ),
    );
  return HUE_RULES[rule].map((degrees) =>
    hexOf(toSrgb({ ...color, hue: color.hue + degrees + turn })),
  );
}
