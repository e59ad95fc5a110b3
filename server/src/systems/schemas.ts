import { isHex, type Hex } from '@garnish/core/color/srgb';
import { SITE_KINDS } from '@garnish/core/system/site-kinds';
import { patchSchema } from '@garnish/core/system/patch';
import { verification } from '@garnish/core/verify/report';
import * as z from 'zod';
import { CHANGE_KINDS } from '../db/models.ts';

/** A JSON value whose form is checked elsewhere: documents by core, patches before they are applied. */
const json = z.unknown();

export const systemParams = z.object({ id: z.uuid() });

const hexColor = z.custom<Hex>((value) => typeof value === 'string' && isHex(value), {
  error: 'a color of the form #rrggbb',
});

/** A new system: its name, and what is there already of its site. */
export const newSystem = z.strictObject({
  name: z.string().trim().min(1).max(80),
  kind: z.enum(SITE_KINDS.map(({ id }) => id)).optional(),
  /** The first is the color of the brand. */
  colors: z.array(hexColor).max(8).optional(),
  /** The logo as SVG, cleaned by whoever sends it; the proof cleans it once more. */
  logo: z.string().max(60_000).optional(),
  /** What is decided already, as a change of what a new system begins with. */
  patch: z.optional(patchSchema),
});

export const portraitSchema = z.object({
  heading: z.object({ family: z.string(), weight: z.number() }),
  text: z.object({ family: z.string(), weight: z.number() }),
  files: z.array(
    z.object({ family: z.string(), name: z.string(), min: z.number(), max: z.number() }),
  ),
  colors: z.array(z.string()),
  page: z.string(),
  ink: z.string(),
  sizes: z.array(z.number()),
});

export const systemSummary = z.object({
  id: z.uuid(),
  name: z.string(),
  description: z.string(),
  updatedAt: z.iso.datetime(),
  portrait: portraitSchema.optional(),
  /** What waits, and whether the pages were measured as they are. */
  findings: z.object({ repair: z.number(), look: z.number(), isMeasured: z.boolean() }).optional(),
  /** Why it cannot be shown, in words; absent where it can. */
  problem: z.string().optional(),
});
export type SystemSummary = z.infer<typeof systemSummary>;

export const listQuery = z.object({
  search: z.string().max(200).default(''),
  order: z.enum(['changed', 'name', 'repair']).default('changed'),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
  limit: z.coerce.number().int().min(1).max(2000).default(50),
});
export type ListQuery = z.infer<typeof listQuery>;

/** A page of the list, and how many systems there are in all that were asked for. */
export const systemPage = z.object({ systems: z.array(systemSummary), total: z.number() });

export const openSystem = z.object({ id: z.uuid(), sequence: z.number(), document: json });

/** What a window found on the pages, as they are after a change. */
export const measuredBody = z.strictObject({
  sequence: z.int32().min(0),
  findings: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(400),
        severity: z.enum(['repair', 'look']),
        title: z.string().max(400),
        figures: z.string().max(1000),
        of: z.string().max(200).optional(),
      }),
    )
    .max(500),
});
export type MeasuredBody = z.infer<typeof measuredBody>;

/** What came out when a window read the files of a state. */
export const verifiedBody = z.strictObject({ sequence: z.int32().min(0), verification });
export type VerifiedBody = z.infer<typeof verifiedBody>;

export const newChange = z.strictObject({
  id: z.uuid(),
  /** The newest change that it knows of. */
  base: z.int32().min(0),
  /** Places that somebody was asked about, and up to which change the answer holds. */
  settled: z
    .array(z.strictObject({ path: z.string().max(400), sequence: z.int32().min(0) }))
    .max(500)
    .default([]),
  patch: patchSchema,
  label: z.string().min(1).max(120),
  window: z.uuid(),
  gesture: z.uuid(),
  kind: z.enum(CHANGE_KINDS).default('change'),
});
export type NewChange = z.infer<typeof newChange>;

export const changeSchema = z.object({
  id: z.uuid(),
  sequence: z.number(),
  patch: json,
  inverse: json,
  label: z.string(),
  author: z.uuid(),
  window: z.uuid(),
  gesture: z.uuid(),
  kind: z.enum(CHANGE_KINDS),
  at: z.iso.datetime(),
});

/** The largest number of a change that the database has. */
const MOST = 2 ** 31 - 1;

export const changesQuery = z.object({
  after: z.coerce.number().int().min(0).max(MOST).default(0),
  before: z.coerce.number().int().min(0).max(MOST).optional(),
  /** Only the newest so many. */
  last: z.coerce.number().int().min(1).max(500).default(200),
});
