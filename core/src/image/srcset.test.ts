import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shownPixels, srcsetWidths } from './srcset.ts';
import { coverCrop } from './veil.ts';

const size = fc.record({
  width: fc.integer({ min: 1, max: 8000 }),
  height: fc.integer({ min: 1, max: 8000 }),
});

test('a place shows so much of a picture as the crop says', () => {
  fc.assert(
    fc.property(size, size, (picture, place) => {
      const crop = coverCrop(picture, place);
      // What is seen of it is as wide as the place; the whole is wider by what is cut off.
      expect(shownPixels(picture, place)).toBeCloseTo(
        (place.width * picture.width) / crop.width,
        3,
      );
    }),
  );
});

test('widths ascend by no more than a half and end at what is shown, or at what there is', () => {
  expect(srcsetWidths(2400)).toEqual([320, 480, 720, 1080, 1620, 2400]);
  expect(srcsetWidths(2400, 400)).toEqual([320, 480, 800]);
  expect(srcsetWidths(200, 400)).toEqual([200]);
  expect(srcsetWidths(330)).toEqual([330]);
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 20000 }),
      fc.integer({ min: 1, max: 4000 }),
      (own, shown) => {
        const widths = srcsetWidths(own, shown);
        expect(widths.at(-1)).toBe(Math.min(own, shown * 2));
        widths.slice(1).forEach((width, at) => {
          const before = widths[at] ?? 0;
          expect(width).toBeGreaterThan(before);
          expect(width / before).toBeLessThan(1.5 * 1.16);
        });
      },
    ),
  );
});
