import { adding, collectionOf, removing } from './collection.ts';
import { isSame } from '../same.ts';
import { inOrder, STAGES, type StyleDocument } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

export { STAGES };
export type Stage = (typeof STAGES)[number];

/** What is handed over: a page, a section of one, or a component, by its id. */
export type HandedThing =
  | { readonly kind: 'page' | 'component'; readonly id: string }
  | { readonly kind: 'section'; readonly id: string; readonly page: string };

/** What is said of it for those who build it. */
export interface HandedWords {
  readonly stage?: Stage | undefined;
  readonly group?: string | undefined;
  readonly tags?: readonly string[] | undefined;
  /** Which of its kind it is, where that was chosen. */
  readonly rank?: number | undefined;
}

type Handed = StyleDocument['content']['handed'];

/** More tags of one thing are not kept. */
export const MOST_TAGS = 12;
export const LONGEST_TAG = 40;

const AT = '/content/handed';

/** How a thing is told from all others. */
export const handedKey = (thing: HandedThing): string =>
  [thing.kind, ...(thing.kind === 'section' ? [thing.page] : []), thing.id].join(' ');

type HandedItem = NonNullable<Handed>['items'][string];

const thingOf = ({ kind, of: id, on: page = '' }: HandedItem): HandedThing =>
  kind === 'section' ? { kind, id, page } : { kind, id };

/** As it is kept: what is said of nothing is left out. */
function itemOf(thing: HandedThing, { stage, group = '', tags = [], rank }: HandedWords) {
  return {
    kind: thing.kind,
    of: thing.id,
    ...(thing.kind === 'section' && { on: thing.page }),
    ...(stage !== undefined && { stage }),
    ...(group.trim() !== '' && { group: group.trim() }),
    ...(tags.length > 0 && { tags: [...tags] }),
    ...(rank !== undefined && { rank }),
  };
}

/** What is said of everything that something is said of. */
export function handedWords(handed: Handed): (thing: HandedThing) => HandedWords {
  const known = new Map(
    handed &&
      inOrder(handed).map(([, item]): [string, HandedWords] => {
        const { kind: _kind, of: _of, on: _on, ...words } = item;
        return [handedKey(thingOf(item)), words];
      }),
  );
  return (thing) => known.get(handedKey(thing)) ?? {};
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
 * The change that says something of a page, a section or a component; what is said of nothing any more goes.
 * @param newId makes an id for what nothing was said of before
 */
export function handing(
  handed: Handed,
  thing: HandedThing,
  words: HandedWords,
  newId: () => string,
): Patch {
  const key = handedKey(thing);
  const there = handed && inOrder(handed).find(([, one]) => handedKey(thingOf(one)) === key);
  const item = itemOf(thing, { ...there?.[1], ...words });
  const isEmpty = Object.keys(item).length === Object.keys(itemOf(thing, {})).length;
  if (!there) {
    if (isEmpty) return [];
    return handed
      ? adding(AT, handed, newId(), item)
      : [{ op: 'add', path: AT, value: jsonOf(collectionOf([[newId(), item] as const])) }];
  }
  if (isEmpty) return removing(AT, handed, there[0]);
  if (isSame(item, there[1])) return [];
  return [{ op: 'replace', path: `${AT}/items/${there[0]}`, value: jsonOf(item) }];
}

/**
 * Things in the order that was chosen for them; one that nobody has placed stays behind the one that it follows by
 * itself, or comes first.
 */
export function inHandedOrder<Thing>(
  things: readonly Thing[],
  rankOf: (thing: Thing) => number | undefined,
): readonly Thing[] {
  let last = -1;
  return things
    .map((thing, index) => {
      last = rankOf(thing) ?? last;
      return { thing, rank: last, isPlaced: rankOf(thing) !== undefined, index };
    })
    .toSorted(
      (one, other) =>
        one.rank - other.rank ||
        Number(other.isPlaced) - Number(one.isPlaced) ||
        one.index - other.index,
    )
    .map(({ thing }) => thing);
}

/**
 * The change that puts things of a kind into an order.
 * @param newId makes an id for a thing of which nothing was said before
 */
export function orderingHanded(
  handed: Handed,
  things: readonly HandedThing[],
  newId: (at: number) => string,
): Patch {
  const ranks = new Map(things.map((thing, rank) => [handedKey(thing), rank]));
  const known = handed ? inOrder(handed) : [];
  const before = new Set(known.map(([, item]) => handedKey(thingOf(item))));
  const entries = [
    ...known.map(([id, item]): [string, HandedItem] => {
      const rank = ranks.get(handedKey(thingOf(item)));
      return [id, rank === undefined ? item : { ...item, rank }];
    }),
    ...things.flatMap((thing, rank): [string, HandedItem][] =>
      before.has(handedKey(thing)) ? [] : [[newId(rank), itemOf(thing, { rank })]],
    ),
  ];
  const value = collectionOf(entries);
  if (handed && isSame(value, handed)) return [];
  return [{ op: handed ? 'replace' : 'add', path: AT, value: jsonOf(value) }];
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
