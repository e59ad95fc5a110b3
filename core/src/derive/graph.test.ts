import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sheetCss, sheetOf } from '../formats/sheet.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { StyleDocument } from '../system/document.ts';
import { isSame } from '../same.ts';
import { createDeriver, derive } from './derive.ts';
import { createGraph, node } from './graph.ts';

const document = sampleDocument();

const after = (start: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(start, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

const BASE: Patch = [{ op: 'replace', path: '/type/anchors/items/wide/base', value: 19.5 }];
const BRAND: Patch = [
  { op: 'replace', path: '/color/sources/items/brand/value', value: '#7a3f8f' },
];
const UNIT: Patch = [{ op: 'replace', path: '/space/unit', value: 9 }];
const NAME: Patch = [{ op: 'replace', path: '/name', value: 'another name' }];

test('a node is computed again only when what it reads is another, and what says the same goes on', () => {
  const computed: string[] = [];
  const name = ({ name: own }: StyleDocument) => own;
  const unit = ({ space }: StyleDocument) => space.unit;
  const letters = node('letters', [name], (text) => ({ count: text.length }));
  const both = node('both', [letters, unit], ({ count }, px) => count * px);
  const read = createGraph((one) => computed.push(one));
  const before = read(document)(letters);
  read(document)(both);
  expect(computed.splice(0)).toEqual(['letters', 'both']);
  const sameLength = after(document, [
    { op: 'replace', path: '/name', value: 'x'.repeat(document.name.length) },
  ]);
  expect(read(sameLength)(letters)).toBe(before);
  read(sameLength)(both);
  expect(computed.splice(0)).toEqual(['letters']);
  read(after(sameLength, UNIT))(both);
  expect(computed).toEqual(['both']);
});

const computedFor = (patch: Patch): readonly string[] => {
  const computed: string[] = [];
  let isListening = false;
  const deriver = createDeriver((name) => {
    if (isListening) computed.push(name);
  });
  deriver(document);
  isListening = true;
  deriver(after(document, patch));
  return computed;
};

test('a change of a name computes nothing', () => {
  expect(computedFor(NAME)).toEqual([]);
});

test('a movement in type touches no ramp, no grid, no shadow, and no rule but what hangs on sizes', () => {
  const computed = computedFor(BASE);
  expect(computed).toContain('type: styles');
  for (const name of [
    'color: ramps',
    'color: assignment',
    'space: grid',
    'shape: tokens of shadows',
  ])
    expect(computed).not.toContain(name);
  expect(computed.filter((name) => /rules/.test(name))).toEqual([]);
});

test('a movement of a color or of the unit touches no text', () => {
  for (const patch of [BRAND, UNIT])
    expect(
      computedFor(patch).filter((name) =>
        /^type: (styles|settings|tokens of (styles|scale))/.test(name),
      ),
    ).toEqual([]);
});

test('tokens, rules and maps of what did not change are the very same', () => {
  for (const [patch, changed] of [
    [BASE, /^(scale|type)\./],
    [BRAND, /^(palette|color|gradient|veil|shadow|outline)/],
    [NAME, /^$/],
  ] as const) {
    const deriver = createDeriver();
    const before = deriver(document);
    const now = deriver(after(document, patch));
    const others = now.tokens.filter((token) => before.tokenById.get(token.id) !== token);
    /** What takes its value from a token changes with it. */
    const follows = ({ tier, values: { light } }: (typeof others)[number]): boolean =>
      tier === 'component' && changed.test(light.reference ?? '');
    expect(
      others.filter((one) => !changed.test(one.id) && !follows(one)).map(({ id }) => id),
    ).toEqual([]);
    expect(now.rules).toBe(before.rules);
    expect(now.faces).toBe(before.faces);
  }
});

/** Movements of every kind, one after the other, as many people would make them. */
const movement = fc.oneof(
  fc
    .integer({ min: 60, max: 250 })
    .map((value): Patch => [
      { op: 'replace', path: '/type/anchors/items/wide/base', value: value / 10 },
    ]),
  fc
    .constantFrom('#7a3f8f', '#123456', '#ffffff', '#2a6365')
    .map((value): Patch => [{ op: 'replace', path: '/color/sources/items/brand/value', value }]),
  fc
    .integer({ min: 1, max: 20 })
    .map((value): Patch => [{ op: 'replace', path: '/space/unit', value }]),
  fc
    .constantFrom('page', 'paper', 'ground')
    .map((value): Patch => [{ op: 'replace', path: '/color/roles/items/page/name', value }]),
  fc
    .integer({ min: 0, max: 20 })
    .map((value): Patch => [{ op: 'replace', path: '/color/neutral/tint', value: value / 20 }]),
  fc
    .constantFrom('AA', 'AAA')
    .map((value): Patch => [{ op: 'replace', path: '/brief/conformance', value }]),
  fc
    .boolean()
    .map((isThere): Patch =>
      isThere
        ? [{ op: 'add', path: '/space/parts/card.gap', value: { px: 22 } }]
        : [{ op: 'add', path: '/space/parts/card.gap', value: { role: 'stack' } }],
    ),
);

test('after any movements what was remembered says what is derived anew', () => {
  fc.assert(
    fc.property(fc.array(movement, { minLength: 1, maxLength: 8 }), (movements) => {
      const deriver = createDeriver();
      let here = document;
      deriver(here);
      for (const patch of movements) here = after(here, patch);
      let stepwise = document;
      for (const patch of movements) {
        stepwise = after(stepwise, patch);
        deriver(stepwise);
      }
      const [kept, anew] = [deriver(stepwise), derive(here)];
      const trails = anew.tokens.map(({ id }) => [kept.trailOf(id), anew.trailOf(id)] as const);
      expect(anew.tokens.filter((token, index) => !isSame(token, kept.tokens[index]))).toEqual([]);
      expect(kept.tokens).toHaveLength(anew.tokens.length);
      expect(trails.filter(([one, other]) => !isSame(one, other))).toEqual([]);
      expect(sheetCss(sheetOf(kept))).toBe(sheetCss(sheetOf(anew)));
    }),
    { numRuns: 15 },
  );
});
