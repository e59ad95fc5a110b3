import { once } from '../once.ts';
import { inOrder, type Collection } from '../system/document.ts';
import { slugs } from './token.ts';

interface Named {
  readonly name: string;
}

/** The names of a collection as parts of token paths, by id (see `slugs`); made once for each collection. */
export const slugsOf = once((named: Collection<Named>): ReadonlyMap<string, string> =>
  slugs(inOrder(named).map(([id, { name }]) => [id, name])),
);
