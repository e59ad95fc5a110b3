import { breakpointsIn } from './layout-read.ts';
import type { ReadSheet } from './read-sheet.ts';
import { namesReferred } from './variables.ts';

/** A custom property of some sheets: what it is set to, and how often it is taken. */
export interface PropertyFacts {
  readonly name: string;
  /** Each once, in their order. */
  readonly values: readonly string[];
  readonly taken: number;
}

/** What is told of some sheets before anything else. */
export interface SheetFacts {
  readonly files: number;
  readonly rules: number;
  readonly declarations: number;
  /** Those that are forced. */
  readonly forced: number;
  /** The families that they bring. */
  readonly families: readonly string[];
  readonly layers: readonly string[];
  readonly breakpoints: readonly (readonly [px: number, places: number])[];
  /** Those that are taken most first. */
  readonly properties: readonly PropertyFacts[];
  /** How many lines could not be read. */
  readonly problems: number;
}

/** Counts what stands in some sheets, and lists what they name. */
export function factsOfSheets(sheets: readonly ReadSheet[]): SheetFacts {
  const all = sheets.flatMap(({ declarations }) => declarations);
  const values = new Map<string, Set<string>>();
  const taken = new Map<string, number>();
  for (const { property, value } of all) {
    if (property.startsWith('--')) {
      const known = values.get(property) ?? new Set<string>();
      values.set(property, known.add(value));
    }
    if (value.includes('var('))
      for (const name of namesReferred(value)) taken.set(name, (taken.get(name) ?? 0) + 1);
  }
  return {
    files: sheets.length,
    rules: new Set(all.map(({ file, selector, within }) => [file, selector, ...within].join('\n')))
      .size,
    declarations: all.length,
    forced: all.filter(({ isImportant }) => isImportant).length,
    families: [...new Set(sheets.flatMap(({ families }) => families))],
    layers: [...new Set(sheets.flatMap(({ layers }) => layers))],
    breakpoints: breakpointsIn(sheets).toSorted(([one], [other]) => one - other),
    properties: [...values]
      .map(([name, own]) => ({ name, values: [...own], taken: taken.get(name) ?? 0 }))
      .toSorted((one, other) => other.taken - one.taken),
    problems: sheets.reduce((sum, { problems }) => sum + problems.length, 0),
  };
}
