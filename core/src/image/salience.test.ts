import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { salienceOf, type Pixels } from './salience.ts';

type Color = readonly [number, number, number];

/** A picture of one color with rectangles of others, each by its left, top, width and height. */
function picture(
  width: number,
  height: number,
  ground: Color,
  patches: readonly (readonly [Color, number, number, number, number])[] = [],
): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const patch = patches.find(
        ([, left, top, wide, high]) => x >= left && x < left + wide && y >= top && y < top + high,
      );
      data.set([...(patch?.[0] ?? ground), 255], (y * width + x) * 4);
    }
  return { data, width, height };
}

const WHITE: Color = [255, 255, 255];

test('nothing stands out of a picture of one color', () => {
  fc.assert(
    fc.property(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), (color) => {
      const { spots, map } = salienceOf(picture(96, 48, color));
      expect(spots).toEqual([]);
      expect(Math.max(...map)).toBe(0);
    }),
    { numRuns: 20 },
  );
});

test('a dark block on white is where the strongest spot lies', () => {
  const [spot] = salienceOf(picture(200, 120, WHITE, [[[20, 20, 20], 150, 20, 24, 16]])).spots;
  expect(spot?.x).toBeGreaterThan(0.73);
  expect(spot?.x).toBeLessThan(0.89);
  expect(spot?.y).toBeGreaterThan(0.12);
  expect(spot?.y).toBeLessThan(0.34);
  expect(spot?.strength).toBe(1);
});

test('a color of the same luminance stands out by its color alone', () => {
  // #777777 and #00875a have nearly the same luminance: 0.184 and 0.181 (WCAG 2.2).
  const gray: Color = [0x77, 0x77, 0x77];
  const found = salienceOf(picture(192, 96, gray, [[[0x00, 0x87, 0x5a], 40, 40, 16, 16]]));
  expect(found.spots[0]?.x).toBeCloseTo(0.25, 1);
  expect(found.spots[0]?.y).toBeCloseTo(0.5, 1);
});

test('the stronger of two blocks comes first, and spots lie apart', () => {
  const { spots } = salienceOf(
    picture(200, 100, WHITE, [
      [[200, 200, 200], 20, 40, 20, 20],
      [[0, 0, 0], 150, 40, 20, 20],
    ]),
    6,
  );
  expect(spots[0]?.x).toBeGreaterThan(0.7);
  for (const [index, one] of spots.entries())
    for (const other of spots.slice(index + 1))
      expect(Math.hypot(one.x - other.x, (one.y - other.y) / 2)).toBeGreaterThanOrEqual(0.12);
});

test('what stands out is the same in the mirror', () => {
  const one = salienceOf(picture(192, 96, WHITE, [[[10, 80, 160], 20, 20, 30, 20]])).spots[0];
  const other = salienceOf(picture(192, 96, WHITE, [[[10, 80, 160], 142, 20, 30, 20]])).spots[0];
  expect((one?.x ?? 0) + (other?.x ?? 0)).toBeCloseTo(1, 1);
  expect(one?.y).toBeCloseTo(other?.y ?? 0, 1);
});
