import * as z from 'zod/mini';

export const id = z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/));
export const label = z.string().check(z.minLength(1), z.maxLength(80));
export const words = z.string().check(z.maxLength(2000));

/** From 0 to 1. */
export const share = z.number().check(z.gte(0), z.lte(1));

/** A collection: things by an id that never changes, and the order in which they stand. */
export const collection = <Item extends z.ZodMiniType>(item: Item) =>
  z.strictObject({ order: z.array(id), items: z.record(id, item) });
