import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyPatch } from 'rfc6902';
import {
  overlaps,
  overlapsOf,
  patched,
  patchSchema,
  valueAt,
  type Json,
  type Patch,
} from './patch.ts';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from './sample.ts';
import { readDocument, upgradePatch } from './upgrade.ts';
import { validate } from './validate.ts';

const document = sampleDocument();
/** How far signs hung in the margin in the days of schema 3. */
const HANGING: Patch = [
  { op: 'replace', path: '/space/roles/items/hang/value/value', value: -0.45 },
];

const apply = (patch: Patch) => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

describe('a patch', () => {
  test('changes what it names and keeps the identity of everything else', () => {
    const next = apply([{ op: 'replace', path: '/type/anchors/items/wide/base', value: 19 }]);
    expect(next.type.anchors.items['wide']?.base).toBe(19);
    expect(next.color).toBe(document.color);
    expect(next.type.roles).toBe(document.type.roles);
    expect(document.type.anchors.items['wide']?.base).toBe(18);
  });

  test('is applied whole or not at all', () => {
    const result = patched(document, [
      { op: 'replace', path: '/name', value: 'Other' },
      { op: 'replace', path: '/nowhere/at/all', value: 1 },
    ]);
    expect(result.ok).toBe(false);
    expect(document.name).toBe('Sample');
  });

  test.each([
    ['a base of nothing', '/type/anchors/items/wide/base', 0],
    ['a step that is not there', '/space/roles/inset', 'nowhere'],
    ['a narrow width above the wide one', '/type/anchors/items/narrow/width', 2000],
    ['a color that is none', '/color/sources/items/brand/value', 'red'],
    [
      'a ramp that is not there',
      '/color/roles/items/text/light',
      { kind: 'rung', ramp: 'x', rung: 1 },
    ],
    [
      'an order that names a thing twice',
      '/space/steps/order',
      ['xs', 'xs', 's', 'm', 'l', 'xl', 'xxl'],
    ],
    ['an order that leaves a thing out', '/space/steps/order', ['xs', 's', 'm', 'l', 'xl']],
  ])('that leads to %s is refused', (_, path, value) => {
    expect(patched(document, [{ op: 'replace', path, value }]).ok).toBe(false);
  });

  test.each([
    '/__proto__/polluted',
    '/constructor/prototype/x',
    '/accepted/toString',
    '/accepted/toString/call',
    'name',
    '/',
  ])('with the path %s is not even read', (path) => {
    expect(patchSchema.safeParse([{ op: 'add', path, value: 1 }]).success).toBe(false);
  });
});

describe('a place', () => {
  const problemAt = (path: string, op: 'add' | 'replace' = 'add') => {
    const result = patched(document, [{ op, path, value: 1 }]);
    return result.ok ? undefined : result.problems[0]?.message;
  };

  test('inside a list is refused in words: lists are replaced whole', () => {
    for (const path of ['/type/roles/order/0', '/type/roles/order/-', '/brief/mood/0'])
      expect(problemAt(path)).toBe('lists are replaced whole');
    const breakpoints = patched(document, [
      { op: 'add', path: '/type/breakpoints', value: [600, 900] },
      { op: 'replace', path: '/type/breakpoints/0', value: 620 },
    ]);
    expect(breakpoints).toMatchObject({ problems: [{ message: 'lists are replaced whole' }] });
  });

  test('of an item that is called “order” is a place like any other', () => {
    const items = { ...document.content.nav.items, order: { words: 'Order now' } };
    const next = apply([
      {
        op: 'replace',
        path: '/content/nav',
        value: { order: [...document.content.nav.order, 'order'], items },
      },
      { op: 'replace', path: '/content/nav/items/order/words', value: 'Order online' },
    ]);
    expect(next.content.nav.items['order']?.words).toBe('Order online');
    const path = '/content/nav/items/order';
    expect(patchSchema.safeParse([{ op: 'replace', path, value: 'x' }]).success).toBe(true);
  });

  test('that only every object has is none: nothing is called, changed or acknowledged', () => {
    const inherited = Object.getOwnPropertyNames(Object.prototype);
    for (const name of inherited)
      for (const path of [`/accepted/${name}`, `/accepted/${name}/call`, `/${name}/${name}`])
        for (const op of ['add', 'replace'] as const) {
          expect(patchSchema.safeParse([{ op, path, value: 1 }]).success).toBe(false);
          expect(problemAt(path, op)).toMatch(/every object has|nothing at this place/);
        }
    expect(Object.getOwnPropertyNames(Object.prototype)).toEqual(inherited);
    expect(Object.getOwnPropertyNames(Function.prototype)).not.toContain('x');
  });
});

test('a place of four million signs is refused, not a fault', () => {
  for (const path of [`/${'a'.repeat(4_000_000)}`, '/a'.repeat(2_000_000)])
    expect(patchSchema.safeParse([{ op: 'add', path, value: 1 }]).success).toBe(false);
});

describe('a value', () => {
  const valued = (value: unknown) =>
    patchSchema.safeParse([{ op: 'add', path: '/tokens/custom', value }]);
  test.each([
    ['a part called __proto__', JSON.parse('{"a": {"__proto__": {"x": 1}}}'), 'every object has'],
    ['NUL', { name: 'a\0b' }, 'cannot be kept'],
    ['half of a pair', { name: '\ud800' }, 'cannot be kept'],
    ['a number beyond range', JSON.parse('{"a": 1e999}'), 'beyond what numbers can be'],
    [
      'a list of a million lists',
      Array.from({ length: 1_000_000 }, (): unknown[] => []),
      'more than 200000 parts',
    ],
    ['a text of four million signs', 'a'.repeat(4_000_000), 'more than 200000 signs'],
    [
      'a list in a list, 10,000 deep',
      JSON.parse(`${'['.repeat(10_000)}${']'.repeat(10_000)}`),
      'deeper',
    ],
  ])('with %s is refused in words', (_, value, words) => {
    const { error } = valued(value);
    expect(JSON.stringify(error?.issues)).toContain(words);
    expect(
      patched(document, [{ op: 'add', path: '/tokens/custom', value: value as Json }]),
    ).toMatchObject({
      ok: false,
    });
  });
});

describe('the inverse of a patch', () => {
  const operation = fc.oneof(
    fc.record({
      op: fc.constant('replace' as const),
      path: fc.constantFrom(
        '/type/anchors/items/narrow/base',
        '/type/anchors/items/wide/base',
        '/space/unit',
      ),
      value: fc.integer({ min: 6, max: 64 }),
    }),
    fc.record({
      op: fc.constant('add' as const),
      path: fc.constantFrom('/accepted/one', '/accepted/two', '/type/roles/items/h1/weight'),
      value: fc.constant(null),
    }),
    fc.record({ op: fc.constant('remove' as const), path: fc.constant('/accepted/one') }),
  );

  test('leads back, whatever the operations were', () => {
    fc.assert(
      fc.property(fc.array(operation, { minLength: 1, maxLength: 6 }), (operations) => {
        const patch = operations.map((one) =>
          one.op === 'add'
            ? { ...one, value: one.path.endsWith('weight') ? 500 : { reason: 'because' } }
            : one,
        );
        const result = patched(document, patch);
        if (!result.ok) return;
        const back = patched(result.document, result.inverse);
        expect(back.ok && back.document).toEqual(document);
      }),
    );
  });
});

describe('beside an independent implementation of JSON Patch', () => {
  const path = fc.constantFrom(
    ...['/accepted/one', '/accepted/two', '/accepted/one/reason', '/accepted/no/where'],
    ...['/space/unit', '/name', '/nowhere', '/type/anchors/items/wide/base'],
  );
  const operation = fc.oneof(
    fc.record({
      op: fc.constantFrom('add' as const, 'replace' as const),
      path,
      value: fc.constantFrom<Json>(6, 18, 'words', { reason: 'because' }),
    }),
    fc.record({ op: fc.constant('remove' as const), path }),
  );

  test('what is applied is what rfc6902 applies, and what it refuses is refused', () => {
    fc.assert(
      fc.property(fc.array(operation, { minLength: 1, maxLength: 5 }), (patch) => {
        const theirs = structuredClone(document) as unknown;
        let isRefused: boolean;
        try {
          isRefused = applyPatch(theirs, structuredClone(patch)).some((error) => error !== null);
        } catch {
          // It throws where a place lies within a number.
          isRefused = true;
        }
        const mine = patched(document, patch);
        expect(mine.ok).toBe(!isRefused && validate(theirs).ok);
        if (mine.ok) expect(mine.document).toEqual(theirs);
      }),
      { numRuns: 200 },
    );
  });
});

describe('places', () => {
  test('bear on each other when equal, above or below, and not when merely alike', () => {
    expect(overlaps('/a/b', '/a/b')).toBe(true);
    expect(overlaps('/a', '/a/b')).toBe(true);
    expect(overlaps('/a/b/c', '/a/b')).toBe(true);
    expect(overlaps('/a/b', '/a/bc')).toBe(false);
  });

  test('that bear on another change are all named, each once', () => {
    const patch: Patch = [
      { op: 'replace', path: '/name', value: 'x' },
      { op: 'replace', path: '/space/unit', value: 4 },
      { op: 'replace', path: '/space/unit', value: 5 },
      { op: 'replace', path: '/space/roles', value: {} },
    ];
    expect(overlapsOf(patch, [{ op: 'remove', path: '/space' }])).toEqual([
      '/space/unit',
      '/space/roles',
    ]);
    expect(overlapsOf(patch, [{ op: 'remove', path: '/color' }])).toEqual([]);
  });

  test('are read as RFC 6901 says', () => {
    // RFC 6901, section 5.
    const example = { 'a/b': 1, 'm~n': 8, foo: { bar: 2 } };
    expect(valueAt(example, '/a~1b')).toBe(1);
    expect(valueAt(example, '/m~0n')).toBe(8);
    expect(valueAt(example, '/foo/bar')).toBe(2);
    expect(valueAt(example, '/foo/toString')).toBeUndefined();
  });
});

describe('a stored document', () => {
  test('of this schema is read as it is', () => {
    expect(readDocument(JSON.parse(JSON.stringify(document)))).toEqual({ ok: true, document });
  });

  test('of schema 1 keeps its decisions: two anchors, labels in the face of the headings', () => {
    const without = (value: object, ...keys: string[]) =>
      Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)));
    const { type, brief, ...rest } = document;
    const { anchors, roles } = type;
    const label = { ...roles.items['label'], face: 'heading' };
    const first = {
      ...rest,
      schema: 1,
      brief: without(brief, 'line'),
      type: {
        ...without(type, 'scale', 'rounding'),
        anchors: anchors.items,
        roles: { ...roles, items: { ...roles.items, label } },
      },
    };
    const read = readDocument(first);
    expect(read).toEqual({ ok: true, document: sampleDocument(HANGING) });
    expect(read.ok && derive(read.document).styles.get('label')?.family.id).toBe('archivo');
    expect(readDocument({ ...first, type: 3 })).toMatchObject({ ok: false });
  });

  test('of schema 1 has changes that can still be undone', () => {
    const before = '/type/anchors/narrow/base';
    const upgraded = upgradePatch([{ op: 'replace', path: before, value: 15 }], 1);
    expect(upgraded).toEqual([
      { op: 'replace', path: '/type/anchors/items/narrow/base', value: 15 },
    ]);
    expect(patched(document, upgraded).ok).toBe(true);
    // A change of the newest schema is left alone, whatever it is called.
    const own = [{ op: 'replace', path: before, value: 15 }] as const;
    expect(upgradePatch(own, 2)).toEqual(own);
  });

  test('of a newer schema, or of none, is refused in words', () => {
    const { zoom: _zoom, ...brief } = document.brief;
    expect(readDocument({ ...document, schema: 4, brief })).toEqual({ ok: true, document });
    expect(readDocument({ ...document, schema: 99 })).toMatchObject({ ok: false });
    expect(readDocument('nothing')).toMatchObject({ ok: false });
    expect(readDocument({})).toMatchObject({ ok: false });
  });

  test('with something that no schema knows is refused, and told where', () => {
    const result = validate({ ...document, surprise: 1 });
    expect(result.ok).toBe(false);
  });
});
