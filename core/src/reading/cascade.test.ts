import { expect, test } from '@jest/globals';
import { inCascade, specificityOf } from './cascade.ts';
import { driftOf } from './drift.ts';
import { derive } from '../derive/derive.ts';
import { inferredFrom } from './inferred.ts';
import { readSheet } from './read-sheet.ts';
import { sampleDocument } from '../system/sample.ts';

const valuesIn = (css: string): readonly string[] =>
  inCascade([readSheet(css, 'x.css')]).map(({ value }) => value);

test('layers come before what stands in none, forced ones the other way round', () => {
  expect(
    valuesIn(`a { color: free } @layer late { a { color: late } }
      @layer early, late; @layer late.inner { a { color: inner } }
      @layer other { a { color: other !important } } a { color: forced !important }`),
  ).toEqual(['inner', 'late', 'free', 'forced', 'other']);
});

test('a layer that is named first is the first, whatever stands in it later', () => {
  expect(
    valuesIn(
      '@layer base, theme; @layer theme { a { color: theme } } @layer base { a { color: base } }',
    ),
  ).toEqual(['base', 'theme']);
});

/** Worked examples of Selectors 4, 17, and what :is and :where count for. */
test.each([
  ['*', 0, 0, 0],
  ['LI', 0, 0, 1],
  ['UL LI', 0, 0, 2],
  ['H1 + *[REL=up]', 0, 1, 1],
  ['UL OL LI.red', 0, 1, 3],
  ['LI.red.level', 0, 2, 1],
  ['#x34y', 1, 0, 0],
  ['#s12:not(FOO)', 1, 0, 1],
  ['.foo :is(.bar, #baz)', 1, 1, 0],
  [':where(#a, .b) c', 0, 0, 1],
  ['a, #b', 1, 0, 0],
])('%s counts %i %i %i', (selector, a, b, c) => {
  expect(specificityOf(selector)).toEqual({ a, b, c });
});

test('what is proposed, and how far something has drifted, follows the value that holds', () => {
  const css = `@layer reset, site;
    @layer site { :root { --base: 20px } body { font-size: var(--base) } }
    @layer reset { :root { --base: 13px } body { font-size: 13px } }
    h1 { font-size: 40px } h2 { font-size: 28.28px } h3 { font-size: 20px }`;
  const scale = inferredFrom([readSheet(css, 'x.css')]).proposals.find(({ id }) => id === 'scale');
  expect(scale?.value).toMatch(/^20 px/);
  const system = sampleDocument();
  const { rows } = driftOf(system, derive(system), [readSheet(css, 'x.css')]);
  expect(rows.find(({ value }) => value === 'var(--base)')?.filled).toBe('20px');
});
