import { ratioOfLuminances, relativeLuminance } from '../../color/contrast.ts';
import { oklabOf } from '../../color/oklab.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import { once } from '../../once.ts';
import { FAMILIES } from '../../system/families.ts';
import { MODES, type Mode, type StyleDocument } from '../../system/document.ts';
import type { Patch } from '../../system/patch.ts';
import type { Assignment, DerivedRamp, Move, NeedPlan } from '../derived.ts';
import { cheapest, type Choice, type Pull } from './cheapest.ts';
import { colorsIn, LAST_RESORT, paintedBy } from './paint.ts';
import { RUNGS } from '../../color/ramp.ts';
import { statesOf } from '../../system/states.ts';
import { NEUTRAL } from '../../system/validate.ts';

type Roles = StyleDocument['color']['roles'];

/** Which roles may move: those that are wishes, or those held by hand on a rung too. */
export type Movable = 'wishes' | 'every rung';

/** A surface moves only if it has to: everything on it is seen to move. */
const SURFACE_COST = 4;
/** How far a surface may move, in rungs. */
const SURFACE_REACH = 3;
/** A pair that stays unsolved costs more than any move. */
const UNSOLVED_COST = 1000;
/** States of a control that look alike cost more than any move of theirs, and less than an unread label. */
const ALIKE_COST = 60;
/** How far apart in OKLab lightness states have to be to be told from each other. Common practice. */
const STATES_APART = 0.03;

interface Candidate {
  readonly rung: number;
  readonly luminance: number;
  readonly lightness: number;
}

interface Variable extends Choice {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly candidates: readonly Candidate[];
}

const NOTHING_MOVES: ReadonlyMap<string, number> = new Map();

const candidateOf = (rung: number, hex: Hex): Candidate => ({
  rung,
  luminance: relativeLuminance(hex),
  lightness: oklabOf(rgbOf(hex))[0],
});

/** The rungs of a ramp as candidates: many roles stand on the same one. */
const candidatesOf = once((colors: readonly Hex[]): readonly Candidate[] =>
  colors.map((hex, index) => candidateOf(index + 1, hex)),
);

const LAST_CANDIDATES = LAST_RESORT.map(({ hex, rung }) => candidateOf(rung, hex));

type Ways = Pick<Variable, 'costs' | 'candidates'>;

/** The ways of a wish in a ramp, nearest first; the same for every role that wishes the same. */
const waysIn = once((colors: readonly Hex[]) => {
  const known = new Map<number, Ways>();
  return (wish: number, isSurface: boolean, hasEnds: boolean): Ways => {
    const key = wish * 4 + (isSurface ? 2 : 0) + (hasEnds ? 1 : 0);
    const before = known.get(key);
    if (before) return before;
    const reach = isSurface ? SURFACE_REACH : Infinity;
    const found = [...candidatesOf(colors), ...(hasEnds ? LAST_CANDIDATES : [])]
      .map((candidate) => ({
        candidate,
        steps:
          Math.abs(candidate.rung - wish) +
          (candidate.rung < 1 || candidate.rung > RUNGS ? RUNGS : 0),
      }))
      .filter(({ steps }) => steps <= reach)
      .sort((one, other) => one.steps - other.steps || one.candidate.rung - other.candidate.rung);
    const ways = {
      costs: found.map(({ steps }) => steps * (isSurface ? SURFACE_COST : 1)),
      candidates: found.map(({ candidate }) => candidate),
    };
    known.set(key, ways);
    return ways;
  };
});

function variableOf(
  id: string,
  role: Roles['items'][string],
  ramps: ReadonlyMap<string, DerivedRamp>,
  mode: Mode,
  movable: Movable,
  isSurface: boolean,
  present: () => Hex,
): Variable {
  const paint = role[mode];
  const free = paint.kind === 'near' || (paint.kind === 'rung' && movable === 'every rung');
  const ramp = free ? ramps.get(paint.ramp) : undefined;
  if (!free || !ramp)
    return { id, name: role.name, from: 0, costs: [0], candidates: [candidateOf(0, present())] };
  const ways = waysIn(colorsIn(ramp, mode));
  return {
    id,
    name: role.name,
    from: paint.rung,
    ...ways(paint.rung, isSurface, ramp.id === NEUTRAL && !isSurface),
  };
}

/** Every state of every control. */
const STATES: ReadonlySet<string> = new Set(FAMILIES.flatMap((family) => statesOf(family)));

/** How far the lightness of two states has to be apart: pressed goes on from pointed at. */
const REST_TO_PRESSED = 2 * STATES_APART;

/**
 * The states of each control told from each other: pointed at and pressed move to the rungs nearest to
 * their wishes at which they differ and their labels read, everything else staying where it is. Exact
 * for each control. One whose states cannot be told apart so stays as it is, which is a finding.
 */
function statesApart(
  variables: ReadonlyMap<string, Variable>,
  pulls: readonly Pull[],
  chosen: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const result = new Map(chosen);
  const pullsOf = new Map<string, Pull[]>();
  for (const pull of pulls)
    for (const id of pull.one === pull.other ? [pull.one] : [pull.one, pull.other])
      if (STATES.has(id)) {
        const own = pullsOf.get(id);
        if (own) own.push(pull);
        else pullsOf.set(id, [pull]);
      }
  const wayOf = (id: string): number => chosen.get(id) ?? 0;
  for (const family of FAMILIES) {
    const [rest, hover, pressed] = statesOf(family).map((id) => variables.get(id));
    if (!rest || !hover || !pressed) continue;
    const lightness = (of: Variable, way: number): number => of.candidates[way]?.lightness ?? 0;
    const here = lightness(rest, wayOf(rest.id));
    const short = (one: number, other: number, least: number): number =>
      Math.abs(one - other) < least ? ALIKE_COST : 0;
    /** What a state costs by itself: its moves, and what does not read on it. */
    const alone = (of: Variable, way: number): number =>
      (pullsOf.get(of.id) ?? []).reduce(
        (sum, { one, other, cost }) =>
          sum + (one === of.id ? cost(way, wayOf(other)) : cost(wayOf(one), way)),
        of.costs[way] ?? 0,
      );
    // Where the wishes differ and everything reads, nothing is cheaper.
    const [wishedHover, wishedPressed] = [lightness(hover, 0), lightness(pressed, 0)];
    const isFine =
      alone(hover, 0) + alone(pressed, 0) === 0 &&
      short(here, wishedHover, STATES_APART) +
        short(wishedHover, wishedPressed, STATES_APART) +
        short(here, wishedPressed, REST_TO_PRESSED) ===
        0;
    if (isFine) {
      result.set(hover.id, 0).set(pressed.id, 0);
      continue;
    }
    const pressedAlone = pressed.costs.map((_, way) => alone(pressed, way));
    let least = Infinity;
    hover.costs.forEach((_, h) => {
      const first = alone(hover, h);
      // What is added costs nothing at best.
      if (first >= least) return;
      const one = lightness(hover, h);
      const upToHover = first + short(here, one, STATES_APART);
      pressedAlone.forEach((second, p) => {
        const other = lightness(pressed, p);
        const cost =
          upToHover +
          second +
          short(one, other, STATES_APART) +
          short(here, other, REST_TO_PRESSED);
        if (cost >= least) return;
        least = cost;
        result.set(hover.id, h).set(pressed.id, p);
      });
    });
  }
  return result;
}

/** What belongs to a vivid color is no surface, even where text stands on it. */
const isOfFamily = (id: string): boolean =>
  FAMILIES.some((family) => id === family || id.startsWith(`${family}-`));

/**
 * The rungs at which every pair of roles passes in both modes, as near as possible to those that were
 * wished: a role moves along its own ramp only, by the fewest rungs in sum, surfaces (at most three
 * rungs) only where moving what stands on them costs more. What is painted in a source itself, in a
 * color of its own or in a share of another role is pinned. Where no neutral reads, pure white or black
 * is the last resort: one of the two reads on every color at AA. Exact: no other choice of rungs leaves
 * fewer pairs short, or as many with fewer moves; after that the states of each control are told apart.
 * Pairs that stay short are told. In a mode that the site does not have, every wish stands.
 */
export function assignRungs(
  roles: Roles,
  ramps: ReadonlyMap<string, DerivedRamp>,
  needs: readonly NeedPlan[],
  movable: Movable = 'wishes',
  modes: readonly Mode[] = MODES,
): Assignment {
  const asked = needs.filter(
    ({ needed, color, on }) =>
      needed > 0 && Object.hasOwn(roles.items, color) && Object.hasOwn(roles.items, on),
  );
  const grounds = new Set(asked.map(({ on }) => on));
  for (const { color } of asked) grounds.delete(color);
  for (const id of grounds) if (isOfFamily(id)) grounds.delete(id);
  const moves: Move[] = [];
  const unsolved: { need: NeedPlan; mode: Mode }[] = [];
  const rungsIn = (mode: Mode): Map<string, number> => {
    const variables = new Map<string, Variable>();
    const variable = (id: string): Variable | undefined => {
      const known = variables.get(id);
      const role = roles.items[id];
      if (known || !role) return known;
      const present = (): Hex => paintedBy(roles, ramps, role[mode], mode).hex;
      const made = variableOf(id, role, ramps, mode, movable, grounds.has(id), present);
      variables.set(id, made);
      return made;
    };
    const pulls = asked.flatMap((need): (Pull & { need: NeedPlan })[] => {
      const one = variable(need.color);
      const other = variable(need.on);
      if (!one || !other) return [];
      const cost = (first: number, second: number): number =>
        ratioOfLuminances(
          one.candidates[first]?.luminance ?? 0,
          other.candidates[second]?.luminance ?? 0,
        ) >= need.needed
          ? 0
          : UNSOLVED_COST;
      return [{ one: need.color, other: need.on, cost, need }];
    });
    const chosen = statesApart(variables, pulls, cheapest(variables, pulls));
    for (const { need, cost } of pulls)
      if (cost(chosen.get(need.color) ?? 0, chosen.get(need.on) ?? 0) > 0)
        unsolved.push({ need, mode });
    const rungs = new Map<string, number>();
    for (const { id, name, from, candidates } of variables.values()) {
      const to = candidates[chosen.get(id) ?? 0]?.rung ?? from;
      if (to === from) continue;
      rungs.set(id, to);
      moves.push({ role: id, name, mode, from, to });
    }
    return rungs;
  };
  const [light, dark] = MODES.map((mode) => (modes.includes(mode) ? rungsIn(mode) : NOTHING_MOVES));
  return {
    rungs: { light: light ?? NOTHING_MOVES, dark: dark ?? NOTHING_MOVES },
    moves,
    unsolved,
  };
}

/** The moves as decisions: every role stands on its rung by hand. */
export const movesPatch = (moves: readonly Move[]): Patch =>
  moves.map(({ role, mode, to }) => {
    const path = `/color/roles/items/${role}/${mode}`;
    const pure = LAST_RESORT.find(({ rung }) => rung === to);
    return pure
      ? { op: 'replace', path, value: { kind: 'own', value: pure.hex } }
      : { op: 'replace', path: `${path}/rung`, value: to };
  });
