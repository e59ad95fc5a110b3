import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { legibility } from './legibility.ts';

test('a whole stroke keeps its contrast, half of one keeps half of what is above 1', () => {
  expect(legibility(7, 1.6)).toBe(7);
  expect(legibility(7, 4)).toBe(7);
  expect(legibility(7, 0.8)).toBe(4);
  expect(legibility(1, 0.2)).toBe(1);
});

test('grows with the contrast and with the stroke, and never beyond the contrast', () => {
  const ratio = fc.double({ min: 1, max: 21, noNaN: true });
  const stroke = fc.double({ min: 0.05, max: 9, noNaN: true });
  fc.assert(
    fc.property(ratio, stroke, (one, px) => {
      const found = legibility(one, px);
      expect(found).toBeLessThanOrEqual(one);
      expect(found).toBeGreaterThanOrEqual(1);
      expect(legibility(one + 0.5, px)).toBeGreaterThan(found);
      expect(legibility(one, px + 0.1)).toBeGreaterThanOrEqual(found);
    }),
  );
});
