import { oklabOf, oklchOf } from '@garnish/core/color/oklab';
import { askedAt, driftOfNeutral, lightnessesOf } from '@garnish/core/color/ramp';
import { rgbOf, type Hex } from '@garnish/core/color/srgb';
import { RampChroma } from './ramp-chroma.tsx';
import { RampHue } from './ramp-hue.tsx';
import { RampLightness } from './ramp-lightness.tsx';
import { SIZE, type RampPart } from './ramp-scales.ts';

interface RampDrawingProps extends RampPart {
  readonly colors: readonly Hex[];
  /** The source of the ramp; neutrals have none. */
  readonly source?: Hex;
}

/** A ramp as it runs: the lightness of every rung, its chroma, and how its hue turns. */
export function RampDrawing({ name, colors, shape, source, onChange }: RampDrawingProps) {
  const polar = source && oklchOf(oklabOf(rgbOf(source)));
  const lightnesses = lightnessesOf(shape, polar?.lightness);
  const asked = polar
    ? lightnesses.steps.map((lightness) => askedAt(polar, shape, lightness))
    : colors.map((hex) => oklchOf(oklabOf(rgbOf(hex))));
  const turns = lightnesses.steps.map((lightness, rung) =>
    polar ? (asked[rung]?.hue ?? polar.hue) - polar.hue : driftOfNeutral(shape, lightness),
  );
  const part = { name, shape, onChange };
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      className="w-full touch-none overflow-visible"
      role="group"
      aria-label={`The ramp of ${name}`}
    >
      <RampLightness {...part} colors={colors} lightnesses={lightnesses} />
      <RampChroma {...part} asked={asked} source={polar} seat={lightnesses.seat} />
      <RampHue {...part} turns={turns} />
    </svg>
  );
}
