import { describe, expect, test } from '@jest/globals';
import catalogue from './catalogue.json' with { type: 'json' };
import type { CatalogueEntry } from './catalogue.ts';
import {
  fontFamily,
  fontStack,
  hasItalic,
  hasWeight,
  nearestWeight,
  weightsOf,
  type FontFamily,
} from './family.ts';
import { LANGUAGE_CODES, lettersOf } from './languages.ts';
import { FREQUENCIES, letterWidthOf } from './letter-width.ts';
import { LOCAL_FAMILIES } from './local-families.ts';
import { REFERENCE } from './reference-metrics.ts';

const entries = catalogue as readonly CatalogueEntry[];
const families = entries.map(({ family }) => family);

const familyOf = (id: string): FontFamily => {
  const found = families.find((family) => family.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

/**
 * A variable file states the heights of the weight that it is drawn from, which is not always 400:
 * there the reference, taken at 400, differs by up to two hundredths of the em.
 */
const TOLERANCE = 0.02;

describe('the catalogue', () => {
  const count = (fits: (family: FontFamily) => boolean): number => families.filter(fits).length;

  test.each([
    ['serif', 18],
    ['sans', 25],
    ['slab', 6],
    ['display', 12],
    ['hand', 6],
    ['mono', 6],
  ] as const)('has of %s families %d or more', (category, least) => {
    expect(count((family) => family.category === category)).toBeGreaterThanOrEqual(least);
  });

  test('has 80 families or more, with italics, even figures and other scripts among them', () => {
    expect(families.length).toBeGreaterThanOrEqual(80);
    expect(count(hasItalic)).toBeGreaterThanOrEqual(10);
    expect(count(({ figures }) => figures !== 'proportional')).toBeGreaterThanOrEqual(12);
    expect(
      count(({ languages }) => languages.includes('ru') || languages.includes('el')),
    ).toBeGreaterThanOrEqual(8);
    for (const [serif, sans] of [
      ['Noto Serif', 'Noto Sans'],
      ['Source Serif 4', 'Source Sans 3'],
      ['Alegreya', 'Alegreya Sans'],
      ['PT Serif', 'PT Sans'],
    ])
      expect(families.filter(({ name }) => name === serif || name === sans)).toHaveLength(2);
  });

  test.each(families.map((family) => [family.id, family] as const))(
    '%s fits the schema',
    (_, family) => {
      expect(fontFamily.safeParse(family).success).toBe(true);
    },
  );

  test.each(Object.entries(REFERENCE))('%s has the metrics of the reference', (id, row) => {
    const { metrics } = familyOf(id);
    const [units = 1, xHeight = 0, capHeight = 0, ascent = 0, descent = 0, lineGap = 0] = row;
    expect(metrics.unitsPerEm).toBe(units);
    expect(Math.abs(metrics.xHeight - xHeight / units)).toBeLessThan(TOLERANCE);
    expect(Math.abs(metrics.capHeight - capHeight / units)).toBeLessThan(TOLERANCE);
    expect(Math.abs(metrics.ascent - ascent / units)).toBeLessThan(0.001);
    expect(Math.abs(metrics.descent - descent / units)).toBeLessThan(0.001);
    expect(Math.abs(metrics.lineGap - lineGap / units)).toBeLessThan(0.001);
  });

  test('tells the place of every file and of the license', () => {
    for (const { family, sources, licenceFile } of entries) {
      const cuts = (family.statics ?? []).flatMap((group) => group.cuts);
      const names = [...family.files, ...cuts].map(({ name }) => name);
      expect(Object.keys(sources).sort()).toEqual(names.sort());
      expect(family.statics !== undefined).toBe('wght' in family.axes);
      expect(licenceFile).toMatch(/\/LICENSE$/);
    }
  });

  test('knows that letters of a mono face are all as wide', () => {
    // A property of the faces: the mean advance is the advance of every letter.
    expect(familyOf('martian-mono').metrics.letterWidths.en).toBeCloseTo(0.7, 3);
    expect(familyOf('martian-mono').figures).toBe('tabular');
  });
});

describe('weights', () => {
  const range = familyOf('archivo');
  const steps = familyOf('aleo');

  test('a variable family has every hundred in its range', () => {
    expect(weightsOf(range)).toEqual([100, 200, 300, 400, 500, 600, 700, 800, 900]);
    expect(hasWeight(range, 650)).toBe(true);
  });

  test('a family in steps has its steps only, and the nearest is found', () => {
    expect(hasWeight(steps, 650)).toBe(false);
    expect(nearestWeight(steps, 640)).toBe(600);
    expect(nearestWeight(steps, 650)).toBe(700);
    expect(nearestWeight(familyOf('dm-serif-display'), 700)).toBe(400);
  });

  test('an italic is there or not, never assumed', () => {
    expect(hasItalic(familyOf('literata'))).toBe(true);
    expect(hasItalic(familyOf('unbounded'))).toBe(false);
  });
});

test('a stack names the family and ends with a generic one', () => {
  expect(fontStack(familyOf('literata'))).toBe('"Literata", "Literata fallback", serif');
});

test('the mean letter of a face whose every advance is half an em is half an em', () => {
  expect(letterWidthOf('en', () => 0.5)).toBeCloseTo(0.5, 12);
});

test('letters of a language are counted with their capitals, each once', () => {
  expect(lettersOf('de')).toEqual(expect.arrayContaining(['ä', 'Ä', 'ß', 'z', 'Z']));
  for (const code of LANGUAGE_CODES)
    expect(new Set(lettersOf(code)).size).toBe(lettersOf(code).length);
});

test('frequencies add up to all characters, but for the rarest', () => {
  for (const row of Object.values(FREQUENCIES)) {
    const sum = Object.values(row).reduce((total, often) => total + often, 0);
    expect(sum).toBeGreaterThan(9950);
    expect(sum).toBeLessThan(10_020);
  }
});

test('local families fit the schema too, and have the weights that computers have', () => {
  for (const family of LOCAL_FAMILIES) {
    expect(fontFamily.safeParse(family).success).toBe(true);
    expect(weightsOf(family)).toEqual([400, 700]);
    expect(nearestWeight(family, 600)).toBe(700);
    expect(hasItalic(family)).toBe(true);
  }
  expect(fontFamily.safeParse({ ...familyOf('literata'), files: [] }).success).toBe(false);
});
