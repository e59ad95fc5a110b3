import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { hexOf, rgbOf } from '../color/srgb.ts';
import { innerRadius } from './corners.ts';
import { solveGrid, spanWidth, type GridKnown } from './grid.ts';
import { inherited } from './inherited.ts';
import { PATTERN_KINDS, patternSvg, svgAddress } from './pattern.ts';
import { geometricSteps, nearestStep, similarNeighbors, sizeWords } from './scale.ts';
import { shadowColor, shadowCss, shadowOf, type Light } from './shadows.ts';
import { shrinkingCss, shrinkingPx, swapWidths, type Shrinking } from './shrinking.ts';

describe('a scale', () => {
  test('of a ratio keeps to whole units and never stands still', () => {
    // Arithmetic: 8 px × 1.5^n is 8, 12, 18, 27, 40.5, 60.75.
    expect(geometricSteps(8, { first: 1, ratio: 1.5 }, 6)).toEqual([8, 16, 24, 32, 40, 64]);
    expect(geometricSteps(4, { first: 1, ratio: 2 }, 5)).toEqual([4, 8, 16, 32, 64]);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 1.05, max: 4, noNaN: true }),
        fc.double({ min: 0.125, max: 16, noNaN: true }),
        (unit, ratio, first) => {
          const steps = geometricSteps(unit, { first, ratio }, 10);
          for (const [index, px] of steps.entries()) {
            expect(px % unit).toBe(0);
            expect(px).toBeGreaterThan(steps[index - 1] ?? 0);
          }
        },
      ),
    );
  });

  test('refuses a unit of 0, and a ratio that does not grow', () => {
    expect(() => geometricSteps(0, { first: 1, ratio: 2 }, 3)).toThrow(RangeError);
    expect(() => geometricSteps(8, { first: 1, ratio: 1 }, 3)).toThrow(RangeError);
  });

  test('tells neighbors that are too similar, by their ratio', () => {
    // Common practice: steps under a fifth apart are not told apart.
    expect(similarNeighbors([8, 16, 18, 32]).map(({ index }) => index)).toEqual([2]);
    expect(similarNeighbors([8, 16, 24, 40])).toEqual([]);
  });

  test('has words for its sizes, with the medium one in the middle', () => {
    expect(sizeWords(3)).toEqual(['small', 'medium', 'large']);
    expect(sizeWords(6)).toEqual(['tiny', 'small', 'medium', 'large', 'huge', 'vast']);
    expect(sizeWords(9).slice(-2)).toEqual(['vast 2', 'vast 3']);
    for (let count = 1; count < 14; count += 1) expect(new Set(sizeWords(count)).size).toBe(count);
  });

  test('has a nearest step by ratio, not by difference', () => {
    expect(nearestStep([8, 32], 17)).toBe(1);
    expect(nearestStep([8, 32], 15)).toBe(0);
    expect(nearestStep([8], 0)).toBeUndefined();
  });
});

describe('a length that shrinks with its container', () => {
  const fiveEm: Shrinking = { form: 'min', fixed: { value: 5, unit: 'em' }, share: 8 };

  test('min(5em, 8%) swaps at 1000 px in text of 16 px', () => {
    // Arithmetic: 80 px are 8 % of 1000 px.
    expect(swapWidths(fiveEm)).toEqual([1000]);
    expect(shrinkingPx(fiveEm, 900)).toBe(72);
    expect(shrinkingPx(fiveEm, 1200)).toBe(80);
    expect(shrinkingCss(fiveEm)).toBe('min(5em, 8%)');
  });

  test('max() and clamp() rule the other way round, and at both ends', () => {
    expect(shrinkingPx({ ...fiveEm, form: 'max' }, 900)).toBe(80);
    const held: Shrinking = { ...fiveEm, form: 'clamp', least: { value: 16, unit: 'px' } };
    expect(swapWidths(held)).toEqual([200, 1000]);
    expect([100, 500, 2000].map((width) => shrinkingPx(held, width))).toEqual([16, 40, 80]);
    expect(shrinkingCss(held)).toBe('clamp(16px, 8%, 5em)');
  });

  test('is at its swap what both of its parts are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.constantFrom('min' as const, 'max' as const),
        (value, share, form) => {
          const length: Shrinking = { form, fixed: { value, unit: 'rem' }, share };
          const [swap = 0] = swapWidths(length);
          expect(shrinkingPx(length, swap)).toBeCloseTo(value * 16, 6);
          expect(shrinkingPx(length, swap)).toBeCloseTo((share / 100) * swap, 6);
        },
      ),
    );
  });
});

describe('a column grid', () => {
  const solved = (known: GridKnown, screen = 320, whole = false) => {
    const answer = solveGrid(known, screen, whole);
    if (!answer.ok) throw new Error(answer.message);
    return answer.grid;
  };

  test('of 12 columns of 60 px with gutters of 20 px is 940 px wide, 8 of them 620 px', () => {
    // Arithmetic; common practice.
    const grid = solved({ columns: 12, column: 60, gutter: 20 });
    expect(grid.container).toBe(940);
    expect(spanWidth(grid, 8)).toBe(620);
  });

  test.each<[GridKnown, keyof GridKnown, number]>([
    [{ container: 940, columns: 12, gutter: 20 }, 'column', 60],
    [{ container: 940, column: 60, gutter: 20 }, 'columns', 12],
    [{ container: 940, columns: 12, column: 60, margin: 0 }, 'gutter', 20],
    [{ container: 1000, columns: 12, column: 60, gutter: 20 }, 'margin', 30],
    [{ columns: 12, column: 60, gutter: 20, margin: 30 }, 'container', 1000],
  ])('from %j computes the %s', (known, part, value) => {
    const grid = solved(known);
    expect(part === 'margin' ? grid.marginStart : grid[part]).toBeCloseTo(value, 9);
  });

  test('always adds up, with whole px too', () => {
    const length = (max: number) => fc.double({ min: 1, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.record(
          {
            container: length(3000),
            columns: fc.integer({ min: 1, max: 24 }),
            column: length(300),
            gutter: length(80),
            margin: length(200),
          },
          { requiredKeys: [] },
        ),
        fc.integer({ min: 320, max: 2000 }),
        fc.boolean(),
        (known, screen, whole) => {
          const answer = solveGrid(known, screen, whole);
          if (!answer.ok) {
            expect(answer.message).toMatch(/\.$/);
            return;
          }
          const { container, columns, column, gutter, marginStart, marginEnd } = answer.grid;
          expect(columns * column + (columns - 1) * gutter + marginStart + marginEnd).toBeCloseTo(
            container,
            6,
          );
          expect(Math.min(column, columns)).toBeGreaterThan(0);
          expect(Math.min(gutter, marginStart, marginEnd)).toBeGreaterThanOrEqual(-1e-6);
          if (whole) expect([column % 1, gutter % 1]).toEqual([0, 0]);
        },
      ),
      { numRuns: 500 },
    );
  });

  test('in whole px gives what is left over to the margins', () => {
    const grid = solved({ container: 1000, columns: 7, gutter: 10 }, 320, true);
    expect([grid.column, grid.marginStart, grid.marginEnd]).toEqual([134, 1, 1]);
  });

  test('takes the screen for its container where nothing else is known', () => {
    const grid = solved({ columns: 4, gutter: 16, margin: 16 }, 375);
    expect([grid.container, grid.fluid, grid.column]).toEqual([375, true, 73.75]);
  });

  test.each<[GridKnown, keyof GridKnown, RegExp]>([
    [{ columns: 0, gutter: 20 }, 'columns', /one at least/],
    [{ columns: 2.5 }, 'columns', /whole columns/],
    [{ gutter: 20 }, 'columns', /Give the number/],
    [{ container: 300, columns: 12, gutter: 40 }, 'gutter', /wider than the container/],
    [{ container: 300, columns: 6, column: 80, margin: 0 }, 'column', /wider than the container/],
    [{ container: 100, column: 200, gutter: 10 }, 'column', /does not stand in/],
    [{ container: 500, columns: 5, column: 100, gutter: 20, margin: 10 }, 'container', /add up/],
    [{ container: -1, columns: 4 }, 'container', /wider than 0/],
  ])('%j is explained at %s', (known, field, message) => {
    expect(solveGrid(known, 320)).toMatchObject({
      ok: false,
      field,
      message: expect.stringMatching(message),
    });
  });
});

test('what a breakpoint does not set it inherits from below', () => {
  expect(inherited('s', { wide: 'l' }, ['medium', 'wide', 'huge'])).toEqual([
    { id: 'medium', value: 's', isSet: false },
    { id: 'wide', value: 'l', isSet: true },
    { id: 'huge', value: 'l', isSet: false },
  ]);
});

test('nested corners run side by side, and end at a right angle', () => {
  // Arithmetic: circles around one middle.
  expect(innerRadius(16, 1, 7)).toBe(8);
  expect(innerRadius(8, 1, 24)).toBe(0);
});

describe('shadows', () => {
  const light: Light = { from: 0, reach: 0.5, softness: 2, strength: 0.2, ambient: 0.1 };

  test('fall away from the light', () => {
    const [above] = shadowOf(10, '#ffffff', light);
    expect([above?.x, above?.y, above?.blur]).toEqual([0, 5, 20]);
    const [fromLeft] = shadowOf(10, '#ffffff', { ...light, from: -90 });
    expect([fromLeft?.x, fromLeft?.y]).toEqual([5, 0]);
  });

  test('are longer, softer and fainter the higher a thing lies', () => {
    const levels = [2, 6, 12, 24].map((height) => shadowOf(height, '#ffffff', light)[0]);
    for (const [index, level] of levels.slice(1).entries()) {
      const below = levels[index];
      expect(level?.y).toBeGreaterThan(below?.y ?? Infinity);
      expect(level?.blur).toBeGreaterThan(below?.blur ?? Infinity);
      expect(level?.opacity).toBeLessThan(below?.opacity ?? 0);
    }
  });

  test('take the hue of what they fall on, and are no gray on a tint', () => {
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
    fc.assert(
      fc.property(hex, (surface) => {
        const ground = oklchOf(oklabOf(rgbOf(surface)));
        const shadow = oklchOf(oklabOf(rgbOf(shadowColor(surface))));
        expect(shadow.lightness).toBeLessThanOrEqual(ground.lightness);
        // Dark 8-bit colors hold a hue only so well.
        if (ground.lightness < 0.85 || ground.chroma < 0.03) return;
        expect(shadow.chroma).toBeGreaterThan(0.02);
        const apart = Math.abs(((shadow.hue - ground.hue + 540) % 360) - 180);
        expect(apart).toBeLessThan(25);
      }),
    );
  });

  test('are written as CSS has them, and not at all where nothing is left', () => {
    expect(shadowCss(shadowOf(4, '#ffffff', { ...light, ambient: 0 }))).toMatch(
      /^0px 2px 8px -1.2px rgb\(\d+ \d+ \d+ \/ 0\.185\)$/,
    );
    expect(shadowCss(shadowOf(4, '#ffffff', { ...light, strength: 0, ambient: 0 }))).toBe('none');
    expect(shadowCss(shadowOf(4, '#101418', light, 0.1))).toContain('inset 0px 1px 0px 0px');
    expect(() => shadowOf(0, '#ffffff', light)).toThrow(RangeError);
  });
});

describe('patterns', () => {
  test.each(PATTERN_KINDS)('%s are one SVG in one color', (kind) => {
    for (const turn of [0, 30]) {
      const svg = patternSvg({ kind, cellPx: 24, ink: '#336677', turn });
      expect(svg).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg"[\s\S]*<\/svg>$/);
      expect(new Set(svg.match(/#[0-9a-f]{6}/g))).toEqual(new Set(['#336677']));
      // RFC 3986: what a URL may not hold is encoded.
      expect(svgAddress(svg)).not.toMatch(/[<>#]/);
      expect(decodeURIComponent(svgAddress(svg).slice(24, -2)).replaceAll("'", '"')).toBe(svg);
    }
  });

  test('refuse a cell of nothing', () => {
    expect(() => patternSvg({ kind: 'dots', cellPx: 0, ink: '#000000', turn: 0 })).toThrow(
      RangeError,
    );
  });
});
