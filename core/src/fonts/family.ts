import * as z from 'zod/mini';
import { cssString } from '../css-string.ts';
import type { DeepReadonly } from '../deep-readonly.ts';
import { CATEGORIES, constructionOf, type Category, type Construction } from './construction.ts';
import { LANGUAGE_CODES, type LanguageCode } from './languages.ts';
import { FREQUENCIES, type MeasuredLanguage } from './letter-width.ts';

export { CATEGORIES, type Category };

const weightRange = z.strictObject({
  min: z.int().check(z.gte(1), z.lte(1000)),
  max: z.int().check(z.gte(1), z.lte(1000)),
});

/** Names of fonts as CSS writes a list of them: plain, or in quotes that end. */
const STACK = /^(?:"[\p{L}\p{N} -]+"|[\p{L}\p{N}-]+)(?:, (?:"[\p{L}\p{N} -]+"|[\p{L}\p{N}-]+))*$/u;

const fileName = z.string().check(z.regex(/^[a-z0-9-]+\.[0-9a-f]{12}\.woff2$/));
const style = z.enum(['normal', 'italic']);
const script = z.string().check(z.regex(/^[a-z-]+$/));
const unicodeRange = z
  .string()
  .check(z.regex(/^U\+[0-9A-F?]+(-[0-9A-F]+)?(,U\+[0-9A-F?]+(-[0-9A-F]+)?)*$/));
const byteCount = z.int().check(z.gte(1));

/** One file on the wire. Its name carries the hash of its bytes, so that it can be kept for ever. */
export const fontFile = z.strictObject({
  name: fileName,
  style,
  weight: weightRange,
  script,
  unicodeRange,
  bytes: byteCount,
});

/** The static cuts of a variable family in one style and script, one file a weight. */
const staticCuts = z.strictObject({
  style,
  script,
  unicodeRange,
  cuts: z.array(
    z.strictObject({
      weight: z.int().check(z.gte(1), z.lte(1000)),
      name: fileName,
      bytes: byteCount,
    }),
  ),
});

/** Lengths as shares of the em, measured from the regular upright file. */
const metrics = z.strictObject({
  unitsPerEm: z.int(),
  ascent: z.number(),
  descent: z.number(),
  lineGap: z.number(),
  xHeight: z.number(),
  capHeight: z.number(),
  /** Mean advance of a character of running text, word spaces included, by language. */
  letterWidths: z.strictObject({
    en: z.number(),
    de: z.number(),
    fr: z.number(),
    es: z.number(),
    pt: z.number(),
    pl: z.number(),
    no: z.number(),
  }),
  /** Thickness of an upright stem at the regular weight, and thinnest over thickest stroke of the o. */
  stem: z.number(),
  /** The same at every weight that was measured, by the weight. */
  stems: z.optional(z.record(z.string().check(z.regex(/^[1-9]\d{1,2}$|^1000$/)), z.number())),
  thinToThick: z.number(),
  /** How wide the foot of an H is over its stem: about 1 without serifs, 2 and more with them. */
  foot: z.optional(z.number()),
});

/**
 * A family with all that a system rests on: files with their hashes, weights, measured metrics. A
 * system keeps the whole record, so that a newer catalogue never alters an old decision.
 */
export const fontFamily = z
  .strictObject({
    id: z.string().check(z.regex(/^[a-z0-9-]+$/)),
    name: z.string().check(z.minLength(1), z.maxLength(80), z.regex(/^[\p{L}\p{N} ]+$/u)),
    category: z.enum(CATEGORIES),
    version: z.string(),
    licence: z.string(),
    /** Said by whoever brought a face whose files forbid embedding in documents. */
    confirmed: z.optional(z.string()),
    copyright: z.string(),
    figures: z.enum(['tabular', 'tnum', 'proportional']),
    smallCaps: z.boolean(),
    /** What the file says of embedding in documents; the license decides about the web. */
    embedding: z.enum(['installable', 'editable', 'preview', 'restricted']),
    axes: z.record(
      z.string().check(z.regex(/^[A-Za-z0-9]{4}$/)),
      z.strictObject({ min: z.number(), max: z.number() }),
    ),
    languages: z.array(z.enum(LANGUAGE_CODES)),
    /** The letters that it lacks of a language, where they are few. */
    missing: z.partialRecord(z.enum(LANGUAGE_CODES), z.string()),
    metrics,
    /** For a family on the reader’s own computer: what is asked for instead of files. */
    stack: z.optional(z.string().check(z.regex(STACK))),
    files: z.array(fontFile),
    /** Of a variable family: the same as files of one weight each, smaller where few are needed. */
    statics: z.optional(z.array(staticCuts)),
  })
  .check(
    z.refine(({ files, stack }) => files.length > 0 || stack !== undefined, {
      error: 'a family has files, or a stack of local fonts',
    }),
  );

export type FontFile = DeepReadonly<z.infer<typeof fontFile>>;
export type FontFamily = DeepReadonly<z.infer<typeof fontFamily>>;

/** Computers have their own fonts in these. */
const LOCAL_WEIGHTS = [400, 700];

/** Whether one of the family's files holds the weight. */
export const hasWeight = (family: FontFamily, weight: number, italic = false): boolean =>
  (family.stack !== undefined && LOCAL_WEIGHTS.includes(weight)) ||
  family.files.some(
    (file) =>
      (file.style === 'italic') === italic &&
      weight >= file.weight.min &&
      weight <= file.weight.max,
  );

export const hasItalic = (family: FontFamily): boolean =>
  family.stack !== undefined || family.files.some((file) => file.style === 'italic');

/** The weight nearest to the wanted one that the upright files hold; of two as near, the heavier. */
export function nearestWeight(family: FontFamily, wanted: number): number {
  const candidates = [
    ...(family.stack === undefined ? [] : LOCAL_WEIGHTS),
    ...family.files
      .filter(({ style }) => style === 'normal')
      .map(({ weight }) => Math.min(weight.max, Math.max(weight.min, wanted))),
  ];
  return candidates.reduce((best, weight) => {
    const closer = Math.abs(weight - wanted) - Math.abs(best - wanted);
    return closer < 0 || (closer === 0 && weight > best) ? weight : best;
  }, candidates[0] ?? wanted);
}

/** The weights that can be asked for: the hundreds within the files' ranges, ascending. */
export const weightsOf = (family: FontFamily): readonly number[] =>
  [100, 200, 300, 400, 500, 600, 700, 800, 900].filter((weight) => hasWeight(family, weight));

/** The mean character width in a language: measured for some, for the rest that of English. */
export const letterWidthIn = ({ metrics }: FontFamily, language: LanguageCode): number =>
  metrics.letterWidths[isMeasured(language) ? language : 'en'];

const isMeasured = (language: LanguageCode): language is MeasuredLanguage & LanguageCode =>
  Object.hasOwn(FREQUENCIES, language);

/** The script of a file that is not split: it is always needed, and always first. */
export const WHOLE = 'whole';

/** Whether a first visit to a page in Latin script loads the file. */
export const isFirst = ({ script }: FontFile): boolean => script === 'latin' || script === WHOLE;

/** The scripts whose files a language needs, as the font packages split them. */
export function scriptsFor(languages: readonly LanguageCode[]): ReadonlySet<string> {
  const scripts = new Set([WHOLE, 'latin', 'latin-ext']);
  if (languages.includes('ru') || languages.includes('uk')) scripts.add('cyrillic');
  if (languages.includes('uk')) scripts.add('cyrillic-ext');
  if (languages.includes('el')) scripts.add('greek');
  return scripts;
}

const GENERIC: Readonly<Record<Construction, string>> = {
  serif: 'serif',
  sans: 'sans-serif',
  slab: 'serif',
  hand: 'cursive',
  mono: 'monospace',
};

/** What stands in for a family until it has loaded: a local font, fitted to it. */
export const standInName = ({ name }: FontFamily): string => `${name} fallback`;

/** The `font-family` value: the family, its stand-in, and a generic one. */
export const fontStack = (family: FontFamily): string =>
  family.stack ??
  `${cssString(family.name)}, ${cssString(standInName(family))}, ${GENERIC[constructionOf(family)]}`;

/** How much thicker a stem is at a weight than at the regular: about half as much again at bold. */
const thickening = (weight: number): number =>
  weight >= 400 ? 1 + ((weight - 400) / 300) * 0.55 : 1 - ((400 - weight) / 300) * 0.5;

/**
 * Thickness of an upright stem at a weight, as a share of the em: as measured there, straight between
 * measured weights, and at its ends beyond them. Where only the regular was measured it is estimated:
 * half as much again at 700, half of it at 100. Common practice.
 */
export function stemAt({ metrics }: FontFamily, weight: number): number {
  const known = Object.entries(metrics.stems ?? {})
    .map(([at, stem]) => ({ at: Number(at), stem }))
    .sort((one, other) => one.at - other.at);
  if (known.length < 2) return metrics.stem * thickening(weight);
  const after = known.find(({ at }) => at >= weight) ?? known.at(-1);
  const before = known.filter(({ at }) => at <= weight).at(-1) ?? known[0];
  if (!after || !before) return metrics.stem;
  if (after.at <= before.at) return before.stem;
  const share = (weight - before.at) / (after.at - before.at);
  return before.stem + (after.stem - before.stem) * share;
}
