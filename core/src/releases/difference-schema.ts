import * as z from 'zod/mini';
import { MODES } from '../system/document.ts';
import { TIERS } from '../tokens/token.ts';
import type { Difference } from './difference.ts';
import { KINDS, type KindReason } from './numbers.ts';

const token = z.object({
  id: z.string(),
  property: z.string(),
  tier: z.enum(TIERS),
  type: z.string(),
  values: z.object({ light: z.string(), dark: z.string() }),
  elsewhere: z.optional(z.array(z.string())),
});
const caused = z.object({ token, cause: z.string() });
const renaming = z.object({ before: z.string(), after: z.string() });
const contrast = z.object({
  id: z.string(),
  title: z.string(),
  mode: z.enum(MODES),
  needed: z.number(),
  before: z.optional(z.number()),
  after: z.optional(z.number()),
});

/** A difference as it comes over the wire. */
export const differenceSchema = z.object({
  tokens: z.object({
    added: z.array(caused),
    removed: z.array(caused),
    renamed: z.array(z.object({ before: token, after: token, keepsName: z.boolean() })),
    changed: z.array(z.object({ before: token, after: token, cause: z.string() })),
  }),
  classes: z.object({
    added: z.array(z.string()),
    removed: z.array(z.string()),
    renamed: z.array(renaming),
  }),
  causes: z.array(
    z.object({
      path: z.string(),
      label: z.string(),
      before: z.optional(z.string()),
      after: z.optional(z.string()),
    }),
  ),
  contrast: z.object({ lost: z.array(contrast), won: z.array(contrast) }),
  rules: z.number(),
  content: z.number(),
  looks: z.array(
    z.object({ kind: z.enum(['page', 'component']), id: z.string(), name: z.string() }),
  ),
}) satisfies z.ZodMiniType<Difference>;

export const reasonsSchema = z.array(
  z.object({ kind: z.enum(KINDS), count: z.number(), what: z.string() }),
) satisfies z.ZodMiniType<readonly KindReason[]>;
