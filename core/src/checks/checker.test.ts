import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createDeriver, derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { patched, type Patch } from '../system/patch.ts';
import type { StyleDocument } from '../system/document.ts';
import { CHECKS, createChecker, findingsOf } from './checks.ts';
import type { Finding } from './finding.ts';

const document = sampleDocument();

const after = (start: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(start, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

const SMALL: Patch = [{ op: 'replace', path: '/type/anchors/items/narrow/base', value: 9 }];
const PALE: Patch = [
  {
    op: 'replace',
    path: '/color/roles/items/text/light',
    value: { kind: 'own', value: '#aaaaaa' },
  },
];
const STEEP: Patch = [{ op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.9 }];
const NAME: Patch = [{ op: 'replace', path: '/name', value: 'another' }];
const UNIT: Patch = [{ op: 'replace', path: '/space/unit', value: 3 }];
const AGAIN: Patch = [{ op: 'replace', path: '/type/anchors/items/narrow/base', value: 17 }];

/** What a check of the whole says of a document, told once for all that say the same. */
const whole = new Map<string, readonly Finding[]>();
function wholeOf(one: StyleDocument): readonly Finding[] {
  const key = JSON.stringify(one);
  const found = whole.get(key) ?? findingsOf(one, derive(one));
  whole.set(key, found);
  return found;
}

test('after any changes in any order it says what a check of the whole says', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(SMALL, PALE, STEEP, NAME, UNIT, AGAIN), { minLength: 1 }),
      (changes) => {
        const check = createChecker();
        const deriver = createDeriver();
        let here = document;
        for (const patch of changes) {
          here = after(here, patch);
          expect(check(here, deriver(here))).toEqual(wholeOf(here));
        }
      },
    ),
    { numRuns: 25 },
  );
});

test('findings that say the same are the very same, and the list where nothing changed', () => {
  const check = createChecker();
  const deriver = createDeriver();
  const small = after(document, SMALL);
  const before = check(small, deriver(small));
  expect(before.length).toBeGreaterThan(0);
  const named = after(small, NAME);
  expect(check(named, deriver(named))).toBe(before);
  const paler = after(named, PALE);
  const now = check(paler, deriver(paler));
  const body = before.find(({ id }) => id === 'size:body');
  expect(now).toContain(body);
  expect(now.length).toBeGreaterThan(before.length);
});

test.each(CHECKS.map((check, index) => [index, check] as const))(
  'check %i reads something, and the same twice',
  (_, check) => {
    const derived = derive(document);
    const read = check.reads(document, derived);
    expect(read.length).toBeGreaterThan(0);
    expect(read).not.toContain(undefined);
    expect(check.reads(document, derived)).toEqual(read);
  },
);

test('asked one after the other the checks say the same, and are not asked again', () => {
  const pale = after(document, PALE);
  const derived = derive(pale);
  const check = createChecker();
  const steps = [...check.warm(pale, derived)];
  expect(steps).toHaveLength(CHECKS.length);
  const found = check(pale, derived);
  expect(found).toEqual(findingsOf(pale, derived));
  expect(found.length).toBeGreaterThan(0);
  expect(check(pale, derived)).toBe(found);
});
