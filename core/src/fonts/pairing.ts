import { hasItalic, weightsOf, type FontFamily } from './family.ts';
import { firstBytes, neededFiles } from './files.ts';
import type { LanguageCode } from './languages.ts';
import { moodFit, traitsOf, type MoodWord, type Traits } from './mood.ts';

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
const SHARES: Readonly<Record<PairingPart, number>> = {
  mood: 0.28,
  difference: 0.24,
  'x-height': 0.14,
  reading: 0.18,
  weights: 0.08,
  bytes: 0.08,
};

/** What a face brings to every pair it could stand in: computed once, then only added up. */
interface Candidate {
  readonly family: FontFamily;
  readonly traits: Traits;
  readonly asHeading: Record<'mood' | 'weights', number>;
  readonly asText: Record<'mood' | 'weights' | 'reading', number>;
  readonly asLabel: Record<'mood' | 'weights' | 'reading', number>;
  readonly bytes: number;
  readonly missing: readonly string[];
  readonly xHeight: number;
  /** The first word of the name: families that share it were drawn together. */
  readonly stem: string;
}

export interface Pairing {
  readonly heading: FontFamily;
  readonly text: FontFamily;
  /** The third face of a trio. */
  readonly label?: FontFamily;
  /** 0 to 1; the sum of the parts, each times its share. */
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

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What a text face must have, and this one has not. */
function missingFor(family: FontFamily, { languages, needs }: PairingBrief): string[] {
  const missing: string[] = [];
  const uncovered = languages.filter((language) => !family.languages.includes(language));
  if (uncovered.length > 0) missing.push(`lacks letters of ${uncovered.join(', ')}`);
  if (needs.includes('tables') && family.figures === 'proportional')
    missing.push('has no figures of equal width');
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

/** The first word of a name: families that share it were drawn together. */
const stemOf = ({ name }: FontFamily): string => name.split(' ')[0] ?? name;

/** How well a face reads at text sizes: letters of a fair size, strokes neither thin nor modulated much. */
function readingOf({ category, metrics }: FontFamily): number {
  const size = held(1 - Math.abs(metrics.xHeight - 0.5) / 0.12);
  const strokes = held((metrics.stem - 0.045) / 0.03);
  const hairlines = held((metrics.thinToThick - 0.15) / 0.25);
  // Letters of one width make lines long and rivers wide.
  const spacing = category === 'mono' ? 0.45 : 1;
  return spacing * (0.4 * size + 0.3 * strokes + 0.3 * hairlines);
}

function candidateOf(family: FontFamily, brief: PairingBrief): Candidate {
  // Hardly a face fits a word by less than a third or more than nine tenths.
  const fit =
    brief.mood.length === 0
      ? 0.5
      : held((mean(brief.mood.map((word) => moodFit(family, word))) - 0.35) / 0.55);
  const count = weightsOf(family).length;
  const files = neededFiles(family, {
    upright: [400, 700],
    italic: brief.needs.includes('emphasis') ? [400] : [],
    languages: brief.languages,
  });
  return {
    family,
    traits: traitsOf(family),
    asHeading: { mood: fit, weights: held(count / 9) },
    asLabel: {
      mood: fit,
      // Labels are set in a medium or half-bold weight.
      weights: weightsOf(family).some((weight) => weight >= 500 && weight <= 700) ? 1 : 0.4,
      reading: readingOf(family),
    },
    asText: {
      mood: fit,
      weights: held(count / 9) * (weightsOf(family).includes(700) ? 1 : 0.3),
      reading: readingOf(family),
    },
    bytes: firstBytes(files),
    missing: missingFor(family, brief),
    xHeight: family.metrics.xHeight,
    stem: stemOf(family),
  };
}

type Structure = Pick<Candidate, 'family' | 'traits' | 'stem'>;

/** How far apart two structures are, 0 to about 1: kind, modulation, width and weight of strokes. */
const apart = (one: Structure, other: Structure): number =>
  (one.family.category === other.family.category ? 0 : 0.45) +
  0.35 * Math.abs(one.traits.modulation - other.traits.modulation) +
  0.2 * Math.abs(one.traits.width - other.traits.width) +
  0.2 * Math.abs(one.traits.weight - other.traits.weight);

/**
 * Whether a difference looks deliberate: none at all (one family, or two drawn together) does, a clear
 * one does, and a small one looks like a mistake.
 */
function difference(heading: Structure, text: Structure): number {
  if (heading.family === text.family) return 0.45;
  if (heading.stem === text.stem) return 0.9;
  return held(apart(heading, text) / 0.8);
}

const inOneLine = (one: Candidate, other: Candidate): number =>
  held(1 - Math.abs(one.xHeight - other.xHeight) / 0.1);

/** The parts of a pair in the order of PARTS, written into `parts`; nothing is made anew. */
function partsInto(
  parts: Float64Array,
  heading: Candidate,
  text: Candidate,
  budgetKb: number,
): Float64Array {
  const same = heading === text;
  const bytes = same ? text.bytes : heading.bytes + text.bytes;
  parts[0] = 0.6 * heading.asHeading.mood + 0.4 * text.asText.mood;
  parts[1] = difference(heading, text);
  parts[2] = inOneLine(heading, text);
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
  parts[0] = 0.8 * (pair[0] ?? 0) + 0.2 * label.asLabel.mood;
  parts[1] = Math.min(pair[1] ?? 0, difference(label, text));
  parts[2] = Math.min(pair[2] ?? 0, inOneLine(label, text));
  parts[3] = 0.7 * (pair[3] ?? 0) + 0.3 * label.asLabel.reading;
  parts[4] = 0.8 * (pair[4] ?? 0) + 0.2 * label.asLabel.weights;
  parts[5] = held(1.25 - bytes / 1000 / budgetKb);
  return parts;
}

const SHARE_OF_PART = Float64Array.from(PARTS, (part) => SHARES[part]);

function scoreOf(parts: Float64Array): number {
  let score = 0;
  for (let part = 0; part < PARTS.length; part += 1)
    score += (SHARE_OF_PART[part] ?? 0) * (parts[part] ?? 0);
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
  const candidates = families.map((family) => candidateOf(family, brief));
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

const share = (value: number): string => value.toFixed(3);

/** One sentence for each part, with the figures behind it. */
export function reasonsOf(
  { heading, text, label, parts }: Omit<Pairing, 'score'>,
  brief: PairingBrief,
): Readonly<Record<PairingPart, string>> {
  const same = heading.id === text.id;
  const families = [...new Set([heading, text, ...(label ? [label] : [])])];
  const xHeights = families.map(({ metrics }) => share(metrics.xHeight)).join(', ');
  const files = (family: FontFamily): number =>
    firstBytes(
      neededFiles(family, { upright: [400, 700], italic: [400], languages: brief.languages }),
    );
  const kilobytes = Math.round(families.reduce((sum, one) => sum + files(one), 0) / 1000);
  return {
    mood:
      brief.mood.length === 0
        ? 'The brief has no words for the mood yet.'
        : `Carries ${brief.mood.join(', ')} to ${Math.round(parts.mood * 100)} %, the heading more than the text.`,
    difference: same
      ? 'One family: the levels are told apart by size and weight alone.'
      : [sentenceOf(heading, text), ...(label ? [`Labels: ${sentenceOf(label, text)}`] : [])].join(
          ' ',
        ),
    'x-height': `Small letters of ${xHeights} em: ${
      parts['x-height'] > 0.6 ? 'they stand in one line' : 'mixing them in a line will show'
    }.`,
    reading: `Text letters ${share(text.metrics.xHeight)} em high, stems ${share(text.metrics.stem)} em, thin to thick ${text.metrics.thinToThick.toFixed(2)}${
      label
        ? `; label letters ${share(label.metrics.xHeight)} em, stems ${share(label.metrics.stem)} em`
        : ''
    }.`,
    weights: `${weightsOf(heading).length} weights for headings, ${weightsOf(text).length} for text${
      label ? `, ${weightsOf(label).length} for labels` : ''
    }.`,
    bytes: `About ${kilobytes} kB of a budget of ${brief.budgetKb} kB.`,
  };
}

/** How two structures differ, in words and figures. */
function sentenceOf(one: FontFamily, text: FontFamily): string {
  if (stemOf(one) === stemOf(text)) return 'Drawn together: different kinds with one skeleton.';
  const [traits, others] = [traitsOf(one), traitsOf(text)];
  const far = difference(
    { family: one, traits, stem: stemOf(one) },
    { family: text, traits: others, stem: stemOf(text) },
  );
  return `${one.category} over ${text.category}, thick to thin ${traits.modulation.toFixed(2)} and ${others.modulation.toFixed(2)}: ${
    far > 0.7
      ? 'clearly meant'
      : far > 0.45
        ? 'to be seen, not to be missed'
        : 'too alike to look meant'
  }.`;
}
