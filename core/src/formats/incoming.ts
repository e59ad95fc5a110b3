import { derive } from '../derive/derive.ts';
import { NOTHING } from '../system/collection.ts';
import { referring, saidIn, taking, type CustomItem } from '../system/custom-values.ts';
import type { Collection, Mode, StyleDocument } from '../system/document.ts';
import { cssOfValue, extensionOfBoth } from '../tokens/css-value.ts';
import { tokenNames } from '../tokens/token-names.ts';
import type { Token } from '../tokens/token.ts';
import { takeTokens, type Taking } from './take-tokens.ts';

/** What a token of a file would be in a system. */
export const INCOMING = ['new', 'changed', 'same', 'conflict'] as const;
export type IncomingState = (typeof INCOMING)[number];

/** A token of a file, looked at before it is taken. */
export interface Incoming {
  readonly item: CustomItem;
  readonly state: IncomingState;
  /** What the system has by this name now, as CSS or JSON; nothing where it has none. */
  readonly now?: string;
  /** What it would have. */
  readonly next: string;
  /** Why it cannot stand beside what is there. */
  readonly reason?: string;
}

const textIn = (item: CustomItem, mode: Mode): string => {
  const { type, extension } = item;
  const said = saidIn(item, mode);
  if (said.alias !== undefined) return `{${said.alias}}`;
  const own = said === item.dark ? extensionOfBoth(type, extension) : extension;
  const named = referring(said, (source) => typeof source === 'string');
  return cssOfValue(type, named, own, said.value) ?? JSON.stringify(said.value);
};

const textOf = (item: CustomItem): string => {
  const [light, dark] = [textIn(item, 'light'), textIn(item, 'dark')];
  return dark === light ? light : `${light}, in dark ${dark}`;
};

/** Fields in any order, for comparing. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(
          Object.entries(part).toSorted(([one], [other]) => (one < other ? -1 : 1)),
        )
      : part,
  );

/** The tokens that a system makes itself, without any from elsewhere. */
export const ownTokens = (document: StyleDocument): readonly Token[] =>
  derive({ ...document, tokens: { custom: NOTHING } }).tokens;

/** What each token of a file would be: new, changed, the same as before, or in the way of one that the system makes. */
export function incomingOf(
  custom: Collection<CustomItem>,
  own: readonly Token[],
  tokens: readonly CustomItem[],
): readonly Incoming[] {
  const system = tokenNames(own.map(({ path }) => path));
  const ownById = new Map(own.map((token) => [token.id, token]));
  const before = new Map(Object.values(custom.items).map((item) => [item.path, item]));
  const incoming = new Set(tokens.map(({ path }) => path));
  const file = tokenNames(
    [...before.keys()].filter((path) => !incoming.has(path)).map((path) => path.split('.')),
  );
  return tokens.map((item): Incoming => {
    const next = textOf(item);
    const path = item.path.split('.');
    const reason =
      system.problemWith(path, 'the system') ??
      file.problemWith(path, 'the file, or one before it,');
    if (reason !== undefined) {
      const there = ownById.get(item.path);
      const now = there?.values.light.css;
      return { item, state: 'conflict', next, reason, ...(now !== undefined && { now }) };
    }
    file.add(path);
    const there = before.get(item.path);
    if (!there) return { item, state: 'new', next };
    return {
      item,
      state: plain(there) === plain(item) ? 'same' : 'changed',
      now: textOf(there),
      next,
    };
  });
}

/** A name that no token of a file has as its first part, for those that are in the way. */
export const freeGroup = (tokens: readonly Pick<CustomItem, 'path'>[], wanted: string): string => {
  const taken = new Set(tokens.map(({ path }) => path.split('.')[0]));
  let name = wanted;
  for (let number = 2; taken.has(name); number += 1) name = `${wanted}-${number}`;
  return name;
};

/**
 * The change that takes chosen tokens of a file. Those that are in the way are taken under a group of another name,
 * and what refers to them in the file refers to them there.
 * @param chosen the paths of those that are taken
 * @param group the group for those that are in the way
 */
export function takeChosen(
  custom: Collection<CustomItem>,
  own: readonly Token[],
  incoming: readonly Incoming[],
  chosen: ReadonlySet<string>,
  group: string,
  newId: () => string,
): Taking {
  const moved = new Set(
    incoming
      .filter(({ item, state }) => state === 'conflict' && chosen.has(item.path))
      .map(({ item }) => item.path),
  );
  const placed = (path: string): string => (moved.has(path) ? `${group}.${path}` : path);
  const tokens = incoming
    .filter(({ item }) => chosen.has(item.path))
    .map(({ item }): CustomItem => ({ ...taking(item, placed), path: placed(item.path) }));
  return takeTokens(custom, own, tokens, newId);
}
