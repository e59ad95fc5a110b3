import { expect, test } from '@jest/globals';
import { isOver, median, ms, tableOf, TOLERANCE } from './measure.ts';

test('a limit is passed beyond the tolerance, by what is no number too, and never where there is none', () => {
  expect(isOver(ms('one', 4 * (1 + TOLERANCE), '', 4))).toBe(false);
  expect(isOver(ms('one', 4 * (1 + TOLERANCE) + 0.01, '', 4))).toBe(true);
  expect(isOver(ms('one', NaN, '', 4))).toBe(true);
  expect(isOver(ms('one', 1e6))).toBe(false);
});

test('the middle of several is told, and each row stands in the table', () => {
  expect(median([9, 1, 5])).toBe(5);
  expect(tableOf([ms('one', 3.14159, 'beside', 4)])).toContain(
    '| one | 3.14 ms | 4.00 ms | beside |',
  );
});
