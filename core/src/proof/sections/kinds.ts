import { id } from '../../system/schema-parts.ts';
import * as z from 'zod/mini';
import { alerts } from './alerts.ts';
import { article } from './article.ts';
import { artwork } from './artwork.ts';
import { call } from './call.ts';
import { cards } from './cards.ts';
import { contact } from './contact.ts';
import { form } from './form.ts';
import { gallery } from './gallery.ts';
import type { PictureRole } from '../../system/picture-roles.ts';
import type { Build, Kind, SignedThings } from './kind.ts';
import { notice } from './notice.ts';
import { ownPart } from './own-part.ts';
import { pieces } from './pieces.ts';
import { opening } from './opening.ts';
import { points } from './points.ts';
import { questions } from './questions.ts';
import { steps } from './steps.ts';
import { story } from './story.ts';
import { table } from './table.ts';
import { testimonials } from './testimonials.ts';
import type { ProofNode } from '../node.ts';
import { wears } from '../../system/component-schema.ts';

/** Every kind of section that a page can have, in the order of the list that one is chosen from. */
export const KINDS = [
  opening,
  notice,
  alerts,
  table,
  cards,
  points,
  story,
  article,
  questions,
  testimonials,
  form,
  steps,
  gallery,
  call,
  contact,
  pieces,
  artwork,
] as const;

const PLACED_KINDS = [...KINDS, ownPart] as const;

export type KindId = (typeof PLACED_KINDS)[number]['id'];

/** What a section stands on. */
export const GROUNDS = ['page', 'surface'] as const;

/** What every section can decide beside its words. */
const COMMON = {
  /** Not shown, and kept. */
  isOff: z.optional(z.literal(true)),
  /** The page where absent. */
  ground: z.optional(z.enum(GROUNDS)),
  /** A gradient that it stands on instead, by id. */
  gradient: z.optional(id),
  /** How many columns of the grid it takes; all where absent. */
  span: z.optional(z.int().check(z.gte(1), z.lte(12))),
  /** Which variants of one’s own its components are, by the class of what they follow; the usual where absent. */
  wears: z.optional(wears),
};

type Common = z.infer<z.ZodMiniObject<typeof COMMON>>;

type SectionOf<Of> =
  Of extends Kind<infer Id, infer Shape>
    ? { readonly kind: Id } & Common & z.infer<z.ZodMiniObject<Shape>>
    : never;

/** A section of a part of one’s own: one of the kinds, with its words. */
export type PartSection = SectionOf<(typeof KINDS)[number]>;
/** A section of a page: one of the kinds with its words, or a part of one’s own. */
export type Section = SectionOf<(typeof PLACED_KINDS)[number]>;

const schemaOf = ({ id, shape }: { readonly id: KindId; readonly shape: z.core.$ZodShape }) =>
  z.strictObject({ kind: z.literal(id), ...COMMON, ...shape });

const schemas = KINDS.map(schemaOf);

/** Its schema, made of the list: what the list has is what there is. */
const oneOf = (all: typeof schemas) =>
  z.discriminatedUnion('kind', [...all] as unknown as readonly [(typeof schemas)[number]]);

/** The schema of a section of a part of one’s own, which has none of those in it. */
export const partSection = oneOf(schemas) as unknown as z.ZodMiniType<PartSection, PartSection>;
export const section = oneOf([...schemas, schemaOf(ownPart)]) as unknown as z.ZodMiniType<
  Section,
  Section
>;

/** What the list knows of a kind without its words. */
export interface AnyKind {
  readonly id: KindId;
  readonly name: string;
  readonly says: string;
  readonly start: () => object;
  readonly shows?: (thing: unknown) => boolean;
  readonly role?: PictureRole;
  readonly keepsPlaces?: true;
  readonly signed?: SignedThings;
  readonly nodes: (words: never, at: string, build: Build) => readonly ProofNode[];
}

const byId: ReadonlyMap<string, AnyKind> = new Map(PLACED_KINDS.map((one) => [one.id, one]));

/** A kind by its id. */
export const kindOf = (id: KindId): AnyKind => byId.get(id) ?? opening;
