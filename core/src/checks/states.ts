import { contrastRatio } from '../color/contrast.ts';
import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { RUNGS } from '../color/ramp.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import type { Derived, DerivedColorRole } from '../derive/derived.ts';
import { colorsIn } from '../derive/color/paint.ts';
import { FAMILIES } from '../system/families.ts';
import { MODES, type Mode } from '../system/document.ts';
import { statesOf } from '../system/states.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** A difference that is hardly seen, in OKLab. Source: CSS Color 4, 13.2 (just noticeable difference). */
const SEEN = 0.02;
/** A difference that is seen at once. Common practice. */
const PLAIN = 0.03;

const apart = (one: Hex, other: Hex): number =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));

/** The rung nearest to the present one on which a state differs from the others and everything reads. */
function repairOf(
  role: DerivedColorRole,
  others: readonly DerivedColorRole[],
  mode: Mode,
  { needs }: Pick<Derived, 'needs'>,
): Repair | undefined {
  const { ramp, rung = 0 } = role.painted[mode];
  if (!ramp) return undefined;
  const colors = colorsIn(ramp, mode);
  const pairs = needs.filter(
    ({ needed, color, on }) => needed > 0 && (color.id === role.id || on.id === role.id),
  );
  const good = (hex: Hex): boolean =>
    others.every((other) => apart(hex, other.colors[mode]) >= PLAIN) &&
    pairs.every(({ needed, color, on }) => {
      const beside = color.id === role.id ? on : color;
      return contrastRatio(hex, beside.colors[mode]) >= needed;
    });
  const to = Array.from({ length: RUNGS }, (_, index) => index + 1)
    .filter((one) => good(colors[one - 1] ?? role.colors[mode]))
    .sort((one, two) => Math.abs(one - rung) - Math.abs(two - rung))[0];
  const hex = to === undefined ? undefined : colors[to - 1];
  if (to === undefined || hex === undefined) return undefined;
  return {
    label: `${role.name} to ${hex}`,
    patch: [
      {
        op: 'replace',
        path: `/color/roles/items/${role.id}/${mode}`,
        value: { kind: 'rung', ramp: ramp.id, rung: to },
      },
    ],
    before: role.colors[mode],
    after: hex,
    swatches: [role.colors[mode], hex],
  };
}

/** What is pointed at, or pressed, looks other than at rest. */
export const statesCheck = checkOf([], ['colors', 'needs'], (_, derived) =>
  FAMILIES.flatMap((family) =>
    MODES.flatMap((mode): Finding[] => {
      const roles = statesOf(family).flatMap((id) => derived.colors.get(id) ?? []);
      // A later state is told from those before it; the state at rest is nobody's repair.
      return roles.slice(1).flatMap((role, index): Finding[] => {
        const before = roles.slice(0, index + 1);
        const same = before.find((other) => apart(role.colors[mode], other.colors[mode]) < SEEN);
        if (!same) return [];
        const others = roles.filter(({ id }) => id !== role.id);
        const repair = repairOf(role, others, mode, derived);
        const distance = apart(role.colors[mode], same.colors[mode]);
        return [
          {
            id: `states:${role.id}:${mode}`,
            severity: 'look',
            area: 'color',
            decision: `/color/roles/items/${role.id}`,
            title: `${role.name} looks like ${same.name} in ${mode}`,
            figures: `${role.colors[mode]} and ${same.colors[mode]}: ${distance.toFixed(3)} apart in OKLab; ${SEEN} is hardly seen`,
            reason: 'Who points at a control or presses it sees nothing happen.',
            source: 'CSS Color 4, 13.2, just noticeable difference; common practice',
            where: { selector: `.fill-${roles[0]?.slug ?? family}`, mode },
            ...(repair && { repair }),
          },
        ];
      });
    }),
  ),
);
