import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shownPart } from './shown-pixels.ts';
import { coverCrop, type Pixels } from './veil.ts';

const WHOLE = { x: 0, y: 0, width: 1, height: 1 };
const made = (width: number, height: number, level: (x: number, y: number) => number): Pixels => {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < width * height; at += 1) {
    const gray = level(at % width, Math.floor(at / width));
    data.set([gray, gray, gray, 255], at * 4);
  }
  return { data, width, height };
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

const share = fc.double({ min: 0, max: 0.8, noNaN: true });
const asked = fc.record({
  width: fc.integer({ min: 300, max: 420 }),
  height: fc.integer({ min: 200, max: 260 }),
  wide: fc.integer({ min: 31, max: 60 }),
  x: share,
  y: share,
});

test('each stands where the screen shows it, wherever the box lies and however the scale falls', () => {
  fc.assert(
    fc.property(asked, ({ width, height, wide, x, y }) => {
      // Lighter from left to right, by the same from pixel to pixel.
      const ramp = (column: number): number => (column / width) * 255;
      const picture = made(width, height, ramp);
      const frame = { width: wide, height: 40 };
      const crop = coverCrop(picture, frame);
      const box = { x, y, width: 0.2, height: 0.2 };
      const { pixels, crop: own } = shownPart(picture, crop, box, frame);
      const perPx = crop.width / own.width;
      let furthest = 0;
      for (let at = 0; at < pixels.width * pixels.height; at += 1) {
        // The middle of the pixel, from the shown frame back into the picture.
        const middle = crop.x + ((at % pixels.width) + 0.5 - own.x) * perPx;
        const found = pixels.data[at * 4] ?? 0;
        furthest = Math.max(furthest, Math.abs(found - ramp(middle - 0.5)));
      }
      expect(furthest).toBeLessThan(ramp(perPx) + 1);
      // Two pixels for one, and at an end one more, or two where half of it was looked at.
      expect(Math.abs(pixels.width - 0.2 * wide * 2)).toBeLessThanOrEqual(3);
      expect(Math.abs(pixels.height - 0.2 * 40 * 2)).toBeLessThanOrEqual(3);
    }),
    // A find: a division that rounds up left a column of pixels that nothing covers.
    { numRuns: 60, examples: [[{ width: 300, height: 224, wide: 37, x: 0, y: 0 }]] },
  );
});

test('what is of one color stays so, and what is transparent lies on white', () => {
  fc.assert(
    fc.property(asked, fc.nat(255), fc.nat(255), ({ width, height, wide, x, y }, level, alpha) => {
      const picture = made(width, height, () => level);
      for (let at = 3; at < picture.data.length; at += 4) picture.data[at] = alpha;
      const frame = { width: wide, height: 40 };
      const box = { x, y, width: 0.2, height: 0.2 };
      const { pixels } = shownPart(picture, coverCrop(picture, frame), box, frame);
      const seen = Math.round((level * alpha) / 255 + 255 - alpha);
      expect(new Set(pixels.data)).toEqual(new Set([seen, 255]));
    }),
    { numRuns: 40 },
  );
});
