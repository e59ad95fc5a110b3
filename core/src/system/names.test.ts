import { expect, test } from '@jest/globals';
import * as z from 'zod/mini';
import { documentSchema } from './document.ts';

/** A schema as far as walking it needs to know. */
interface Def {
  readonly type: string;
  readonly keyType?: z.core.$ZodType;
  readonly shape?: Readonly<Record<string, z.core.$ZodType>>;
  readonly catchall?: z.core.$ZodType;
  readonly [key: string]: unknown;
}

const INHERITED = Object.getOwnPropertyNames(Object.prototype);

/** Every schema within another, each once. */
function* within(
  schema: z.core.$ZodType,
  path: string,
  seen = new Set<unknown>(),
): Generator<readonly [path: string, def: Def]> {
  if (seen.has(schema)) return;
  seen.add(schema);
  const def = schema._zod.def as unknown as Def;
  yield [path, def];
  for (const [key, part] of Object.entries(def.shape ?? {}))
    yield* within(part, `${path}/${key}`, seen);
  for (const key of ['element', 'valueType', 'innerType', 'left', 'right', 'in', 'out', 'catchall'])
    if (def[key] !== undefined) yield* within(def[key] as z.core.$ZodType, `${path}/*`, seen);
  for (const key of ['options', 'items'])
    for (const part of (def[key] as readonly z.core.$ZodType[] | undefined) ?? [])
      yield* within(part, path, seen);
}

const all = [...within(documentSchema, '')];

test('no part of a document whose names come from outside takes one that every object has', () => {
  const records = all.filter(([, { type }]) => type === 'record');
  expect(records.length).toBeGreaterThan(10);
  for (const [path, { keyType }] of records)
    for (const name of INHERITED)
      expect([
        path,
        name,
        keyType ? z.safeParse(keyType as z.ZodMiniType, name).success : true,
      ]).toEqual([path, name, false]);
});

test('and no part of it takes names that nobody has looked at', () => {
  for (const [path, { type, catchall }] of all)
    if (type === 'object')
      expect([path, (catchall?._zod.def as Def | undefined)?.type]).toEqual([path, 'never']);
});
