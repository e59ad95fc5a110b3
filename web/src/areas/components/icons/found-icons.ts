import { CAPS, ICON_KINDS, JOINS } from '@garnish/core/icons/kinds';
import * as z from 'zod/mini';

const drawing = z.object({
  width: z.number(),
  height: z.number(),
  shapes: z.array(
    z.object({
      d: z.string(),
      paint: z.enum(['fill', 'stroke']),
      width: z.optional(z.number()),
      tone: z.optional(z.literal(2)),
      rule: z.optional(z.literal('evenodd')),
    }),
  ),
  cap: z.enum(CAPS),
  join: z.enum(JOINS),
});

const measures = z.object({
  kind: z.enum(ICON_KINDS),
  stroke: z.number(),
  evenness: z.number(),
  roundEnds: z.optional(z.boolean()),
  corner: z.optional(z.number()),
  grid: z.optional(z.number()),
  ink: z.number(),
  details: z.number(),
  gap: z.optional(z.number()),
  wide: z.number(),
  high: z.number(),
});

const foundIcon = z.object({
  set: z.string(),
  name: z.string(),
  style: z.string(),
  plain: z.string(),
  drawing,
  measures,
});
export type FoundIcon = z.infer<typeof foundIcon>;

export const foundPage = z.object({ total: z.number(), icons: z.array(foundIcon) });

const styleOfSet = z.object({
  set: z.string(),
  name: z.string(),
  style: z.string(),
  author: z.string(),
  license: z.object({ title: z.string(), spdx: z.string(), url: z.string() }),
  count: z.number(),
  typical: measures,
  samples: z.array(drawing),
});
export type StyleOfSet = z.infer<typeof styleOfSet>;

export const stylesOfSets = z.array(styleOfSet);

/** What is asked for. */
export interface Query {
  readonly words: string;
  readonly kind: string;
  /** The set and, after a slash, the style; all where empty. */
  readonly from: string;
  readonly like: { readonly set: string; readonly name: string } | undefined;
}

/** So many drawings come in one answer. */
export const PAGE = 60;

/** The address of a page of what is found. */
export function addressOf({ words, kind, from, like }: Query, page: number): string {
  const asked = new URLSearchParams({
    words: words.trim().slice(0, 80),
    from: String(page * PAGE),
    most: String(PAGE),
  });
  const [set = '', style = ''] = from.split('/');
  if (kind !== '') asked.set('kind', kind);
  if (set !== '') asked.set('set', set);
  if (style !== '') asked.set('style', style);
  if (like) {
    asked.set('likeSet', like.set);
    asked.set('likeName', like.name);
  }
  return `/api/icons?${asked.toString()}`;
}
