import { expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { inGamut, toSrgb } from './gamut.ts';
import { oklabDistance, oklabOf, oklchOf } from './oklab.ts';
import { hexOf, rgbOf } from './srgb.ts';

const oklch = fc.record({
  lightness: fc.double({ min: 0, max: 1, noNaN: true }),
  chroma: fc.double({ min: 0, max: 0.4, noNaN: true }),
  hue: fc.double({ min: 0, max: 360, noNaN: true }),
});

test('every color ends within sRGB', () => {
  fc.assert(fc.property(oklch, (color) => inGamut(toSrgb(color))));
});

test('a color that sRGB holds stays what it is', () => {
  for (const hex of ['#b5391a', '#2a6365', '#c8f04a', '#101010'] as const)
    expect(hexOf(toSrgb(oklchOf(oklabOf(rgbOf(hex)))))).toBe(hex);
});

test('mapping agrees with a second library’s mapping of CSS Color 4', () => {
  // colorjs.io 0.7, toGamutCSS. The search stops within 0.02, so that two ways of stopping may differ by that.
  fc.assert(
    fc.property(oklch, (color) => {
      const { lightness, chroma, hue } = color;
      const reference = new Color('oklch', [lightness, chroma, hue]).toGamut({
        space: 'srgb',
        method: 'css',
      });
      const [l = 0, a = 0, b = 0] = reference.to('oklab').coords.map((value) => value ?? 0);
      expect(oklabDistance(oklabOf(toSrgb(color)), [l, a, b])).toBeLessThan(0.02);
    }),
  );
});

test('beyond white is white, below black is black', () => {
  expect(hexOf(toSrgb({ lightness: 1.2, chroma: 0.1, hue: 30 }))).toBe('#ffffff');
  expect(hexOf(toSrgb({ lightness: -0.1, chroma: 0.1, hue: 30 }))).toBe('#000000');
});
