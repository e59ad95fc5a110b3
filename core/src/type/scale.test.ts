import { expect, test } from '@jest/globals';
import { charactersPerLine, columnEm } from './line-length.ts';
import { letterSpacingOf, lineHeightOf } from './line-height.ts';
import { intervalOf, INTERVALS, placeName, sizeOfPlace } from './scale.ts';

test('a default root of 16 px makes 1.5 rem 24 px: two fifths up from 16 is 36', () => {
  expect(sizeOfPlace(16, 1.5, 0)).toBe(16);
  expect(sizeOfPlace(16, 1.5, 1)).toBe(24);
  expect(sizeOfPlace(16, 1.5, 2)).toBe(36);
  expect(sizeOfPlace(16, 2, -1)).toBe(8);
});

test('places are named in words', () => {
  expect([0, 2, -1].map(placeName)).toEqual(['base', 'up 2', 'down 1']);
});

// Music theory, common practice.
test.each([
  ['major third', 1.25],
  ['perfect fourth', 4 / 3],
  ['augmented fourth', Math.SQRT2],
  ['golden ratio', 1.618034],
])('the %s is %d', (name, ratio) => {
  expect(INTERVALS.find((interval) => interval.name === name)?.ratio).toBeCloseTo(ratio, 5);
  expect(intervalOf(Number(ratio.toFixed(3)))).toBe(name);
});

test('a ratio of one’s own has no name', () => {
  expect(intervalOf(1.31)).toBeUndefined();
});

test('line height is at least 1.5 for body text, and 1.0 to 1.25 for large headings', () => {
  // WCAG 2.2, 1.4.8 for the first; common practice for the second.
  for (const size of [12, 16, 18]) expect(lineHeightOf(size)).toBeGreaterThanOrEqual(1.5);
  for (const size of [56, 72, 120]) {
    expect(lineHeightOf(size)).toBeGreaterThanOrEqual(1);
    expect(lineHeightOf(size)).toBeLessThanOrEqual(1.25);
  }
});

test('line height never grows with the size, letter spacing neither', () => {
  for (let size = 8; size < 140; size += 1) {
    expect(lineHeightOf(size + 1)).toBeLessThanOrEqual(lineHeightOf(size));
    expect(letterSpacingOf(size + 1)).toBeLessThanOrEqual(letterSpacingOf(size));
  }
  expect(letterSpacingOf(18)).toBe(0);
  expect(letterSpacingOf(72)).toBe(-0.022);
});

test('a column of 640 px at 16 px and half an em a character holds 80, less the ragged ends', () => {
  expect(charactersPerLine(640, 16, 0.5)).toBeCloseTo(76.8, 10);
  // A column that is made for so many characters holds them.
  for (const characters of [30, 45, 66, 75])
    expect(charactersPerLine(columnEm(characters, 0.43) * 16, 16, 0.43)).toBeCloseTo(characters, 1);
});

test('two ratios take turns from the base, up and down', () => {
  // Arithmetic: 16 × 1.2 × 1.5 × 1.2, and the second leads downwards.
  expect(sizeOfPlace(16, 1.2, 3, 1.5)).toBeCloseTo(34.56, 10);
  expect(sizeOfPlace(16, 1.2, 2, 1.5)).toBeCloseTo(28.8, 10);
  expect(sizeOfPlace(16, 1.2, -1, 1.5)).toBeCloseTo(16 / 1.5, 10);
  expect(sizeOfPlace(16, 1.2, -2, 1.5)).toBeCloseTo(16 / 1.8, 10);
  for (let place = -6; place < 14; place += 1)
    expect(sizeOfPlace(16, 1.2, place + 2, 1.5) / sizeOfPlace(16, 1.2, place, 1.5)).toBeCloseTo(
      1.8,
      10,
    );
});

test('lines grow with the length of the line and the height of small letters, at reading sizes only', () => {
  expect(lineHeightOf(16, { characters: 90 })).toBeGreaterThan(
    lineHeightOf(16, { characters: 45 }),
  );
  expect(lineHeightOf(16, { xHeight: 0.55 })).toBeGreaterThan(lineHeightOf(16, { xHeight: 0.42 }));
  expect(lineHeightOf(72, { characters: 90 })).toBe(lineHeightOf(72));
  expect(lineHeightOf(16, { characters: 75 })).toBeGreaterThanOrEqual(1.5);
});

test('capitals are spaced, large ones less', () => {
  expect(letterSpacingOf(16, true)).toBe(0.05);
  expect(letterSpacingOf(72, true)).toBeLessThan(letterSpacingOf(16, true));
  expect(letterSpacingOf(10)).toBeGreaterThan(0);
});
