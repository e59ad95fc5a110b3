import type { Collection } from './document.ts';

/** A collection from pairs of id and thing, in the order given. */
export const collectionOf = <Item>(
  entries: readonly (readonly [id: string, item: Item])[],
): Collection<Item> => ({
  order: entries.map(([id]) => id),
  items: Object.fromEntries(entries),
});

export const NOTHING = { order: [], items: {} } as const;
