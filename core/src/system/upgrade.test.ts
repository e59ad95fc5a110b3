import { describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { SCHEMA } from './document.ts';
import { patched, valueAt, type Patch } from './patch.ts';
import { keptPair, readKept } from './keeper.ts';
import { readDocument, upgradeKept, upgradePatch } from './upgrade.ts';

/** A document as the version of a schema number wrote it. */
const written = (schema: number): Record<string, unknown> =>
  JSON.parse(
    readFileSync(new URL(`./upgrades/fixtures/schema-${schema}.json`, import.meta.url), 'utf8'),
  ) as Record<string, unknown>;

const OLDER = Array.from({ length: SCHEMA - 1 }, (_, index) => index + 1);

const read = (schema: number) => {
  const result = readDocument(written(schema));
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

describe.each(OLDER)('a document of schema %i', (schema) => {
  test('is one of that schema, and is read as one of the newest', () => {
    expect(written(schema)['schema']).toBe(schema);
    expect(read(schema).schema).toBe(SCHEMA);
  });

  test('keeps what was decided in it', () => {
    const before = written(schema);
    const now = read(schema);
    for (const path of [
      '/name',
      '/color/sources',
      '/fonts/roles/heading',
      '/space/steps',
      '/content/hero',
    ])
      expect([path, valueAt(now, path)]).toEqual([path, valueAt(before, path)]);
  });
});

test('what comes of older documents never changes, whatever is usual today', () => {
  const prints = OLDER.map((schema) =>
    createHash('sha256')
      .update(JSON.stringify(read(schema)))
      .digest('hex')
      .slice(0, 16),
  );
  expect(prints).toEqual(PRINTS);
});

/** Taken when the steps were written. */
const PRINTS: readonly string[] = [
  'b8d1badc4dba8017',
  '235dcf0ab833b502',
  'b49ea70a890c65f6',
  'deeb21fe2f472b6e',
];

describe('a change of an older schema', () => {
  const changes: readonly (readonly [
    schema: number,
    patch: Patch,
    path: string,
    value: unknown,
  ])[] = [
    [
      1,
      [{ op: 'replace', path: '/type/anchors/wide/base', value: 21 }],
      '/type/anchors/items/wide/base',
      21,
    ],
    [
      1,
      [{ op: 'replace', path: '/type/roles/items/label/face', value: 'heading' }],
      '/type/roles/items/label/face',
      'label',
    ],
    [
      3,
      [{ op: 'replace', path: '/space/roles/section', value: 'xl' }],
      '/space/roles/items/section/value/step',
      'xl',
    ],
  ];

  test.each(changes)(
    'of schema %i still has its place and its value',
    (schema, patch, path, value) => {
      const result = patched(read(schema), upgradePatch(patch, schema));
      expect(result.ok && valueAt(result.document, path)).toBe(value);
    },
  );

  test('that replaced all anchors of schema 1 puts them in their order', () => {
    const anchors = valueAt(written(1), '/type/anchors') as Record<string, never>;
    const result = patched(
      read(1),
      upgradePatch([{ op: 'replace', path: '/type/anchors', value: anchors }], 1),
    );
    expect(result.ok && result.document.type.anchors).toEqual({
      order: ['narrow', 'wide'],
      items: anchors,
    });
  });

  test('of the newest schema is left alone', () => {
    const patch: Patch = [{ op: 'replace', path: '/space/unit', value: 9 }];
    expect(upgradePatch(patch, SCHEMA)).toEqual(patch);
  });
});

describe('what is kept beside systems', () => {
  const { heading, text } = read(1).fonts.roles;
  const pair = { heading: heading.family, text: text.family };

  test.each([...OLDER, SCHEMA])('under schema %i is read as the newest', (schema) => {
    expect(readKept.pair(pair, schema)).toEqual(keptPair.parse(pair));
    expect(readKept.family(pair.heading, schema)).toEqual(pair.heading);
    const palette = { name: 'Low water', colors: [{ name: '', hex: '#b09a72' }] };
    expect(readKept.palette(palette, schema)).toEqual(palette);
  });

  test('is not changed by steps that say nothing of it', () => {
    expect(upgradeKept('pair', pair, 1)).toBe(pair);
  });

  test('that is not of its form is not read', () => {
    expect(() => readKept.pair({ heading: 1 }, SCHEMA)).toThrow();
    expect(() => readKept.palette({ name: '', colors: [] }, SCHEMA)).toThrow();
  });
});
