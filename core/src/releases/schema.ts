import * as z from 'zod/mini';
import { readNumber } from './numbers.ts';

/** So many words tell of a release at most. */
export const MOST_RELEASE_WORDS = 4000;

/** A release's number: three whole numbers, `1.4.2`. */
export const releaseNumber = z.string().check(
  z.maxLength(20),
  z.refine((text) => readNumber(text) !== undefined, 'is three whole numbers, such as 1.4.2'),
);

/** The states that can be asked for beside the numbers of releases: the last release, and what stands now. */
export const LATEST = 'latest';
export const NOW = 'now';
