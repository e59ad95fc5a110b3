import { expect, test } from '@jest/globals';
import { blend } from 'culori';
import fc from 'fast-check';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { treat } from './treat.ts';

const level = fc.nat(255);
const color = fc
  .tuple(level, level, level)
  .map(([r, g, b]): Hex => hexOf([r / 255, g / 255, b / 255]));
const levels = (hex: Hex): number[] => rgbOf(hex).map((share) => Math.round(share * 255));
const one = (hex: Hex, alpha = 255) => ({
  data: Uint8ClampedArray.from([...levels(hex), alpha]),
  width: 1,
  height: 1,
});

/** A browser rounds to 8 bits between the steps, the source does not. */
const near = (found: Uint8ClampedArray, wanted: readonly number[], by: number): void => {
  for (const [at, value] of wanted.entries())
    expect(Math.abs((found[at] ?? 0) - value)).toBeLessThanOrEqual(by);
  expect(found[3]).toBe(255);
};

test('faint is the picture laid over its ground', () => {
  fc.assert(
    fc.property(color, color, fc.integer({ min: 5, max: 100 }), (own, ground, percent) => {
      const found = treat(one(own), { kind: 'faint', opacity: percent / 100, ground });
      const [red, green, blue] = rgbOf(own);
      // Source: culori, source over of Compositing 1.
      const { r, g, b } = blend([
        ground,
        { mode: 'rgb', r: red, g: green, b: blue, alpha: percent / 100 },
      ]);
      near(found.data, [r * 255, g * 255, b * 255], 1);
    }),
  );
});

test('toned is gray, multiplied by the light tone and never darker than the dark one', () => {
  fc.assert(
    fc.property(color, color, color, (own, light, dark) => {
      const found = treat(one(own), { kind: 'toned', light, dark });
      const [red = 0, green = 0, blue = 0] = levels(own);
      // Source: Filter Effects 1, the matrix of grayscale(1).
      const gray = (0.2126 * red + 0.7152 * green + 0.0722 * blue) / 255;
      // Source: culori, multiply and lighten of Compositing 1.
      const multiplied = blend([light, hexOf([gray, gray, gray])], 'multiply');
      const { r, g, b } = blend([multiplied, dark], 'lighten');
      near(found.data, [r * 255, g * 255, b * 255], 1.6);
    }),
  );
});

test('black becomes the dark tone, and white the light one', () => {
  const tones = { kind: 'toned', light: '#f0e0c0', dark: '#203040' } as const;
  expect([...treat(one('#000000'), tones).data]).toEqual([0x20, 0x30, 0x40, 255]);
  expect([...treat(one('#ffffff'), tones).data]).toEqual([0xf0, 0xe0, 0xc0, 255]);
  // What is transparent lies on white.
  expect([...treat(one('#000000', 0), tones).data]).toEqual([0xf0, 0xe0, 0xc0, 255]);
});
