import * as z from 'zod/mini';
import { inheritedWords, isInherited, jsonProblem, type Json } from './json.ts';

/** What is read of a schema: its kind, what it checks, and the schemas of its parts. */
interface Form {
  readonly type: string;
  readonly format?: string;
  readonly checks?: readonly unknown[];
  readonly shape?: Readonly<Record<string, z.ZodMiniType>>;
  readonly keyType?: z.ZodMiniType;
  readonly valueType?: z.ZodMiniType;
  readonly innerType?: z.ZodMiniType;
  readonly element?: z.ZodMiniType;
  readonly options?: readonly z.ZodMiniType[];
  /** The key whose value tells the options of a union apart. */
  readonly discriminator?: string;
}

export const formOf = (schema: z.ZodMiniType): Form => schema._zod.def;

/** A name from outside: not one that every object has. */
export const ownName = z.refine<string>((name) => !isInherited(name), {
  error: ({ input }) => inheritedWords(String(input)),
});

export const id = z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/), ownName);
/** The most signs of a name, and of a few sentences. */
export const LONGEST_NAME = 80;
export const LONGEST_WORDS = 2000;
export const label = z.string().check(z.minLength(1), z.maxLength(LONGEST_NAME));
export const words = z.string().check(z.maxLength(LONGEST_WORDS));

/** From 0 to 1. */
export const share = z.number().check(z.gte(0), z.lte(1));

/** More than any collection of a site has. */
const MOST_ITEMS = 5000;

interface Ordered {
  readonly order: readonly string[];
  readonly items: Readonly<Record<string, unknown>>;
}

/** What is wrong between an order and the things that it orders; each with its place in the collection. */
export function* orderProblems({
  order,
  items,
}: Ordered): Generator<{ readonly path: readonly string[]; readonly message: string }> {
  const seen = new Set(order);
  if (seen.size !== order.length) yield { path: ['order'], message: 'names a thing twice' };
  for (const one of order)
    if (!Object.hasOwn(items, one))
      yield { path: ['order'], message: `names “${one}”, which is not there` };
  for (const one of Object.keys(items))
    if (!seen.has(one)) yield { path: ['items', one], message: 'is missing from the order' };
}

/** The two parts of every collection’s schema, by that schema. */
const parts = new WeakMap<
  object,
  { readonly order: z.ZodMiniType; readonly items: z.ZodMiniType }
>();

/** The schemas of the order and of the things of a collection; nothing for any other schema. */
export const collectionParts = (schema: object) => parts.get(schema);

/**
 * A collection: things by an id that never changes, and the order in which they stand, which names each of
 * them once.
 */
export const collection = <Item extends z.ZodMiniType>(item: Item) => {
  const order = z.array(id).check(z.maxLength(MOST_ITEMS));
  const items = z.record(id, item);
  const schema = z.strictObject({ order, items }).check(
    z.check((payload) => {
      for (const { path, message } of orderProblems(payload.value))
        payload.issues.push({ code: 'custom', path: [...path], message, input: payload.value });
    }),
  );
  parts.set(schema, { order, items });
  return schema;
};

/** Any JSON value that can be kept; what it means is checked where it is used. */
export const json = z.custom<Json>(
  (given: unknown) => given !== undefined && jsonProblem(given) === undefined,
  { error: ({ input }) => jsonProblem(input) ?? 'a value is missing' },
);
