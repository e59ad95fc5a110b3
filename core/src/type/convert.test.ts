import { expect, test } from '@jest/globals';
import { convert, lengthsIn, LENGTH_UNITS, MOST_LENGTHS } from './convert.ts';

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

test('several lengths are read from a row, each in its unit or in the one that is given', () => {
  expect(lengthsIn('12, 1.5rem;24PX\n-2em  50%', 'rem')).toEqual([
    { value: 12, unit: 'rem' },
    { value: 1.5, unit: 'rem' },
    { value: 24, unit: 'px' },
    { value: -2, unit: 'em' },
    { value: 50, unit: '%' },
  ]);
  // One alone, a sum, and what is no length are no list.
  for (const text of [
    '',
    '12',
    '12 + 4',
    '12 a lot',
    '1px 2furlongs',
    '1.2.3 4',
    '__proto__ 1',
    '12 13constructor',
  ])
    expect([text, lengthsIn(text, 'px')]).toEqual([text, undefined]);
  const many = Array.from({ length: MOST_LENGTHS + 1 }, (_, index) => `${index}px`);
  expect(lengthsIn(many.join(' '), 'px')).toBeUndefined();
  expect(lengthsIn(many.slice(1).join(' '), 'px')).toHaveLength(MOST_LENGTHS);
});
