import { chromaLimit } from './gamut-limits.ts';
import { inGamut, toSrgb } from './gamut.ts';
import {
  ACHROMATIC,
  CONES_OF_LINEAR,
  OKLAB_OF_CONES,
  oklabOf,
  oklabOfOklch,
  oklchOf,
  rgbOfOklab,
  type Oklab,
  type Oklch,
} from './oklab.ts';
import { hexOf, LINEAR_LEVELS, rgbOf, type Hex, type Rgb } from './srgb.ts';

/** How many rungs a ramp has, from near-paper (1) to near-ink (16). */
export const RUNGS = 16;

/** How a ramp runs. Lightness is that of OKLab, 0 to 1. */
export interface RampShape {
  /** Lightness of the first rung and of the last, unless the source lies beyond. */
  readonly paper: number;
  readonly ink: number;
  /** Lightness decided by hand, by the number of the rung (1 to 16); the others follow evenly. */
  readonly positions: Readonly<Record<string, number>>;
  /** What is left of the source's chroma at either end, as a share; more than 1 gains. */
  readonly chromaAtPaper: number;
  readonly chromaAtInk: number;
  /** How far the hue has turned at either end, in degrees. */
  readonly driftAtPaper: number;
  readonly driftAtInk: number;
}

export const USUAL_SHAPE: RampShape = {
  paper: 0.975,
  ink: 0.17,
  positions: {},
  chromaAtPaper: 0.06,
  chromaAtInk: 0.25,
  driftAtPaper: 0,
  driftAtInk: 0,
};

export interface Ramp {
  /** The emitted colors, lightest first. */
  readonly colors: readonly Hex[];
  /** Where the source stands, 0 for the first rung. */
  readonly seat: number;
}

/** Beyond these, 8 bits hold nothing lighter, or nothing darker that differs. */
const WHITE = 0.99999;
const BLACK = 0.07;
/** How far apart neighbors stay at the least: less is not seen, and 8 bits might not hold it. */
export const LEAST_STEP = 0.006;
/** How far a step may differ from the even one before the neighbors of the source take the rest. */
const EVEN_WITHIN = 0.012;

/** Where the source is seated: where the two step widths differ least; white and black at an end. */
function seatOf(source: number, paper: number, ink: number): number {
  if (source > WHITE) return 0;
  if (source < BLACK) return RUNGS - 1;
  const even = ((paper - source) / (paper - ink)) * (RUNGS - 1);
  return Math.min(RUNGS - 2, Math.max(1, Math.round(even)));
}

interface Knot {
  readonly rung: number;
  readonly lightness: number;
}

/** Even steps from knot to knot. */
function between(knots: readonly Knot[]): number[] {
  return Array.from({ length: RUNGS }, (_, rung) => {
    const after = knots.findIndex((knot) => knot.rung >= rung);
    const high = knots[after];
    const low = knots[after - 1] ?? high;
    if (!high || !low) return 0;
    if (high.rung === rung) return high.lightness;
    const share = (rung - low.rung) / (high.rung - low.rung);
    return low.lightness + (high.lightness - low.lightness) * share;
  });
}

/** Every lightness strictly below the one before; the fixed rung moves for nobody. */
function strict(steps: readonly number[], fixed: number | undefined): number[] {
  const held = [...steps];
  const at = (rung: number): number => held[rung] ?? 0;
  if (fixed === undefined) {
    for (let rung = 1; rung < RUNGS; rung += 1)
      held[rung] = Math.min(at(rung), at(rung - 1) - LEAST_STEP);
    return held;
  }
  for (let rung = fixed - 1; rung >= 0; rung -= 1)
    held[rung] = Math.max(at(rung), at(rung + 1) + LEAST_STEP);
  for (let rung = fixed + 1; rung < RUNGS; rung += 1)
    held[rung] = Math.min(at(rung), at(rung - 1) - LEAST_STEP);
  return held;
}

const handKnots = ({ positions }: RampShape, seat: number | undefined): Knot[] =>
  Object.entries(positions)
    .map(([rung, lightness]) => ({ rung: Number(rung) - 1, lightness }))
    .filter(({ rung }) => rung !== seat);

/**
 * The lightness of every rung. Without decisions by hand all steps are equal within 5 %, but for the
 * two beside the source, which keeps its own lightness.
 */
export function lightnessesOf(
  shape: RampShape,
  source: number | undefined,
): { readonly steps: readonly number[]; readonly seat: number | undefined } {
  if (source === undefined) {
    const knots = [
      { rung: 0, lightness: shape.paper },
      { rung: RUNGS - 1, lightness: shape.ink },
    ];
    return {
      steps: strict(between(withHand(knots, shape, undefined)), undefined),
      seat: undefined,
    };
  }
  const paper = Math.max(shape.paper, Math.min(1, source + 0.01));
  const ink = Math.min(shape.ink, Math.max(0, source - 0.01));
  const seat = seatOf(source, paper, ink);
  const even = (paper - ink) / (RUNGS - 1);
  const near = (width: number): number =>
    Math.min(even * (1 + EVEN_WITHIN), Math.max(even * (1 - EVEN_WITHIN), width));
  const above = seat === 0 ? even : near((paper - source) / seat);
  const below = seat === RUNGS - 1 ? even : near((source - ink) / (RUNGS - 1 - seat));
  const knots: Knot[] = [
    ...(seat === 0 ? [] : [{ rung: 0, lightness: paper }]),
    ...(seat > 1 ? [{ rung: seat - 1, lightness: paper - above * (seat - 1) }] : []),
    { rung: seat, lightness: source },
    ...(seat < RUNGS - 2 ? [{ rung: seat + 1, lightness: ink + below * (RUNGS - 2 - seat) }] : []),
    ...(seat === RUNGS - 1 ? [] : [{ rung: RUNGS - 1, lightness: ink }]),
  ];
  return { steps: strict(between(withHand(knots, shape, seat)), seat), seat };
}

/** Knots by hand stand in for those that were found beside the source, never for the source. */
function withHand(knots: readonly Knot[], shape: RampShape, seat: number | undefined): Knot[] {
  const hand = handKnots(shape, seat);
  if (hand.length === 0) return [...knots];
  const taken = new Set(hand.map(({ rung }) => rung));
  const ends = knots.filter(
    ({ rung }) => !taken.has(rung) && (rung === 0 || rung === RUNGS - 1 || rung === seat),
  );
  return [...ends, ...hand].sort((one, other) => one.rung - other.rung);
}

/** How far on the way from the source (0) to paper or to ink (1) a lightness lies. */
const shareOf = (source: Oklch, lightness: number): number =>
  lightness >= source.lightness
    ? (lightness - source.lightness) / Math.max(0.02, 1 - source.lightness)
    : (source.lightness - lightness) / Math.max(0.02, source.lightness);

/** The color that the shape asks for at a lightness, whether or not a screen can show it. */
export function askedAt(source: Oklch, shape: RampShape, lightness: number): Oklch {
  const light = lightness >= source.lightness;
  const share = Math.min(1, shareOf(source, lightness));
  const left = light ? shape.chromaAtPaper : shape.chromaAtInk;
  const drift = light ? shape.driftAtPaper : shape.driftAtInk;
  return {
    lightness,
    // Chroma falls off slowly at first: near the source the ramp stays in its color.
    chroma: source.chroma * (left + (1 - left) * (1 - share ** 2)),
    hue: source.hue + drift * share,
  };
}

/** How far the lightness of an emitted rung may lie from the asked one without any loss, in OKLab. */
const LIGHTNESS_WITHIN = 0.0003;
/** How much more lightness beyond that counts than hue and chroma. */
const LIGHTNESS_COUNTS = 60;

/** What each level of a channel gives to the three cones, one after the other: red, green, blue. */
const CONES_OF_LEVELS = ([0, 1, 2] as const).map((channel) =>
  Float64Array.from(
    { length: 256 * 3 },
    (_, index) =>
      (LINEAR_LEVELS[Math.floor(index / 3)] ?? 0) * (CONES_OF_LINEAR[index % 3]?.[channel] ?? 0),
  ),
);
const [OF_RED = new Float64Array(), OF_GREEN = OF_RED, OF_BLUE = OF_RED] = CONES_OF_LEVELS;

/**
 * The best color in 8 bits around a place in the cube, and by how much its lightness is off. Written out for
 * speed: a ramp asks for thousands of them, and every movement of a source for a ramp.
 */
function bestAround(
  [red, green, blue]: Rgb,
  [reachRed, reachGreen, reachBlue]: Rgb,
  [lightness, a, b]: Oklab,
): { readonly levels: Rgb; readonly off: number } {
  const [toLightness, toA, toB] = OKLAB_OF_CONES;
  const { abs, cbrt, max, min, sqrt } = Math;
  let best: Rgb = [red, green, blue];
  let bestOff = Infinity;
  let least = Infinity;
  for (let r = max(0, red - reachRed); r <= min(255, red + reachRed); r += 1)
    for (let g = max(0, green - reachGreen); g <= min(255, green + reachGreen); g += 1) {
      const lightL = (OF_RED[3 * r] ?? 0) + (OF_GREEN[3 * g] ?? 0);
      const lightM = (OF_RED[3 * r + 1] ?? 0) + (OF_GREEN[3 * g + 1] ?? 0);
      const lightS = (OF_RED[3 * r + 2] ?? 0) + (OF_GREEN[3 * g + 2] ?? 0);
      for (let u = max(0, blue - reachBlue); u <= min(255, blue + reachBlue); u += 1) {
        const l = cbrt(lightL + (OF_BLUE[3 * u] ?? 0));
        const m = cbrt(lightM + (OF_BLUE[3 * u + 1] ?? 0));
        const s = cbrt(lightS + (OF_BLUE[3 * u + 2] ?? 0));
        const over = toLightness[0] * l + toLightness[1] * m + toLightness[2] * s - lightness;
        const off = max(0, abs(over) - LIGHTNESS_WITHIN);
        if (off * LIGHTNESS_COUNTS >= least) {
          // More blue is lighter still.
          if (over > 0) break;
          continue;
        }
        const da = toA[0] * l + toA[1] * m + toA[2] * s - a;
        const db = toB[0] * l + toB[1] * m + toB[2] * s - b;
        const cost = sqrt(da * da + db * db) + off * LIGHTNESS_COUNTS;
        if (cost >= least) continue;
        least = cost;
        bestOff = off;
        best = [r, g, u];
      }
    }
  return { levels: best, off: bestOff };
}

/**
 * The 8-bit color of a rung: where sRGB does not hold the chroma it gives way, at the same lightness and
 * hue; of the emitted colors around that one, the one whose lightness is right, and then hue and chroma.
 * Rounding each channel by itself would make steps uneven by a tenth. A gray has no color between two
 * of its levels.
 */
function emitted(asked: Oklch): Hex {
  const { lightness, hue } = asked;
  if (asked.chroma < ACHROMATIC) return hexOf(toSrgb(asked));
  const wanted = oklabOfOklch(asked);
  const held = inGamut(rgbOfOklab(wanted))
    ? wanted
    : oklabOfOklch({ lightness, chroma: chromaLimit(lightness, hue, 'srgb'), hue });
  const [red, green, blue] = rgbOfOklab(held).map((channel) => Math.round(channel * 255)) as [
    number,
    number,
    number,
  ];
  // Most lightnesses are met by a direct neighbor; blue, which counts least in it, finds the others.
  const near = bestAround([red, green, blue], [1, 1, 1], held);
  const { levels } = near.off === 0 ? near : bestAround([red, green, blue], [2, 1, 5], held);
  return hexOf([levels[0] / 255, levels[1] / 255, levels[2] / 255]);
}

/**
 * A ramp from near-paper to near-ink in which the source stands unchanged: neighboring rungs are
 * equally far apart in OKLab lightness (each step within 5.5 % of their mean, in the emitted 8 bits; pure
 * grays have no color between two levels, and keep within 10 %), but for those beside the source and
 * those moved by hand; chroma falls off and the hue turns towards both ends as the shape says, and chroma gives way
 * where sRGB does not hold it. Lightness falls strictly from rung to rung. White takes the first rung,
 * black the last.
 */
export function rampOf(source: Hex, shape: RampShape = USUAL_SHAPE): Ramp {
  const polar = oklchOf(oklabOf(rgbOf(source)));
  const { steps, seat = 0 } = lightnessesOf(shape, polar.lightness);
  const colors = steps.map((lightness, rung) =>
    rung === seat ? source : emitted(askedAt(polar, shape, lightness)),
  );
  return { colors, seat };
}

/** The chroma of neutrals at full tint: still gray beside a color, no longer gray beside gray. */
const FULL_TINT = 0.035;

/** Neutrals are a little lighter at the paper end: pages stand on them. */
export const NEUTRAL_SHAPE: RampShape = { ...USUAL_SHAPE, paper: 0.983 };

/** How far the hue of a neutral has turned at a lightness, in degrees: not at all midway. */
export function driftOfNeutral(shape: RampShape, lightness: number): number {
  const share = (shape.paper - lightness) / Math.max(0.1, shape.paper - shape.ink);
  return share < 0.5 ? shape.driftAtPaper * (1 - 2 * share) : shape.driftAtInk * (2 * share - 1);
}

/**
 * Neutrals that belong with a source: even in OKLab lightness from paper to ink, of the source's
 * hue, with a chroma from none (tint 0) to 0.035 (tint 1).
 */
export function neutralsOf(
  source: Hex,
  tint: number,
  shape: RampShape = NEUTRAL_SHAPE,
): readonly Hex[] {
  const { hue } = oklchOf(oklabOf(rgbOf(source)));
  const { steps } = lightnessesOf(shape, undefined);
  const span = Math.max(0.1, shape.paper - shape.ink);
  return steps.map((lightness) => {
    const share = (shape.paper - lightness) / span;
    const chroma =
      FULL_TINT * tint * (0.35 + 0.65 * Math.sin(Math.PI * Math.min(0.85, share + 0.1)));
    const drift = driftOfNeutral(shape, lightness);
    return emitted({ lightness, chroma, hue: hue + drift });
  });
}

/** The names that rungs can go by. Names follow the place of a rung, so that no decision renames one. */
export const RUNG_NAMES = ['from paper', 'from ink', 'tens', 'words'] as const;
export type RungNames = (typeof RUNG_NAMES)[number];

const WORDS = [
  'paper',
  'mist',
  'veil',
  'haze',
  'pale',
  'light',
  'soft',
  'fair',
  'mid',
  'full',
  'firm',
  'deep',
  'dark',
  'dusk',
  'night',
  'ink',
] as const;

/** The name of a rung (1 to 16) in a way of naming. */
export function rungName(rung: number, names: RungNames = 'from paper'): string {
  switch (names) {
    case 'from paper':
      return String(rung);
    case 'from ink':
      return String(RUNGS + 1 - rung);
    case 'tens':
      return String(rung * 10);
    case 'words':
      return WORDS[rung - 1] ?? String(rung);
  }
}
