import * as z from 'zod/mini';

/** Properties that a thing of somebody’s page takes from a token by itself, beyond what its classes say. */
export const WORN_PROPERTIES = [
  'color',
  'background-image',
  'border-color',
  'margin-block-start',
  'margin-block-end',
  'padding-block-start',
  'padding-block-end',
  'padding-inline-start',
  'padding-inline-end',
  'row-gap',
  'column-gap',
] as const;
export type WornProperty = (typeof WORN_PROPERTIES)[number];

/** In place of a token: the page’s own value stays. */
export const OWN_VALUE = 'own';
/** In place of a token: there is none of it. */
export const NO_VALUE = 'none';

/** More kinds of things than this are not told apart on a page: the rest stays as it was. */
export const MOST_ALIKE = 2000;
/** A page with its sheets is kept up to this length, in signs. */
export const LONGEST_PAGE = 12_000_000;
/** So many pages are kept with a system. */
export const MOST_KEPT_PAGES = 20;

const CLASS = /^[a-z][a-z0-9-]{0,79}$/;
const TOKEN = /^[\w$.-]{1,120}$/;

/** What a kind of thing on a page takes from a system: classes of its sheet, and single properties from tokens. */
export const wearingSchema = z.strictObject({
  classes: z.array(z.string().check(z.regex(CLASS))).check(z.maxLength(6)),
  /** The token by its id, joined with dots. */
  values: z.array(
    z.strictObject({
      property: z.enum(WORN_PROPERTIES),
      token: z.string().check(z.regex(TOKEN)),
    }),
  ),
});
export type Wearing = z.infer<typeof wearingSchema>;

/** What stays as somebody has built it. */
export const AS_BUILT: Wearing = { classes: [], values: [] };

/** Things of a page that look alike, and what they take. */
export const alikeSchema = z.strictObject({
  id: z.string().check(z.regex(/^a\d{1,5}$/)),
  name: z.string().check(z.maxLength(200)),
  count: z.int().check(z.gte(1), z.lte(100_000)),
  /** What was proposed first, to go back to. */
  proposed: wearingSchema,
  wearing: wearingSchema,
});
export type Alike = z.infer<typeof alikeSchema>;

export const alikeListSchema = z.array(alikeSchema).check(z.maxLength(MOST_ALIKE));

/** A page of somebody’s as it is kept with a system: without anything that acts, its kinds of things marked in it. */
export const keptPageSchema = z.strictObject({
  name: z.string().check(z.regex(/\S/), z.maxLength(120)),
  html: z.string().check(z.minLength(1), z.maxLength(LONGEST_PAGE)),
  sheets: z.array(z.string().check(z.maxLength(LONGEST_PAGE))).check(z.maxLength(500)),
  alike: alikeListSchema,
});
export type KeptPage = z.infer<typeof keptPageSchema>;

/** The attribute by which the things of a kept page are told apart. */
export const ALIKE_ATTRIBUTE = 'data-alike';
/** And that by which the sheet finds them. */
export const WORN_ATTRIBUTE = 'data-worn';

/** What stands in that attribute: the classes, and each property with its token. */
export const wornWords = ({ classes, values }: Wearing): string =>
  [...classes, ...values.map(({ property, token }) => `${property}:${token}`)].join(' ');
