import { flattened, transparentCss } from '../../color/transparent.ts';
import { RUNGS } from '../../color/ramp.ts';
import type { Hex } from '../../color/srgb.ts';
import type { Mode, Paint, StyleDocument } from '../../system/document.ts';
import type { DerivedRamp, Painted } from '../derived.ts';

type Roles = StyleDocument['color']['roles'];

/** Rungs before the first and after the last, taken only where no rung between them reads. */
export const LAST_RESORT = [
  { rung: 0, hex: '#ffffff' },
  { rung: RUNGS + 1, hex: '#000000' },
] as const;

const UNKNOWN: Hex = '#808080';

/** The colors of a ramp in a mode. */
export const colorsIn = (ramp: DerivedRamp, mode: Mode): readonly Hex[] =>
  mode === 'dark' ? (ramp.dark ?? ramp.colors) : ramp.colors;

/**
 * The color that a paint gives in a mode; `rungs` are those found for wishes. What names a ramp that
 * is not there gives a middle gray.
 */
export function paintedBy(
  roles: Roles,
  ramps: ReadonlyMap<string, DerivedRamp>,
  paint: Paint,
  mode: Mode,
  rungs?: ReadonlyMap<string, number>,
  id?: string,
): Painted {
  switch (paint.kind) {
    case 'own':
      return { hex: paint.value, ...(paint.wide !== undefined && { wide: paint.wide }) };
    case 'source': {
      const ramp = ramps.get(paint.source);
      const seat = ramp?.seat ?? 0;
      return ramp
        ? {
            hex: colorsIn(ramp, mode)[seat] ?? UNKNOWN,
            ramp,
            rung: seat + 1,
            ...(ramp.wide !== undefined && { wide: ramp.wide }),
          }
        : { hex: UNKNOWN };
    }
    case 'rung':
    case 'near': {
      const ramp = ramps.get(paint.ramp);
      const found = paint.kind === 'near' && id !== undefined ? rungs?.get(id) : undefined;
      const rung = found ?? paint.rung;
      const pure = LAST_RESORT.find((end) => end.rung === rung);
      if (pure) return { hex: pure.hex };
      return ramp
        ? { hex: colorsIn(ramp, mode)[rung - 1] ?? UNKNOWN, ramp, rung }
        : { hex: UNKNOWN };
    }
    case 'share': {
      const whole = (other: string): Hex => {
        const role = roles.items[other];
        return role && role[mode].kind !== 'share'
          ? paintedBy(roles, ramps, role[mode], mode, rungs, other).hex
          : UNKNOWN;
      };
      const of = whole(paint.of);
      return {
        hex: flattened(of, paint.share, whole(paint.over)),
        ...(paint.form === 'transparent' && {
          transparent: { of, share: paint.share, css: transparentCss(of, paint.share) },
        }),
      };
    }
  }
}
