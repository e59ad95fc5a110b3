import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { encoded, hexOf, linear } from '../color/srgb.ts';
import { DISPLAY_PALETTES, nearestOf } from './displays.ts';
import { dither, DITHERINGS } from './dither.ts';
import { contrastOnDisplay, membersFor } from './on-display.ts';

const colorsOf = (id: string) => DISPLAY_PALETTES.find((one) => one.id === id)?.colors ?? [];

describe('limited palettes', () => {
  test('the 216 of the web are six levels a channel', () => {
    // Common practice: levels 00 33 66 99 cc ff, 6 x 6 x 6 = 216 = 256 - 40.
    const web = colorsOf('web');
    expect(web).toHaveLength(216);
    expect(new Set(web).size).toBe(256 - 40);
    for (const hex of web) expect(hex).toMatch(/^#((00|33|66|99|cc|ff)){3}$/);
  });

  test('each has the number of colors that it says', () => {
    for (const { name, colors } of DISPLAY_PALETTES) {
      const said = /^\d+/.exec(name)?.[0];
      if (said !== undefined) expect(colors).toHaveLength(Number(said));
    }
  });

  test('a member is nearest to itself, and no member is nearer than the nearest', () => {
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
    const web = colorsOf('web');
    expect(nearestOf(web, '#336699')).toEqual({ hex: '#336699', difference: 0 });
    fc.assert(
      fc.property(hex, (color) => {
        const { difference } = nearestOf(web, color);
        for (const other of ['#000000', '#ffffff', '#996633'] as const)
          expect(nearestOf([other], color).difference).toBeGreaterThanOrEqual(difference);
      }),
    );
    expect(() => nearestOf([], '#000000')).toThrow(RangeError);
  });
});

/** The level that a pattern of grays looks like where its pixels are not told apart. */
function seenFromAfar(data: Uint8ClampedArray): number {
  let sum = 0;
  for (let at = 0; at < data.length; at += 4) sum += linear((data[at] ?? 0) / 255);
  return encoded(sum / (data.length / 4)) * 255;
}

describe('dithering', () => {
  const gray = (level: number): Uint8ClampedArray =>
    Uint8ClampedArray.from({ length: 64 * 64 * 4 }, (_, index) => (index % 4 === 3 ? 255 : level));

  test.each(DITHERINGS)('with %s leaves only colors of the palette', (dithering) => {
    const data = Uint8ClampedArray.from({ length: 32 * 32 * 4 }, (_, index) => (index * 37) % 256);
    dither(data, 32, 32, colorsOf('eight'), dithering);
    for (let at = 0; at < data.length; at += 4)
      expect(colorsOf('eight')).toContain(
        hexOf([(data[at] ?? 0) / 255, (data[at + 1] ?? 0) / 255, (data[at + 2] ?? 0) / 255]),
      );
  });

  test.each(['ordered', 'error diffusion'] as const)(
    'with %s looks like the gray that it stands for, from afar',
    (dithering) => {
      for (const level of [60, 128, 188, 230]) {
        const data = gray(level);
        dither(data, 64, 64, colorsOf('two'), dithering);
        // The mean in linear light: what the eye sees when it cannot tell the pixels apart.
        expect(Math.abs(seenFromAfar(data) - level)).toBeLessThan(9);
      }
    },
  );

  test('is told how far it is, and stops when it is told to', () => {
    const shares: number[] = [];
    expect(
      dither(gray(100), 64, 64, colorsOf('two'), 'none', (share) => shares.push(share) > 0),
    ).toBe(true);
    expect(shares).toEqual([0, 0.5]);
    expect(dither(gray(100), 64, 64, colorsOf('two'), 'none', () => false)).toBe(false);
  });
});

describe('text on a limited display', () => {
  test('is judged by the members that show it', () => {
    const two = colorsOf('two');
    expect(contrastOnDisplay(two, '#222222', '#eeeeee', 'none')).toBe(21);
    // A middle gray becomes a pattern of black and white, on which neither reads.
    expect(membersFor(two, '#808080', 'error diffusion').toSorted()).toEqual([
      '#000000',
      '#ffffff',
    ]);
    expect(contrastOnDisplay(two, '#ffffff', '#808080', 'error diffusion')).toBe(1);
    expect(membersFor(two, '#606060', 'none')).toEqual(['#000000']);
  });
});
