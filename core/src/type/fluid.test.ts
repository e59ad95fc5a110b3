import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fluidCss, fluidPx, fluidSize, kneesOf, piecesOf, type FluidSize } from './fluid.ts';
import { sizeOfPlace } from './scale.ts';

const at = (place: number) =>
  fluidSize([
    { widthPx: 360, sizePx: sizeOfPlace(17, 1.2, place) },
    { widthPx: 1440, sizePx: sizeOfPlace(20, 1.333, place) },
  ]);

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
  const knees = kneesOf({
    restRem: 0,
    clamps: [{ minRem: 1.8, maxRem: 5, baseRem: 0, slope: 10 }],
    unit: 'vw',
    written: { length: 'rem', root: 1 },
    minRem: 1.8,
    maxRem: 5,
  });
  expect(knees[0]).toBeCloseTo(288, 6);
  expect(knees[1]).toBeCloseTo(800, 6);
});

test('clamp(1.5rem, 4vw, 3rem) at 1200 px does not grow with the root', () => {
  // Arithmetic: 48 px at a root of 16 and of 32.
  const size: FluidSize = {
    restRem: 0,
    clamps: [{ minRem: 1.5, maxRem: 3, baseRem: 0, slope: 4 }],
    unit: 'vw',
    written: { length: 'rem', root: 1 },
    minRem: 1.5,
    maxRem: 3,
  };
  expect(fluidPx(size, 1200, 16)).toBe(48);
  expect(fluidPx(size, 1200, 32)).toBe(48);
});

test('the same size at both ends is one length', () => {
  const size = fluidSize([
    { widthPx: 360, sizePx: 24 },
    { widthPx: 1440, sizePx: 24 },
  ]);
  expect(fluidCss(size)).toBe('1.5rem');
  expect(kneesOf(size)).toEqual([]);
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
        const size = fluidSize([
          { widthPx: from, sizePx: one },
          { widthPx: to, sizePx: other },
        ]);
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

test('equal widths, sizes below nothing and infinite ones are programming mistakes', () => {
  const good = { widthPx: 360, sizePx: 16 };
  expect(() => fluidSize([good, good])).toThrow(RangeError);
  expect(() => fluidSize([good, { widthPx: 1440, sizePx: -1 }])).toThrow(RangeError);
  expect(() => fluidSize([good, { widthPx: Infinity, sizePx: 20 }])).toThrow(RangeError);
});

describe('a size through three widths', () => {
  const three = fluidSize([
    { widthPx: 360, sizePx: 20 },
    { widthPx: 768, sizePx: 24 },
    { widthPx: 1440, sizePx: 40 },
  ]);

  test('is one value: a sum of what each stretch adds', () => {
    // Arithmetic: 4 px over 408 px is 0.9804 hundredths of the width; 16 px over 672 is 2.381.
    expect(fluidCss(three)).toBe(
      'calc(1.25rem + clamp(0rem, -0.2206rem + 0.9804vi, 0.25rem) + clamp(0rem, -1.1429rem + 2.381vi, 1rem))',
    );
  });

  test('is what was asked for at each width, and straight between', () => {
    for (const [width, px] of [
      [100, 20],
      [360, 20],
      [564, 22],
      [768, 24],
      [1104, 32],
      [1440, 40],
      [3000, 40],
    ] as const)
      expect(Math.abs(fluidPx(three, width) - px)).toBeLessThan(0.01);
    expect(three.minRem).toBe(1.25);
    expect(three.maxRem).toBe(2.5);
  });

  test('may rest on one stretch and shrink on another', () => {
    const size = fluidSize([
      { widthPx: 360, sizePx: 24 },
      { widthPx: 768, sizePx: 24 },
      { widthPx: 1440, sizePx: 20 },
    ]);
    expect(size.clamps).toHaveLength(1);
    expect(fluidCss(size)).toMatch(/^clamp\(1\.25rem, 1\.7\d+rem - 0\.59\d+vi, 1\.5rem\)$/);
    expect(fluidPx(size, 500)).toBe(24);
  });

  test('is the sum of its pieces at every width', () => {
    const pieces = piecesOf(three);
    expect(pieces[0]?.fromPx).toBe(0);
    expect(pieces.at(-1)?.toPx).toBe(Infinity);
    for (let width = 10; width < 3000; width += 13) {
      const piece = pieces.find(({ fromPx, toPx }) => width >= fromPx && width < toPx);
      expect((piece?.constantPx ?? NaN) + (piece?.slope ?? NaN) * width).toBeCloseTo(
        fluidPx(three, width),
        9,
      );
    }
  });
});
