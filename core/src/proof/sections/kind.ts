import * as z from 'zod/mini';
import { MADE_MANNERS, MADE_OF } from '../../image/made/kinds.ts';
import type { PictureRole } from '../../system/picture-roles.ts';
import type { ProofElement, ProofNode } from '../node.ts';

/** Everything on a page that text may stand on, by the id of its color role. */
export type Surface = 'page' | 'surface' | 'action';

/** A picture that a section shows, stored beside the systems. */
export const shownPicture = z.strictObject({
  name: z.string().check(z.minLength(1), z.maxLength(80)),
  file: z.string().check(z.regex(/^[0-9a-f]{16}\.(png|jpg|webp|avif)$/)),
  width: z.int().check(z.gte(1), z.lte(20000)),
  height: z.int().check(z.gte(1), z.lte(20000)),
  /** What it shows, for who does not see it; empty where it says nothing that the words beside it do not say. */
  alt: z.optional(z.string().check(z.maxLength(250))),
  /** How it was drawn, where it only fills its place. */
  made: z.optional(
    z.strictObject({
      of: z.enum(MADE_OF),
      manner: z.enum(MADE_MANNERS),
      seed: z.string().check(z.minLength(1), z.maxLength(40)),
    }),
  ),
});

export type ShownPicture = z.infer<typeof shownPicture>;

/** What is said of a picture to who does not see it: its name until somebody says more. */
export const altOf = ({ alt, name }: Pick<ShownPicture, 'alt' | 'name'>): string => alt ?? name;

/**
 * What a section is built with: elements whose classes are those of the exported sheet. It knows the system; a kind
 * of section does not. What a system does not have is left out.
 */
export interface Build {
  /** A text in a role; its words stand at a place of the document. */
  readonly text: (
    tag: string,
    role: string,
    children: readonly ProofNode[],
    content?: string,
    className?: string,
  ) => ProofElement;
  /** A part on a surface of its own. */
  readonly ground: (
    tag: string,
    on: Surface,
    attributes: Readonly<Record<string, string>>,
    children: readonly ProofNode[],
  ) => ProofElement;
  /** The slug of a color role. */
  readonly color: (id: string) => string | undefined;
  /** A veil with its picture. */
  readonly veil: (
    id: string,
  ) => { readonly id: string; readonly slug: string; readonly picture: ShownPicture } | undefined;
  /** The class of the level that cards stand on. */
  readonly raised: string | undefined;
  /** Whether a sign hangs in the margin. */
  readonly hangs: boolean;
  /** The site’s own drawing in the colors of the system, as SVG. */
  readonly artwork: string | undefined;
  /** The slug of a gradient. */
  readonly gradient: (id: string) => string | undefined;
  /** How the pictures of a role stand: whether they are toned, and the slug of the shape of each in a row. */
  readonly pictures: (role: PictureRole) => {
    readonly isToned: boolean;
    readonly shapeAt: (at: number) => string | undefined;
  };
  /** The sections of a part of one’s own, each on the ground that it stands on. */
  readonly part: (id: string) => readonly ProofNode[];
  /** An icon of the site, by its id; nothing where there is none. */
  readonly icon: (id: string | undefined) => readonly ProofElement[];
  /** A variant of one’s own: its class, and that of what it follows. */
  readonly variant: (id: string) => { readonly of: string; readonly slug: string } | undefined;
  /** A specimen of a component with the classes that the system’s roles have. */
  readonly dressed: (specimen: ProofElement) => ProofElement;
}

/** What icons stand beside. */
export interface SignedThings {
  readonly of: string;
  readonly role: string;
}

/** A kind of section: the words it has, what it starts with, and how it is built. */
export interface Kind<Id extends string, Shape extends z.core.$ZodShape> {
  readonly id: Id;
  /** What it is called in a list. */
  readonly name: string;
  /** What it is for, in words. */
  readonly says: string;
  readonly shape: Shape;
  readonly start: () => z.infer<z.ZodMiniObject<Shape>>;
  /** With all that it can have, for the sheet of parts; where absent, it starts with all of it. */
  readonly whole?: () => z.infer<z.ZodMiniObject<Shape>>;
  /** Whether a thing of its collections can show a picture; none where absent. */
  readonly shows?: (thing: unknown) => boolean;
  /** What its pictures are on the page; a figure where absent. */
  readonly role?: PictureRole;
  /** Whether a place without a picture is seen as an empty one; without, it is seen as none. */
  readonly keepsPlaces?: true;
  /** The collection whose things an icon can stand beside, and the text role that it is as large as; none where absent. */
  readonly signed?: SignedThings;
  /** Its elements; `at` is where its words stand in the document. Nothing where it has none. */
  readonly nodes: (
    words: z.infer<z.ZodMiniObject<Shape>>,
    at: string,
    build: Build,
  ) => readonly ProofNode[];
}

export const kind = <const Id extends string, Shape extends z.core.$ZodShape>(
  own: Kind<Id, Shape>,
): Kind<Id, Shape> => own;

interface Ordered<Item> {
  readonly order: readonly string[];
  readonly items: Readonly<Record<string, Item>>;
}

/** The things of a collection in their order. */
export const each = <Item, Result>(
  { order, items }: Ordered<Item>,
  make: (item: Item, id: string) => Result,
): Result[] =>
  order.flatMap((id) => {
    const item = items[id];
    return item === undefined ? [] : [make(item, id)];
  });

/** A collection from things that are numbered by their place. */
export const listed = <Item>(...things: readonly Item[]) => ({
  order: things.map((_, index) => `item-${index + 1}`),
  items: Object.fromEntries(things.map((thing, index) => [`item-${index + 1}`, thing])),
});
