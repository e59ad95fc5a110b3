import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabOf } from './oklab.ts';
import { neutralsOf, rampOf, RUNGS } from './ramp.ts';
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

  test('has even steps on either side of its source, as far as 8 bits allow', () => {
    for (const source of ['#b5391a', '#2a6365', '#c8f04a', '#808080'] as const) {
      const { colors, seat } = rampOf(source);
      const steps = lightnesses(colors).map((value, index, all) => (all[index - 1] ?? 0) - value);
      for (const side of [steps.slice(1, seat), steps.slice(seat + 2)]) {
        const mean = side.reduce((sum, step) => sum + step, 0) / side.length;
        for (const step of side) expect(Math.abs(step - mean)).toBeLessThan(0.012);
      }
    }
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
