import { toSrgb } from '../color/gamut.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { FAMILIES, type ColorFamily } from './families.ts';
import { type Paint, type StyleDocument } from './document.ts';
import { collectionOf } from './collection.ts';

type Color = StyleDocument['color'];
type Role = Color['roles']['items'][string];

/** What belongs to each vivid color beside itself. */
export const FAMILY_PARTS = ['ink', 'wash', 'edge', 'hover', 'pressed', 'disabled'] as const;
export type FamilyPart = (typeof FAMILY_PARTS)[number];

/** How many colors illustrations have of their own. */
const ART = 4;

/**
 * The hues at which states are looked for, and lightnesses so far apart that they are told from each
 * other without their color too. Common practice.
 */
const STATES = {
  success: { hue: 150, lightness: 0.64, light: 7, dark: 4 },
  warning: { hue: 75, lightness: 0.78, light: 5, dark: 2 },
  danger: { hue: 25, lightness: 0.45, light: 11, dark: 8 },
  notice: { hue: 245, lightness: 0.54, light: 9, dark: 6 },
} as const;
type State = keyof typeof STATES;

const isState = (id: ColorFamily): id is State => Object.hasOwn(STATES, id);

/** The neutrals’ ramp has no source of its own. */
const NEUTRAL_RAMP = 'neutral';

const near = (ramp: string, rung: number): Paint => ({ kind: 'near', ramp, rung });

const role = (name: string, ramp: string, light: number, dark: number): Role => ({
  name,
  light: near(ramp, light),
  dark: near(ramp, dark),
});

/** Where the parts of a vivid color stand: rungs of its own ramp, or of the neutrals. */
const PARTS: Readonly<Record<FamilyPart, readonly [own: boolean, light: number, dark: number]>> = {
  ink: [false, 1, 16],
  wash: [true, 2, 14],
  edge: [true, 9, 7],
  hover: [true, 11, 5],
  pressed: [true, 12, 4],
  disabled: [false, 5, 11],
};

/** States move on from where they stand when they are pointed at and pressed. */
function partOf(id: ColorFamily, part: FamilyPart): (typeof PARTS)[FamilyPart] {
  if (!isState(id) || (part !== 'hover' && part !== 'pressed')) return PARTS[part];
  const by = part === 'hover' ? 1 : 2;
  const { light, dark } = STATES[id];
  // Lighter in dark, but where there is no room left above.
  return [true, light + by, dark > 2 ? dark - by : dark + by];
}

/** One vivid color with all its parts; states stand on their source itself in light. */
const family = (id: ColorFamily, ramp: string): [string, Role][] => [
  [
    id,
    isState(id) && ramp !== NEUTRAL_RAMP
      ? { name: id, light: { kind: 'source', source: ramp }, dark: near(ramp, STATES[id].dark) }
      : role(id, ramp, 10, 6),
  ],
  ...FAMILY_PARTS.map((part): [string, Role] => {
    const [own, light, dark] = partOf(id, part);
    return [`${id}-${part}`, role(`${id} ${part}`, own ? ramp : 'neutral', light, dark)];
  }),
];

/** The ramps that roles are taken from: the ids of sources, one of which may stand for several. */
export interface RoleRamps extends Readonly<Record<ColorFamily, string>> {
  readonly brand: string;
}

/**
 * All roles of a site: surfaces, text, lines, links, seven vivid colors with their parts, and a few
 * colors for illustrations. Each is a wish: the rung nearest to it at which everything reads is taken.
 */
export function usualColorRoles(ramps: RoleRamps): Color['roles'] {
  const { brand } = ramps;
  const art = [brand, ramps.accent, ramps.support, ramps.warning];
  return collectionOf<Role>([
    ['page', role('page', 'neutral', 1, 15)],
    ['surface', role('surface', 'neutral', 2, 14)],
    ['raised', role('raised surface', 'neutral', 1, 13)],
    ['text', role('text', 'neutral', 15, 2)],
    ['quiet', role('quiet', 'neutral', 11, 5)],
    ['faint', role('faint', 'neutral', 10, 6)],
    ['line', role('line', 'neutral', 4, 12)],
    ['line-strong', role('strong line', 'neutral', 8, 8)],
    ['link', role('link', brand, 11, 5)],
    ['visited', role('visited', ramps.accent, 11, 5)],
    ['focus', role('focus', brand, 10, 6)],
    ...FAMILIES.flatMap((id) => family(id, ramps[id])),
    ...art
      .slice(0, ART)
      .map((ramp, index): [string, Role] => [
        `art-${index + 1}`,
        role(`art ${index + 1}`, ramp, 5 + index, 9 - index),
      ]),
  ]);
}

/** Lightness by which two colors are told apart without their hue, and a danger darker than most. */
const TOLD_APART_BY = 0.09;
const DARK_DANGER = 0.36;

/** How far a state keeps from the brand on the hue circle, so that the two are not taken for one. */
const KEEP_OFF = 21;

const awayFrom = (hue: number, brand: number): number => {
  const apart = ((hue - brand + 540) % 360) - 180;
  if (Math.abs(apart) >= KEEP_OFF) return hue;
  return brand + (apart < 0 ? -KEEP_OFF : KEEP_OFF);
};

/**
 * Sources that go with a brand color: one opposite to it for accents, and the four of the states, at
 * a lightness and chroma at which sRGB shows them vivid.
 */
export function companionsOf(brand: Hex): Readonly<Record<'accent' | State, Hex>> {
  const { chroma, hue, lightness: brandLightness } = oklchOf(oklabOf(rgbOf(brand)));
  const at = (degrees: number, lightness: number): Hex =>
    hexOf(toSrgb({ lightness, chroma: Math.min(0.15, Math.max(0.09, chroma)), hue: degrees }));
  const state = (id: State, lightness: number = STATES[id].lightness): Hex =>
    at(awayFrom(STATES[id].hue, hue), lightness);
  // What destroys is not to be taken for what one does every day, even by eyes that see no hue.
  const clash = Math.abs(STATES.danger.lightness - brandLightness) < TOLD_APART_BY;
  return {
    accent: at(hue + 150, 0.56),
    success: state('success'),
    warning: state('warning'),
    danger: state('danger', clash ? DARK_DANGER : undefined),
    notice: state('notice'),
  };
}
