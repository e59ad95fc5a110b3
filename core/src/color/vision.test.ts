import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { relativeLuminance } from './contrast.ts';
import { oklabDistance, oklabOf } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';
import { colorMatrixValues, seenAs, visionMatrix, VISIONS } from './vision.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

const apart = (one: Hex, other: Hex): number =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));

describe('ways of seeing', () => {
  test('have the matrices of the paper', () => {
    // Machado, Oliveira, Fernandes 2009, protan at severity 1.
    expect(visionMatrix('protan')).toEqual([
      [0.152286, 1.052583, -0.204868],
      [0.114503, 0.786281, 0.099216],
      [-0.003882, -0.048116, 1.051998],
    ]);
  });

  test('leave grays as they are: every row sums to 1', () => {
    // A property of the model: what has no color has none in any eye.
    for (const vision of VISIONS) {
      for (const row of visionMatrix(vision))
        expect(row.reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 5);
      for (const gray of ['#000000', '#7f7f7f', '#ffffff'] as const)
        expect(seenAs(gray, vision)).toBe(gray);
    }
  });

  test('bring red and green together for protan and deutan eyes, and blue and green for tritan ones', () => {
    expect(apart(seenAs('#b00000', 'protan'), seenAs('#4a5a00', 'protan'))).toBeLessThan(
      apart('#b00000', '#4a5a00') / 2,
    );
    expect(apart(seenAs('#c33b3b', 'deutan'), seenAs('#6d7a12', 'deutan'))).toBeLessThan(
      apart('#c33b3b', '#6d7a12') / 2,
    );
    expect(apart(seenAs('#0080c0', 'tritan'), seenAs('#008f90', 'tritan'))).toBeLessThan(
      apart('#0080c0', '#008f90'),
    );
  });

  test('do nothing at no severity, and more the more severe they are', () => {
    fc.assert(
      fc.property(hex, fc.constantFrom(...VISIONS), (color, vision) => {
        expect(seenAs(color, vision, 0)).toBe(color);
        const half = apart(color, seenAs(color, vision, 0.5));
        const full = apart(color, seenAs(color, vision));
        expect(half).toBeLessThanOrEqual(full + 0.02);
      }),
    );
  });

  test('keep the luminance of a color in gray', () => {
    fc.assert(
      fc.property(hex, (color) => {
        expect(
          Math.abs(relativeLuminance(seenAs(color, 'gray')) - relativeLuminance(color)),
        ).toBeLessThan(0.005);
      }),
    );
  });

  test('are written as a browser takes them: four rows of five', () => {
    const values = colorMatrixValues(visionMatrix('deutan', 0.5)).split(' ').map(Number);
    expect(values).toHaveLength(20);
    expect(values.slice(15)).toEqual([0, 0, 0, 1, 0]);
  });
});
