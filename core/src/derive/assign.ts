import { contrastRatio } from '../color/contrast.ts';
import type { Hex } from '../color/srgb.ts';
import { MODES, type Mode, type StyleDocument } from '../system/document.ts';
import type { Patch } from '../system/patch.ts';
import { rungOf } from './color.ts';
import type { DerivedRamp, TextPair } from './derived.ts';

type Color = StyleDocument['color'];

/** A text on a surface and the ratio that it needs there. */
export interface NeededPair {
  readonly pair: TextPair;
  readonly needed: number;
}

/** A role that moves to another rung, or would have to. */
export interface Move {
  readonly role: string;
  readonly name: string;
  readonly mode: Mode;
  readonly from: number;
  readonly to: number;
}

export interface Assignment {
  /** What makes every pair pass that can, nothing where all do already. */
  readonly patch: Patch;
  readonly moves: readonly Move[];
  /** Pairs that no rung satisfies while what is pinned stays. */
  readonly unsolved: readonly { readonly pair: TextPair; readonly mode: Mode }[];
}

/** A surface moves only if it has to: everything on it is seen to move. */
const SURFACE_COST = 4;
/** How far a surface may move, in rungs. */
const SURFACE_REACH = 3;
/** A pair that stays unsolved costs more than any move. */
const UNSOLVED_COST = 1000;

/** What a role may be painted in: one color where it is pinned, the rungs of its ramp otherwise. */
interface Candidate {
  readonly hex: Hex;
  readonly rung: number;
  readonly cost: number;
}

interface Variable {
  readonly id: string;
  readonly name: string;
  readonly ramp: DerivedRamp | undefined;
  readonly rung: number;
  readonly candidates: readonly Candidate[];
}

function variableOf(
  id: string,
  color: Color,
  ramps: ReadonlyMap<string, DerivedRamp>,
  present: Hex,
  mode: Mode,
  surface: boolean,
): Variable {
  const role = color.roles.items[id];
  const paint = role?.[mode];
  const found = paint?.kind === 'rung' ? rungOf(paint, ramps) : undefined;
  const name = role?.name ?? id;
  if (!found)
    return { id, name, ramp: undefined, rung: 0, candidates: [{ hex: present, rung: 0, cost: 0 }] };
  const reach = surface ? SURFACE_REACH : Infinity;
  const candidates = found.ramp.colors
    .map((hex, index): Candidate => {
      const steps = Math.abs(index + 1 - found.rung);
      return { hex, rung: index + 1, cost: steps * (surface ? SURFACE_COST : 1) };
    })
    .filter(({ rung }) => Math.abs(rung - found.rung) <= reach)
    .sort((one, other) => one.cost - other.cost || one.rung - other.rung);
  return { id, name, ramp: found.ramp, rung: found.rung, candidates };
}

/** Every way to place the surfaces, the cheapest first. */
function* placings(
  surfaces: readonly Variable[],
): Generator<{ readonly chosen: ReadonlyMap<string, Candidate>; readonly cost: number }> {
  const all = surfaces.reduce<{ chosen: ReadonlyMap<string, Candidate>; cost: number }[]>(
    (sets, { id, candidates }) =>
      sets.flatMap(({ chosen, cost }) =>
        candidates.map((candidate) => ({
          chosen: new Map([...chosen, [id, candidate]]),
          cost: cost + candidate.cost,
        })),
      ),
    [{ chosen: new Map(), cost: 0 }],
  );
  yield* all.sort((one, other) => one.cost - other.cost);
}

interface Solution {
  readonly chosen: ReadonlyMap<string, Candidate>;
  readonly cost: number;
  readonly unsolved: readonly TextPair[];
}

/**
 * The cheapest placing in one mode. Given the surfaces, every text finds its own rung by itself, so
 * that only the surfaces have to be tried together; the search ends when they alone cost more than
 * what was found.
 */
function solve(
  surfaces: readonly Variable[],
  texts: readonly Variable[],
  pairs: readonly NeededPair[],
): Solution {
  let best: Solution = { chosen: new Map(), cost: Infinity, unsolved: [] };
  for (const placing of placings(surfaces)) {
    if (placing.cost >= best.cost) break;
    const chosen = new Map(placing.chosen);
    let { cost } = placing;
    const fails = ({ pair, needed }: NeededPair, text: Hex | undefined): boolean => {
      const on = chosen.get(pair.on.id)?.hex;
      return text === undefined || on === undefined || contrastRatio(text, on) < needed;
    };
    const unsolved = pairs
      .filter(({ pair }) => placing.chosen.has(pair.color.id))
      .filter((one) => fails(one, chosen.get(one.pair.color.id)?.hex))
      .map(({ pair }) => pair);
    for (const { id, candidates } of texts) {
      const own = pairs.filter(({ pair }) => pair.color.id === id);
      const failing = (candidate: Candidate) => own.filter((one) => fails(one, candidate.hex));
      // The nearest rung that fails least: where none passes everywhere, the fewest pairs are lost.
      const found = candidates
        .map((candidate) => ({ candidate, failed: failing(candidate) }))
        .reduce((one, other) => (other.failed.length < one.failed.length ? other : one));
      chosen.set(id, found.candidate);
      cost += found.candidate.cost;
      unsolved.push(...found.failed.map(({ pair }) => pair));
    }
    cost += unsolved.length * UNSOLVED_COST;
    if (cost < best.cost) best = { chosen, cost, unsolved };
  }
  return best;
}

/**
 * The rungs at which every text reads on its surface in both modes, as near as possible to those that
 * were chosen: a role moves along its own ramp only, texts before surfaces. A role painted in a source
 * itself or in a color of its own is pinned. Exact for texts anywhere on their ramps and surfaces up
 * to three rungs from where they stand; pairs that stay short are told.
 */
export function assignRungs(
  color: Color,
  ramps: ReadonlyMap<string, DerivedRamp>,
  needs: (mode: Mode) => readonly NeededPair[],
): Assignment {
  const found = MODES.map((mode) => {
    const pairs = needs(mode);
    const used = new Map(
      pairs.flatMap(({ pair }) => [pair.color, pair.on]).map((role) => [role.id, role]),
    );
    const grounds = new Set(pairs.map(({ pair }) => pair.on.id));
    const variables = [...used.values()].map(({ id, colors }) =>
      variableOf(id, color, ramps, colors[mode], mode, grounds.has(id)),
    );
    const surfaces = variables.filter(({ id }) => grounds.has(id));
    const texts = variables.filter(({ id }) => !grounds.has(id));
    const { chosen, unsolved } = solve(surfaces, texts, pairs);
    const moves = variables.flatMap(({ id, name, ramp, rung }): Move[] => {
      const to = chosen.get(id)?.rung ?? rung;
      return ramp && to !== rung ? [{ role: id, name, mode, from: rung, to }] : [];
    });
    return { moves, unsolved: unsolved.map((pair) => ({ pair, mode })) };
  });
  const moves = found.flatMap((one) => one.moves);
  return {
    moves,
    unsolved: found.flatMap((one) => one.unsolved),
    patch: moves.map(({ role, mode, to }) => ({
      op: 'replace',
      path: `/color/roles/items/${role}/${mode}/rung`,
      value: to,
    })),
  };
}
