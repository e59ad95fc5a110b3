import { contrastRatio, relativeLuminance } from './contrast.ts';
import {
  ACHROMATIC,
  CONES_OF_LINEAR,
  conesOf,
  OKLAB_OF_CONES,
  oklabDistance,
  oklabOf,
  oklabOfLevels,
  oklchOf,
  type Oklab,
  type Oklch,
} from './oklab.ts';
import { hexOf, LINEAR_LEVELS, linearOfLevels, rgbOf, type Hex, type Rgb } from './srgb.ts';

const [LIGHTNESS, A, B] = OKLAB_OF_CONES;

/** Answers that were given: the same question comes at every movement of a slider. */
const found = new Map<string, Hex | undefined>();
const MOST_KEPT = 500;

/**
 * How far from the plane of a hue an emitted color may lie, in OKLab, to count as of that hue: as far
 * as 8 bits put it.
 */
export const SAME_HUE = 0.004;

/** What arithmetic leaves of the chroma of a pure gray. */
const PURE_GRAY = 0.0001;

/** Whether an emitted color is of the hue of another, as far as 8 bits can say; a gray stays a gray. */
export function isOfHue([, a, b]: Oklab, { chroma, hue }: Oklch): boolean {
  if (chroma < ACHROMATIC) return Math.hypot(a, b) <= Math.max(chroma, PURE_GRAY);
  const angle = (hue * Math.PI) / 180;
  const along = a * Math.cos(angle) + b * Math.sin(angle);
  const across = Math.abs(b * Math.cos(angle) - a * Math.sin(angle));
  return across <= SAME_HUE && along > -SAME_HUE;
}

/**
 * The color nearest to `color` (smallest distance in OKLab) that reaches `needed` against
 * `against`, among all emitted 8-bit colors of the same hue, lighter or darker, of more or less
 * chroma; a gray stays a gray. `color` itself where it passes already; undefined where none reaches
 * the ratio. What is judged is the emitted color, never the exact one behind it.
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

const luminanceAt = (red: number, green: number, blue: number): number =>
  0.2126 * (LINEAR_LEVELS[red] ?? 0) +
  0.7152 * (LINEAR_LEVELS[green] ?? 0) +
  0.0722 * (LINEAR_LEVELS[blue] ?? 0);

/** The luminances between which no color passes. */
interface Failing {
  readonly above: number;
  readonly below: number;
}

/**
 * Where passing ends on either side of a ground. Luminances of 8-bit colors lie further apart than
 * the error of a division; a hair less is taken here, so that none that passes exactly is lost.
 */
const HAIR = 1e-12;

/** How far the channels of a color that counts as gray lie from one level at the most. */
const GRAY_LEVELS = 2;

/** The nearest passing color among the emitted grays, and those of no more chroma than the color's own. */
function nearestGray(here: Oklab, polar: Oklch, { above, below }: Failing): Hex | undefined {
  const spread = polar.chroma <= PURE_GRAY ? 0 : GRAY_LEVELS;
  let best: Hex | undefined;
  let least = Infinity;
  const from = (level: number): number => Math.max(0, level - spread);
  const to = (level: number): number => Math.min(255, level + spread);
  for (let level = 0; level <= 255; level += 1)
    for (let red = from(level); red <= to(level); red += 1)
      for (let green = from(level); green <= to(level); green += 1)
        for (let blue = from(level); blue <= to(level); blue += 1) {
          const luminance = luminanceAt(red, green, blue);
          if (luminance > above && luminance < below) continue;
          const lab = oklabOfLevels(red, green, blue);
          const distance = oklabDistance(here, lab);
          if (distance >= least || !isOfHue(lab, polar)) continue;
          best = hexOf([red / 255, green / 255, blue / 255]);
          least = distance;
        }
  return best;
}

/** A block of the cube of emitted colors: the levels of its darkest corner, and those of a side. */
interface Block {
  readonly red: number;
  readonly green: number;
  readonly blue: number;
  readonly side: number;
  /** No color in it is nearer than this. */
  readonly least: number;
}

type Bounds = readonly [least: number, most: number];

/** Bounds of a weighted sum of values that each lie between their own bounds. */
function sumBounds(weights: Oklab, low: Oklab, high: Oklab): Bounds {
  let least = 0;
  let most = 0;
  for (let index = 0; index < 3; index += 1) {
    const weight = weights[index] ?? 0;
    least += weight * ((weight < 0 ? high[index] : low[index]) ?? 0);
    most += weight * ((weight < 0 ? low[index] : high[index]) ?? 0);
  }
  return [least, most];
}

/** One over three squares: the slope of a cube root, by the root. */
const slopeOfRoot = ([l, m, s]: Oklab): Oklab => [
  1 / (3 * l * l),
  1 / (3 * m * m),
  1 / (3 * s * s),
];

/**
 * Bounds of a weighted sum of cones over a block: its value at the middle, and no further from it than
 * its steepest slopes reach (the mean value theorem). In a small block these are much closer than those
 * of each cone alone. Where the block begins at black there is no steepest slope.
 */
function slopeBounds(weights: Oklab, steep: Oklab, flat: Oklab, middle: Rgb, half: Rgb): Bounds {
  const cones = conesOf(middle[0], middle[1], middle[2]);
  const value = weights[0] * cones[0] + weights[1] * cones[1] + weights[2] * cones[2];
  let reach = 0;
  for (let channel = 0; channel < 3; channel += 1) {
    const [least, most] = sumBounds(
      [
        weights[0] * (CONES_OF_LINEAR[0][channel] ?? 0),
        weights[1] * (CONES_OF_LINEAR[1][channel] ?? 0),
        weights[2] * (CONES_OF_LINEAR[2][channel] ?? 0),
      ],
      flat,
      steep,
    );
    reach += Math.max(-least, most) * (half[channel] ?? 0);
  }
  return [value - reach, value + reach];
}

const outside = (value: number, [least, most]: Bounds): number =>
  Math.max(0, least - value, value - most);

/** What lies within both. */
const both = ([a, b]: Bounds, [c, d]: Bounds): Bounds => [Math.max(a, c), Math.min(b, d)];

/** Half of the sum, or of the difference. */
const mean = (one: Rgb, other: Rgb, sign: 1 | -1): Rgb => [
  (one[0] + sign * other[0]) / 2,
  (one[1] + sign * other[1]) / 2,
  (one[2] + sign * other[2]) / 2,
];

/** The cone responses of a color in 8 bits; they rise with every channel. */
const conesAt = (red: number, green: number, blue: number): Oklab =>
  conesOf(...linearOfLevels(red, green, blue));

/**
 * The nearest passing color of a hue. The cube of emitted colors is halved again and again, the
 * nearest block first; a block is left as soon as bounds on its luminance, its hue or its distance say
 * that it cannot hold what is sought. So nothing nearer is missed.
 */
function nearestOfHue(here: Oklab, polar: Oklch, { above, below }: Failing): Hex | undefined {
  const angle = (polar.hue * Math.PI) / 180;
  const turned = (cosine: number, sine: number): Oklab => [
    A[0] * cosine + B[0] * sine,
    A[1] * cosine + B[1] * sine,
    A[2] * cosine + B[2] * sine,
  ];
  const along = turned(Math.cos(angle), Math.sin(angle));
  const across = turned(-Math.sin(angle), Math.cos(angle));

  const leastOf = (red: number, green: number, blue: number, side: number): number => {
    const [r, g, b] = [red + side - 1, green + side - 1, blue + side - 1];
    if (luminanceAt(red, green, blue) > above && luminanceAt(r, g, b) < below) return Infinity;
    const low = conesAt(red, green, blue);
    const high = conesAt(r, g, b);
    const middle = mean(linearOfLevels(red, green, blue), linearOfLevels(r, g, b), 1);
    const width = mean(linearOfLevels(r, g, b), linearOfLevels(red, green, blue), -1);
    const [steep, flat] = [slopeOfRoot(low), slopeOfRoot(high)];
    const bounds = (weights: Oklab): Bounds =>
      low[2] > 0
        ? both(sumBounds(weights, low, high), slopeBounds(weights, steep, flat, middle, width))
        : sumBounds(weights, low, high);
    const off = outside(0, bounds(across));
    if (off > SAME_HUE) return Infinity;
    const ahead = bounds(along);
    if (ahead[1] <= -SAME_HUE) return Infinity;
    const lightness = outside(here[0], sumBounds(LIGHTNESS, low, high));
    return Math.hypot(lightness, outside(polar.chroma, ahead), off);
  };

  let best: Hex | undefined;
  let least = Infinity;
  const open: Block[] = [{ red: 0, green: 0, blue: 0, side: 256, least: 0 }];
  for (let block = open.pop(); block; block = open.pop()) {
    if (block.least >= least) continue;
    const { red, green, blue, side } = block;
    if (side === 1) {
      if (!isOfHue(oklabOfLevels(red, green, blue), polar)) continue;
      best = hexOf([red / 255, green / 255, blue / 255]);
      least = block.least;
      continue;
    }
    const half = side / 2;
    const parts: Block[] = [];
    for (const r of [red, red + half])
      for (const g of [green, green + half])
        for (const b of [blue, blue + half]) {
          const bound = leastOf(r, g, b, half);
          if (bound < least) parts.push({ red: r, green: g, blue: b, side: half, least: bound });
        }
    open.push(...parts.sort((one, other) => other.least - one.least));
  }
  return best;
}

function search(color: Hex, against: Hex, needed: number): Hex | undefined {
  const here = oklabOf(rgbOf(color));
  const polar = oklchOf(here);
  const ground = relativeLuminance(against) + 0.05;
  const failing = { above: ground / needed - 0.05 + HAIR, below: ground * needed - 0.05 - HAIR };
  return polar.chroma < ACHROMATIC
    ? nearestGray(here, polar, failing)
    : nearestOfHue(here, polar, failing);
}
