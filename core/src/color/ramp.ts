import { toSrgb } from './gamut.ts';
import { oklabOf, oklchOf, type Oklch } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

/** How many rungs a ramp has, from near-paper (1) to near-ink (16). */
export const RUNGS = 16;

/** Lightness in OKLab of the first and the last rung, unless the source lies beyond. */
const PAPER = 0.975;
const INK = 0.17;

export interface Ramp {
  /** The emitted colors, lightest first. */
  readonly colors: readonly Hex[];
  /** Where the source stands, 0 for the first rung. */
  readonly seat: number;
}

/** Beyond these, 8 bits hold nothing lighter, or nothing darker that differs. */
const WHITE = 0.99999;
const BLACK = 0.07;

/** Where the source is seated: where the two step widths differ least; white and black at an end. */
function seatOf(source: number, paper: number, ink: number): number {
  if (source > WHITE) return 0;
  if (source < BLACK) return RUNGS - 1;
  const even = ((paper - source) / (paper - ink)) * (RUNGS - 1);
  return Math.min(RUNGS - 2, Math.max(1, Math.round(even)));
}

/**
 * The lightness of every rung: even steps from paper to the source and from the source to ink, so
 * that the source keeps its own.
 */
function lightnessesAround(source: number): { steps: number[]; seat: number } {
  const paper = Math.max(PAPER, Math.min(1, source + 0.01));
  const ink = Math.min(INK, Math.max(0, source - 0.01));
  const seat = seatOf(source, paper, ink);
  const between = (from: number, to: number, share: number): number => from + (to - from) * share;
  const steps = Array.from({ length: RUNGS }, (_, rung) => {
    if (rung === seat) return source;
    return rung < seat
      ? between(paper, source, rung / seat)
      : between(source, ink, (rung - seat) / (RUNGS - 1 - seat));
  });
  return { steps, seat };
}

/** Chroma falls off towards paper and ink, where a full one would glare or vanish. */
const ease = (share: number): number => 1 - share ** 2;

const chromaAt = (source: Oklch, lightness: number): number =>
  lightness >= source.lightness
    ? source.chroma *
      (0.06 + 0.94 * ease((lightness - source.lightness) / Math.max(0.02, 1 - source.lightness)))
    : source.chroma *
      (0.25 + 0.75 * ease((source.lightness - lightness) / Math.max(0.02, source.lightness)));

/**
 * A ramp from near-paper to near-ink in which the source stands unchanged: neighbouring rungs are
 * equally far apart in OKLab lightness on either side of it, hue is kept, chroma falls off towards
 * both ends and gives way where sRGB does not hold it. Lightness falls strictly from rung to rung.
 * White takes the first rung, black the last.
 */
export function rampOf(source: Hex): Ramp {
  const polar = oklchOf(oklabOf(rgbOf(source)));
  const { steps, seat } = lightnessesAround(polar.lightness);
  const colors = steps.map((lightness, rung) =>
    rung === seat
      ? source
      : hexOf(toSrgb({ lightness, chroma: chromaAt(polar, lightness), hue: polar.hue })),
  );
  return { colors, seat };
}

/** The chroma of neutrals at full tint: still grey beside a color, no longer grey beside grey. */
const FULL_TINT = 0.035;

/**
 * Neutrals that belong with a source: even in OKLab lightness from paper to ink, of the source's
 * hue, with a chroma from none (tint 0) to 0.035 (tint 1).
 */
export function neutralsOf(source: Hex, tint: number): readonly Hex[] {
  const { hue } = oklchOf(oklabOf(rgbOf(source)));
  return Array.from({ length: RUNGS }, (_, rung) => {
    const share = rung / (RUNGS - 1);
    const lightness = PAPER + 0.008 + (INK - PAPER) * share;
    const chroma =
      FULL_TINT * tint * (0.35 + 0.65 * Math.sin(Math.PI * Math.min(0.85, share + 0.1)));
    return hexOf(toSrgb({ lightness, chroma, hue }));
  });
}
