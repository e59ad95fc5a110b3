import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrastRatio } from './contrast.ts';
import { toSrgb } from './gamut.ts';
import { nearestPassing } from './nearest-passing.ts';
import { oklabDistance, oklabOf, oklchOf } from './oklab.ts';
import { hexOf, rgbOf } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

test('#777777 on white becomes #767676: the exact grey that passes rounds to one that does not', () => {
  // Arithmetic: the exact limit is 118.66 of 255, which rounds to 119, and that fails.
  expect(nearestPassing('#777777', '#ffffff', 4.5)).toBe('#767676');
});

test('a color that passes stays', () => {
  expect(nearestPassing('#000000', '#ffffff', 7)).toBe('#000000');
});

test('what no lightness reaches is said', () => {
  expect(nearestPassing('#808080', '#777777', 7)).toBeUndefined();
});

test('what comes back always passes', () => {
  fc.assert(
    fc.property(hex, hex, (color, ground) => {
      const found = nearestPassing(color, ground, 4.5);
      if (found !== undefined) expect(contrastRatio(found, ground)).toBeGreaterThanOrEqual(4.5);
    }),
  );
});

test('no other lightness of the same hue and chroma passes nearer by', () => {
  fc.assert(
    fc.property(
      hex,
      hex,
      fc.double({ min: 0, max: 1, noNaN: true }),
      (color, ground, lightness) => {
        const found = nearestPassing(color, ground, 4.5);
        const here = oklabOf(rgbOf(color));
        const other = hexOf(toSrgb({ ...oklchOf(here), lightness }));
        if (contrastRatio(other, ground) < 4.5) return;
        expect(found).toBeDefined();
        // The search looks at 1024 lightnesses, so that another may be nearer by a part of a step.
        const least = oklabDistance(here, oklabOf(rgbOf(found ?? '#000000')));
        expect(oklabDistance(here, oklabOf(rgbOf(other)))).toBeGreaterThan(least - 0.002);
      },
    ),
    { numRuns: 300 },
  );
});
