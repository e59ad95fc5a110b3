import { rgbOf, type Hex } from '../color/srgb.ts';
import type { Pixels } from './veil.ts';

/** What is done to a picture before anything lies on it, in the colors of a theme. */
export type Treated =
  | { readonly kind: 'faint'; readonly opacity: number; readonly ground: Hex }
  | { readonly kind: 'toned'; readonly light: Hex; readonly dark: Hex };

const levelsOf = (hex: Hex): readonly number[] =>
  rgbOf(hex).map((channel) => Math.round(channel * 255));

/** What a gray is made of: the share of each channel. Source: Filter Effects 1, `grayscale()`. */
const GRAY = [0.2126, 0.7152, 0.0722] as const;

/**
 * A picture as browsers draw it under a treatment, in new pixels without transparency: faint over its ground, or gray,
 * multiplied by the light tone and nowhere darker than the dark one. Transparent pixels lie on white, as everywhere
 * where pictures are judged. Sources: Filter Effects 1, `grayscale()`; Compositing 1, source over, multiply and
 * lighten; all in gamma-encoded sRGB and 8 bits.
 */
export function treat({ data, width, height }: Pixels, how: Treated): Pixels {
  const out = new Uint8ClampedArray(data.length);
  const tables =
    how.kind === 'toned'
      ? [0, 1, 2].map((channel) => {
          const light = levelsOf(how.light)[channel] ?? 255;
          const dark = levelsOf(how.dark)[channel] ?? 0;
          return Uint8ClampedArray.from({ length: 256 }, (_, gray) =>
            Math.max(dark, Math.round((gray * light) / 255)),
          );
        })
      : [];
  const ground = how.kind === 'faint' ? levelsOf(how.ground) : [];
  for (let at = 0; at < data.length; at += 4) {
    const alpha = (data[at + 3] ?? 255) / 255;
    const plain = (channel: number): number =>
      Math.round((data[at + channel] ?? 0) * alpha + 255 * (1 - alpha));
    if (how.kind === 'toned') {
      const gray = Math.round(GRAY[0] * plain(0) + GRAY[1] * plain(1) + GRAY[2] * plain(2));
      for (let channel = 0; channel < 3; channel += 1)
        out[at + channel] = tables[channel]?.[gray] ?? gray;
    } else
      for (let channel = 0; channel < 3; channel += 1)
        out[at + channel] = Math.round(
          plain(channel) * how.opacity + (ground[channel] ?? 255) * (1 - how.opacity),
        );
    out[at + 3] = 255;
  }
  return { data: out, width, height };
}
