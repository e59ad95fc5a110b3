import { contrastRatio } from './contrast.ts';
import { oklabOf, oklabOfOklch, oklchOf, rgbOfOklab, type Oklab } from './oklab.ts';
import { encoded, hexOf, linear, rgbOf, type Hex, type Rgb } from './srgb.ts';

/** The spaces of CSS in which a gradient can run, as CSS writes them. */
export const GRADIENT_SPACES = ['oklab', 'oklch', 'srgb', 'srgb-linear'] as const;
export type GradientSpace = (typeof GRADIENT_SPACES)[number];

/** A color at a share of the way, 0 to 1. */
export interface Stop {
  readonly at: number;
  readonly color: Hex;
}

const mix = (one: number, other: number, share: number): number => one + (other - one) * share;

const mixed = (one: Rgb, other: Rgb, share: number): Rgb => [
  mix(one[0], other[0], share),
  mix(one[1], other[1], share),
  mix(one[2], other[2], share),
];

/** The shorter way round the hue circle; a color without hue takes that of the other. */
function hueBetween(from: number, to: number, share: number): number {
  const turn = ((to - from + 540) % 360) - 180;
  return from + turn * share;
}

/** Below this chroma a hue says nothing, and that of the other end counts. Source: CSS Color 4, 4.4.1. */
const POWERLESS = 0.000004;

const hueOf = ([, a, b]: Oklab): number => (Math.atan2(b, a) * 180) / Math.PI;

/** The way from one color to another in a space: the emitted color at each share of it, 0 to 1. */
function between(one: Hex, other: Hex, space: GradientSpace): (share: number) => Hex {
  const first = rgbOf(one);
  const last = rgbOf(other);
  switch (space) {
    case 'srgb':
      return (share) => hexOf(mixed(first, last, share));
    case 'srgb-linear': {
      const from = first.map(linear) as unknown as Rgb;
      const to = last.map(linear) as unknown as Rgb;
      return (share) => {
        const [r, g, b] = mixed(from, to, share);
        return hexOf([encoded(r), encoded(g), encoded(b)]);
      };
    }
    case 'oklab': {
      const [from, to] = [oklabOf(first), oklabOf(last)];
      return (share) => hexOf(rgbOfOklab(mixed(from, to, share)));
    }
    case 'oklch': {
      const [from, to] = [oklabOf(first), oklabOf(last)];
      const [fromChroma, toChroma] = [Math.hypot(from[1], from[2]), Math.hypot(to[1], to[2])];
      const fromHue = fromChroma < POWERLESS ? hueOf(to) : hueOf(from);
      const toHue = toChroma < POWERLESS ? fromHue : hueOf(to);
      // What leaves sRGB on the way is clipped channel by channel, as browsers paint it.
      return (share) =>
        hexOf(
          rgbOfOklab(
            oklabOfOklch({
              lightness: mix(from[0], to[0], share),
              chroma: mix(fromChroma, toChroma, share),
              hue: hueBetween(fromHue, toHue, share),
            }),
          ),
        );
    }
  }
}

/**
 * The emitted color of a gradient at each share of its way, 0 to 1; before the first stop and after the
 * last it rests. Source: CSS Color 4, 12 (interpolation, shorter hue) and CSS Images 4.
 */
export function gradientOf(stops: readonly Stop[], space: GradientSpace): (share: number) => Hex {
  const ways = stops.map((next, index) => {
    const before = stops[index - 1] ?? next;
    return {
      from: before.at,
      span: next.at - before.at,
      way: between(before.color, next.color, space),
    };
  });
  return (share) => {
    const after = stops.findIndex(({ at }) => at >= share);
    const here = ways.at(after);
    if (!here) return '#808080';
    // After the last stop it rests.
    const part = after === -1 ? 1 : here.span === 0 ? 0 : (share - here.from) / here.span;
    return here.way(part);
  };
}

/** The emitted color at one share of the way. */
export const gradientAt = (stops: readonly Stop[], share: number, space: GradientSpace): Hex =>
  gradientOf(stops, space)(share);

export interface GradientFacts {
  /** How many colors differ over the given length in px, and the widest band of one of them. */
  readonly colors: number;
  readonly widestBandPx: number;
  /** Where the way is grayest beside its ends, as the share of the chroma that an even way would have. */
  readonly grayest: { readonly at: number; readonly left: number };
}

/** What the eye might stumble over in a gradient: bands of one color, and a middle gone gray. */
export function gradientFacts(
  stops: readonly Stop[],
  space: GradientSpace,
  lengthPx: number,
): GradientFacts {
  const seen = new Set<Hex>();
  let band = 0;
  let widest = 0;
  let last: Hex | undefined;
  const samples = Math.max(2, Math.round(lengthPx));
  const colorAt = gradientOf(stops, space);
  let grayest = { at: 0, left: 1 };
  const chromaOf = (color: Hex): number => oklchOf(oklabOf(rgbOf(color))).chroma;
  const chromas = stops.map(({ color }) => chromaOf(color));
  for (let index = 0; index < samples; index += 1) {
    const share = index / (samples - 1);
    const hex = colorAt(share);
    band = hex === last ? band + 1 : 1;
    last = hex;
    widest = Math.max(widest, band);
    if (!seen.has(hex) || index % 8 === 0) {
      const after = Math.max(
        1,
        stops.findIndex(({ at }) => at >= share),
      );
      const [one, other] = [stops[after - 1], stops[after]];
      const way = one && other && other.at > one.at ? (share - one.at) / (other.at - one.at) : 0;
      const even = mix(chromas[after - 1] ?? 0, chromas[after] ?? 0, Math.min(1, Math.max(0, way)));
      const left = even < 0.02 ? 1 : chromaOf(hex) / even;
      if (left < grayest.left) grayest = { at: share, left };
    }
    seen.add(hex);
  }
  return { colors: seen.size, widestBandPx: widest, grayest };
}

/** How finely a gradient is looked at: over the whole way, and around its lowest contrast. */
const COARSE = 1 / 512;
const FINE = COARSE / 32;

/**
 * The lowest contrast of a text along a gradient, and where it is (0 to 1): that of a color which is
 * painted, in 8 bits.
 */
export function lowestContrast(
  stops: readonly Stop[],
  space: GradientSpace,
  text: Hex,
): { readonly at: number; readonly ratio: number; readonly color: Hex } {
  let lowest = { at: 0, ratio: Infinity, color: '#000000' as Hex };
  const colorAt = gradientOf(stops, space);
  const look = (from: number, to: number, step: number): void => {
    for (let at = from; at <= to; at += step) {
      const color = colorAt(at);
      const ratio = contrastRatio(text, color);
      if (ratio < lowest.ratio) lowest = { at, ratio, color };
    }
  };
  look(0, 1, COARSE);
  const { at } = lowest;
  look(Math.max(0, at - COARSE), Math.min(1, at + COARSE), FINE);
  return lowest;
}

/** A stop as it is written: the color, and how a style sheet names it. */
export interface WrittenStop extends Stop {
  readonly css: string;
}

const isGray = (color: Hex): boolean => {
  const [, a, b] = oklabOf(rgbOf(color));
  return Math.hypot(a, b) < POWERLESS;
};

/** So little chroma that a level hardly changes, and enough that a hue is kept. */
const HINT_OF_CHROMA = 0.002;

/**
 * Stops of an OKLCH gradient in which a gray holds the hue of the color beside it. Browsers differ in
 * the hue that a gray has on the way to a color; written out they agree. Between two colors a gray
 * stands twice, once with the hue of either.
 */
function grayStops(stops: readonly WrittenStop[]): { at: number; css: string }[] {
  return stops.flatMap((stop, index) => {
    if (!isGray(stop.color)) return [stop];
    const [lightness] = oklabOf(rgbOf(stop.color));
    const hues = [stops[index - 1], stops[index + 1]].flatMap((beside) =>
      beside && !isGray(beside.color) ? [hueOf(oklabOf(rgbOf(beside.color)))] : [],
    );
    const css = (hue: number): string =>
      `oklch(${Number(lightness.toFixed(5))} ${HINT_OF_CHROMA} ${Number(hue.toFixed(2))})`;
    return hues.length === 0 ? [stop] : hues.map((hue) => ({ at: stop.at, css: css(hue) }));
  });
}

/**
 * The gradient as CSS writes it, along a direction. An OKLCH gradient in which every step has a gray
 * at one of its ends is a straight line in OKLab, and is written as one.
 */
export function gradientCss(
  stops: readonly WrittenStop[],
  space: GradientSpace,
  direction = 'to right',
): string {
  const polar = space === 'oklch' && stops.some(({ color }) => isGray(color));
  const straight =
    polar &&
    stops.slice(1).every(({ color }, index) => {
      const before = stops[index]?.color;
      return isGray(color) || before === undefined || isGray(before);
    });
  const written = polar && !straight ? grayStops(stops) : stops;
  return `linear-gradient(${direction} in ${straight ? 'oklab' : space}, ${written
    .map(({ at, css }) => `${css} ${Number((at * 100).toFixed(2))}%`)
    .join(', ')})`;
}
