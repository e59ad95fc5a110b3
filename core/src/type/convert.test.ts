import { expect, test } from '@jest/globals';
import { convert, LENGTH_UNITS } from './convert.ts';

const context = { fontPx: 20, parentPx: 18, viewportPx: 720, containerPx: 360 };

// CSS Values 4 and CSS Containment 3, by hand.
test.each([
  [1.5, 'rem', 'px', 24],
  [24, 'px', 'em', 1.2],
  [150, '%', 'px', 27],
  [36, 'px', 'vw', 5],
  [36, 'px', 'vi', 5],
  [36, 'px', 'cqi', 10],
  [2, 'em', 'rem', 2.5],
] as const)('%d %s in %s is %d', (value, from, to, result) => {
  expect(convert(value, from, to, context)).toBeCloseTo(result, 10);
});

test('there and back is the same in every unit', () => {
  for (const one of LENGTH_UNITS)
    for (const other of LENGTH_UNITS)
      expect(convert(convert(7, one, other, context), other, one, context)).toBeCloseTo(7, 10);
});
