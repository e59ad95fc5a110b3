import { expect, test } from '@jest/globals';
import { proposalOrder } from './proposals.ts';

test('every rank is proposed once', () => {
  expect([...proposalOrder(40, 'archivo')].sort((one, other) => one - other)).toEqual(
    Array.from({ length: 40 }, (_, rank) => rank),
  );
});

test('the same seed gives the same order, another seed another one', () => {
  expect(proposalOrder(40, 'archivo')).toEqual(proposalOrder(40, 'archivo'));
  expect(proposalOrder(40, 'archivo')).not.toEqual(proposalOrder(40, 'literata'));
});

test('better ranks tend to come earlier', () => {
  const places = Array.from({ length: 300 }, (_, seed) => {
    const order = proposalOrder(40, String(seed));
    return [order.indexOf(0), order.indexOf(39)];
  });
  const mean = (which: 0 | 1): number =>
    places.reduce((sum, place) => sum + (place[which] ?? 0), 0) / places.length;
  expect(mean(0)).toBeLessThan(10);
  expect(mean(1)).toBeGreaterThan(20);
});

test('nothing to propose is no order', () => {
  expect(proposalOrder(0, 'x')).toEqual([]);
});
