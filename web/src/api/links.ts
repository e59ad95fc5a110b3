import { differenceSchema } from '@garnish/core/releases/difference-schema';
import * as z from 'zod/mini';

/** A link as the server tells its maker of it. */
export const linkRecord = z.object({
  id: z.string(),
  address: z.string(),
  label: z.string(),
  release: z.optional(z.string()),
  pages: z.optional(z.array(z.string())),
  kept: z.optional(z.array(z.string())),
  until: z.optional(z.string()),
  hasPassphrase: z.boolean(),
  mayWrite: z.boolean(),
  forClient: z.boolean(),
  at: z.string(),
  usedAt: z.optional(z.string()),
});
export type LinkRecord = z.infer<typeof linkRecord>;

/** All links of a system, and where guests reach this machine. */
export const linkList = z.object({ links: z.array(linkRecord), addresses: z.array(z.string()) });

export const linksPath = (system: string): string => `/api/systems/${system}/links`;

/** The page of a link, behind the address of the machine. */
export const guestPage = (address: string): string => `/g/${address}`;

/** What a guest is shown. */
export const guestState = z.object({
  sequence: z.number(),
  mayWrite: z.boolean(),
  forClient: z.boolean(),
  hasKept: z.optional(z.boolean()),
  release: z.optional(z.string()),
  document: z.unknown(),
});

export const guestPath = (address: string): string => `/guest/${encodeURIComponent(address)}`;

/** The kept pages that a link opens, behind its path. */
export const guestKept = (path: string): string => `${path}/kept-pages`;

/** What became of a system since a guest was there; not known where that is too long ago. */
export const guestChanges = z.object({
  isKnown: z.boolean(),
  difference: z.optional(differenceSchema),
});
