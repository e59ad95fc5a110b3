import { expect, test } from '@jest/globals';
import { sampleDocument } from '@garnish/core/system/sample';
import { patched, type Patch } from '@garnish/core/system/patch';
import fc from 'fast-check';
import { continued, wordsOf } from './pending.ts';
import type { Pending } from './unsaved.ts';

const change = (patch: Patch, inverse: Patch): Pending => ({
  id: 'id',
  author: 'me',
  window: 'here',
  gesture: 'drag',
  kind: 'change',
  label: 'drag',
  patch,
  inverse,
  base: 0,
  settled: [],
  sequence: 0,
});

const operation = fc.oneof(
  fc.record({
    op: fc.constantFrom('replace' as const, 'add' as const),
    path: fc.constantFrom('/space/unit', '/type/anchors/items/wide/base'),
    value: fc.integer({ min: 6, max: 40 }),
  }),
  fc.record({
    op: fc.constant('add' as const),
    path: fc.constantFrom('/accepted/one', '/accepted/one/reason', '/accepted/two'),
    value: fc.constant('because'),
  }),
  fc.record({
    op: fc.constant('remove' as const),
    path: fc.constantFrom('/accepted/one', '/accepted/two'),
  }),
);

test('a gesture in one change leads where its movements led, and back, whatever they were', () => {
  const document = sampleDocument();
  fc.assert(
    fc.property(fc.array(operation, { minLength: 1, maxLength: 8 }), (operations) => {
      let here = document;
      let pending: Pending | undefined;
      for (const one of operations) {
        const value = one.path.endsWith('/reason') ? 'because' : { reason: 'because' };
        const patch: Patch = [
          one.op === 'add' && one.path.startsWith('/accepted') ? { ...one, value } : one,
        ];
        const result = patched(here, patch);
        if (!result.ok) continue;
        here = result.document;
        pending = pending
          ? continued(pending, patch, result.inverse)
          : change(patch, result.inverse);
      }
      if (!pending) return;
      const there = patched(document, pending.patch);
      expect(there.ok && there.document).toEqual(here);
      const back = patched(here, pending.inverse);
      expect(back.ok && back.document).toEqual(document);
    }),
    { numRuns: 60 },
  );
});

test('thousands of movements of two places are two operations', () => {
  let pending = change(
    [{ op: 'replace', path: '/space/unit', value: 1 }],
    [{ op: 'replace', path: '/space/unit', value: 0 }],
  );
  for (let move = 2; move < 5000; move += 1)
    pending = continued(
      pending,
      [
        { op: 'replace', path: '/space/unit', value: move },
        { op: 'replace', path: '/name', value: String(move) },
      ],
      [
        { op: 'replace', path: '/name', value: String(move - 1) },
        { op: 'replace', path: '/space/unit', value: move - 1 },
      ],
    );
  expect(pending.patch).toEqual([
    { op: 'replace', path: '/space/unit', value: 4999 },
    { op: 'replace', path: '/name', value: '4999' },
  ]);
  expect(pending.inverse).toEqual([
    { op: 'replace', path: '/name', value: '1' },
    { op: 'replace', path: '/space/unit', value: 0 },
  ]);
});

test('what changes say can be copied', () => {
  expect(
    wordsOf([
      change(
        [
          { op: 'replace', path: '/name', value: 'Mine' },
          { op: 'add', path: '/accepted/x', value: { reason: 'so' } },
          { op: 'remove', path: '/content/pattern' },
        ],
        [],
      ),
    ]),
  ).toBe('/name: Mine\n/accepted/x: {"reason":"so"}');
});
