import { expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { oklabDistance, oklabOf, oklabOfOklch, oklchOf, rgbOfOklab } from './oklab.ts';
import { hexOf, isHex, rgbOf } from './srgb.ts';

// CSS Color 4, sample code.
test.each([
  ['#ff0000', [0.62796, 0.22486, 0.12585], 29.234],
  ['#00ff00', [0.86644, -0.23389, 0.1795], 142.495],
  ['#0000ff', [0.45201, -0.03246, -0.31153], 264.052],
] as const)('OKLab and hue of %s are those of CSS Color 4', (hex, lab, hue) => {
  const here = oklabOf(rgbOf(hex));
  lab.forEach((value, index) => expect(here[index]).toBeCloseTo(value, 4));
  expect(oklchOf(here).hue).toBeCloseTo(hue, 2);
});

const channel = fc.double({ min: 0, max: 1, noNaN: true });
const rgb = fc.tuple(channel, channel, channel);

test('OKLab agrees with a second color library', () => {
  // colorjs.io 0.7; its matrices have more digits than those of the sample code.
  fc.assert(
    fc.property(rgb, (color) => {
      const reference = new Color('srgb', [...color]).to('oklab').coords;
      oklabOf(color).forEach((value, index) =>
        expect(Math.abs(value - (reference[index] ?? NaN))).toBeLessThan(1e-4),
      );
    }),
  );
});

test('to OKLab and OKLCH and back is the same color', () => {
  fc.assert(
    fc.property(rgb, (color) => {
      const back = rgbOfOklab(oklabOfOklch(oklchOf(oklabOf(color))));
      color.forEach((value, index) =>
        expect(Math.abs(value - (back[index] ?? NaN))).toBeLessThan(0.005),
      );
    }),
  );
});

test('black and white are a distance of 1 apart, a color none from itself', () => {
  const black = oklabOf([0, 0, 0]);
  expect(oklabDistance(black, oklabOf([1, 1, 1]))).toBeCloseTo(1, 6);
  expect(oklabDistance(black, black)).toBe(0);
});

test('an emitted color is #rrggbb, and reading it gives it back', () => {
  fc.assert(
    fc.property(rgb, (color) => {
      const hex = hexOf(color);
      expect(isHex(hex)).toBe(true);
      expect(hexOf(rgbOf(hex))).toBe(hex);
    }),
  );
});

test('what is not #rrggbb is refused', () => {
  expect(() => rgbOf('#fff')).toThrow(RangeError);
  expect(() => rgbOf('#GGGGGG')).toThrow(RangeError);
});
