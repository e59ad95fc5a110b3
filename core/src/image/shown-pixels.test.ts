import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shownPart } from './shown-pixels.ts';
import { coverCrop, type Pixels } from './veil.ts';
import { histogramUnder } from './veil-strength.ts';

const WHOLE = { x: 0, y: 0, width: 1, height: 1 };
const made = (width: number, height: number, level: (x: number, y: number) => number): Pixels => {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < width * height; at += 1) {
    const gray = level(at % width, Math.floor(at / width));
    data.set([gray, gray, gray, 255], at * 4);
  }
  return { data, width, height };
};
const mean = ({ data }: Pixels): number => {
  let sum = 0;
  for (let at = 0; at < data.length; at += 4) sum += data[at] ?? 0;
  return sum / (data.length / 4);
};

test('a picture that is no finer than the screen is looked at pixel by pixel', () => {
  const picture = made(200, 100, (x) => x);
  const frame = { width: 100, height: 50 };
  expect(shownPart(picture, coverCrop(picture, frame), WHOLE, frame).pixels).toBe(picture);
});

test('a finer one has two pixels for one, each the mean of what it covers', () => {
  const picture = made(400, 200, (x, y) => ((x + y) % 2 === 0 ? 0 : 200));
  const frame = { width: 50, height: 25 };
  const { pixels, crop } = shownPart(picture, coverCrop(picture, frame), WHOLE, frame);
  expect([pixels.width, pixels.height]).toEqual([100, 50]);
  expect(new Set(pixels.data)).toEqual(new Set([100, 255]));
  expect(crop).toEqual({ x: 0, y: 0, width: 100, height: 50 });
});

test('every pixel under the box counts once, wherever the box lies and however the scale falls', () => {
  const share = fc.double({ min: 0, max: 0.8, noNaN: true });
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 420 }),
      fc.integer({ min: 200, max: 260 }),
      fc.integer({ min: 31, max: 60 }),
      share,
      share,
      (width, height, wide, x, y) => {
        const picture = made(width, height, (column, row) => Math.floor((column + row) / 3));
        const frame = { width: wide, height: 40 };
        const crop = coverCrop(picture, frame);
        const box = { x, y, width: 0.2, height: 0.2 };
        const fine = histogramUnder(picture, crop, box, 'all over');
        const part = shownPart(picture, crop, box, frame);
        const coarse = histogramUnder(part.pixels, part.crop, box, 'all over');
        // So many as the box has at two pixels for one, and one more at an end.
        const wanted = 0.2 * frame.width * 2 * (0.2 * frame.height * 2);
        expect(coarse.count).toBeGreaterThanOrEqual(Math.floor(wanted));
        expect(coarse.count).toBeLessThanOrEqual(
          (0.2 * frame.width * 2 + 2) * (0.2 * frame.height * 2 + 2),
        );
        // Blocks at the ends are smaller than others; the mean is nearly the same.
        const levels = (of: Uint8Array): number =>
          of.reduce((sum, one) => sum + one, 0) / of.length;
        expect(Math.abs(levels(coarse.colors) - levels(fine.colors))).toBeLessThan(16);
        expect(Math.abs(mean(part.pixels) - levels(fine.colors))).toBeLessThan(16);
      },
    ),
    { numRuns: 60 },
  );
});
