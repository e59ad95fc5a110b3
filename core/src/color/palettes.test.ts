import { expect, test } from '@jest/globals';
import { answersTo, PALETTE_MOODS, SHIPPED_PALETTES } from './palettes.ts';

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
  expect(found('soft pink')).not.toContain('Custard');
  expect(found('nothing like this')).toEqual([]);
  expect(found('')).toHaveLength(SHIPPED_PALETTES.length);
});
