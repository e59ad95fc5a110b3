import { ratioOfLuminances, relativeLuminance } from '../../color/contrast.ts';
import { oklabOf } from '../../color/oklab.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import { once } from '../../once.ts';
import { FAMILIES } from '../../system/families.ts';
import { MODES, type Mode, type Paint, type StyleDocument } from '../../system/document.ts';
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

/** What a role can be painted in, nearest to its wish first, and what each costs. */
interface Ways extends Choice {
  readonly candidates: readonly Candidate[];
  /** The luminances of the candidates: asked for hundreds of pairs at every movement. */
  readonly luminances: Float64Array;
}

const waysOf = (candidates: readonly Candidate[], costs: readonly number[]): Ways => ({
  costs,
  candidates,
  luminances: Float64Array.from(candidates, ({ luminance }) => luminance),
});

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

/** Where a role is not there, nothing can be chosen. */
const NO_WAYS = waysOf([], [0]);

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
    const ways = waysOf(
      found.map(({ candidate }) => candidate),
      found.map(({ steps }) => steps * (isSurface ? SURFACE_COST : 1)),
    );
    known.set(key, ways);
    return ways;
  };
});

/** The only way of a color that does not move; the same as long as it is the same color. */
const pinnedIn = once((_paint: Paint) => {
  let last: { readonly hex: Hex; readonly ways: Ways } | undefined;
  return (hex: Hex): Ways => {
    if (last?.hex !== hex) last = { hex, ways: waysOf([candidateOf(0, hex)], [0]) };
    return last.ways;
  };
});

/** How far the lightness of two states has to be apart: pressed goes on from pointed at. */
const REST_TO_PRESSED = 2 * STATES_APART;

/** What belongs to a vivid color is no surface, even where text stands on it. */
const isOfFamily = (id: string): boolean =>
  FAMILIES.some((family) => id === family || id.startsWith(`${family}-`));

/** What the needs ask of which roles, by their places in a list: made once, whatever the colors are. */
interface Plan {
  readonly ids: readonly string[];
  /** Whether a role is a surface, which moves only if it has to. */
  readonly surfaces: readonly boolean[];
  readonly asked: readonly {
    readonly need: NeedPlan;
    readonly one: number;
    readonly other: number;
  }[];
  /** The states of each control, by place, with the places in `asked` of what concerns two of them. */
  readonly controls: readonly {
    readonly rest: number;
    readonly hover: State;
    readonly pressed: State;
  }[];
}

interface State {
  readonly place: number;
  readonly asked: readonly number[];
}

function planned(items: Roles['items'], needs: readonly NeedPlan[]): Plan {
  const places = new Map<string, number>();
  const placeOf = (id: string): number => {
    const place = places.get(id) ?? places.size;
    places.set(id, place);
    return place;
  };
  const asked = needs
    .filter(
      ({ needed, color, on }) =>
        needed > 0 && Object.hasOwn(items, color) && Object.hasOwn(items, on),
    )
    .map((need) => ({ need, one: placeOf(need.color), other: placeOf(need.on) }));
  const grounds = new Set(asked.map(({ other }) => other));
  for (const { one } of asked) grounds.delete(one);
  const ids = [...places.keys()];
  const state = (place: number): State => ({
    place,
    asked: asked.flatMap(({ one, other }, index) =>
      one === place || other === place ? [index] : [],
    ),
  });
  const controls = FAMILIES.flatMap((family) => {
    const [rest, hover, pressed] = statesOf(family).map((id) => places.get(id));
    return rest === undefined || hover === undefined || pressed === undefined
      ? []
      : [{ rest, hover: state(hover), pressed: state(pressed) }];
  });
  return {
    ids,
    surfaces: ids.map((id, place) => grounds.has(place) && !isOfFamily(id)),
    asked,
    controls,
  };
}

/** The plan of some needs; the same until there are other roles. */
const planOf = once((needs: readonly NeedPlan[]) => {
  let last: { readonly items: Roles['items']; readonly plan: Plan } | undefined;
  return (items: Roles['items']): Plan => {
    if (last?.items !== items) last = { items, plan: planned(items, needs) };
    return last.plan;
  };
});

/**
 * The states of each control told from each other: pointed at and pressed move to the rungs nearest to
 * their wishes at which they differ and their labels read, everything else staying where it is. Exact
 * for each control. One whose states cannot be told apart so stays as it is, which is a finding.
 */
function statesApart(
  { controls }: Plan,
  variables: readonly Ways[],
  pulls: readonly Pull[],
  chosen: readonly number[],
): readonly number[] {
  const result = [...chosen];
  const wayOf = (place: number): number => chosen[place] ?? 0;
  const lightness = (place: number, way: number): number =>
    variables[place]?.candidates[way]?.lightness ?? 0;
  const short = (one: number, other: number, least: number): number =>
    Math.abs(one - other) < least ? ALIKE_COST : 0;
  /** What a state costs by itself: its moves, and what does not read on it. */
  const alone = ({ place, asked }: State, way: number): number => {
    let sum = variables[place]?.costs[way] ?? 0;
    for (const index of asked) {
      const pull = pulls[index];
      if (pull)
        sum +=
          pull.one === place ? pull.cost(way, wayOf(pull.other)) : pull.cost(wayOf(pull.one), way);
    }
    return sum;
  };
  for (const { rest, hover, pressed } of controls) {
    const here = lightness(rest, wayOf(rest));
    // Where the wishes differ and everything reads, nothing is cheaper.
    const [wishedHover, wishedPressed] = [lightness(hover.place, 0), lightness(pressed.place, 0)];
    const isFine =
      alone(hover, 0) + alone(pressed, 0) === 0 &&
      short(here, wishedHover, STATES_APART) +
        short(wishedHover, wishedPressed, STATES_APART) +
        short(here, wishedPressed, REST_TO_PRESSED) ===
        0;
    if (isFine) {
      result[hover.place] = 0;
      result[pressed.place] = 0;
      continue;
    }
    const ways = ({ place }: State): readonly number[] => variables[place]?.costs ?? [];
    const pressedAlone = ways(pressed).map((_, way) => alone(pressed, way));
    let least = Infinity;
    ways(hover).forEach((_, h) => {
      const first = alone(hover, h);
      // What is added costs nothing at best.
      if (first >= least) return;
      const one = lightness(hover.place, h);
      const upToHover = first + short(here, one, STATES_APART);
      pressedAlone.forEach((second, p) => {
        const other = lightness(pressed.place, p);
        const cost =
          upToHover +
          second +
          short(one, other, STATES_APART) +
          short(here, other, REST_TO_PRESSED);
        if (cost >= least) return;
        least = cost;
        result[hover.place] = h;
        result[pressed.place] = p;
      });
    });
  }
  return result;
}

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
  const plan = planOf(needs)(roles.items);
  const moves: Move[] = [];
  const unsolved: { need: NeedPlan; mode: Mode }[] = [];
  const waysFor = (role: Roles['items'][string], mode: Mode, isSurface: boolean): Ways => {
    const paint = role[mode];
    const free = paint.kind === 'near' || (paint.kind === 'rung' && movable === 'every rung');
    const ramp = free ? ramps.get(paint.ramp) : undefined;
    return free && ramp
      ? waysIn(colorsIn(ramp, mode))(paint.rung, isSurface, ramp.id === NEUTRAL && !isSurface)
      : pinnedIn(paint)(paintedBy(roles, ramps, paint, mode).hex);
  };
  const rungsIn = (mode: Mode): Map<string, number> => {
    const variables = plan.ids.map((id, place) => {
      const role = roles.items[id];
      return role ? waysFor(role, mode, plan.surfaces[place] ?? false) : NO_WAYS;
    });
    const pulls = plan.asked.map(({ need: { needed }, one, other }): Pull => {
      const { luminances: first } = variables[one] ?? NO_WAYS;
      const { luminances: second } = variables[other] ?? NO_WAYS;
      return {
        one,
        other,
        cost: (a, b) =>
          ratioOfLuminances(first[a] ?? 0, second[b] ?? 0) >= needed ? 0 : UNSOLVED_COST,
      };
    });
    const chosen = statesApart(plan, variables, pulls, cheapest(variables, pulls));
    plan.asked.forEach(({ need, one, other }, index) => {
      if ((pulls[index]?.cost(chosen[one] ?? 0, chosen[other] ?? 0) ?? 0) > 0)
        unsolved.push({ need, mode });
    });
    const rungs = new Map<string, number>();
    plan.ids.forEach((id, place) => {
      const role = roles.items[id];
      const paint = role?.[mode];
      const way = chosen[place] ?? 0;
      if (way === 0 || !role || !(paint?.kind === 'near' || paint?.kind === 'rung')) return;
      const to = variables[place]?.candidates[way]?.rung ?? paint.rung;
      rungs.set(id, to);
      moves.push({ role: id, name: role.name, mode, from: paint.rung, to });
    });
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
