import { oklabOf, oklchOf } from './oklab.ts';
import { rgbOf, type Hex } from './srgb.ts';

/** Words for hues by the OKLCH degree up to which they hold. Common practice. */
const HUES = [
  [12, 'rose'],
  [34, 'red'],
  [52, 'rust'],
  [72, 'orange'],
  [92, 'amber'],
  [112, 'yellow'],
  [128, 'lime'],
  [150, 'green'],
  [172, 'emerald'],
  [205, 'teal'],
  [222, 'cyan'],
  [244, 'azure'],
  [266, 'blue'],
  [288, 'indigo'],
  [310, 'violet'],
  [332, 'purple'],
  [350, 'magenta'],
  [360, 'rose'],
] as const;

/** Words for lightness by the OKLab lightness up to which they hold. */
const LIGHTNESSES = [
  [0.2, 'black'],
  [0.34, 'deep'],
  [0.48, 'dark'],
  [0.62, ''],
  [0.76, 'soft'],
  [0.88, 'light'],
  [1.01, 'pale'],
] as const;

const GRAYS = [
  [0.12, 'black'],
  [0.25, 'ink'],
  [0.4, 'charcoal'],
  [0.55, 'slate gray'],
  [0.7, 'gray'],
  [0.85, 'silver'],
  [0.96, 'mist'],
  [1.01, 'white'],
] as const;

const wordFor = (list: readonly (readonly [number, string])[], value: number): string =>
  list.find(([upTo]) => value <= upTo)?.[1] ?? '';

/** Below this chroma a color is called a gray, below the other a dull one of its hue. */
const GRAY = 0.022;
const DULL = 0.06;

/**
 * A name for a color from its appearance in OKLCH: lightness, whether it is dull, and its hue, in
 * plain words: “dark teal”, “pale dull amber”, “charcoal”. Not unique: see `uniqueName`.
 */
export function colorName(hex: Hex): string {
  const { lightness, chroma, hue } = oklchOf(oklabOf(rgbOf(hex)));
  if (chroma < GRAY) return wordFor(GRAYS, lightness);
  const light = wordFor(LIGHTNESSES, lightness);
  return [light === 'black' ? 'near-black' : light, chroma < DULL ? 'dull' : '', wordFor(HUES, hue)]
    .filter((word) => word !== '')
    .join(' ');
}

/** A name that none of the others has: with a number behind it where it has to. */
export function uniqueName(wanted: string, taken: ReadonlySet<string>): string {
  if (!taken.has(wanted)) return wanted;
  for (let number = 2; ; number += 1) {
    const name = `${wanted} ${number}`;
    if (!taken.has(name)) return name;
  }
}
