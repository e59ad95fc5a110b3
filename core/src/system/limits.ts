import type * as z from 'zod/mini';
import { documentSchema } from './document.ts';
import { formOf } from './schema-parts.ts';

/** What a number of the document may be, in the document’s own unit. */
export interface Limits {
  readonly least: number;
  readonly most: number;
  /** Whether the ends themselves are out of reach: more than `least`, less than `most`. */
  readonly above: boolean;
  readonly below: boolean;
  readonly whole: boolean;
}

/** The schemas of what may stand under a key; of a union, those of all its kinds that have it. */
function under(schema: z.ZodMiniType, key: string): readonly z.ZodMiniType[] {
  const { shape, valueType, element, innerType, options } = formOf(schema);
  if (innerType) return under(innerType, key);
  if (options) return options.flatMap((option) => under(option, key));
  if (shape)
    return Object.hasOwn(shape, key) ? [shape[key]].filter((one) => one !== undefined) : [];
  return [valueType ?? element].filter((one) => one !== undefined);
}

interface Check {
  readonly check: string;
  readonly value?: number;
  readonly inclusive?: boolean;
}

/** What one schema of a number says of it; nothing for a schema of something else. */
function limitsIn(schema: z.ZodMiniType): Limits | undefined {
  const { type, checks = [], innerType, format } = formOf(schema);
  if (innerType) return limitsIn(innerType);
  if (type !== 'number') return undefined;
  const said = checks.map((one) => (one as { readonly _zod: { readonly def: Check } })._zod.def);
  const from = said.find(({ check }) => check === 'greater_than');
  const to = said.find(({ check }) => check === 'less_than');
  return {
    least: from?.value ?? -Infinity,
    most: to?.value ?? Infinity,
    above: from?.inclusive === false,
    below: to?.inclusive === false,
    whole: format === 'safeint',
  };
}

/** Limits that were found: the same fields ask at every movement, and the schema never changes. */
const known = new Map<string, Limits>();
const MOST_KEPT = 2000;

/**
 * What the schema allows for the number at a place of the document, whether something stands there or not:
 * `/type/anchors/items/narrow/base` is from 6 to 64. Where several kinds of thing may stand there, the widest of
 * what they allow. What a number must be beside others (a breakpoint wider than the one before) is no limit
 * of its own; the rules of `validate.ts` tell it.
 *
 * @throws where no number can stand: the place is written in the program, and written wrong.
 */
export function limitsOf(path: string): Limits {
  const before = known.get(path);
  if (before) return before;
  const limits = limitsAt(path);
  if (known.size >= MOST_KEPT) known.clear();
  known.set(path, limits);
  return limits;
}

function limitsAt(path: string): Limits {
  const found = path
    .split('/')
    .slice(1)
    .reduce<readonly z.ZodMiniType[]>(
      (schemas, key) => schemas.flatMap((schema) => under(schema, key)),
      [documentSchema],
    )
    .flatMap((schema) => limitsIn(schema) ?? []);
  const [first, ...others] = found;
  if (!first) throw new Error(`no number stands at ${path}`);
  return others.reduce(
    (one, other) => ({
      least: Math.min(one.least, other.least),
      most: Math.max(one.most, other.most),
      above: (one.least <= other.least ? one : other).above,
      below: (one.most >= other.most ? one : other).below,
      whole: one.whole && other.whole,
    }),
    first,
  );
}

/** What a field offers: the ends in its own unit, and how finely it counts. */
export interface FieldLimits {
  readonly min: number;
  readonly max: number;
  readonly decimals: number;
}

interface FieldCount {
  /** How many of the document’s own units one of the field is: 0.01 for per cent. */
  readonly factor?: number;
  /** How finely it shows numbers; whole numbers have none. */
  readonly decimals?: number | undefined;
  /** What an arrow key adds. */
  readonly step?: number;
}

/**
 * The limits of a place for a field that counts in a unit of its own. An end that is out of reach is passed
 * over: the lower one by a tenth of what an arrow key adds, which is what it adds at its finest, the upper
 * one by the last decimal.
 */
export function fieldLimits(
  path: string,
  { factor = 1, decimals = 3, step = 0 }: FieldCount = {},
): FieldLimits {
  const { least, most, above, below, whole } = limitsOf(path);
  const shown = whole && factor === 1 ? 0 : decimals;
  const last = 10 ** -shown;
  // Divisions by hundredths leave dust behind the ninth decimal.
  const inField = (value: number): number => Number((value / factor).toFixed(9));
  return {
    min: inField(least) + (above ? Math.max(last, step / 10) : 0),
    max: inField(most) - (below ? last : 0),
    decimals: shown,
  };
}
