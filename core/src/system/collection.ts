import type { Collection } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

/** A collection from pairs of id and thing, in the order given. */
export const collectionOf = <Item>(
  entries: readonly (readonly [id: string, item: Item])[],
): Collection<Item> => ({
  order: entries.map(([id]) => id),
  items: Object.fromEntries(entries),
});

export const NOTHING = { order: [], items: {} } as const;

/** What puts a thing at the end of the collection at a place of the document. */
export const adding = (
  path: string,
  { order }: Collection<unknown>,
  id: string,
  item: unknown,
): Patch => [
  { op: 'add', path: `${path}/items/${id}`, value: jsonOf(item) },
  { op: 'replace', path: `${path}/order`, value: [...order, id] },
];

/** A record without one of its keys. */
export const without = <Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
): Readonly<Record<string, Value>> =>
  Object.fromEntries(Object.entries(record).filter(([own]) => own !== key));

/** What takes a thing out of the collection at a place of the document. */
export const removing = (path: string, { order }: Collection<unknown>, id: string): Patch => [
  { op: 'remove', path: `${path}/items/${id}` },
  { op: 'replace', path: `${path}/order`, value: order.filter((other) => other !== id) },
];
