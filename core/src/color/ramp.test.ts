import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabOf, oklchOf } from './oklab.ts';
import {
  lightnessesOf,
  neutralsOf,
  rampOf,
  RUNG_NAMES,
  rungName,
  RUNGS,
  USUAL_SHAPE,
} from './ramp.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

const lightnesses = (colors: readonly Hex[]): number[] =>
  colors.map((color) => oklabOf(rgbOf(color))[0]);

const falls = (values: readonly number[]): boolean =>
  values.slice(1).every((value, index) => value < (values[index] ?? 0));

describe('a ramp', () => {
  test('keeps its source unchanged, whatever it is', () => {
    fc.assert(
      fc.property(hex, (source) => {
        const { colors, seat } = rampOf(source);
        expect(colors).toHaveLength(RUNGS);
        expect(colors[seat]).toBe(source);
      }),
      { numRuns: 400 },
    );
  });

  test('falls strictly in lightness from paper to ink', () => {
    fc.assert(
      fc.property(hex, (source) => falls(lightnesses(rampOf(source).colors))),
      { numRuns: 400 },
    );
  });

  test('has even steps within 5 %, but beside its source, as far as 8 bits allow', () => {
    fc.assert(
      fc.property(hex, (source) => {
        const { lightness } = oklchOf(oklabOf(rgbOf(source)));
        const { steps, seat = 0 } = lightnessesOf(USUAL_SHAPE, lightness);
        const widths = steps.slice(1).map((value, index) => (steps[index] ?? 0) - value);
        const apart = widths.filter((_, index) => index !== seat && index !== seat - 1);
        expect(Math.max(...apart) / Math.min(...apart)).toBeLessThan(1.05);
      }),
      { numRuns: 400 },
    );
    for (const source of ['#b5391a', '#2a6365', '#c8f04a', '#808080'] as const) {
      const { colors } = rampOf(source);
      const { steps } = lightnessesOf(USUAL_SHAPE, oklchOf(oklabOf(rgbOf(source))).lightness);
      lightnesses(colors).forEach((value, rung) => {
        expect(Math.abs(value - (steps[rung] ?? 0))).toBeLessThan(0.022);
      });
    }
  });

  test('takes lightness by hand, in a strict order, and never for its source', () => {
    fc.assert(
      fc.property(
        hex,
        fc.dictionary(
          fc.integer({ min: 1, max: RUNGS }).map(String),
          fc.double({ min: 0.05, max: 0.99, noNaN: true }),
          { maxKeys: 5 },
        ),
        (source, positions) => {
          const { lightness } = oklchOf(oklabOf(rgbOf(source)));
          const { steps, seat = 0 } = lightnessesOf({ ...USUAL_SHAPE, positions }, lightness);
          expect(steps[seat]).toBe(lightness);
          expect(falls(steps)).toBe(true);
        },
      ),
    );
    const moved = { ...USUAL_SHAPE, positions: { '3': 0.9 } };
    expect(lightnessesOf(moved, 0.5).steps[2]).toBe(0.9);
  });

  test('turns its hue and keeps more chroma at the ends where the shape says so', () => {
    const shape = { ...USUAL_SHAPE, driftAtInk: 40, chromaAtInk: 0.9 };
    const plain = rampOf('#b5391a').colors[13] ?? '#000000';
    const turned = rampOf('#b5391a', shape).colors[13] ?? '#000000';
    const [before, after] = [plain, turned].map((color) => oklchOf(oklabOf(rgbOf(color))));
    expect((after?.hue ?? 0) - (before?.hue ?? 0)).toBeGreaterThan(8);
    expect(rampOf('#b5391a', shape).colors[rampOf('#b5391a', shape).seat]).toBe('#b5391a');
  });

  test('of white or black keeps a strict order too', () => {
    for (const source of ['#ffffff', '#000000'] as const)
      expect(falls(lightnesses(rampOf(source).colors))).toBe(true);
  });
});

describe('neutrals', () => {
  test('without tint are greys', () => {
    for (const color of neutralsOf('#b5391a', 0)) {
      const [, a, b] = oklabOf(rgbOf(color));
      expect(Math.hypot(a, b)).toBeLessThan(0.004);
    }
  });

  test('fall strictly in lightness at every tint', () => {
    for (const tint of [0, 0.3, 0.7, 1])
      expect(falls(lightnesses(neutralsOf('#4b3f8f', tint)))).toBe(true);
  });

  test('lean towards the hue of their source', () => {
    const [, , blue] = oklabOf(rgbOf(neutralsOf('#0044cc', 1)[8] ?? '#000000'));
    const [, , yellow] = oklabOf(rgbOf(neutralsOf('#ccaa00', 1)[8] ?? '#000000'));
    expect(blue).toBeLessThan(-0.005);
    expect(yellow).toBeGreaterThan(0.005);
  });
});

test('names of rungs are each their own, in every way of naming', () => {
  for (const names of RUNG_NAMES) {
    const all = Array.from({ length: RUNGS }, (_, index) => rungName(index + 1, names));
    expect(new Set(all).size).toBe(RUNGS);
  }
  expect(rungName(1, 'from ink')).toBe('16');
});
