import { toSrgb } from './gamut.ts';
import { oklabOf, oklabOfOklch, oklchOf } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

/** What happens to every color of a palette at once. */
export interface Shift {
  /** Degrees round the hue circle. */
  readonly hue: number;
  /** Added to OKLab lightness, -1 to 1. */
  readonly lightness: number;
  /** Times the chroma: 0 is gray, 1 leaves it. */
  readonly chroma: number;
  /** From -1, towards blue, to 1, towards orange. */
  readonly warmth: number;
}

export const NO_SHIFT: Shift = { hue: 0, lightness: 0, chroma: 1, warmth: 0 };

/** The hue of warm light in OKLCH, and how far a whole step of warmth goes in OKLab. Common practice. */
const WARM_HUE = (70 * Math.PI) / 180;
const WARMTH = 0.08;

/**
 * A color shifted in OKLCH and mapped into sRGB. No shift gives the very color back. Lightness stays
 * within what is told apart from black and white.
 */
export function shifted(hex: Hex, { hue, lightness, chroma, warmth }: Shift): Hex {
  if (hue === 0 && lightness === 0 && chroma === 1 && warmth === 0) return hex;
  const before = oklchOf(oklabOf(rgbOf(hex)));
  const [light, a, b] = oklabOfOklch({
    lightness: Math.min(0.99, Math.max(0.05, before.lightness + lightness)),
    chroma: before.chroma * chroma,
    hue: before.hue + hue,
  });
  const warm = WARMTH * warmth;
  return hexOf(
    toSrgb(oklchOf([light, a + warm * Math.cos(WARM_HUE), b + warm * Math.sin(WARM_HUE)])),
  );
}
