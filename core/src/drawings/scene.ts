import type { Box } from '../measures/geometry.ts';
import type { Fact } from '../measures/facts.ts';
import type { OfSides } from '../measures/sides.ts';

/** A thing of a component as a browser laid it out; lengths in px, boxes from the corner of the scene. */
export interface Thing {
  /** Where it stands in the component, by names: `card`, `card/heading`; it stays when values change. */
  readonly place: string;
  readonly name: string;
  /** The border box. */
  readonly box: Box;
  readonly inset: OfSides<number>;
  readonly edge: OfSides<number>;
  readonly margin: OfSides<number>;
  /** The room that it leaves between what stands in it: between rows, and between columns. */
  readonly gap: { readonly row: number; readonly column: number };
  /** The tokens that make them. */
  readonly tokens: {
    readonly inset: OfSides<readonly string[]>;
    readonly margin: OfSides<readonly string[]>;
    readonly gap: { readonly row: readonly string[]; readonly column: readonly string[] };
  };
  /** Whether it has a size of its own, whatever stands in it. */
  readonly isFixed: boolean;
  /** The border boxes of what stands directly in it. */
  readonly inside: readonly Box[];
  readonly facts: readonly Fact[];
  /** Where its own words are; nothing where it has none. */
  readonly words?: Box;
}

/** What stands where at a width, without what makes it so: all of the component first. */
export interface Outline {
  readonly things: readonly Pick<Thing, 'place' | 'name' | 'box' | 'inside'>[];
}

/** A component at a width: all of it first, then what stands in it, in the order of the page. */
export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly things: readonly Thing[];
}
