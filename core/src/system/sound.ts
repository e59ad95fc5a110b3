import type * as z from 'zod/mini';
import { collectionParts, formOf, orderProblems } from './schema-parts.ts';

/** Parts of documents that were found to be of a form, by that form; they are frozen, so that they stay so. */
const known = new WeakMap<object, object>();

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isWhole = (schema: z.ZodMiniType, value: unknown): boolean => schema.safeParse(value).success;

/** A record with these keys and no others, each of its own form. */
function isOfShape(
  shape: Readonly<Record<string, z.ZodMiniType>>,
  value: Readonly<Record<string, unknown>>,
): boolean {
  const keys = Object.keys(value);
  return (
    keys.every((key) => Object.hasOwn(shape, key)) &&
    Object.entries(shape).every(([key, schema]) =>
      Object.hasOwn(value, key) ? isSound(schema, value[key]) : formOf(schema).type === 'optional',
    )
  );
}

function isOfForm(schema: z.ZodMiniType, value: Readonly<Record<string, unknown>>): boolean {
  const collection = collectionParts(schema);
  if (collection) {
    const { order, items } = value;
    return (
      isOfShape(collection, value) &&
      Array.isArray(order) &&
      isRecord(items) &&
      orderProblems({ order: order as readonly string[], items }).next().done === true
    );
  }
  const {
    type,
    checks = [],
    shape,
    keyType,
    valueType,
    discriminator,
    options = [],
  } = formOf(schema);
  if (checks.length > 0) return isWhole(schema, value);
  if (type === 'object' && shape) return isOfShape(shape, value);
  if (type === 'record' && keyType && valueType)
    return Object.entries(value).every(
      ([key, one]) => isSound(keyType, key) && isSound(valueType, one),
    );
  if (type === 'union' && discriminator !== undefined) {
    const fitting = options.find((option) => {
      const tag = formOf(option).shape?.[discriminator];
      return tag !== undefined && isWhole(tag, value[discriminator]);
    });
    return fitting !== undefined && isSound(fitting, value);
  }
  return isWhole(schema, value);
}

/**
 * Whether a value is of a form. Frozen parts of it that were found to be so before are not read again: of
 * a document of which one number has changed, only what stands around that number is. Objects in schemas of
 * documents are strict, which this takes for granted.
 */
export function isSound(schema: z.ZodMiniType, value: unknown): boolean {
  const { type, innerType } = formOf(schema);
  if (type === 'optional' && innerType) return value === undefined || isSound(innerType, value);
  if (typeof value !== 'object' || value === null) return isWhole(schema, value);
  if (known.get(value) === schema) return true;
  const isGood = isRecord(value) ? isOfForm(schema, value) : isWhole(schema, value);
  if (isGood && Object.isFrozen(value)) known.set(value, schema);
  return isGood;
}

/** Remembers that a frozen value is of a form without reading it: it was read before it was stored. */
export function trustAs(schema: z.ZodMiniType, value: unknown): void {
  if (typeof value === 'object' && value !== null && Object.isFrozen(value))
    known.set(value, schema);
}
