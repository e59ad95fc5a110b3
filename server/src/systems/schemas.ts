import { patchSchema } from '@garnish/core/system/patch';
import * as z from 'zod';
import { CHANGE_KINDS } from '../db/models.ts';

/** A JSON value whose form is checked elsewhere: documents by core, patches before they are applied. */
const json = z.unknown();

export const systemParams = z.object({ id: z.uuid() });

export const newSystem = z.strictObject({ name: z.string().trim().min(1).max(80) });

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
  portrait: portraitSchema,
  findings: z.object({ repair: z.number(), look: z.number() }),
});
export type SystemSummary = z.infer<typeof systemSummary>;

export const openSystem = z.object({ id: z.uuid(), sequence: z.number(), document: json });

export const newChange = z.strictObject({
  id: z.uuid(),
  base: z.int().min(0),
  patch: patchSchema,
  label: z.string().min(1).max(120),
  author: z.uuid(),
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
  gesture: z.uuid(),
  kind: z.enum(CHANGE_KINDS),
  at: z.iso.datetime(),
});

export const changesQuery = z.object({
  after: z.coerce.number().int().min(0).default(0),
  /** Only the newest so many. */
  last: z.coerce.number().int().min(1).max(500).default(200),
});

/** A system that is kept and cannot be read. */
export const unreadableSystem = z.object({ id: z.string(), name: z.string() });
