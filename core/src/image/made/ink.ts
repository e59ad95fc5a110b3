import { oklabOf, rgbOfOklab, type Oklab } from '../../color/oklab.ts';
import { hexOf, rgbOf, type Hex } from '../../color/srgb.ts';
import { seeded } from '../../seeded.ts';
import type { MadeManner } from './kinds.ts';

/** The colors of a system as far as pictures are drawn in them. */
export interface MadePalette {
  readonly page: Hex;
  readonly ink: Hex;
  /** Its vivid colors, at least one. */
  readonly vivid: readonly Hex[];
}

/** A color between two, evenly for the eye: 0 for the first, 1 for the other. Mixed in OKLab. */
export function between(one: Hex, other: Hex, share: number): Hex {
  const [from, to] = [oklabOf(rgbOf(one)), oklabOf(rgbOf(other))];
  const mixed: Oklab = [
    from[0] + (to[0] - from[0]) * share,
    from[1] + (to[1] - from[1]) * share,
    from[2] + (to[2] - from[2]) * share,
  ];
  return hexOf(rgbOfOklab(mixed));
}

/** Draws by chance that is the same for the same seed. */
export interface Chance {
  /** From the first number up to the other. */
  readonly from: (low: number, high: number) => number;
  readonly one: <Thing>(things: readonly [Thing, ...Thing[]] | readonly Thing[]) => Thing;
  readonly is: (share: number) => boolean;
}

export function chanceOf(seed: string): Chance {
  const next = seeded(seed);
  // The first numbers of near seeds are near each other.
  for (let index = 0; index < 4; index += 1) next();
  return {
    from: (low, high) => low + (high - low) * next(),
    one: (things) =>
      things[Math.min(things.length - 1, Math.floor(next() * things.length))] as never,
    is: (share) => next() < share,
  };
}

/** A number as it stands in a path. */
export const n = (value: number): string => String(Math.round(value * 10) / 10);

/** How shapes are painted in a manner. */
export interface Brush {
  readonly fill: (d: string, color: Hex) => string;
  readonly line: (d: string, color: Hex, width: number) => string;
}

/** Lines are drawn over what lies behind them, which the ground hides. */
export const brushOf = (manner: MadeManner, { ink }: MadePalette, ground: Hex): Brush => ({
  fill: (d, color) =>
    manner === 'lines'
      ? `<path d="${d}" fill="${ground}" stroke="${ink}" stroke-width="3" stroke-linejoin="round"/>`
      : `<path d="${d}" fill="${color}"/>`,
  line: (d, color, width) =>
    `<path d="${d}" fill="none" stroke="${manner === 'lines' ? ink : color}" stroke-width="${manner === 'lines' ? 3 : n(width)}" stroke-linecap="round" stroke-linejoin="round"/>`,
});

export const disc = (x: number, y: number, rx: number, ry = rx): string =>
  `M${n(x - rx)} ${n(y)}A${n(rx)} ${n(ry)} 0 1 1 ${n(x + rx)} ${n(y)}A${n(rx)} ${n(ry)} 0 1 1 ${n(x - rx)} ${n(y)}Z`;

/** A picture of this size; nothing is drawn outside it. */
export const framed = (width: number, height: number, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${inside}</svg>`;
