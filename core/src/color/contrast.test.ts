import { expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import {
  contrastRatio,
  contrastTable,
  isLargeText,
  neededContrast,
  relativeLuminance,
} from './contrast.ts';
import { hexOf, type Hex } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

// WCAG 2.2, contrast ratio; the figures recomputed with colorjs.io 0.7 while writing.
test.each([
  ['#777777', 4.4781],
  ['#767676', 4.5422],
  ['#949494', 3.0335],
  ['#959595', 2.9953],
  ['#5a5a5a', 6.8969],
  ['#595959', 7.0047],
  ['#000000', 21],
  ['#ffffff', 1],
] as const)('%s on white has the ratio %d', (color, ratio) => {
  expect(contrastRatio(color, '#ffffff')).toBeCloseTo(ratio, 3);
});

test('#777777 on white misses 4.5 by a hair, and is not rounded up', () => {
  expect(contrastRatio('#777777', '#ffffff')).toBeLessThan(4.5);
});

test('thousands of random pairs agree with a second color library', () => {
  // colorjs.io 0.7, contrastWCAG21.
  fc.assert(
    fc.property(hex, hex, (one, other) => {
      const reference = new Color(one).contrastWCAG21(new Color(other));
      expect(Math.abs(contrastRatio(one, other) - reference)).toBeLessThan(0.005);
    }),
    { numRuns: 3000 },
  );
});

test('luminance runs from 0 for black to 1 for white', () => {
  expect(relativeLuminance('#000000')).toBe(0);
  expect(relativeLuminance('#ffffff')).toBeCloseTo(1, 10);
});

// WCAG 2.2, large scale text: 18 pt, or 14 pt and bold.
test.each([
  [24, 400, true],
  [23.99, 400, false],
  [56 / 3, 700, true],
  [18.66, 700, false],
  [20, 600, false],
])('text of %d px at weight %d is large: %s', (size, weight, large) => {
  expect(isLargeText(size, weight)).toBe(large);
});

// WCAG 2.2, 1.4.3 and 1.4.6.
test.each([
  [16, 400, 'AA', 4.5],
  [24, 400, 'AA', 3],
  [16, 400, 'AAA', 7],
  [24, 400, 'AAA', 4.5],
] as const)('%d px at weight %d needs at %s %d', (size, weight, level, needed) => {
  expect(neededContrast(size, weight, level)).toBe(needed);
});

test('the table of all colors on all colors says the same as pair by pair', () => {
  const colors: Hex[] = ['#000000', '#777777', '#b5391a', '#2a6365', '#ffffff'];
  const table = contrastTable(colors);
  colors.forEach((one, row) =>
    colors.forEach((other, column) => {
      expect(table[row * colors.length + column]).toBeCloseTo(contrastRatio(one, other), 12);
    }),
  );
});
