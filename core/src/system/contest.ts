import { overlaps, type Patch } from './patch.ts';

/** A change that was saved, as far as others are concerned. */
export interface SavedChange {
  readonly sequence: number;
  readonly patch: Patch;
}

/** A change that is to be saved: its places, and what its sender has answered about some of them. */
export interface ClaimedChange {
  readonly patch: Patch;
  /** The newest change that was known when the sender decided about a place. */
  readonly settled: readonly { readonly path: string; readonly sequence: number }[];
}

/** Paths without those that lie within another of them, which is answered with that one. */
export const outermost = (paths: readonly string[]): readonly string[] => {
  const each = [...new Set(paths)];
  return each.filter(
    (path) => !each.some((other) => other !== path && path.startsWith(`${other}/`)),
  );
};

/**
 * The places of a change that bear on what others have saved since its sender looked: the same place, one
 * around it or one within it; each once, without those within another. `since` are the changes of others after
 * the one that the change rests on. A place that was settled is contested again only by what is newer than
 * that. The rule of the server, which has the last word, and of every window that asks beforehand.
 */
export const contestedPaths = (
  { patch, settled }: ClaimedChange,
  since: readonly SavedChange[],
): readonly string[] =>
  outermost(
    patch
      .map(({ path }) => path)
      .filter((path) => {
        const known = settled.find((one) => one.path === path)?.sequence ?? 0;
        return since.some(
          (change) =>
            change.sequence > known && change.patch.some((other) => overlaps(path, other.path)),
        );
      }),
  );
