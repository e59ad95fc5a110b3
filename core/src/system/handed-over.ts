import { adding, collectionOf, removing } from './collection.ts';
import { inOrder, STAGES, type StyleDocument } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

export { STAGES };
export type Stage = (typeof STAGES)[number];

/** What is handed over: a page or a component, by its id. */
export interface HandedThing {
  readonly kind: 'page' | 'component';
  readonly id: string;
}

/** What is said of it for those who build it. */
export interface HandedWords {
  readonly stage?: Stage | undefined;
  readonly group?: string | undefined;
  readonly tags?: readonly string[] | undefined;
}

type Handed = StyleDocument['content']['handed'];

/** More tags of one thing are not kept. */
export const MOST_TAGS = 12;
export const LONGEST_TAG = 40;

const AT = '/content/handed';

const keyOf = ({ kind, id }: HandedThing): string => `${kind} ${id}`;

/** What is said of everything that something is said of. */
export function handedWords(handed: Handed): (thing: HandedThing) => HandedWords {
  const known = new Map(
    handed && inOrder(handed).map(([, { kind, of, ...words }]) => [keyOf({ kind, id: of }), words]),
  );
  return (thing) => known.get(keyOf(thing)) ?? {};
}

/** Tags as they are written in a field, apart by commas; each once, none empty. */
export const tagsIn = (text: string): readonly string[] =>
  [
    ...new Set(
      text
        .split(',')
        .map((tag) => tag.trim().slice(0, LONGEST_TAG))
        .filter((tag) => tag !== ''),
    ),
  ].slice(0, MOST_TAGS);

/**
 * The change that says something of a page or a component; what is said of nothing any more goes.
 * @param newId makes an id for what nothing was said of before
 */
export function handing(
  handed: Handed,
  { kind, id }: HandedThing,
  words: HandedWords,
  newId: () => string,
): Patch {
  const there = handed && inOrder(handed).find(([, one]) => one.kind === kind && one.of === id);
  const { kind: _kind, of: _of, ...before } = there?.[1] ?? { kind, of: id };
  const next = { ...before, ...words };
  const group = next.group?.trim() ?? '';
  const tags = next.tags ?? [];
  const item = {
    kind,
    of: id,
    ...(next.stage !== undefined && { stage: next.stage }),
    ...(group !== '' && { group }),
    ...(tags.length > 0 && { tags }),
  };
  const isEmpty = Object.keys(item).length === 2;
  if (!there) {
    if (isEmpty) return [];
    return handed
      ? adding(AT, handed, newId(), item)
      : [{ op: 'add', path: AT, value: jsonOf(collectionOf([[newId(), item] as const])) }];
  }
  if (isEmpty) return removing(AT, handed, there[0]);
  if (JSON.stringify(item) === JSON.stringify(there[1])) return [];
  return [{ op: 'replace', path: `${AT}/items/${there[0]}`, value: jsonOf(item) }];
}

/** What is looked for among what is handed over. */
export interface HandedSearch {
  readonly text: string;
  readonly stage?: Stage | undefined;
}

/** Whether something is found: by its name, its group or its tags, and in its state. */
export const isFound = (name: string, words: HandedWords, { text, stage }: HandedSearch): boolean =>
  (stage === undefined || words.stage === stage) &&
  [name, words.group ?? '', ...(words.tags ?? [])]
    .join('\n')
    .toLowerCase()
    .includes(text.trim().toLowerCase());

/** Things under their groups, in the order in which those come first; what is in no group stands first. */
export function inGroups<Thing>(
  things: readonly Thing[],
  groupOf: (thing: Thing) => string | undefined,
): readonly (readonly [group: string, things: readonly Thing[]])[] {
  const groups = new Map<string, Thing[]>([['', []]]);
  for (const thing of things) {
    const group = groupOf(thing) ?? '';
    const known = groups.get(group);
    if (known) known.push(thing);
    else groups.set(group, [thing]);
  }
  return [...groups].filter(([, found]) => found.length > 0);
}
