import type { StyleDocument } from '../document.ts';

/** One of the views of an area, as its address names it (`?view=`). */
export interface AreaView {
  readonly id: string;
  readonly name: string;
  /** The places of the document that are decided in it. */
  readonly at: readonly string[];
}

/** A decision that is found by its name. */
export interface NamedDecision {
  readonly name: string;
  /** Where it stands in the document. */
  readonly path: string;
}

/** An area of the work: where decisions are made, or where what came of them is looked at. */
export interface Area {
  /** As its address has it. */
  readonly id: string;
  readonly name: string;
  /** Its views in order, the usual one first; none where all of it stands on one page. */
  readonly views: readonly AreaView[];
  /** The parts of the document that are decided in it. */
  readonly decides: readonly (keyof StyleDocument)[];
  /** What of it can be gone to by a name. */
  readonly named?: (document: StyleDocument) => readonly NamedDecision[];
}

/** The things of a collection as decisions, each by what it is called. */
export const namedItems = (
  what: string,
  path: string,
  {
    order,
    items,
  }: {
    readonly order: readonly string[];
    readonly items: Readonly<Record<string, { readonly name: string }>>;
  },
): readonly NamedDecision[] =>
  order.map((id) => ({ name: `${what} ${items[id]?.name ?? id}`, path: `${path}/items/${id}` }));
