import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';

export const CATEGORIES = ['serif', 'sans', 'slab', 'display', 'hand', 'mono'] as const;
export type Category = (typeof CATEGORIES)[number];

const weightRange = z.strictObject({
  min: z.int().check(z.gte(1), z.lte(1000)),
  max: z.int().check(z.gte(1), z.lte(1000)),
});

/** One file on the wire. Its name carries the hash of its bytes, so that it can be kept for ever. */
export const fontFile = z.strictObject({
  name: z.string().check(z.regex(/^[a-z0-9-]+\.[0-9a-f]{12}\.woff2$/)),
  style: z.enum(['normal', 'italic']),
  weight: weightRange,
  script: z.string().check(z.regex(/^[a-z-]+$/)),
  unicodeRange: z
    .string()
    .check(z.regex(/^U\+[0-9A-F?]+(-[0-9A-F]+)?(,U\+[0-9A-F?]+(-[0-9A-F]+)?)*$/)),
  bytes: z.int().check(z.gte(1)),
});

/** Lengths as shares of the em, measured from the regular upright file. */
const metrics = z.strictObject({
  unitsPerEm: z.int(),
  ascent: z.number(),
  descent: z.number(),
  lineGap: z.number(),
  xHeight: z.number(),
  capHeight: z.number(),
  /** Mean advance of a letter or space of running English. */
  letterWidth: z.number(),
});

/**
 * A family with all that a system rests on: files with their hashes, weights, measured metrics. A
 * system keeps the whole record, so that a newer catalogue never alters an old decision.
 */
export const fontFamily = z.strictObject({
  id: z.string().check(z.regex(/^[a-z0-9-]+$/)),
  name: z.string().check(z.minLength(1), z.maxLength(80), z.regex(/^[\p{L}\p{N} ]+$/u)),
  category: z.enum(CATEGORIES),
  version: z.string(),
  licence: z.string(),
  copyright: z.string(),
  figures: z.enum(['tabular', 'tnum', 'proportional']),
  metrics,
  files: z.array(fontFile).check(z.minLength(1)),
});

export type FontFile = DeepReadonly<z.infer<typeof fontFile>>;
export type FontFamily = DeepReadonly<z.infer<typeof fontFamily>>;

/** Whether one of the family's files holds the weight. */
export const hasWeight = (family: FontFamily, weight: number, italic = false): boolean =>
  family.files.some(
    (file) =>
      (file.style === 'italic') === italic &&
      weight >= file.weight.min &&
      weight <= file.weight.max,
  );

export const hasItalic = (family: FontFamily): boolean =>
  family.files.some((file) => file.style === 'italic');

/** The weight nearest to the wanted one that the upright files hold; of two as near, the heavier. */
export function nearestWeight(family: FontFamily, wanted: number): number {
  const candidates = family.files
    .filter((file) => file.style === 'normal')
    .map(({ weight }) => Math.min(weight.max, Math.max(weight.min, wanted)));
  return candidates.reduce((best, weight) => {
    const closer = Math.abs(weight - wanted) - Math.abs(best - wanted);
    return closer < 0 || (closer === 0 && weight > best) ? weight : best;
  }, candidates[0] ?? wanted);
}

/** The weights that can be asked for: the hundreds within the files' ranges, ascending. */
export const weightsOf = (family: FontFamily): readonly number[] =>
  [100, 200, 300, 400, 500, 600, 700, 800, 900].filter((weight) => hasWeight(family, weight));

const GENERIC: Readonly<Record<Category, string>> = {
  serif: 'ui-serif, Georgia, serif',
  sans: 'ui-sans-serif, system-ui, sans-serif',
  slab: 'ui-serif, Georgia, serif',
  display: 'system-ui, sans-serif',
  hand: 'cursive',
  mono: 'ui-monospace, monospace',
};

/** The `font-family` value: the family and what stands in until it has loaded. */
export const fontStack = ({ name, category }: FontFamily): string =>
  `"${name}", ${GENERIC[category]}`;
