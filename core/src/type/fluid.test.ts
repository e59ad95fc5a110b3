import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fluidCss, fluidPx, fluidSize, kneesOf } from './fluid.ts';
import { sizeOfPlace } from './scale.ts';

const at = (place: number) =>
  fluidSize(
    { widthPx: 360, sizePx: sizeOfPlace(17, 1.2, place) },
    { widthPx: 1440, sizePx: sizeOfPlace(20, 1.333, place) },
  );

describe('a size that flows from 360 to 1440 px, base 17 to 20, ratio 1.2 to 1.333', () => {
  // CSS Values 4, clamp(), and linear interpolation; computed by hand while writing the issue.
  test('three places up', () => {
    expect(fluidCss(at(3))).toBe('clamp(1.836rem, 1.4611rem + 1.6663vi, 2.9607rem)');
  });

  test('at the base', () => {
    expect(fluidCss(at(0))).toBe('clamp(1.0625rem, 1rem + 0.2778vi, 1.25rem)');
  });

  test('two places down shrinks as the screen grows, so the bounds are sorted', () => {
    // 11.81 px narrow and 11.26 px wide: arithmetic.
    const size = at(-2);
    expect(size.minRem * 16).toBeCloseTo(11.26, 2);
    expect(size.maxRem * 16).toBeCloseTo(11.81, 1);
    expect(fluidCss(size)).toMatch(/^clamp\(0\.703\d*rem, 0\.7\d+rem - 0\.0\d+vi, 0\.737\d*rem\)$/);
  });

  test('has the decided sizes at both ends, and rests outside', () => {
    const size = at(3);
    expect(fluidPx(size, 360)).toBeCloseTo(29.376, 2);
    expect(fluidPx(size, 1440)).toBeCloseTo(47.372, 2);
    // The numbers in the expression have four decimals.
    expect(fluidPx(size, 100)).toBeCloseTo(fluidPx(size, 360), 2);
    expect(fluidPx(size, 4000)).toBe(size.maxRem * 16);
  });
});

test('clamp(1.8rem, 10vw, 5rem) is flat below 288 px and from 800 px up', () => {
  // Arithmetic at a root of 16 px.
  const knees = kneesOf({ minRem: 1.8, maxRem: 5, baseRem: 0, slope: 10, unit: 'vw' });
  expect(knees?.[0]).toBeCloseTo(288, 6);
  expect(knees?.[1]).toBeCloseTo(800, 6);
});

test('clamp(1.5rem, 4vw, 3rem) at 1200 px does not grow with the root', () => {
  // Arithmetic: 48 px at a root of 16 and of 32.
  const size = { minRem: 1.5, maxRem: 3, baseRem: 0, slope: 4, unit: 'vw' } as const;
  expect(fluidPx(size, 1200, 16)).toBe(48);
  expect(fluidPx(size, 1200, 32)).toBe(48);
});

test('the same size at both ends is one length', () => {
  const size = fluidSize({ widthPx: 360, sizePx: 24 }, { widthPx: 1440, sizePx: 24 });
  expect(fluidCss(size)).toBe('1.5rem');
  expect(kneesOf(size)).toBeUndefined();
});

test('a size never leaves its bounds and runs one way only', () => {
  const px = fc.double({ min: 6, max: 200, noNaN: true });
  fc.assert(
    fc.property(
      px,
      px,
      fc.integer({ min: 200, max: 800 }),
      fc.integer({ min: 900, max: 3000 }),
      (one, other, from, to) => {
        const size = fluidSize({ widthPx: from, sizePx: one }, { widthPx: to, sizePx: other });
        let last = fluidPx(size, 100);
        for (let width = 100; width <= 3200; width += 50) {
          const here = fluidPx(size, width);
          expect(here).toBeGreaterThanOrEqual(size.minRem * 16 - 1e-9);
          expect(here).toBeLessThanOrEqual(size.maxRem * 16 + 1e-9);
          expect(Math.sign(other - one) * (here - last)).toBeGreaterThanOrEqual(-1e-9);
          last = here;
        }
      },
    ),
    { numRuns: 50 },
  );
});

test('equal widths, sizes of nothing and infinite ones are programming mistakes', () => {
  const good = { widthPx: 360, sizePx: 16 };
  expect(() => fluidSize(good, good)).toThrow(RangeError);
  expect(() => fluidSize(good, { widthPx: 1440, sizePx: 0 })).toThrow(RangeError);
  expect(() => fluidSize(good, { widthPx: Infinity, sizePx: 20 })).toThrow(RangeError);
});
