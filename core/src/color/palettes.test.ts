import { expect, test } from '@jest/globals';
import * as schemes from 'd3-scale-chromatic';
import known from 'nice-color-palettes/1000.json' with { type: 'json' };
import { oklabDistance, oklabOf } from './oklab.ts';
import { isHex, rgbOf } from './srgb.ts';
import { answersTo, PALETTE_MOODS, PALETTE_WORDS, SHIPPED_PALETTES } from './palettes.ts';

test('there are some sixty palettes, each with a name of its own, a mood, a subject and five colors', () => {
  expect(SHIPPED_PALETTES.length).toBeGreaterThanOrEqual(60);
  expect(new Set(SHIPPED_PALETTES.map(({ name }) => name)).size).toBe(SHIPPED_PALETTES.length);
  for (const { colors, subject, name } of SHIPPED_PALETTES) {
    expect({ name, count: colors.length }).toEqual({ name, count: 5 });
    expect(subject).not.toBe('');
  }
  for (const mood of PALETTE_MOODS)
    expect(SHIPPED_PALETTES.some((palette) => palette.mood === mood)).toBe(true);
});

test('they are found by their words and by their hues', () => {
  const found = (search: string): string[] =>
    SHIPPED_PALETTES.filter(({ name, mood, subject, colors }) =>
      answersTo({ text: `${name} ${mood} ${subject}`, colors }, search),
    ).map(({ name }) => name);
  expect(found('estuary')).toEqual(['Low water']);
  expect(found('soft pink')).toContain('Petal');
  expect(found('cool red')).not.toContain('Kelp');
  expect(found('nothing like this')).toEqual([]);
  expect(found('')).toHaveLength(SHIPPED_PALETTES.length);
  // Every usual word finds some and not all; what objects have is no word.
  expect(PALETTE_WORDS.length).toBeGreaterThanOrEqual(30);
  for (const word of PALETTE_WORDS) {
    const count = found(word).length;
    expect([word, count > 0, count < SHIPPED_PALETTES.length]).toEqual([word, true, true]);
  }
  for (const word of ['constructor', '__proto__', 'tostring']) expect(found(word)).toEqual([]);
});

test('words for colors are what their colors are by their published names', () => {
  // Named colors of CSS Color Module Level 4, 6.1.
  for (const [word, colors] of [
    ['red', ['#ff0000', '#dc143c']],
    ['orange', ['#ff8c00']],
    ['yellow', ['#ffff00', '#ffd700']],
    ['gold', ['#ffd700', '#daa520']],
    ['green', ['#008000', '#228b22']],
    ['teal', ['#008080', '#20b2aa']],
    ['blue', ['#0000ff', '#4682b4']],
    ['navy', ['#000080', '#191970']],
    ['purple', ['#800080', '#8a2be2']],
    ['pink', ['#ff69b4', '#ff1493']],
    ['brown', ['#8b4513', '#a0522d']],
    ['beige', ['#f5f5dc', '#faebd7']],
    ['olive', ['#808000', '#6b8e23']],
    ['gray', ['#808080', '#a9a9a9']],
    ['black', ['#000000']],
    ['white', ['#ffffff', '#fffafa']],
  ] as const)
    for (const hex of colors)
      expect([word, hex, answersTo({ text: '', colors: [hex] }, word)]).toEqual([word, hex, true]);
  expect(answersTo({ text: '', colors: [] }, 'dark')).toBe(false);
  expect(answersTo({ text: '', colors: ['#ffd1dc', '#cfe8ff', '#e8f5d0'] }, 'pastel light')).toBe(
    true,
  );
  expect(answersTo({ text: '', colors: ['#0b1020', '#20242c'] }, 'dark light')).toBe(false);
});

test('none repeats a palette that is known: at most three of its five colors are in any list', () => {
  // nice-color-palettes (a thousand sets that people rated highest) and d3-scale-chromatic (the
  // published cartographic schemes and those of charts).
  const listed: string[][] = [
    ...known,
    ...Object.values(schemes).flatMap((scheme): string[][] =>
      Array.isArray(scheme)
        ? scheme.every((one) => typeof one === 'string')
          ? [scheme]
          : scheme.filter((one): one is string[] => Array.isArray(one))
        : [],
    ),
  ];
  expect(listed.length).toBeGreaterThan(1000);
  const labs = listed.map((colors) =>
    colors
      .map((color) => color.toLowerCase())
      .filter(isHex)
      .map((color) => oklabOf(rgbOf(color))),
  );
  for (const { name, colors } of SHIPPED_PALETTES) {
    const own = colors.map((color) => oklabOf(rgbOf(color)));
    const most = Math.max(
      ...labs.map(
        (other) =>
          own.filter((color) => other.some((one) => oklabDistance(color, one) < 0.02)).length,
      ),
    );
    expect([name, most <= 3]).toEqual([name, true]);
  }
});

test('each is in the order of its lightness, and its colors differ', () => {
  for (const { name, colors } of SHIPPED_PALETTES) {
    const labs = colors.map((color) => oklabOf(rgbOf(color)));
    labs.slice(1).forEach((lab, index) => {
      const before = labs[index] ?? lab;
      expect([name, lab[0] < before[0], oklabDistance(lab, before) > 0.02]).toEqual([
        name,
        true,
        true,
      ]);
    });
  }
});
