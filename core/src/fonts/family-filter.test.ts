import { expect, test } from '@jest/globals';
import { sampleFamilies } from '../system/sample.ts';
import { hasItalic, weightsOf, type FontFamily } from './family.ts';
import {
  EMPTY_FILTER,
  filterFamilies,
  figureOf,
  ORDERS,
  type FamilyFilter,
} from './family-filter.ts';
import { moodFit } from './mood.ts';

const families = sampleFamilies();
const by = (change: Partial<FamilyFilter>): FontFamily[] =>
  filterFamilies(families, { ...EMPTY_FILTER, ...change });

test('nothing asked for lets everything through, in the order given', () => {
  expect(by({})).toEqual(families);
});

test.each<[string, Partial<FamilyFilter>, (family: FontFamily) => boolean]>([
  ['a kind', { category: 'slab' }, ({ category }) => category === 'slab'],
  ['a part of the name', { name: ' SANS ' }, ({ name }) => name.toLowerCase().includes('sans')],
  ['a language', { language: 'el' }, ({ languages }) => languages.includes('el')],
  ['an italic', { italic: true }, hasItalic],
  ['even figures', { figures: true }, ({ figures }) => figures !== 'proportional'],
  ['number of weights', { weights: '4 or more' }, (family) => weightsOf(family).length >= 4],
  [
    'range of weights',
    { weights: '300 to 700' },
    (family) => weightsOf(family).includes(300) && weightsOf(family).includes(700),
  ],
  ['large letters', { size: 'large' }, ({ metrics }) => metrics.xHeight >= 0.52],
  ['narrow letters', { width: 'narrow' }, ({ metrics }) => metrics.letterWidths.en < 0.42],
])('%s keeps those that have it, and drops no other', (_, change, fits) => {
  expect(by(change)).toEqual(families.filter(fits));
  expect(by(change).length).toBeGreaterThan(0);
  expect(by(change).length).toBeLessThan(families.length);
});

test('a mood keeps those that carry it, the best first where that is asked for', () => {
  const fits = by({ mood: 'elegant', order: 'mood' }).map((family) => moodFit(family, 'elegant'));
  expect(fits.length).toBeGreaterThan(3);
  expect(fits).toEqual(fits.toSorted((one, other) => other - one));
  expect(Math.min(...fits)).toBeGreaterThanOrEqual(0.62);
});

test('every order shows the figure that it orders by', () => {
  const mood = 'plain';
  for (const order of ORDERS) {
    const figures = by({ mood, order }).map((family) =>
      Number.parseFloat(figureOf(family, { ...EMPTY_FILTER, mood, order })),
    );
    expect(figures.every(Number.isFinite)).toBe(true);
    if (order === 'width' || order === 'bytes')
      expect(figures).toEqual(figures.toSorted((one, other) => one - other));
    if (order === 'x-height' || order === 'mood')
      expect(figures).toEqual(figures.toSorted((one, other) => other - one));
  }
});

test('a budget that no family keeps leaves nothing', () => {
  expect(by({ kilobytes: 1 })).toEqual([]);
});
