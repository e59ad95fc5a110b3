import { fontFamily } from '@garnish/core/fonts/family';
import { patchSchema } from '@garnish/core/system/patch';
import * as z from 'zod/mini';

/** What the server sends, checked where it comes in. */
export const systemSummary = z.object({
  id: z.string(),
  name: z.string(),
  description: z.string(),
  updatedAt: z.string(),
  portrait: z.optional(
    z.object({
      heading: z.object({ family: z.string(), weight: z.number() }),
      text: z.object({ family: z.string(), weight: z.number() }),
      files: z.array(
        z.object({ family: z.string(), name: z.string(), min: z.number(), max: z.number() }),
      ),
      colors: z.array(z.string()),
      page: z.string(),
      ink: z.string(),
      sizes: z.array(z.number()),
    }),
  ),
  findings: z.optional(z.object({ repair: z.number(), look: z.number(), isMeasured: z.boolean() })),
  /** Why it cannot be shown; absent where it can. */
  problem: z.optional(z.string()),
});
export type SystemSummary = z.infer<typeof systemSummary>;

export const systemPage = z.object({ systems: z.array(systemSummary), total: z.number() });
export type SystemPage = z.infer<typeof systemPage>;

/** Who the server takes this browser for. */
export const personRecord = z.object({ person: z.string() });

export const openedSystem = z.object({
  id: z.string(),
  sequence: z.number(),
  document: z.unknown(),
});

export const changeRecord = z.object({
  id: z.string(),
  sequence: z.number(),
  patch: patchSchema,
  inverse: patchSchema,
  label: z.string(),
  author: z.string(),
  window: z.string(),
  gesture: z.string(),
  kind: z.enum(['change', 'undo', 'redo']),
  at: z.string(),
});
export type ChangeRecord = z.infer<typeof changeRecord>;

export const changeList = z.array(changeRecord);

export const familyList = z.array(fontFamily);
