import { contrastRatio } from './contrast.ts';
import { toSrgb } from './gamut.ts';
import { oklabOf, oklchOf, rgbOfOklab } from './oklab.ts';
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

const GREY = 0.004;

function between(one: Hex, other: Hex, share: number, space: GradientSpace): Hex {
  const first = rgbOf(one);
  const last = rgbOf(other);
  switch (space) {
    case 'srgb':
      return hexOf(mixed(first, last, share));
    case 'srgb-linear': {
      const [r, g, b] = mixed(
        first.map(linear) as unknown as Rgb,
        last.map(linear) as unknown as Rgb,
        share,
      );
      return hexOf([encoded(r), encoded(g), encoded(b)]);
    }
    case 'oklab': {
      const lab = mixed(oklabOf(first), oklabOf(last), share);
      return hexOf(rgbOfOklab(lab));
    }
    case 'oklch': {
      const from = oklchOf(oklabOf(first));
      const to = oklchOf(oklabOf(last));
      const hue =
        from.chroma < GREY
          ? to.hue
          : to.chroma < GREY
            ? from.hue
            : hueBetween(from.hue, to.hue, share);
      return hexOf(
        toSrgb({
          lightness: mix(from.lightness, to.lightness, share),
          chroma: mix(from.chroma, to.chroma, share),
          hue,
        }),
      );
    }
  }
}

/**
 * The emitted color of a gradient at a share of its way, 0 to 1; before the first stop and after the
 * last it rests. Source: CSS Color 4, 12 (interpolation, shorter hue) and CSS Images 4.
 */
export function gradientAt(stops: readonly Stop[], share: number, space: GradientSpace): Hex {
  const after = stops.findIndex(({ at }) => at >= share);
  const next = stops[after] ?? stops.at(-1);
  const before = after <= 0 ? next : stops[after - 1];
  if (!next || !before) return '#808080';
  const span = next.at - before.at;
  return between(before.color, next.color, span === 0 ? 0 : (share - before.at) / span, space);
}

export interface GradientFacts {
  /** How many colors differ over the given length in px, and the widest band of one of them. */
  readonly colors: number;
  readonly widestBandPx: number;
  /** Where the way is greyest beside its ends, as the share of the chroma that an even way would have. */
  readonly greyest: { readonly at: number; readonly left: number };
}

/** What the eye might stumble over in a gradient: bands of one color, and a middle gone grey. */
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
  let greyest = { at: 0, left: 1 };
  const chromaOf = (color: Hex): number => oklchOf(oklabOf(rgbOf(color))).chroma;
  const chromas = stops.map(({ color }) => chromaOf(color));
  for (let index = 0; index < samples; index += 1) {
    const share = index / (samples - 1);
    const hex = gradientAt(stops, share, space);
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
      if (left < greyest.left) greyest = { at: share, left };
    }
    seen.add(hex);
  }
  return { colors: seen.size, widestBandPx: widest, greyest };
}

/** The lowest contrast of a text along a gradient, and where it is. */
export function lowestContrast(
  stops: readonly Stop[],
  space: GradientSpace,
  text: Hex,
): { readonly at: number; readonly ratio: number; readonly color: Hex } {
  let lowest = { at: 0, ratio: Infinity, color: '#000000' as Hex };
  for (let step = 0; step <= 512; step += 1) {
    const at = step / 512;
    const color = gradientAt(stops, at, space);
    const ratio = contrastRatio(text, color);
    if (ratio < lowest.ratio) lowest = { at, ratio, color };
  }
  return lowest;
}

/** The gradient as CSS writes it, along a direction. */
export const gradientCss = (
  stops: readonly { readonly at: number; readonly css: string }[],
  space: GradientSpace,
  direction = 'to right',
): string =>
  `linear-gradient(${direction} in ${space}, ${stops
    .map(({ at, css }) => `${css} ${Number((at * 100).toFixed(2))}%`)
    .join(', ')})`;
