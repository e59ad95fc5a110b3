import { describe, expect, test } from '@jest/globals';
import { converter, inGamut } from 'culori';
import fc from 'fast-check';
import { gamutOf } from './gamut-limits.ts';
import { oklabOf, oklchOf } from './oklab.ts';
import { NO_SHIFT, shifted } from './shift.ts';
import { hexOf, rgbOf } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

const polar = (color: string) => oklchOf(oklabOf(rgbOf(color)));

describe('a shift', () => {
  test('of nothing gives the very color back', () => {
    fc.assert(fc.property(hex, (color) => expect(shifted(color, NO_SHIFT)).toBe(color)));
  });

  test('to no chroma is gray of the same lightness', () => {
    fc.assert(
      fc.property(hex, (color) => {
        const gray = shifted(color, { ...NO_SHIFT, chroma: 0 });
        expect(polar(gray).chroma).toBeLessThan(0.005);
        const { lightness } = polar(color);
        if (lightness > 0.06 && lightness < 0.98)
          expect(polar(gray).lightness).toBeCloseTo(lightness, 1);
      }),
    );
  });

  test('of the hue turns it and keeps the lightness', () => {
    const before = polar('#2a6365');
    const after = polar(shifted('#2a6365', { ...NO_SHIFT, hue: 40 }));
    // 8 bits hold a hue of so little chroma to about a degree.
    expect(Math.abs(after.hue - before.hue - 40)).toBeLessThan(1.5);
    expect(after.lightness).toBeCloseTo(before.lightness, 2);
  });

  test('towards warmth makes blue less blue and orange more so', () => {
    const b = (color: string): number => oklabOf(rgbOf(color))[2];
    for (const color of ['#2a6365', '#888888', '#c9a25a'] as const) {
      expect(b(shifted(color, { ...NO_SHIFT, warmth: 0.5 }))).toBeGreaterThan(b(color));
      expect(b(shifted(color, { ...NO_SHIFT, warmth: -0.5 }))).toBeLessThan(b(color));
    }
  });
});

test('the limits of sRGB and P3 are those of an independent library', () => {
  // culori: the same OKLCH colors, asked whether either gamut holds them.
  const inSrgb = inGamut('rgb');
  const inP3 = inGamut('p3');
  const toP3 = converter('p3');
  const parts = fc.tuple(
    fc.double({ min: 0.1, max: 0.95, noNaN: true }),
    fc.double({ min: 0, max: 0.35, noNaN: true }),
    fc.double({ min: 0, max: 359, noNaN: true }),
  );
  let disagreed = 0;
  fc.assert(
    fc.property(parts, ([lightness, chroma, hue]) => {
      const theirs = { mode: 'oklch', l: lightness, c: chroma, h: hue } as const;
      const expected = inSrgb(theirs) ? 'srgb' : inP3(toP3(theirs)) ? 'p3' : 'beyond';
      // A color on the very edge may fall to either side by rounding.
      if (gamutOf({ lightness, chroma, hue }) !== expected) disagreed += 1;
    }),
    { numRuns: 2000 },
  );
  expect(disagreed).toBeLessThan(6);
});
