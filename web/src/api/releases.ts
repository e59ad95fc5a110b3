import { differenceSchema, reasonsSchema } from '@garnish/core/releases/difference-schema';
import * as z from 'zod/mini';

/** A release as the server tells of it. */
export const releaseRecord = z.object({
  number: z.string(),
  words: z.string(),
  sequence: z.number(),
  author: z.string(),
  at: z.string(),
  files: z.array(
    z.object({ file: z.string(), type: z.string(), bytes: z.number(), hash: z.string() }),
  ),
});
export type ReleaseRecord = z.infer<typeof releaseRecord>;

export const releaseList = z.object({ releases: z.array(releaseRecord) });

/** The number that the next release should have; none where nothing changed. */
export const releaseProposal = z.object({
  number: z.optional(z.string()),
  reasons: reasonsSchema,
});

const state = z.object({ name: z.string(), sequence: z.number() });

export const differenceBetween = z.object({
  from: state,
  to: state,
  name: z.string(),
  difference: differenceSchema,
  reasons: reasonsSchema,
});

export const releasedDocument = z.object({
  number: z.string(),
  sequence: z.number(),
  document: z.unknown(),
});

/** Where what is known of the releases of a system stands. */
export const releasesPath = (system: string): string => `/api/systems/${system}/releases`;

/** Where a file of a release stands for ever; `latest` is the last release, whichever that is. */
export const releasedFilePath = (system: string, number: string, file: string): string =>
  `${releasesPath(system)}/${number}/files/${encodeURIComponent(file)}`;

/** Where the difference of two states stands; as a file where one is named. */
export const differencePath = (system: string, from: string, to: string, file = ''): string =>
  `/api/systems/${system}/difference${file === '' ? '' : `/${file}`}?from=${from}&to=${to}`;
