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

/** Where the parts of the one page stand that systems had before schema 6. */
const HOME = '/content/pages/items/home/sections/items';

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
    for (const path of ['/name', '/color/sources', '/fonts/roles/heading', '/space/steps'])
      expect([path, valueAt(now, path)]).toEqual([path, valueAt(before, path)]);
    const { kind, veil, ...hero } = valueAt(now, `${HOME}/hero`) as Record<string, unknown>;
    // From schema 6 on the opening is a section.
    const there = valueAt(before, `${HOME}/hero`) as Record<string, unknown> | undefined;
    const { kind: _kind, veil: veilThere, ...words } = there ?? {};
    expect([kind, hero]).toEqual(['opening', there ? words : valueAt(before, '/content/hero')]);
    expect(veil).toBe(there ? veilThere : valueAt(before, '/content/heroVeil'));
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

/** Taken when the last step was written; one more step makes others of them, and adds one. */
const PRINTS: readonly string[] = [
  '0e01801d77b7482b',
  'ab6f86aff97ec606',
  '06f17caa282cb6fd',
  'be02fd0509c4c834',
  '072e08eb9c699315',
  'cbaf436faeb19eb6',
  'f131552c78d9c010',
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
    [
      5,
      [{ op: 'replace', path: '/content/hero/title', value: 'Ten crossings' }],
      `${HOME}/hero/title`,
      'Ten crossings',
    ],
    [
      5,
      [{ op: 'replace', path: '/content/nav/items/fares', value: 'Prices' }],
      '/content/nav/items/fares/words',
      'Prices',
    ],
    [
      5,
      [
        {
          op: 'replace',
          path: '/content/notice',
          value: { title: 'Low water.', text: 'Cars wait.' },
        },
      ],
      `${HOME}/notice/title`,
      'Low water.',
    ],
    [
      5,
      [{ op: 'replace', path: '/content/alerts/items/fog/title', value: 'Clear' }],
      `${HOME}/alerts/messages/items/fog/title`,
      'Clear',
    ],
    [5, [{ op: 'remove', path: '/content/heroVeil' }], `${HOME}/hero/veil`, undefined],
    [7, [{ op: 'replace', path: '/shape/icon/stroke', value: 2.5 }], '/icons/stroke', 2.5],
    [7, [{ op: 'replace', path: '/shape/icon', value: { size: 2, stroke: 1 } }], '/icons/size', 2],
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

  test('that replaced the whole shape of schema 7 leaves the icons alone', () => {
    const shape = valueAt(written(7), '/shape') as Record<string, never>;
    const value = { ...shape, icon: { size: 3, stroke: 3 } } as never;
    const result = patched(read(7), upgradePatch([{ op: 'replace', path: '/shape', value }], 7));
    expect(result.ok && result.document.icons).toEqual(read(7).icons);
  });

  test('of the newest schema is left alone', () => {
    const patch: Patch = [{ op: 'replace', path: '/space/unit', value: 9 }];
    expect(upgradePatch(patch, SCHEMA)).toEqual(patch);
  });
});

test('every section of the one page of schema 5 became a section of the home page, in its order', () => {
  const now = read(5);
  const page = now.content.pages.items['home'];
  expect(page?.sections.order).toEqual([
    ...['hero', 'notice', 'alerts', 'table', 'prices', 'cards', 'form', 'artwork', 'story'],
    'questions',
  ]);
  // The words of the page are all there: each text of the old document is found in the new one.
  const textsOf = (value: unknown): string[] =>
    typeof value === 'string'
      ? [value]
      : typeof value === 'object' && value !== null
        ? Object.values(value).flatMap(textsOf)
        : [];
  const kept = new Set(textsOf(now.content));
  expect(textsOf(valueAt(written(5), '/content')).filter((text) => !kept.has(text))).toEqual([]);
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
