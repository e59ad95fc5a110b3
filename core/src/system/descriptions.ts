import { collectionOf } from './collection.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';

export type Descriptions = StyleDocument['tokens']['descriptions'];

/** What something of a path is for, in words. */
export interface Described {
  readonly path: string;
  readonly text: string;
}

const AT = '/tokens/descriptions';

/** What groups, and tokens of the system itself, are for; by their paths. */
export const descriptionsOf = (descriptions: Descriptions): ReadonlyMap<string, string> =>
  new Map(descriptions && inOrder(descriptions).map(([, { path, text }]) => [path, text]));

/**
 * The change that says of some paths what they are for; an empty text says nothing any more.
 * @param newId makes ids for paths that nothing was said of
 */
export function describing(
  descriptions: Descriptions,
  said: readonly Described[],
  newId: () => string,
): Patch {
  const next = new Map(said.map(({ path, text }) => [path, text.trim().slice(0, 2000)]));
  const before = descriptions ? inOrder(descriptions) : [];
  const changed = before.map(
    ([id, one]) => [id, { ...one, text: next.get(one.path) ?? one.text }] as const,
  );
  const known = new Set(before.map(([, { path }]) => path));
  const added = [...next].flatMap(([path, text]) =>
    known.has(path) ? [] : [[newId(), { path, text }] as const],
  );
  const entries = [...changed, ...added].filter(([, { text }]) => text !== '');
  if (JSON.stringify(entries) === JSON.stringify(before)) return [];
  return entries.length === 0
    ? [{ op: 'remove', path: AT }]
    : [{ op: 'add', path: AT, value: jsonOf(collectionOf(entries)) }];
}

/** The groups that paths of tokens stand in, from the outermost. */
export const groupsOf = (paths: Iterable<string>): ReadonlySet<string> => {
  const groups = new Set<string>();
  for (const path of paths) {
    const parts = path.split('.');
    for (let at = 1; at < parts.length; at += 1) groups.add(parts.slice(0, at).join('.'));
  }
  return groups;
};
