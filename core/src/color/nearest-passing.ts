import { contrastRatio, relativeLuminance } from './contrast.ts';
import { toSrgb } from './gamut.ts';
import { oklabDistance, oklabOf, oklchOf } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

/** Steps of lightness that are looked at: finer than 8 bits can show. */
const STEPS = 1024;

/** Answers that were given: the same question comes at every movement of a slider. */
const found = new Map<string, Hex | undefined>();
const MOST_KEPT = 500;

/**
 * The color nearest to `color` (smallest distance in OKLab) that reaches `needed` against
 * `against`, among the emitted colors of the same hue and chroma over the whole range of lightness
 * (chroma gives way where sRGB does not hold it). `color` itself where it passes already;
 * undefined where neither lighter nor darker ones reach the ratio.
 * What is judged is the emitted 8-bit color, never the exact one behind it.
 */
export function nearestPassing(color: Hex, against: Hex, needed: number): Hex | undefined {
  if (contrastRatio(color, against) >= needed) return color;
  const key = `${color} ${against} ${needed}`;
  if (found.has(key)) return found.get(key);
  if (found.size >= MOST_KEPT) found.clear();
  const nearest = search(color, against, needed);
  found.set(key, nearest);
  return nearest;
}

function search(color: Hex, against: Hex, needed: number): Hex | undefined {
  const here = oklabOf(rgbOf(color));
  const polar = oklchOf(here);
  const ground = relativeLuminance(against) + 0.05;
  const passes = (hex: Hex): boolean => {
    const own = relativeLuminance(hex) + 0.05;
    return Math.max(own, ground) / Math.min(own, ground) >= needed;
  };
  let best: Hex | undefined;
  let least = Infinity;
  for (let step = 0; step <= STEPS; step += 1) {
    const lightness = step / STEPS;
    if (Math.abs(lightness - polar.lightness) > least) continue;
    const hex = hexOf(toSrgb({ ...polar, lightness }));
    if (!passes(hex)) continue;
    const distance = oklabDistance(here, oklabOf(rgbOf(hex)));
    if (distance < least) {
      best = hex;
      least = distance;
    }
  }
  return best;
}
