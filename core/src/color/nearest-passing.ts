import { contrastRatio, relativeLuminance } from './contrast.ts';
import {
  ACHROMATIC,
  oklabOf,
  oklabOfOklch,
  oklchOf,
  rgbOfOklab,
  type Oklab,
  type Oklch,
} from './oklab.ts';
import { hexOf, linear, rgbOf, type Hex, type Rgb } from './srgb.ts';

/** Answers that were given: the same question comes at every movement of a slider. */
const found = new Map<string, Hex | undefined>();
const MOST_KEPT = 500;

/**
 * How far from the plane of a hue an emitted color may lie, in OKLab, to count as of that hue: as far
 * as 8 bits put it.
 */
export const SAME_HUE = 0.004;

/** What arithmetic leaves of the chroma of a pure grey. */
const PURE_GREY = 0.0001;

/** Whether an emitted color is of the hue of another, as far as 8 bits can say; a grey stays a grey. */
export function isOfHue([, a, b]: Oklab, { chroma, hue }: Oklch): boolean {
  if (chroma < ACHROMATIC) return Math.hypot(a, b) <= Math.max(chroma, PURE_GREY);
  const angle = (hue * Math.PI) / 180;
  const along = a * Math.cos(angle) + b * Math.sin(angle);
  const across = Math.abs(b * Math.cos(angle) - a * Math.sin(angle));
  return across <= SAME_HUE && along > -SAME_HUE;
}

/**
 * The color nearest to `color` (smallest distance in OKLab) that reaches `needed` against
 * `against`, among the emitted 8-bit colors of the same hue, lighter or darker, of more or less
 * chroma. `color` itself where it passes already; undefined where none reaches the ratio.
 * What is judged is the emitted color, never the exact one behind it.
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

const STEPS = 96;
const HALVINGS = 14;
/** How far around a point on the border emitted colors are looked at, in levels of 255. */
const AROUND = 4;

/** Luminance of a color that may lie a little outside sRGB. */
const luminanceOf = ([red, green, blue]: Rgb): number =>
  0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);

/** The 256 levels of a channel in linear light. */
const LEVELS = Float64Array.from({ length: 256 }, (_, level) => linear(level / 255));

const luminanceOfLevels = (red: number, green: number, blue: number): number =>
  0.2126 * (LEVELS[red] ?? 0) + 0.7152 * (LEVELS[green] ?? 0) + 0.0722 * (LEVELS[blue] ?? 0);

/** The lightness at which a color of this chroma and hue has a luminance: luminance rises with it. */
function lightnessAt(luminance: number, chroma: number, hue: number): number {
  let low = 0;
  let high = 1;
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const lightness = (low + high) / 2;
    const there = luminanceOf(rgbOfOklab(oklabOfOklch({ lightness, chroma, hue })));
    if (there < luminance) low = lightness;
    else high = lightness;
  }
  return (low + high) / 2;
}

/** Colors that rounding to 8 bits brings into sRGB: near its edges the plane of a hue leaves it by less. */
const isAlmostInGamut = (rgb: Rgb): boolean =>
  rgb.every((channel) => channel >= -1 / 255 && channel <= 1 + 1 / 255);

/** The points of the border between passing and not, on the plane of the hue, the nearest first. */
function border(polar: Oklch, luminance: number): Rgb[] {
  const most = Math.max(0.02, polar.chroma * 1.5);
  const points = Array.from({ length: STEPS + 1 }, (_, step) => {
    const chroma = (most * step) / STEPS;
    const lightness = lightnessAt(luminance, chroma, polar.hue);
    const rgb = rgbOfOklab(oklabOfOklch({ lightness, chroma, hue: polar.hue }));
    return {
      rgb,
      distance: Math.hypot(lightness - polar.lightness, chroma - polar.chroma),
    };
  }).filter(({ rgb }) => isAlmostInGamut(rgb));
  return points
    .sort((one, other) => one.distance - other.distance)
    .slice(0, 6)
    .map(({ rgb }) => rgb);
}

function search(color: Hex, against: Hex, needed: number): Hex | undefined {
  const here = oklabOf(rgbOf(color));
  const polar = oklchOf(here);
  const ground = relativeLuminance(against) + 0.05;
  const lighter = ground * needed - 0.05;
  const darker = ground / needed - 0.05;
  const starts: Rgb[] = [
    ...(lighter <= 1 ? border(polar, lighter) : []),
    ...(darker >= 0 ? border(polar, darker) : []),
    // The ends of the scale, where the border lies so near to them that no chroma is left.
    [1, 1, 1],
    [0, 0, 0],
  ];
  let best: Hex | undefined;
  let least = Infinity;
  const looked = new Set<number>();
  for (const start of starts) {
    const [red, green, blue] = start.map((channel) => Math.round(channel * 255)) as [
      number,
      number,
      number,
    ];
    for (let r = Math.max(0, red - AROUND); r <= Math.min(255, red + AROUND); r += 1)
      for (let g = Math.max(0, green - AROUND); g <= Math.min(255, green + AROUND); g += 1)
        for (let b = Math.max(0, blue - AROUND); b <= Math.min(255, blue + AROUND); b += 1) {
          const bits = (r << 16) | (g << 8) | b;
          if (looked.has(bits)) continue;
          looked.add(bits);
          const own = luminanceOfLevels(r, g, b) + 0.05;
          if (Math.max(own, ground) / Math.min(own, ground) < needed) continue;
          const rgb: Rgb = [r / 255, g / 255, b / 255];
          const lab = oklabOf(rgb);
          const distance = Math.hypot(lab[0] - here[0], lab[1] - here[1], lab[2] - here[2]);
          if (distance >= least || !isOfHue(lab, polar)) continue;
          best = hexOf(rgb);
          least = distance;
        }
  }
  return best;
}
