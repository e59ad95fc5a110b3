import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import { seenAs, type Vision } from '../color/vision.ts';
import type { Derived, DerivedColorRole } from '../derive/derived.ts';
import { MODES, type Mode, type Paint, type StyleDocument } from '../system/document.ts';
import { NEUTRAL } from '../system/validate.ts';
import { checkOf, type Finding } from './finding.ts';

/** Colors that differ by less are taken for the same. In OKLab; common practice. */
const ALIKE = 0.06;
/** Colors that were chosen so near to each other are meant to be alike. */
const MEANT = 0.09;

/** The eyes that are common enough to be thought of in every system, and none that sees color at all. */
const EYES = ['protan', 'deutan', 'tritan', 'gray'] as const satisfies readonly Vision[];

/** Colors that say different things, and so have to be told apart. */
const TOLD_APART = [
  ['success', 'warning', 'danger', 'notice'],
  ['action', 'danger'],
  ['link', 'action'],
] as const;

const PAIRS: readonly (readonly [string, string])[] = TOLD_APART.flatMap((group) =>
  group.flatMap((one, index) => group.slice(index + 1).map((other) => [one, other] as const)),
);

const apart = (one: Hex, other: Hex): number =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));

interface Confused {
  readonly one: DerivedColorRole;
  readonly other: DerivedColorRole;
  readonly mode: Mode;
  readonly eyes: readonly string[];
  readonly nearest: number;
}

function confused(one: DerivedColorRole, other: DerivedColorRole, mode: Mode): Confused[] {
  const [first, second] = [one.colors[mode], other.colors[mode]];
  if (apart(first, second) < MEANT) return [];
  const found = EYES.map((vision) => ({
    vision,
    distance: apart(seenAs(first, vision), seenAs(second, vision)),
  })).filter(({ distance }) => distance < ALIKE);
  if (found.length === 0) return [];
  const nearest = Math.min(...found.map(({ distance }) => distance));
  return [{ one, other, mode, eyes: found.map(({ vision }) => vision), nearest }];
}

/** The ramp that a role comes from in a mode; a color of its own stands for itself, grays for nothing. */
function originOf(paint: Paint): string | undefined {
  if (paint.kind === 'own') return paint.value;
  if (paint.kind === 'share') return undefined;
  const ramp = paint.kind === 'source' ? paint.source : paint.ramp;
  return ramp === NEUTRAL ? undefined : ramp;
}

/** Roles of different colors, which are meant to be told apart, become alike to nobody. */
export const alikeCheck = checkOf(['color'], ['colors'], ({ color }, { colors }) =>
  alikeIn(color, colors),
);

function alikeIn(color: StyleDocument['color'], colors: Derived['colors']): Finding[] {
  return PAIRS.flatMap(([first, second]) => {
    const [one, other] = [colors.get(first), colors.get(second)];
    const [role, otherRole] = [color.roles.items[first], color.roles.items[second]];
    if (!one || !other || !role || !otherRole) return [];
    return MODES.flatMap((mode): Confused[] => {
      const [from, to] = [originOf(role[mode]), originOf(otherRole[mode])];
      return from === undefined || to === undefined || from === to
        ? []
        : confused(one, other, mode);
    }).map(findingOf);
  });
}

function findingOf({ one, other, mode, eyes, nearest }: Confused): Finding {
  const byColorAlone = eyes.length === 1 && eyes[0] === 'gray';
  return {
    id: `alike:${one.id}:${other.id}:${mode}`,
    severity: 'look',
    area: 'color',
    decision: `/color/roles/items/${other.id}`,
    title: byColorAlone
      ? `${one.name} and ${other.name} are told apart by their color alone in ${mode}`
      : `${one.name} and ${other.name} look alike to some in ${mode}`,
    figures: `${byColorAlone ? 'in gray' : `to ${eyes.join(' and ')} eyes`} ${nearest.toFixed(3)} apart in OKLab; ${ALIKE} is the least`,
    reason: byColorAlone
      ? 'Where no color is seen (in print, in the sun, by some eyes) the two say the same.'
      : 'One in twelve men and one in two hundred women sees colors so. What only a color says, they are not told.',
    source:
      'Machado, Oliveira and Fernandes 2009, full severity; luminance for gray; the limit is common practice; WCAG 2.2, 1.4.1',
    where: { selector: '.button', mode },
  };
}
