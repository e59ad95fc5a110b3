import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrastRatio } from './contrast.ts';
import { inGamut } from './gamut.ts';
import { isOfHue, nearestPassing } from './nearest-passing.ts';
import { oklabDistance, oklabOf, oklabOfOklch, oklchOf, rgbOfOklab } from './oklab.ts';
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

test('no emitted color of the same hue passes nearer by', () => {
  fc.assert(
    fc.property(hex, hex, (color, ground) => {
      const found = nearestPassing(color, ground, 4.5);
      if (found === undefined || found === color) return;
      const here = oklabOf(rgbOf(color));
      const polar = oklchOf(here);
      const least = oklabDistance(here, oklabOf(rgbOf(found)));
      // Every emitted color of the plane of the hue, finer than 8 bits can tell apart.
      const nearer: string[] = [];
      for (let step = 0; step <= 250; step += 1)
        for (let part = 0; part <= 40; part += 1) {
          const lightness = step / 250;
          const chroma = (polar.chroma * 1.5 * part) / 40;
          if (Math.hypot(lightness - polar.lightness, chroma - polar.chroma) > least) continue;
          const rgb = rgbOfOklab(oklabOfOklch({ lightness, chroma, hue: polar.hue }));
          if (!inGamut(rgb)) continue;
          const other = hexOf(rgb);
          const lab = oklabOf(rgbOf(other));
          if (oklabDistance(here, lab) >= least || !isOfHue(lab, polar)) continue;
          if (contrastRatio(other, ground) >= 4.5) nearer.push(other);
        }
      expect(nearer).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test('finds the pure blue that the plane of its hue leaves by less than a level', () => {
  expect(nearestPassing('#0000f8', '#009400', 4.5)).toBe('#01005e');
});

test('keeps the hue', () => {
  for (const color of ['#b5391a', '#2a6365', '#c8f04a', '#4b3f8f'] as const) {
    const polar = oklchOf(oklabOf(rgbOf(color)));
    for (const ground of ['#ffffff', '#000000'] as const) {
      const found = nearestPassing(color, ground, 7);
      expect(found && isOfHue(oklabOf(rgbOf(found)), polar)).toBe(true);
    }
  }
});
