import { describe, expect, test } from '@jest/globals';
import { seeded } from '../seeded.ts';
import { scaleOfNoisy, scaleThrough, unitOfNoisy } from './noisy.ts';

/** Values that are each moved by a px at most. */
const moved = (values: readonly number[], seed: string): readonly number[] => {
  const random = seeded(seed);
  return values.map((px) => px + random() * 2 - 1);
};
const SEEDS = Array.from({ length: 40 }, (_, index) => `seed ${index}`);

describe('what was meant, where each value is a px off', () => {
  test.each([
    [16, 1.2],
    [17, 1.25],
    [20, 1.27],
    [18, 1.333],
    [16, 1.414],
  ])('a base of %i px and a ratio of %f', (base, ratio) => {
    const places = [-1, 0, 1, 2, 3, 4, 5, 6].map((place) => base * ratio ** place);
    const close = SEEDS.filter((seed) => {
      const sizes = moved(places, seed);
      const found = scaleOfNoisy(sizes, sizes[1] ?? base);
      return (
        found && Math.abs(found.base - base) < 0.8 && Math.abs(found.ratio / ratio - 1) < 0.015
      );
    });
    expect(close.length).toBeGreaterThanOrEqual(0.95 * SEEDS.length);
  });

  test.each([8, 10, 12])('a unit of %i px', (unit) => {
    const spaces = [0.5, 1, 1, 2, 2, 2, 3, 3, 4, 5, 6, 8].map((multiple) => multiple * unit);
    const found = SEEDS.map((seed) => unitOfNoisy(moved(spaces, seed))?.unit);
    expect(found.filter((one) => one === unit).length).toBeGreaterThanOrEqual(0.9 * SEEDS.length);
  });

  test('is nothing in what was meant to be nothing, and where there is too little', () => {
    const random = seeded('anywhere');
    const guesses = SEEDS.map(() =>
      unitOfNoisy(Array.from({ length: 40 }, () => 3 + random() * 90)),
    );
    expect(guesses.filter((one) => one !== undefined)).toEqual([]);
    expect(unitOfNoisy([8, 16, 24])).toBeUndefined();
    expect(scaleOfNoisy([16, 20], 16)).toBeUndefined();
  });
});

test('a scale is drawn through sizes of known places', () => {
  const exact = [-1, 0, 2, 5].map((place) => ({ place, px: 17 * 1.2 ** place }));
  const found = scaleThrough(exact);
  expect(found?.base).toBeCloseTo(17, 9);
  expect(found?.ratio).toBeCloseTo(1.2, 9);
  for (const seed of SEEDS) {
    const px = moved(
      exact.map((one) => one.px),
      seed,
    );
    const drawn = scaleThrough(exact.map(({ place }, index) => ({ place, px: px[index] ?? 0 })));
    expect(Math.abs((drawn?.base ?? 0) - 17)).toBeLessThan(1);
    expect(Math.abs((drawn?.ratio ?? 0) - 1.2)).toBeLessThan(0.03);
  }
  expect(
    scaleThrough([
      { place: 1, px: 20 },
      { place: 1, px: 21 },
    ]),
  ).toBeUndefined();
});
