import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fluidPx, fluidSize, piecesOf, type FluidSize, type Piece } from './fluid.ts';
import { zoomGain, zoomGaps } from './zoom.ts';

/** A clamp from its own numbers, in rem and hundredths of the width. */
const clamp = (minRem: number, baseRem: number, slope: number, maxRem: number): FluidSize => ({
  restRem: 0,
  clamps: [{ minRem, baseRem, slope, maxRem }],
  unit: 'vw',
  written: { length: 'rem', root: 1 },
  minRem,
  maxRem,
});

/** The largest gain at a width by trying five hundred zooms. */
function tried(pieces: readonly Piece[], widthPx: number, most = 5): number {
  const f = (width: number): number => {
    const piece = pieces.find(({ fromPx, toPx }) => width >= fromPx && width < toPx);
    return piece ? piece.constantPx + piece.slope * width : NaN;
  };
  let best = 0;
  for (let step = 0; step <= 500; step += 1) {
    const zoom = 1 + ((most - 1) * step) / 500;
    best = Math.max(best, (zoom * f(widthPx / zoom)) / f(widthPx));
  }
  return best;
}

describe('zooming', () => {
  // Values worked out beforehand by an independent search over widths and zooms.
  test('makes clamp(1.8rem, 10vw, 5rem) 1.80 times as large at 800 px at best: it fails', () => {
    const pieces = piecesOf(clamp(1.8, 0, 10, 5));
    expect(zoomGain(pieces, 800)).toBeCloseTo(1.8, 10);
    const gaps = zoomGaps(pieces);
    expect(gaps).toHaveLength(1);
    expect(gaps[0]?.worstPx).toBeCloseTo(800, 6);
    expect(gaps[0]?.gain).toBeCloseTo(1.8, 10);
  });

  test('makes calc(1rem + 7vw) 1.33 times as large at 2560 px: it fails', () => {
    const pieces = piecesOf(clamp(0.01, 1, 7, 1000));
    expect(zoomGain(pieces, 2560)).toBeCloseTo(1.33, 2);
    expect(zoomGaps(pieces).at(-1)?.toPx).toBe(2560);
  });

  test('makes clamp(1.5rem, 4vw, 3rem) 2.5 times as large: it passes', () => {
    const pieces = piecesOf(clamp(1.5, 0, 4, 3));
    expect(zoomGaps(pieces)).toEqual([]);
    expect(
      Math.min(...Array.from({ length: 2241 }, (_, px) => zoomGain(pieces, 320 + px))),
    ).toBeCloseTo(2.5, 2);
  });

  const size = fc.double({ min: 0.5, max: 8, noNaN: true });
  const anchors = fc
    .tuple(
      fc.integer({ min: 240, max: 500 }),
      fc.integer({ min: 600, max: 1000 }),
      fc.integer({ min: 1100, max: 2400 }),
      fc.tuple(size, size, size),
    )
    .map(([narrow, middle, wide, sizes]) =>
      fluidSize(
        [narrow, middle, wide].map((widthPx, index) => ({
          widthPx,
          sizePx: (sizes[index] ?? 1) * 16,
        })),
      ),
    );

  test('whose clamp ends at 2.5 times its beginning always passes', () => {
    // A rule that follows from the arithmetic.
    fc.assert(
      fc.property(size, fc.double({ min: 1, max: 2.499, noNaN: true }), (from, times) => {
        const fluid = fluidSize([
          { widthPx: 360, sizePx: from * 16 },
          { widthPx: 1440, sizePx: from * times * 16 },
        ]);
        expect(zoomGaps(piecesOf(fluid))).toEqual([]);
      }),
    );
  });

  test('agrees with a brute-force search, for sums of clamps too', () => {
    fc.assert(
      fc.property(anchors, (fluid) => {
        const pieces = piecesOf(fluid);
        const gaps = zoomGaps(pieces);
        for (let width = 320; width <= 2560; width += 70) {
          const gain = zoomGain(pieces, width);
          const found = tried(pieces, width);
          expect(gain).toBeGreaterThanOrEqual(found - 1e-9);
          expect(gain).toBeLessThan(found * 1.02);
          const inGap = gaps.some(({ fromPx, toPx }) => width >= fromPx && width <= toPx);
          if (gain < 2 - 1e-6) expect(inGap).toBe(true);
          if (gain > 2 + 1e-6) expect(inGap).toBe(false);
        }
        for (const { worstPx, gain } of gaps)
          expect(tried(pieces, worstPx)).toBeLessThan(gain + 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  test('in stops only, is no better than any zoom up to the highest', () => {
    const pieces = piecesOf(clamp(1.5, 0, 4, 3));
    const stops = [1.1, 1.25, 1.5, 1.75, 2, 2.5, 3, 4, 5];
    const range = { fromPx: 320, toPx: 2560, most: 5, stops };
    for (let width = 320; width < 2560; width += 37) {
      const gain = zoomGain(pieces, width, range);
      const best = Math.max(
        1,
        ...stops.map(
          (zoom) =>
            (zoom * fluidPx(clamp(1.5, 0, 4, 3), width / zoom)) /
            fluidPx(clamp(1.5, 0, 4, 3), width),
        ),
      );
      expect(gain).toBeCloseTo(best, 8);
    }
    expect(zoomGaps(pieces, { ...range, most: 1.5 })).not.toEqual([]);
  });

  test('over steps counts both sides of a step', () => {
    // 16 px below 800, 48 px from there: just above a zoom of W / 800 the text is 16 px again.
    const steps: Piece[] = [
      { fromPx: 0, toPx: 800, constantPx: 16, slope: 0 },
      { fromPx: 800, toPx: Infinity, constantPx: 48, slope: 0 },
    ];
    // At 1000 px: up to 1.25 times 48, then five times 16 is 80: 1.67.
    expect(zoomGain(steps, 1000)).toBeCloseTo(80 / 48, 10);
    const gaps = zoomGaps(steps);
    expect(gaps[0]?.fromPx).toBeCloseTo(800, 6);
    // From 1600 px up a zoom of 2 still leaves 800 px.
    expect(gaps[0]?.toPx).toBeCloseTo(1600, 6);
  });
});
