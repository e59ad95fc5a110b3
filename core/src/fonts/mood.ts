import { constructionOf } from './construction.ts';
import type { Category, FontFamily } from './family.ts';

/** What can be measured of a face, each from 0 to 1. */
export interface Traits {
  /** From thin strokes (0) to heavy ones (1), at the regular weight. */
  readonly weight: number;
  /** From strokes of one thickness (0) to hairlines beside stems (1). */
  readonly modulation: number;
  /** From narrow (0) to wide (1). */
  readonly width: number;
  /** From small letters (0) to large ones (1) within the em. */
  readonly size: number;
}

const between = (value: number, low: number, high: number): number =>
  Math.min(1, Math.max(0, (value - low) / (high - low)));

/** The traits of a face, from its measured figures. The ends of each range are those of the catalogue. */
export function traitsOf({ metrics }: FontFamily): Traits {
  return {
    weight: between(metrics.stem, 0.05, 0.14),
    modulation: between(1 - metrics.thinToThick, 0, 0.8),
    width: between(metrics.letterWidths.en, 0.36, 0.6),
    size: between(metrics.xHeight, 0.38, 0.58),
  };
}

interface Mood {
  /** What the word asks of a face, in words. */
  readonly says: string;
  readonly traits: Partial<Traits>;
  /** Kinds of face that carry the word by themselves, from 0 (against it) to 1. */
  readonly kinds: Partial<Record<Category, number>>;
}

/**
 * The words of a brief and what of a face can carry them. Common practice, written down so that it
 * can be argued with: a word is a wish for measurable traits, not a list of names.
 */
export const MOODS = {
  plain: {
    says: 'even strokes, no ornament',
    traits: { modulation: 0.1, size: 0.65 },
    kinds: { sans: 1, slab: 0.5, serif: 0.45, mono: 0.35, display: 0.2, hand: 0 },
  },
  steady: {
    says: 'sturdy strokes, wide enough to stand',
    traits: { weight: 0.6, width: 0.5, modulation: 0.2 },
    kinds: { slab: 1, sans: 0.8, serif: 0.65, display: 0.4, mono: 0.3, hand: 0.1 },
  },
  warm: {
    says: 'soft contrast, small ascenders',
    traits: { modulation: 0.4, weight: 0.45, size: 0.6 },
    kinds: { serif: 0.9, slab: 0.9, hand: 0.8, display: 0.6, sans: 0.5, mono: 0.1 },
  },
  elegant: {
    says: 'thin beside thick, small letters',
    traits: { modulation: 0.85, weight: 0.3, size: 0.3 },
    kinds: { serif: 1, display: 0.9, sans: 0.4, hand: 0.4, slab: 0.1, mono: 0 },
  },
  traditional: {
    says: 'the forms of books',
    traits: { modulation: 0.5, size: 0.35 },
    kinds: { serif: 1, slab: 0.5, display: 0.4, sans: 0.2, hand: 0.3, mono: 0.1 },
  },
  modern: {
    says: 'even strokes, large letters',
    traits: { modulation: 0.1, size: 0.75 },
    kinds: { sans: 1, display: 0.7, mono: 0.6, slab: 0.4, serif: 0.2, hand: 0.1 },
  },
  technical: {
    says: 'narrow or of one width, exact',
    traits: { modulation: 0.05, width: 0.55, size: 0.7 },
    kinds: { mono: 1, sans: 0.8, slab: 0.5, display: 0.3, serif: 0.1, hand: 0 },
  },
  playful: {
    says: 'uneven, as if drawn',
    traits: { weight: 0.6, modulation: 0.25 },
    kinds: { hand: 1, display: 0.9, slab: 0.4, sans: 0.3, serif: 0.1, mono: 0.2 },
  },
  vivid: {
    says: 'heavy or wide, not to be overlooked',
    traits: { weight: 0.8, width: 0.7 },
    kinds: { display: 1, slab: 0.6, sans: 0.5, hand: 0.5, serif: 0.3, mono: 0.3 },
  },
  quiet: {
    says: 'light strokes, ordinary width',
    traits: { weight: 0.3, modulation: 0.35, width: 0.4 },
    kinds: { serif: 0.8, sans: 0.8, mono: 0.4, slab: 0.3, hand: 0.3, display: 0.1 },
  },
} as const satisfies Record<string, Mood>;

export type MoodWord = keyof typeof MOODS;

export const MOOD_WORDS = Object.keys(MOODS) as [MoodWord, ...MoodWord[]];

/** The kind of a face counts for so much of how it carries a word, its measured traits for the rest. */
const KIND_SHARE = 0.45;

/** How well the kind of a face carries a word; a display face carries it half by how it is built. */
function kindFit({ kinds }: Mood, family: FontFamily): number {
  const own = kinds[family.category] ?? 0.5;
  return family.category === 'display' ? (own + (kinds[constructionOf(family)] ?? 0.5)) / 2 : own;
}

/** How well a face carries a word, 0 to 1. */
export function moodFit(family: FontFamily, word: MoodWord): number {
  const mood: Mood = MOODS[word];
  const traits = traitsOf(family);
  const wishes = Object.entries(mood.traits) as [keyof Traits, number][];
  const fit =
    wishes.reduce((sum, [trait, wish]) => sum + 1 - Math.abs(traits[trait] - wish), 0) /
    Math.max(1, wishes.length);
  return KIND_SHARE * kindFit(mood, family) + (1 - KIND_SHARE) * fit;
}
