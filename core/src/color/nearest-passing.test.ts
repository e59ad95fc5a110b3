import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrastRatio, relativeLuminance } from './contrast.ts';
import { isOfHue, nearestPassing } from './nearest-passing.ts';
import {
  CONES_OF_LINEAR,
  OKLAB_OF_CONES,
  oklabDistance,
  oklabOf,
  oklchOf,
  type Oklab,
} from './oklab.ts';
import { hexOf, linear, rgbOf, type Rgb } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

const gray = (channel: number): Rgb => [channel, channel, channel];

test('#777777 on white becomes #767676: the exact gray that passes rounds to one that does not', () => {
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

test('every gray on many grounds goes to the nearest gray that passes', () => {
  // Brute force over all 256 grays.
  const grays = Array.from({ length: 256 }, (_, level) => hexOf(gray(level / 255)));
  const lightness = grays.map((one) => oklabOf(rgbOf(one))[0]);
  const grounds = [...grays.filter((_, level) => level % 32 === 0), '#ffffff', '#2a6365'] as const;
  const wrong: string[] = [];
  for (const [index, ground] of grounds.entries()) {
    const needed = [3, 4.5, 7][index % 3] ?? 4.5;
    const passing = lightness.filter(
      (_, level) => contrastRatio(grays[level] ?? ground, ground) >= needed,
    );
    grays.forEach((one, level) => {
      const apart = (other: number): number => Math.abs(other - (lightness[level] ?? 0));
      const least = passing.reduce((best, other) => Math.min(best, apart(other)), Infinity);
      const found = nearestPassing(one, ground, needed);
      const reached =
        found === undefined ? Infinity : apart(lightness[grays.indexOf(found)] ?? Infinity);
      if (reached !== least) wrong.push(`${one} on ${ground} at ${needed}: ${String(found)}`);
    });
  }
  expect(wrong).toEqual([]);
});

test('a gray stays gray on a color too', () => {
  expect(nearestPassing('#999999', '#ffffff', 4.5)).toBe('#767676');
  expect(nearestPassing('#777777', '#2a6365', 4.5)).toMatch(/^#(..)\1\1$/);
});

test('no emitted color of the same hue passes nearer by', () => {
  // Brute force over all 16,777,216 emitted colors, for colors all over the cube and near grays.
  const asked = fc
    .sample(fc.tuple(hex, hex), { numRuns: 6, seed: 20 })
    .concat([
      ['#c8692c', '#f8f4ee'],
      ['#0000f8', '#009400'],
      ['#ffff00', '#ffffff'],
      ['#ff00ff', '#ff8800'],
      ['#808184', '#909090'],
      ['#7f8080', '#ffffff'],
    ])
    .map(([color, ground]) => {
      const here = oklabOf(rgbOf(color));
      const lifted = relativeLuminance(ground) + 0.05;
      const polar = oklchOf(here);
      const angle = (polar.hue * Math.PI) / 180;
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
      return { color, ground, here, polar, cos, sin, lifted, least: Infinity };
    })
    .filter(({ color, ground }) => contrastRatio(color, ground) < 4.5);
  // Written out for speed: one pass over the cube with nothing but arithmetic in it.
  const light = Float64Array.from({ length: 256 }, (_, level) => linear(level / 255));
  const [l, m, s] = CONES_OF_LINEAR;
  const [toLightness, toA, toB] = OKLAB_OF_CONES;
  const { cbrt } = Math;
  for (const red of light)
    for (const green of light)
      for (const blue of light) {
        const own = 0.2126 * red + 0.7152 * green + 0.0722 * blue + 0.05;
        let cones: Oklab | undefined;
        for (const one of asked) {
          if ((own > one.lifted ? own / one.lifted : one.lifted / own) < 4.5) continue;
          cones ??= [
            cbrt(l[0] * red + l[1] * green + l[2] * blue),
            cbrt(m[0] * red + m[1] * green + m[2] * blue),
            cbrt(s[0] * red + s[1] * green + s[2] * blue),
          ];
          const [x, y, z] = cones;
          const dl = toLightness[0] * x + toLightness[1] * y + toLightness[2] * z - one.here[0];
          if (dl * dl >= one.least) continue;
          const a = toA[0] * x + toA[1] * y + toA[2] * z;
          const b = toB[0] * x + toB[1] * y + toB[2] * z;
          const squared = dl * dl + (a - one.here[1]) ** 2 + (b - one.here[2]) ** 2;
          if (squared >= one.least) continue;
          // What is so far from the line of a hue is none of it: the exact answer is asked of few.
          if (one.polar.chroma > 0.01 && Math.abs(b * one.cos - a * one.sin) > 0.02) continue;
          if (isOfHue([0, a, b], one.polar)) one.least = squared;
        }
      }
  for (const { color, ground, here, least } of asked) {
    const found = nearestPassing(color, ground, 4.5);
    const reached = found === undefined ? Infinity : oklabDistance(here, oklabOf(rgbOf(found)));
    expect(reached).toBeCloseTo(Math.sqrt(least), 12);
  }
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
