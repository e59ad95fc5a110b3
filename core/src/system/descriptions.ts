import { collectionOf } from './collection.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';

export type Descriptions = StyleDocument['tokens']['descriptions'];

/** What something of a path is for, in words. */
export interface Described {
  readonly path: string;
  /** Empty where nothing is said. */
  readonly text: string;
  /** The group that a group extends, by its path; nothing leaves it as it was. */
  readonly extends?: string;
}

const AT = '/tokens/descriptions';

/** What groups, and tokens of the system itself, are for; by their paths. */
export const descriptionsOf = (descriptions: Descriptions): ReadonlyMap<string, string> =>
  new Map(
    descriptions &&
      inOrder(descriptions).flatMap(([, { path, text }]) => (text === '' ? [] : [[path, text]])),
  );

/** The groups that extend others, by their paths. */
export const extendingGroups = (descriptions: Descriptions): ReadonlyMap<string, string> =>
  new Map(
    descriptions &&
      inOrder(descriptions).flatMap(([, { path, extends: of }]) =>
        of === undefined ? [] : [[path, of]],
      ),
  );

/**
 * The change that says of some paths what they are for; an empty text says nothing any more.
 * @param newId makes ids for paths that nothing was said of
 */
export function describing(
  descriptions: Descriptions,
  said: readonly Described[],
  newId: () => string,
): Patch {
  const next = new Map(
    said.map(({ text, ...one }) => [one.path, { ...one, text: text.trim().slice(0, 2000) }]),
  );
  const before = descriptions ? inOrder(descriptions) : [];
  const changed = before.map(([id, one]) => [id, { ...one, ...next.get(one.path) }] as const);
  const known = new Set(before.map(([, { path }]) => path));
  const added = [...next].flatMap(([path, one]) =>
    known.has(path) ? [] : [[newId(), one] as const],
  );
  const entries = [...changed, ...added].filter(
    ([, one]) => one.text !== '' || one.extends !== undefined,
  );
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
