import { isFirst, nearestWeight, scriptsFor, type FontFamily, type FontFile } from './family.ts';
import type { LanguageCode } from './languages.ts';

/** What is asked of a family: weights by whether they stand upright or italic, and languages. */
export interface Wanted {
  readonly upright: readonly number[];
  readonly italic: readonly number[];
  readonly languages: readonly LanguageCode[];
}

/**
 * The files that hold what is asked for, and no other: the nearest weight where one is missing, no
 * italic where the family has none, the scripts that the languages need. In the family's own order.
 */
export function neededFiles(family: FontFamily, wanted: Wanted): readonly FontFile[] {
  const scripts = scriptsFor(wanted.languages);
  const upright = new Set(wanted.upright.map((weight) => nearestWeight(family, weight)));
  const holds = ({ weight }: FontFile, weights: Iterable<number>): boolean =>
    [...weights].some((one) => one >= weight.min && one <= weight.max);
  return family.files.filter(
    (file) =>
      scripts.has(file.script) &&
      (file.style === 'normal' ? holds(file, upright) : holds(file, wanted.italic)),
  );
}

/** The bytes that a first visit in Latin script loads: the other scripts come only when a letter asks. */
export const firstBytes = (files: readonly FontFile[]): number =>
  files.filter(isFirst).reduce((sum, { bytes }) => sum + bytes, 0);
