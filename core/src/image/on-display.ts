import { contrastRatio } from '../color/contrast.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { nearestOf } from './displays.ts';
import { dither, type Dithering } from './dither.ts';

const PATCH = 16;
/** A member of a pattern that is rarer than this is a speck, and disturbs no letter. */
const SPECK = 0.08;

/** The members of a palette that stand for a color on a display: one, or those of its pattern. */
export function membersFor(colors: readonly Hex[], hex: Hex, dithering: Dithering): readonly Hex[] {
  if (dithering === 'none') return [nearestOf(colors, hex).hex];
  const [red, green, blue] = rgbOf(hex).map((channel) => Math.round(channel * 255)) as [
    number,
    number,
    number,
  ];
  const data = new Uint8ClampedArray(PATCH * PATCH * 4);
  for (let at = 0; at < data.length; at += 4) data.set([red, green, blue, 255], at);
  dither(data, PATCH, PATCH, colors, dithering);
  const counts = new Map<Hex, number>();
  for (let at = 0; at < data.length; at += 4) {
    const member = hexOf([
      (data[at] ?? 0) / 255,
      (data[at + 1] ?? 0) / 255,
      (data[at + 2] ?? 0) / 255,
    ]);
    counts.set(member, (counts.get(member) ?? 0) + 1);
  }
  return [...counts]
    .filter(([, count]) => count / (PATCH * PATCH) >= SPECK)
    .map(([member]) => member);
}

/**
 * The contrast of a text on a ground as a limited display shows them: the text as the nearest member,
 * since letters are too fine to be made of a pattern, on the worst member of the ground’s pattern.
 */
export function contrastOnDisplay(
  colors: readonly Hex[],
  text: Hex,
  ground: Hex,
  dithering: Dithering,
): number {
  const ink = nearestOf(colors, text).hex;
  return Math.min(
    ...membersFor(colors, ground, dithering).map((member) => contrastRatio(ink, member)),
  );
}
