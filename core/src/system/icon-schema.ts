import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';
import { CAPS, ICON_KINDS, JOINS } from '../icons/kinds.ts';
import { collection, id, label, share } from './schema-parts.ts';

/** More paths than an icon has. */
export const MOST_SHAPES = 64;

const side = z.number().check(z.gt(0), z.lte(100_000));

/** Path data and nothing else: an icon in a document can hold no address and no script. */
const pathData = z
  .string()
  .check(
    z.minLength(2),
    z.maxLength(30_000),
    z.regex(/^[Mm][MmLlHhVvCcSsQqTtAaZz0-9eE.,+\- ]+$/, 'path data as SVG has it'),
  );

const shape = z.strictObject({
  d: pathData,
  paint: z.enum(['fill', 'stroke']),
  width: z.optional(z.number().check(z.gte(0), z.lte(100_000))),
  tone: z.optional(z.literal(2)),
  rule: z.optional(z.literal('evenodd')),
});

const drawing = z.strictObject({
  width: side,
  height: side,
  shapes: z.array(shape).check(z.minLength(1), z.maxLength(MOST_SHAPES)),
  cap: z.enum(CAPS),
  join: z.enum(JOINS),
});

const measures = z.strictObject({
  kind: z.enum(ICON_KINDS),
  stroke: share,
  evenness: share,
  roundEnds: z.optional(z.boolean()),
  corner: z.optional(z.number().check(z.gte(0), z.lte(10))),
  grid: z.optional(share),
  ink: share,
  details: z.int().check(z.gte(0), z.lte(100_000)),
  gap: z.optional(share),
  wide: share,
  high: share,
});

/** What the size of an icon is a multiple of: the text beside it, its capitals or its line, or a step of space. */
export const SIZES_OF = ['text', 'capitals', 'line', 'step'] as const;
export type SizeOf = (typeof SIZES_OF)[number];

/** What an icon beside words is in the middle of. */
export const PLACES = ['capitals', 'line'] as const;

/** An icon of the system: its drawing, and where it departs from what is decided of all. */
const namedIcon = z.strictObject({
  name: label,
  drawing,
  /** What was measured of it when it came. */
  measures,
  /** The set that it was taken from. */
  from: z.optional(z.strictObject({ set: label, icon: label, author: label, license: label })),
  /** One of the sizes instead of the usual one. */
  size: z.optional(id),
  /** A color role instead of the color of the words around it. */
  color: z.optional(id),
});

/** The icons of a site. */
export const iconsSchema = z.strictObject({
  /** In em of the text beside it. */
  size: z.number().check(z.gte(0.5), z.lte(6)),
  /** In px, at whatever size. */
  stroke: z.number().check(z.gte(0.5), z.lte(8)),
  /** Further sizes, by name. */
  sizes: collection(
    z.strictObject({
      name: label,
      of: z.enum(SIZES_OF),
      times: z.number().check(z.gte(0.25), z.lte(8)),
      /** Of a step of space. */
      step: z.optional(id),
    }),
  ),
  /** Where beside words; the middle of the capitals where absent. */
  place: z.optional(z.enum(PLACES)),
  /** Room between icon and words, in em; 0.5 where absent. */
  gap: z.optional(z.number().check(z.gte(0), z.lte(3))),
  /** The color role of the second tone; so much of the first where absent. */
  second: z.optional(id),
  faint: z.optional(share),
  /** By what they are for. An id of a sign of our own swaps its drawing. */
  named: collection(namedIcon),
});

export type Icons = DeepReadonly<z.infer<typeof iconsSchema>>;
export type NamedIcon = Icons['named']['items'][string];

/** Room between icon and words, in em, where nothing is decided; common practice. */
export const USUAL_GAP = 0.5;
