import { contestedPaths, outermost } from '@garnish/core/system/contest';
import { overlaps, patched, valueAt, type Operation, type Patch } from '@garnish/core/system/patch';
import type { StyleDocument } from '@garnish/core/system/document';
import type { Pending } from './unsaved.ts';

export type Choice = 'mine' | 'theirs';

/** A place that two windows have changed, with both values. */
export interface Contested {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Changes of one value at once: every place of them waits for an answer. */
export interface Conflict {
  /** The newest change that is known to the question. */
  readonly sequence: number;
  readonly places: readonly Contested[];
}

const isWithin = (path: string, place: string): boolean =>
  path === place || path.startsWith(`${place}/`);

/**
 * What a change goes on as when another of the same gesture comes: the last value of a place stands
 * where the first stood, in both directions. Undefined where the order of the operations matters, which is
 * where one place lies within another.
 */
function merged(change: Pending, patch: Patch, inverse: Patch): Pending | undefined {
  const next: Operation[] = [...change.patch];
  const back: Operation[] = [...change.inverse];
  const later = inverse.toReversed();
  for (const [index, operation] of patch.entries()) {
    const at = next.findIndex(({ path }) => path === operation.path);
    const before = next[at];
    const crosses = next.some(({ path }, index) => index !== at && overlaps(path, operation.path));
    if (crosses || operation.op === 'remove' || before?.op === 'remove') return undefined;
    if (before) {
      next[at] = { ...before, value: operation.value };
      continue;
    }
    next.push(operation);
    const own = later[index];
    if (own) back.unshift(own);
  }
  return { ...change, patch: next, inverse: back };
}

/** A change with more of its gesture; the last write to a place is the one that counts. */
export const continued = (change: Pending, patch: Patch, inverse: Patch): Pending =>
  merged(change, patch, inverse) ?? {
    ...change,
    patch: [...change.patch, ...patch],
    inverse: [...inverse, ...change.inverse],
  };

/** What waits, on a document that others have changed: what still fits, and what does not. */
export function onto(
  document: StyleDocument,
  pending: readonly Pending[],
): {
  readonly document: StyleDocument;
  readonly pending: readonly Pending[];
  readonly lost: readonly Pending[];
} {
  let here = document;
  const kept: Pending[] = [];
  const lost: Pending[] = [];
  for (const change of pending) {
    const result = patched(here, change.patch);
    if (result.ok) {
      here = result.document;
      kept.push({ ...change, inverse: result.inverse });
    } else lost.push(change);
  }
  return { document: here, pending: kept, lost };
}

/**
 * What waits after every place of a conflict was answered: where theirs stays, just that place is taken
 * out of it; where mine does, the answer goes along. Places that nobody asked about are left alone.
 */
export function answered(
  pending: readonly Pending[],
  { places, sequence }: Conflict,
  choices: ReadonlyMap<string, Choice>,
): readonly Pending[] {
  const choiceFor = (path: string): Choice | undefined => {
    const place = places.find((one) => isWithin(path, one.path));
    return place && (choices.get(place.path) ?? 'mine');
  };
  return pending.flatMap((change) => {
    const patch = change.patch.filter(({ path }) => choiceFor(path) !== 'theirs');
    if (patch.length === 0) return [];
    const mine = patch.filter(({ path }) => choiceFor(path) === 'mine').map(({ path }) => path);
    const settled = [
      ...change.settled.filter(({ path }) => !mine.includes(path)),
      ...mine.map((path) => ({ path, sequence })),
    ];
    return [{ ...change, patch, settled }];
  });
}

const MOST_WORDS = 4000;

/** What changes say, as text that can be copied: nothing that was typed is lost with them. */
export const wordsOf = (changes: readonly Pick<Pending, 'patch'>[]): string =>
  changes
    .flatMap(({ patch }) => patch)
    .flatMap((operation) =>
      operation.op === 'remove'
        ? []
        : [
            `${operation.path}: ${typeof operation.value === 'string' ? operation.value : JSON.stringify(operation.value)}`,
          ],
    )
    .join('\n')
    .slice(0, MOST_WORDS);

/** A change as it was saved, as far as conflicts need to know. */
interface Saved {
  readonly window: string;
  readonly author: string;
  readonly sequence: number;
  readonly patch: Patch;
}

/**
 * The places at which what waits bears on what other windows have done since, all changes taken together:
 * so that everything is asked about at once.
 */
export const contestedOfAll = (
  pending: readonly Pending[],
  saved: readonly Saved[],
): readonly string[] =>
  outermost(
    pending.flatMap((claim) =>
      contestedPaths(
        claim,
        saved.filter(
          (change) =>
            change.sequence > claim.base &&
            (claim.kind === 'change'
              ? change.window !== claim.window
              : change.author !== claim.author),
        ),
      ),
    ),
  );

/** Both values of each contested place. */
export const contestedOf = (
  document: StyleDocument,
  places: readonly { readonly path: string; readonly value?: unknown }[],
): readonly Contested[] =>
  places.map(({ path, value }) => ({ path, mine: valueAt(document, path), theirs: value }));
