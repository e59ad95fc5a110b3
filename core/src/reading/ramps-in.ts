import { oklabOf, oklchOf } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';

/** Colors of one hue that go from light to dark: what somebody has made of one color. */
export interface FoundRamp {
  /** The lightest first. */
  readonly hexes: readonly Hex[];
  /** The one that the others are made of: the richest in chroma. */
  readonly source: Hex;
}

/** Colors of one ramp are of hues that are no further apart, in degrees of OKLCH. Common practice. */
const HUES_APART = 14;
/** And told apart by at least so much lightness of OKLab. Common practice. */
const STEP = 0.035;
/** Fewer are no ramp. Common practice. */
const LEAST_COLORS = 4;
/** A ramp goes over so much lightness at least. Common practice. */
const LEAST_RANGE = 0.3;
/** Less chroma of OKLCH has no hue that could be told. Common practice. */
const LEAST_CHROMA = 0.012;

const hueApart = (one: number, other: number): number => {
  const apart = Math.abs(one - other) % 360;
  return Math.min(apart, 360 - apart);
};

/**
 * The ramps among some colors: of each hue the colors that stand in line from light to dark. A color is of one ramp at
 * most; what is as light as another of the same hue is told by the richer one.
 */
export function rampsIn(colors: readonly Hex[]): readonly FoundRamp[] {
  let left = colors
    .map((hex) => ({ hex, ...oklchOf(oklabOf(rgbOf(hex))) }))
    .filter(({ chroma }) => chroma >= LEAST_CHROMA)
    .toSorted((one, other) => other.chroma - one.chroma);
  const ramps: FoundRamp[] = [];
  while (left.length > 0) {
    const [source] = left;
    if (!source) break;
    const near = left.filter(({ hue }) => hueApart(hue, source.hue) <= HUES_APART);
    const steps = near.reduce<typeof near>(
      (kept, one) =>
        kept.some(({ lightness }) => Math.abs(lightness - one.lightness) < STEP)
          ? kept
          : [...kept, one],
      [],
    );
    const lights = steps.map(({ lightness }) => lightness);
    const isRamp =
      steps.length >= LEAST_COLORS && Math.max(...lights) - Math.min(...lights) >= LEAST_RANGE;
    if (isRamp)
      ramps.push({
        source: source.hex,
        hexes: steps
          .toSorted((one, other) => other.lightness - one.lightness)
          .map(({ hex }) => hex),
      });
    left = left.filter((one) => (isRamp ? !near.includes(one) : one !== source));
  }
  return ramps;
}
