import * as z from 'zod/mini';
import { inheritedWords, isInherited, jsonProblem, type Json } from './json.ts';

/** A name from outside: not one that every object has. */
export const ownName = z.refine<string>((name) => !isInherited(name), {
  error: ({ input }) => inheritedWords(String(input)),
});

export const id = z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/), ownName);
export const label = z.string().check(z.minLength(1), z.maxLength(80));
export const words = z.string().check(z.maxLength(2000));

/** From 0 to 1. */
export const share = z.number().check(z.gte(0), z.lte(1));

/** More than any collection of a site has. */
const MOST_ITEMS = 5000;

/** A collection: things by an id that never changes, and the order in which they stand. */
export const collection = <Item extends z.ZodMiniType>(item: Item) =>
  z.strictObject({ order: z.array(id).check(z.maxLength(MOST_ITEMS)), items: z.record(id, item) });

/** Any JSON value that can be kept; what it means is checked where it is used. */
export const json = z.custom<Json>(
  (given: unknown) => given !== undefined && jsonProblem(given) === undefined,
  { error: ({ input }) => jsonProblem(input) ?? 'a value is missing' },
);
