import { hasItalic, weightsOf, type Category, type FontFamily } from './family.ts';
import { firstBytes, neededFiles } from './files.ts';
import type { LanguageCode } from './languages.ts';
import { moodFit, type MoodWord } from './mood.ts';

/** From the first up to, but not with, the second; shares of the em. */
export type Range = readonly [from: number, to: number];

/** Heights of small letters, and mean widths of a character, as shares of the em. */
export const SIZES = {
  any: [0, 1],
  small: [0, 0.46],
  middling: [0.46, 0.52],
  large: [0.52, 1],
} as const satisfies Record<string, Range>;
export const WIDTHS = {
  any: [0, 1],
  narrow: [0, 0.42],
  ordinary: [0.42, 0.47],
  wide: [0.47, 1],
} as const satisfies Record<string, Range>;
/** The weights that are asked for: so many, and the whole way from one to another. */
export const WEIGHTS = {
  any: {},
  '2 or more': { count: 2 },
  '4 or more': { count: 4 },
  '300 to 700': { from: 300, to: 700 },
  '400 to 700': { from: 400, to: 700 },
  '400 to 900': { from: 400, to: 900 },
  '100 to 900': { from: 100, to: 900 },
} as const satisfies Record<string, WantedWeights>;
export type Weights = keyof typeof WEIGHTS;

interface WantedWeights {
  readonly count?: number;
  readonly from?: number;
  readonly to?: number;
}

export type Size = keyof typeof SIZES;
export type Width = keyof typeof WIDTHS;

const within = (value: number, [from, to]: Range): boolean => value >= from && value < to;

/** What a list of families is narrowed by, and the figure that it is ordered by. */
export interface FamilyFilter {
  readonly category: Category | 'all';
  readonly name: string;
  readonly mood: MoodWord | '';
  readonly language: LanguageCode | '';
  readonly italic: boolean;
  readonly figures: boolean;
  readonly weights: Weights;
  readonly size: Size;
  readonly width: Width;
  readonly kilobytes: number;
  readonly order: Order;
}

export const ORDERS = ['name', 'x-height', 'width', 'bytes', 'mood'] as const;
export type Order = (typeof ORDERS)[number];

/** A filter that lets everything through, by name. */
export const EMPTY_FILTER: FamilyFilter = {
  category: 'all',
  name: '',
  mood: '',
  language: '',
  italic: false,
  figures: false,
  weights: 'any',
  size: 'any',
  width: 'any',
  kilobytes: 1000,
  order: 'name',
};

/** The bytes of the two weights that most sites need. */
const bytesOf = (family: FontFamily): number =>
  firstBytes(neededFiles(family, { upright: [400, 700], italic: [], languages: ['en'] }));

const hasWeights = (family: FontFamily, { count = 1, from, to }: WantedWeights): boolean => {
  const weights = weightsOf(family);
  const has = (end: number | undefined): boolean => end === undefined || weights.includes(end);
  return weights.length >= count && has(from) && has(to);
};

/** How well a family must carry a word to be shown under it. */
const CARRIES = 0.62;

/** The families that pass, in the order asked for; equals keep the order given. */
export function filterFamilies(
  families: readonly FontFamily[],
  filter: FamilyFilter,
): FontFamily[] {
  const { category, name, mood, language, italic, figures, weights, order } = filter;
  const { kilobytes, size, width } = filter;
  const kept = families.filter(
    (family) =>
      (category === 'all' || family.category === category) &&
      family.name.toLowerCase().includes(name.trim().toLowerCase()) &&
      (mood === '' || moodFit(family, mood) >= CARRIES) &&
      (language === '' || family.languages.includes(language)) &&
      (!italic || hasItalic(family)) &&
      (!figures || family.figures !== 'proportional') &&
      hasWeights(family, WEIGHTS[weights]) &&
      within(family.metrics.xHeight, SIZES[size]) &&
      within(family.metrics.letterWidths.en, WIDTHS[width]) &&
      bytesOf(family) <= kilobytes * 1000,
  );
  const key: Readonly<Record<Order, (family: FontFamily) => number>> = {
    name: () => 0,
    'x-height': ({ metrics }) => -metrics.xHeight,
    width: ({ metrics }) => metrics.letterWidths.en,
    bytes: bytesOf,
    mood: (family) => (mood === '' ? 0 : -moodFit(family, mood)),
  };
  return kept.toSorted((one, other) => key[order](one) - key[order](other));
}

/** The figure that the list is ordered by, in its own unit. */
export const figureOf = (family: FontFamily, { mood, order }: FamilyFilter): string => {
  if (order === 'width') return family.metrics.letterWidths.en.toFixed(2);
  if (order === 'bytes') return `${Math.round(bytesOf(family) / 1000)} kB`;
  if (order === 'mood' && mood !== '') return `${Math.round(moodFit(family, mood) * 100)} %`;
  return family.metrics.xHeight.toFixed(2);
};

/** What the figure beside a family is called. */
export const FIGURE_NAMES: Readonly<Record<Order, string>> = {
  name: 'x-height',
  'x-height': 'x-height',
  width: 'width, em',
  bytes: 'two weights',
  mood: 'carries it',
};
