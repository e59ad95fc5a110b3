import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrastRatio } from '../color/contrast.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { flattened } from '../color/transparent.ts';
import { coverCrop, fadeAt, veilCss, wayFrom, type Pixels, type VeilSide } from './veil.ts';
import { histogramUnder, leastStrength, proveStrength } from './veil-strength.ts';

/** A picture of given colors, row by row. */
const picture = (width: number, colors: readonly Hex[]): Pixels => ({
  width,
  height: colors.length / width,
  data: Uint8ClampedArray.from(
    colors.flatMap((hex) => [...rgbOf(hex).map((channel) => Math.round(channel * 255)), 255]),
  ),
});
const whole = (pixels: Pixels) => ({ x: 0, y: 0, width: pixels.width, height: pixels.height });
const everything = { x: 0, y: 0, width: 1, height: 1 };

describe('a veil over a picture', () => {
  test('contrast is not monotone in its strength', () => {
    // Arithmetic: white text on #0080bf under a red veil goes 4.36, about 7.5, 4.0.
    const blue = picture(1, ['#0080bf']);
    const seen = histogramUnder(blue, whole(blue), everything, 'all over');
    const at = (strength: number): number =>
      proveStrength(seen, { ink: '#ffffff', color: '#ff0000', strength }, 4.5).lowest;
    expect(at(0)).toBeCloseTo(4.36, 1);
    expect(at(128)).toBeGreaterThan(7);
    expect(at(255)).toBeCloseTo(4, 1);
  });

  test('is the weakest at which every pixel passes: each weaker one leaves some that do not', () => {
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
    fc.assert(
      fc.property(
        fc.array(hex, { minLength: 4, maxLength: 4 }),
        fc.constantFrom<Hex>('#ffffff', '#000000'),
        fc.constantFrom<Hex>('#000000', '#ffffff', '#2a6365'),
        (colors, ink, color) => {
          const pixels = picture(2, colors);
          const seen = histogramUnder(pixels, whole(pixels), everything, 'all over');
          const found = leastStrength([seen], { ink, color, needed: 4.5, pixels: 1 });
          // Every pixel by itself, blended as the browser does it.
          const passes = (strength: number): boolean =>
            colors.every(
              (pixel) => contrastRatio(ink, flattened(color, strength / 255, pixel)) >= 4.5,
            );
          const first = Array.from({ length: 256 }, (_, strength) => strength).find(passes);
          expect(found?.strength).toBe(first);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('that fades is exactly the weakest, for every side and share', () => {
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
    const [width, height] = [6, 9];
    fc.assert(
      fc.property(
        fc.array(hex, { minLength: width * height, maxLength: width * height }),
        fc.constantFrom<VeilSide>('bottom', 'top', 'start', 'end', 'all over'),
        fc.constantFrom(1, 0.95, 0.8),
        fc.constantFrom<Hex>('#ffffff', '#000000', '#c8f04a'),
        fc.constantFrom<Hex>('#000000', '#ffffff', '#2a6365', '#ff0000'),
        fc.constantFrom(3, 4.5),
        // The box stays where something of the veil is left.
        fc.constantFrom(
          { x: 0, y: 0, width: 0.8, height: 0.8 },
          { x: 0.2, y: 0.2, width: 0.6, height: 0.6 },
          { x: 0.1, y: 0.4, width: 0.5, height: 0.3 },
        ),
        (colors, side, pixels, ink, color, needed, box) => {
          const image = picture(width, colors);
          const seen = histogramUnder(image, whole(image), box, side);
          const found = leastStrength([seen], { ink, color, needed, pixels });
          // Brute force: every pixel under the box, at every strength.
          const under = colors.flatMap((pixel, index) => {
            const [x, y] = [index % width, Math.floor(index / width)];
            const inside =
              x >= Math.floor(box.x * width) &&
              x < Math.ceil((box.x + box.width) * width) &&
              y >= Math.floor(box.y * height) &&
              y < Math.ceil((box.y + box.height) * height);
            const fade = fadeAt(wayFrom(side, (x + 0.5) / width, (y + 0.5) / height));
            return inside ? [{ pixel, fade }] : [];
          });
          const passing = (strength: number): number =>
            under.filter(
              ({ pixel, fade }) =>
                contrastRatio(ink, flattened(color, (strength / 255) * fade, pixel)) >= needed,
            ).length / under.length;
          const first = Array.from({ length: 256 }, (_, strength) => strength).find(
            (strength) => passing(strength) >= pixels,
          );
          expect(found?.strength).toBe(first);
          if (first !== undefined) expect(found?.proofs[0]?.passing).toBe(passing(first));
        },
      ),
      { numRuns: 60 },
    );
  });

  test('may leave a stated share of the pixels short', () => {
    const pixels = picture(10, [...Array<Hex>(9).fill('#101010'), '#ffffff']);
    const seen = histogramUnder(pixels, whole(pixels), everything, 'all over');
    const ask = { ink: '#ffffff', color: '#000000', needed: 4.5 } as const;
    expect(leastStrength([seen], { ...ask, pixels: 0.9 })?.strength).toBe(0);
    expect(leastStrength([seen], { ...ask, pixels: 1 })?.strength).toBeGreaterThan(100);
  });

  test('that cannot help is said to', () => {
    const pixels = picture(1, ['#888888']);
    const seen = histogramUnder(pixels, whole(pixels), everything, 'all over');
    const ask = { ink: '#888888', color: '#8a8a8a', needed: 4.5, pixels: 1 } as const;
    expect(leastStrength([seen], ask)).toBeUndefined();
  });

  test('counts only what lies under the box', () => {
    const pixels = picture(4, ['#000000', '#000000', '#ffffff', '#ffffff']);
    const half = { x: 0, y: 0, width: 0.5, height: 1 };
    const { kinds, count } = histogramUnder(pixels, whole(pixels), half, 'all over');
    expect(count).toBe(2);
    expect(kinds.map(({ low, high }) => [low, high])).toEqual([
      [
        [0, 0, 0],
        [0, 0, 0],
      ],
    ]);
  });

  test('fades from its side, as much as it does at the middle of each pixel', () => {
    expect(fadeAt(0)).toBe(1);
    expect(fadeAt(0.5)).toBe(1);
    expect(fadeAt(0.75)).toBeCloseTo(0.5);
    expect(fadeAt(1)).toBe(0);
    expect(wayFrom('bottom', 0.2, 0.9)).toBeCloseTo(0.1);
    expect(wayFrom('end', 0.2, 0.9)).toBeCloseTo(0.8);
    const pixels = picture(1, Array<Hex>(100).fill('#ffffff'));
    const { fades } = histogramUnder(pixels, whole(pixels), everything, 'bottom');
    expect(Math.max(...fades)).toBe(1);
    // Half a pixel from the far end of a hundred.
    expect(Math.min(...fades)).toBeCloseTo(0.01, 10);
  });

  test('is cropped as the browser crops: covering the frame around the middle', () => {
    // Arithmetic; CSS Images 3, object-fit: cover.
    expect(coverCrop({ width: 200, height: 100 }, { width: 100, height: 100 })).toEqual({
      x: 50,
      y: 0,
      width: 100,
      height: 100,
    });
    expect(coverCrop({ width: 100, height: 100 }, { width: 400, height: 100 })).toEqual({
      x: 0,
      y: 37.5,
      width: 100,
      height: 25,
    });
  });

  test('is written as a gradient', () => {
    expect(veilCss({ color: '#000000', side: 'all over', strength: 51 })).toBe(
      'linear-gradient(rgb(0 0 0 / 0.2), rgb(0 0 0 / 0.2))',
    );
    expect(veilCss({ color: '#102030', side: 'bottom', strength: 255 })).toBe(
      'linear-gradient(to top, rgb(16 32 48 / 1) 50%, rgb(16 32 48 / 0) 100%)',
    );
  });
});
