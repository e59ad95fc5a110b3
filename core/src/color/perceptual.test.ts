import { expect, test } from '@jest/globals';
import { perceptualContrast } from './perceptual.ts';

// The published test values of version 0.1.9.
test.each([
  ['#888888', '#ffffff', 63.056469930209424],
  ['#ffffff', '#888888', -68.54146436644962],
  ['#000000', '#aaaaaa', 58.146262578561334],
  ['#aaaaaa', '#000000', -56.24113336839742],
  ['#112233', '#ddeeff', 91.66830811481631],
  ['#ddeeff', '#112233', -93.06770049484275],
  ['#112233', '#444444', 8.32326136957393],
  ['#444444', '#112233', -7.526878460278154],
] as const)('%s on %s is %d', (text, ground, value) => {
  expect(perceptualContrast(text, ground)).toBeCloseTo(value, 3);
});

test('the same color on itself has none', () => {
  expect(perceptualContrast('#777777', '#777777')).toBe(0);
});
