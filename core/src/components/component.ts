import type { ProofElement } from '../proof/node.ts';
import type { SpaceUse } from '../system/space-schema.ts';
import type { Manner } from '../system/component-schema.ts';
import type { StateId } from './states.ts';

export type Declarations = Readonly<Record<string, string>>;

/** What a part needs the manner of the system to be; anything where it says nothing of it. */
export type When = { readonly [Key in keyof Manner]?: readonly Manner[Key][] };

/** A class that pages are built of: what it is for, how it is written, and what makes it work. */
export interface StructureClass {
  readonly name: string;
  /** What it is, in words. */
  readonly says: string;
  /** How it is written, on the element that it is meant for. */
  readonly markup: string;
  /** The text role that its words are set in, by id, where they carry no class of their own. */
  readonly text?: string;
  /** Whether its words take another color than that text has on the page. */
  readonly hasInk?: boolean;
  /** In which manners it has no ground of its own: over a picture it takes the color of the words there. */
  readonly groundless?: When;
  /** What it says itself. */
  readonly own?: Declarations;
  /** What it says of what is inside it; `&` is the class. */
  readonly inside?: Readonly<Record<string, Declarations>>;
  /** From what it begins when it appears. */
  readonly starts?: Readonly<Record<string, Declarations>>;
  /** What it says of what is inside it where it is so wide itself; what it says else is for narrow ones. */
  readonly wide?: {
    readonly fromRem: number;
    readonly inside: Readonly<Record<string, Declarations>>;
  };
}

/** What one property of a component takes, in one state: the first of some tokens that there is. */
export interface Part {
  /** The first part of the token's name, and the class that declares it: `button`. */
  readonly of: string;
  /** The second one: `background`, `background-hover`. */
  readonly part: string;
  readonly property: string;
  /** The tokens that it usually takes, by id; colors by the id of their role. */
  readonly from: readonly string[];
  readonly state?: StateId;
  readonly when?: When;
  /** Words with a class of their own inside take it too. */
  readonly inWords?: true;
  /** Its color draws a sign and no words. */
  readonly isSign?: true;
  /** Its color is the edge by which a control is told from what is around it. */
  readonly isEdge?: true;
  /** The declared value from that of the token; the token itself where absent. */
  readonly write?: (value: string) => string;
}

/** What is declared without a token of its own, in a state or at rest. */
export interface Fixed {
  readonly of: string;
  readonly state?: StateId;
  /** What of it is meant, as the selector goes on: ` > [class]`. */
  readonly inside?: string;
  /** The at-rule that it stands in, where its state has none. */
  readonly within?: string;
  readonly when?: When;
  readonly declarations: Declarations;
}

/** A space of a component: where, by which property, and with which role of space. */
export interface SpacePart {
  readonly selector: string;
  readonly property:
    | 'padding'
    | 'padding-block'
    | 'padding-block-start'
    | 'padding-block-end'
    | 'padding-inline-start'
    | 'padding-inline-end'
    | 'margin-block-start'
    | 'gap'
    | 'row-gap'
    | 'column-gap'
    | 'min-block-size';
  readonly role: string;
  readonly use: SpaceUse;
  /** What it is, in words. */
  readonly says: string;
}

/** What components are for, in the order in which they are looked at. */
export const GROUPS = [
  ['acting', 'Acting'],
  ['ways', 'Finding one’s way'],
  ['fields', 'Fields'],
  ['telling', 'Telling'],
  ['together', 'Put together'],
] as const;

export type ComponentGroup = (typeof GROUPS)[number][0];

export type Attributes = Readonly<Record<string, string>>;

/** One shape of a component, as it is shown in its states: elements with the exported classes. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  /** What its tokens begin with. */
  readonly of: string;
  /** How it is built; the attributes that put it into a state go to the element whose state it is. */
  readonly specimen: (state: Attributes) => ProofElement;
  /** The states that it has beside rest. */
  readonly states: readonly StateId[];
}

/** A component of a site: all that the sheet, the checks, the docs and the area know of it. */
export interface Component {
  readonly id: string;
  readonly name: string;
  readonly group: ComponentGroup;
  /** What it is for, in words. */
  readonly says: string;
  readonly classes: readonly StructureClass[];
  readonly parts?: readonly Part[];
  readonly fixed?: readonly Fixed[];
  /** The selector of what `of` names, where it is not its class; `&` is where a state stands. */
  readonly selectors?: Readonly<Record<string, string>>;
  readonly spaces?: Readonly<Record<string, SpacePart>>;
  readonly variants?: readonly Variant[];
  /** The color roles by which a state of what `of` names is told from rest, where the use of a text decides them. */
  readonly told?: Readonly<
    Record<string, Partial<Readonly<Record<StateId, readonly [rest: string, now: string]>>>>
  >;
}

export const component = (own: Component): Component => own;
