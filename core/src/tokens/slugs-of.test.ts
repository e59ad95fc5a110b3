import { expect, test } from '@jest/globals';
import { slugsOf } from './slugs-of.ts';

const named = (...names: readonly string[]) => ({
  order: names.map((_, index) => `id-${index}`),
  items: Object.fromEntries(names.map((name, index) => [`id-${index}`, { name }])),
});

test('names of a collection become parts of paths, alike ones numbered in their order', () => {
  expect([...slugsOf(named('Deep Sea', 'deep sea', 'Übermut', '—'))]).toEqual([
    ['id-0', 'deep-sea'],
    ['id-1', 'deep-sea-2'],
    ['id-2', 'ubermut'],
    ['id-3', 'unnamed'],
  ]);
});

test('are made once for a collection, and anew for another that says the same', () => {
  const one = named('a', 'b');
  expect(slugsOf(one)).toBe(slugsOf(one));
  expect(slugsOf(named('a', 'b'))).not.toBe(slugsOf(one));
  expect(slugsOf(named('a', 'b'))).toEqual(slugsOf(one));
});

test('what the order does not name has none', () => {
  const { order, items } = named('a', 'b');
  expect([...slugsOf({ order: order.slice(0, 1), items }).keys()]).toEqual(['id-0']);
});
