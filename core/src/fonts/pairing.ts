import { hasSmallLetters } from './construction.ts';
import { hasItalic, weightsOf, type FontFamily } from './family.ts';
import { firstBytes, neededFiles } from './files.ts';
import type { LanguageCode } from './languages.ts';
import { moodFit, type MoodWord } from './mood.ts';
import { difference, inOneLine, structureOf, type Structure } from './structure.ts';

export const NEEDS = ['tables', 'emphasis', 'small capitals'] as const;
export type Need = (typeof NEEDS)[number];

/** What a pair is chosen for. */
export interface PairingBrief {
  readonly mood: readonly MoodWord[];
  readonly needs: readonly Need[];
  readonly languages: readonly LanguageCode[];
  readonly budgetKb: number;
}

export const PARTS = ['mood', 'difference', 'x-height', 'reading', 'weights', 'bytes'] as const;
export type PairingPart = (typeof PARTS)[number];

/** How much each part counts; the sum is 1. Common practice. */
export const SHARES: Readonly<Record<PairingPart, number>> = {
  mood: 0.36,
  difference: 0.22,
  'x-height': 0.1,
  reading: 0.16,
  weights: 0.08,
  bytes: 0.08,
};

/** What a face brings to every pair it could stand in: computed once, then only added up. */
interface Candidate extends Structure {
  /** How well it carries each word of the brief, among all that are ranked, 0 to 1. */
  readonly moods: Float64Array;
  readonly asHeading: Record<'weights', number>;
  readonly asText: Record<'weights' | 'reading', number>;
  readonly asLabel: Record<'weights' | 'reading', number>;
  readonly bytes: number;
  readonly missing: readonly string[];
  readonly small: boolean;
}

export interface Pairing {
  readonly heading: FontFamily;
  readonly text: FontFamily;
  /** The third face of a trio. */
  readonly label?: FontFamily;
  /** 0 to 1; the sum of the squares of the parts, each times its share. */
  readonly score: number;
  readonly parts: Readonly<Record<PairingPart, number>>;
}

export interface Ranked {
  readonly count: number;
  /** The pairs from one rank up to another, 0 for the best. */
  readonly pairings: (from: number, to: number) => readonly Pairing[];
  /** Faces that cannot set the text of this brief, and why. */
  readonly excluded: readonly {
    readonly family: FontFamily;
    readonly reasons: readonly string[];
  }[];
}

const held = (value: number): number => Math.min(1, Math.max(0, value));

/** What a text face must have, and this one has not. */
function missingFor(family: FontFamily, { languages, needs }: PairingBrief): string[] {
  const missing: string[] = [];
  const uncovered = languages.filter((language) => !family.languages.includes(language));
  if (uncovered.length > 0) missing.push(`lacks letters of ${uncovered.join(', ')}`);
  if (needs.includes('tables') && family.figures === 'proportional')
    missing.push('has no tabular figures');
  if (needs.includes('emphasis') && !hasItalic(family)) missing.push('has no true italic');
  if (needs.includes('small capitals') && !family.smallCaps) missing.push('has no small capitals');
  if (family.category === 'display' || family.category === 'hand')
    missing.push(`is a ${family.category} face, which tires in running text`);
  return missing;
}

/** What a label face must have: the letters, and shapes that are read in a glance. */
const canLabel = (
  { category, languages: written }: FontFamily,
  { languages }: PairingBrief,
): boolean =>
  category !== 'display' &&
  category !== 'hand' &&
  languages.every((language) => written.includes(language));

/** How well a face reads at text sizes: letters of a fair size, strokes neither thin nor modulated much. */
function readingOf({ category, metrics }: FontFamily): number {
  const size = held(1 - Math.abs(metrics.xHeight - 0.5) / 0.12);
  const strokes = held((metrics.stem - 0.045) / 0.03);
  const hairlines = held((metrics.thinToThick - 0.15) / 0.25);
  // Letters of one width make lines long and rivers wide.
  const spacing = category === 'mono' ? 0.45 : 1;
  return spacing * (0.4 * size + 0.3 * strokes + 0.3 * hairlines);
}

/** A face that carries a word better than so many of all counts as carrying nothing of it. */
const CARRIES_NOTHING = 0.25;

/**
 * How well each family carries each word, 0 to 1: from what a quarter of them reach to the best of them.
 * Every word is told apart in full, also one for which all faces are measured much alike.
 */
function moodsOf(families: readonly FontFamily[], words: readonly MoodWord[]): Float64Array[] {
  const fits = words.map((word) => families.map((family) => moodFit(family, word)));
  const ranges = fits.map((all) => {
    const sorted = all.toSorted((one, other) => one - other);
    const low = sorted[Math.floor(sorted.length * CARRIES_NOTHING)] ?? 0;
    return { low, span: Math.max(0.05, (sorted.at(-1) ?? 1) - low) };
  });
  return families.map((_, index) =>
    Float64Array.from(ranges, ({ low, span }, word) =>
      held(((fits[word]?.[index] ?? 0) - low) / span),
    ),
  );
}

/** How much of a word one face of a pair has to carry, and how much the two together. Common practice. */
const BY_THE_BETTER = 0.6;

/**
 * How well two faces carry the words: one of them is enough to carry a word, and it is better carried
 * where both do, the heading counting more. Without words, half.
 */
function moodTogether(heading: Float64Array, text: Float64Array, share: number): number {
  if (heading.length === 0) return 0.5;
  let sum = 0;
  for (let word = 0; word < heading.length; word += 1) {
    const [one, other] = [heading[word] ?? 0, text[word] ?? 0];
    const both = share * one + (1 - share) * other;
    sum += BY_THE_BETTER * Math.max(one, other) + (1 - BY_THE_BETTER) * both;
  }
  return sum / heading.length;
}

function candidateOf(family: FontFamily, brief: PairingBrief, moods: Float64Array): Candidate {
  const count = weightsOf(family).length;
  const files = neededFiles(family, {
    upright: [400, 700],
    italic: brief.needs.includes('emphasis') ? [400] : [],
    languages: brief.languages,
  });
  return {
    ...structureOf(family),
    moods,
    asHeading: { weights: held(count / 9) },
    asLabel: {
      // Labels are set in a medium or half-bold weight.
      weights: weightsOf(family).some((weight) => weight >= 500 && weight <= 700) ? 1 : 0.4,
      reading: readingOf(family),
    },
    asText: {
      weights: held(count / 9) * (weightsOf(family).includes(700) ? 1 : 0.3),
      reading: readingOf(family),
    },
    bytes: firstBytes(files),
    missing: missingFor(family, brief),
    small: hasSmallLetters(family),
  };
}

const lineOf = (one: Candidate, other: Candidate): number =>
  inOneLine(one.family, other.family, one.small && other.small);

/** The parts of a pair in the order of PARTS, written into `parts`; nothing is made anew. */
function partsInto(
  parts: Float64Array,
  heading: Candidate,
  text: Candidate,
  budgetKb: number,
): Float64Array {
  const same = heading === text;
  const bytes = same ? text.bytes : heading.bytes + text.bytes;
  parts[0] = moodTogether(heading.moods, text.moods, 0.6);
  parts[1] = difference(heading, text);
  parts[2] = lineOf(heading, text);
  parts[3] = text.asText.reading;
  parts[4] = 0.5 * heading.asHeading.weights + 0.5 * text.asText.weights;
  parts[5] = held(1.25 - bytes / 1000 / budgetKb);
  return parts;
}

/**
 * The parts of a trio from those of its pair: labels stand beside text and in its lines, so they are
 * measured against it; what is said of difference and x-height is said of the worse of the two.
 */
function trioPartsInto(
  parts: Float64Array,
  pair: Float64Array,
  [heading, text, label]: readonly [Candidate, Candidate, Candidate],
  budgetKb: number,
): Float64Array {
  const bytes = label.bytes + text.bytes + (heading === text ? 0 : heading.bytes);
  parts[0] = 0.8 * (pair[0] ?? 0) + 0.2 * moodTogether(label.moods, label.moods, 0.5);
  parts[1] = Math.min(pair[1] ?? 0, difference(label, text));
  parts[2] = Math.min(pair[2] ?? 0, lineOf(label, text));
  parts[3] = 0.7 * (pair[3] ?? 0) + 0.3 * label.asLabel.reading;
  parts[4] = 0.8 * (pair[4] ?? 0) + 0.2 * label.asLabel.weights;
  parts[5] = held(1.25 - bytes / 1000 / budgetKb);
  return parts;
}

const SHARE_OF_PART = Float64Array.from(PARTS, (part) => SHARES[part]);

/**
 * What a part adds to the score. Squared, so that pairs come apart where they are good: what is half
 * right adds a quarter.
 */
const pointsOf = (part: number, value: number): number =>
  (SHARE_OF_PART[part] ?? 0) * value * value;

function scoreOf(parts: Float64Array): number {
  let score = 0;
  for (let part = 0; part < PARTS.length; part += 1) score += pointsOf(part, parts[part] ?? 0);
  return score;
}

const named = (parts: Float64Array): Pairing['parts'] =>
  Object.fromEntries(PARTS.map((part, index) => [part, parts[index] ?? 0])) as Pairing['parts'];

export interface Held {
  readonly heading?: string | undefined;
  readonly text?: string | undefined;
  readonly label?: string | undefined;
}

/** The candidates for each place, what is held standing alone in its own. */
function placesFor(
  families: readonly FontFamily[],
  brief: PairingBrief,
  { heading, text, label }: Held,
) {
  const moods = moodsOf(families, brief.mood);
  const candidates = families.map((family, index) =>
    candidateOf(family, brief, moods[index] ?? new Float64Array()),
  );
  const fits = (id: string | undefined, canStand: (candidate: Candidate) => boolean) =>
    candidates.filter((one) => (id === undefined ? canStand(one) : one.family.id === id));
  return {
    headings: fits(heading, () => true),
    texts: fits(text, ({ missing }) => missing.length === 0),
    labels: fits(label, ({ family }) => canLabel(family, brief)),
    excluded: candidates
      .filter(({ missing }) => missing.length > 0)
      .map(({ family, missing }) => ({ family, reasons: missing })),
  };
}

/** The places of the scores from the highest down; equal ones keep their order, refused ones are left out. */
function orderOf(scores: Float64Array): Uint32Array {
  const order = Uint32Array.from(scores, (_, index) => index).sort(
    (one, other) => (scores[other] ?? 0) - (scores[one] ?? 0) || one - other,
  );
  let end = order.length;
  while (end > 0 && (scores[order[end - 1] ?? 0] ?? 0) < 0) end -= 1;
  return order.subarray(0, end);
}

const rankedOf = (
  scores: Float64Array,
  excluded: Ranked['excluded'],
  pairingAt: (index: number) => Omit<Pairing, 'score'> | undefined,
): Ranked => {
  const order = orderOf(scores);
  return {
    count: order.length,
    pairings: (from, to) =>
      Array.from(order.subarray(Math.max(0, from), to)).flatMap((index) => {
        const pairing = pairingAt(index);
        return pairing ? [{ ...pairing, score: scores[index] ?? 0 }] : [];
      }),
    excluded,
  };
};

/**
 * Every pair of a heading and a text face, the best first. Faces that lack what the text must have
 * are left out as text faces, with their reasons; a face that is held stays in its place all the same.
 * Deterministic: equal scores keep the order of the families.
 */
export function rankPairings(
  families: readonly FontFamily[],
  brief: PairingBrief,
  wanted: Held = {},
): Ranked {
  const { headings, texts, excluded } = placesFor(families, brief, wanted);
  const { budgetKb } = brief;
  const scores = new Float64Array(headings.length * texts.length);
  const parts = new Float64Array(PARTS.length);
  headings.forEach((one, row) =>
    texts.forEach((other, column) => {
      scores[row * texts.length + column] = scoreOf(partsInto(parts, one, other, budgetKb));
    }),
  );
  return rankedOf(scores, excluded, (index) => {
    const one = headings[Math.floor(index / texts.length)];
    const other = texts[index % texts.length];
    return (
      one &&
      other && {
        heading: one.family,
        text: other.family,
        parts: named(partsInto(parts, one, other, budgetKb)),
      }
    );
  });
}

/**
 * Every trio of a heading, a text and a label face of three different families, the best first, as
 * `rankPairings` ranks pairs. One face at least is held: a third face is chosen beside something.
 * Throws a RangeError where nothing is held.
 */
export function rankTrios(
  families: readonly FontFamily[],
  brief: PairingBrief,
  wanted: Held,
): Ranked {
  if (wanted.heading === undefined && wanted.text === undefined && wanted.label === undefined)
    throw new RangeError('hold one face to rank trios');
  const { headings, texts, labels, excluded } = placesFor(families, brief, wanted);
  const { budgetKb } = brief;
  const scores = new Float64Array(headings.length * texts.length * labels.length);
  const pair = new Float64Array(PARTS.length);
  const parts = new Float64Array(PARTS.length);
  let index = 0;
  for (const heading of headings)
    for (const text of texts) {
      partsInto(pair, heading, text, budgetKb);
      for (const label of labels) {
        scores[index] =
          heading === text || label === heading || label === text
            ? -1
            : scoreOf(trioPartsInto(parts, pair, [heading, text, label], budgetKb));
        index += 1;
      }
    }
  return rankedOf(scores, excluded, (at) => {
    const heading = headings[Math.floor(at / labels.length / texts.length)];
    const text = texts[Math.floor(at / labels.length) % texts.length];
    const label = labels[at % labels.length];
    if (!heading || !text || !label) return undefined;
    partsInto(pair, heading, text, budgetKb);
    return {
      heading: heading.family,
      text: text.family,
      label: label.family,
      parts: named(trioPartsInto(parts, pair, [heading, text, label], budgetKb)),
    };
  });
}
