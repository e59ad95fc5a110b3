import { oklabDistance, oklabOf, oklabOfOklch, rgbOfOklab, type Oklch } from './oklab.ts';
import type { Rgb } from './srgb.ts';

/** The difference that is not seen, in OKLab. Source: CSS Color 4, 13.2. */
const JUST_NOTICEABLE = 0.02;
const ENOUGH = 0.0001;
/** Channels that only rounding has put outside. */
const SLACK = 0.000075;

export const inGamut = (rgb: Rgb): boolean =>
  rgb.every((channel) => channel >= -SLACK && channel <= 1 + SLACK);

const clip = (rgb: Rgb): Rgb => {
  const held = (channel: number): number => Math.min(1, Math.max(0, channel));
  return [held(rgb[0]), held(rgb[1]), held(rgb[2])];
};

/**
 * The sRGB color that stands for an OKLCH color: itself where sRGB holds it, otherwise the one of
 * the same lightness and hue with just so much less chroma that clipping is not seen. Lightness of
 * 1 and above gives white, 0 and below gives black.
 * Source: CSS Color 4, 13.2, binary search with local minimum of deltaEOK.
 */
export function toSrgb(color: Oklch): Rgb {
  if (color.lightness >= 1) return [1, 1, 1];
  if (color.lightness <= 0) return [0, 0, 0];
  const withChroma = (chroma: number): Rgb => rgbOfOklab(oklabOfOklch({ ...color, chroma }));
  const whole = withChroma(color.chroma);
  if (inGamut(whole)) return clip(whole);
  const apart = (rgb: Rgb, chroma: number): number =>
    oklabDistance(oklabOf(clip(rgb)), oklabOfOklch({ ...color, chroma }));
  if (apart(whole, color.chroma) < JUST_NOTICEABLE) return clip(whole);

  let low = 0;
  let high = color.chroma;
  let lowIsInside = true;
  let held = clip(whole);
  while (high - low > ENOUGH) {
    const chroma = (low + high) / 2;
    const rgb = withChroma(chroma);
    if (lowIsInside && inGamut(rgb)) {
      low = chroma;
      continue;
    }
    held = clip(rgb);
    const difference = apart(rgb, chroma);
    if (difference >= JUST_NOTICEABLE) high = chroma;
    else if (JUST_NOTICEABLE - difference < ENOUGH) return held;
    else {
      lowIsInside = false;
      low = chroma;
    }
  }
  return held;
}
