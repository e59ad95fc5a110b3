import { describe, expect, test } from '@jest/globals';
import { dominantColors } from './dominant.ts';
import { oklabDistance, oklabOf } from './oklab.ts';
import { rgbOf, type Hex } from './srgb.ts';

/** A picture of areas: a color, how many pixels of it, how opaque, and how much noise. */
function picture(
  areas: readonly (readonly [hex: Hex, count: number, alpha?: number])[],
  noise = 0,
): Uint8ClampedArray {
  const bytes: number[] = [];
  let state = 7;
  const wobble = (): number => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return ((state / 0x7fffffff) * 2 - 1) * noise;
  };
  for (const [hex, count, alpha = 255] of areas) {
    const rgb = rgbOf(hex).map((channel) => channel * 255);
    for (let index = 0; index < count; index += 1)
      bytes.push(...rgb.map((channel) => channel + wobble()), alpha);
  }
  return Uint8ClampedArray.from(bytes);
}

const near = (one: Hex, other: Hex): boolean =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other))) < 0.03;

describe('the dominant colors of a picture', () => {
  test('are its areas with their shares, the largest first', () => {
    const found = dominantColors(
      picture([
        ['#ffffff', 6000],
        ['#2a6365', 3000],
        ['#b5391a', 1000],
      ]),
    );
    expect(found.map(({ hex }) => hex)).toEqual(['#ffffff', '#2a6365', '#b5391a']);
    expect(found.map(({ share }) => share)).toEqual([0.6, 0.3, 0.1]);
    expect(found.map(({ kind }) => kind)).toEqual(['paper', 'color', 'color']);
  });

  test('hold through the noise of a photograph', () => {
    const found = dominantColors(
      picture(
        [
          ['#6b7480', 20000],
          ['#30343a', 12000],
          ['#c9a25a', 6000],
        ],
        14,
      ),
    );
    for (const wanted of ['#6b7480', '#30343a', '#c9a25a'] as const)
      expect(found.some(({ hex }) => near(hex, wanted))).toBe(true);
    expect(found.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 2);
  });

  test('do not lose a small vivid accent under large dull areas', () => {
    const grays = Array.from({ length: 24 }, (_, index) => {
      const level = (40 + index * 8).toString(16).padStart(2, '0');
      return [`#${level}${level}${level}`, 4000] as const;
    });
    const found = dominantColors(picture([...grays, ['#e6007e', 200]]));
    expect(found.some(({ hex }) => near(hex, '#e6007e'))).toBe(true);
  });

  test('are the flat color itself, not mixed with its soft edges', () => {
    const edges = Array.from({ length: 40 }, (_, index) => {
      const share = (index + 1) / 41;
      const mixed = [0xe6, 0x00, 0x7e].map((byte) =>
        Math.round(byte * share + 255 * (1 - share))
          .toString(16)
          .padStart(2, '0'),
      );
      return [`#${mixed.join('')}`, 12] as const;
    });
    const found = dominantColors(picture([['#ffffff', 9000], ['#e6007e', 2000], ...edges]));
    expect(found.map(({ hex }) => hex)).toContain('#e6007e');
  });

  test('leave transparent pixels out, and dust', () => {
    const found = dominantColors(
      picture([
        ['#2a6365', 5000],
        ['#ff0000', 4000, 0],
        ['#00ff00', 2],
      ]),
    );
    expect(found.map(({ hex }) => hex)).toEqual(['#2a6365']);
    expect(found[0]?.share).toBeGreaterThan(0.999);
  });

  test('tell near-white, near-black and gray from colors', () => {
    const found = dominantColors(
      picture([
        ['#fdfcf8', 4000],
        ['#101214', 3000],
        ['#808080', 2000],
        ['#3a5f8a', 1000],
      ]),
    );
    expect(found.map(({ kind }) => kind)).toEqual(['paper', 'ink', 'gray', 'color']);
  });

  test('are none of nothing, and the same every time', () => {
    expect(dominantColors(new Uint8ClampedArray())).toEqual([]);
    expect(dominantColors(picture([['#123456', 100, 0]]))).toEqual([]);
    const pixels = picture(
      [
        ['#6b7480', 900],
        ['#c9a25a', 400],
      ],
      20,
    );
    expect(dominantColors(pixels)).toEqual(dominantColors(pixels));
  });
});
