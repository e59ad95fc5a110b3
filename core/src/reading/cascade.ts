import { compare, selectorSpecificity, type Specificity } from '@csstools/selector-specificity';
import parser from 'postcss-selector-parser';
import type { ReadDeclaration, ReadSheet } from './read-sheet.ts';

const LAYER = /^@layer\s*/i;

/** The layer that a place stands in, as its names from the outermost in; empty where it stands in none. */
const layerOf = (within: readonly string[]): readonly string[] =>
  within.flatMap((one) => (LAYER.test(one) ? one.replace(LAYER, '').split('.') : []));

type Ranked = Pick<ReadDeclaration, 'within' | 'isImportant'>;

/**
 * Compares declarations by the layers that they stand in, and by whether they are forced: what comes later wins.
 * Sources: CSS Cascade 5, 6.4: what stands in no layer wins over layers, later layers over earlier ones, and forced
 * ones the other way round.
 */
export function byLayer(
  sheets: readonly Pick<ReadSheet, 'layers'>[],
): (one: Ranked, other: Ranked) => number {
  /** The names of each layer’s own layers, in the order in which they were named first. */
  const orders = new Map<string, string[]>();
  const named = (names: readonly string[]): void => {
    names.forEach((name, depth) => {
      const outer = names.slice(0, depth).join('.');
      const known = orders.get(outer) ?? [];
      orders.set(outer, known);
      if (!known.includes(name)) known.push(name);
    });
  };
  for (const { layers } of sheets) for (const layer of layers) named(layer.split('.'));
  const rankOf = (names: readonly string[]): readonly number[] => [
    ...names.map((name, depth) =>
      (orders.get(names.slice(0, depth).join('.')) ?? []).indexOf(name),
    ),
    // What stands in a layer itself comes after its own layers.
    Number.MAX_SAFE_INTEGER,
  ];
  const compared = (one: readonly number[], other: readonly number[]): number => {
    for (const [depth, rank] of one.entries()) {
      const difference = rank - (other[depth] ?? 0);
      if (difference !== 0) return difference;
    }
    return 0;
  };
  return (one, other) => {
    if (one.isImportant !== other.isImportant) return one.isImportant ? 1 : -1;
    const difference = compared(rankOf(layerOf(one.within)), rankOf(layerOf(other.within)));
    return one.isImportant ? -difference : difference;
  };
}

const NOTHING: Specificity = { a: 0, b: 0, c: 0 };
const known = new Map<string, Specificity>();
const MOST_KNOWN = 5000;

/** How specific a selector is, of several the most specific. Source: Selectors 4, 17. */
export function specificityOf(selector: string): Specificity {
  const before = known.get(selector);
  if (before) return before;
  let found = NOTHING;
  try {
    for (const one of parser().astSync(selector).nodes) {
      const own = selectorSpecificity(one);
      if (compare(own, found) > 0) found = own;
    }
  } catch {
    // What cannot be read asks for nothing.
  }
  if (known.size < MOST_KNOWN) known.set(selector, found);
  return found;
}

/** All declarations of some sheets in the order of the cascade: of those about the same thing, the last one holds. */
export function inCascade(sheets: readonly ReadSheet[]): readonly ReadDeclaration[] {
  const all = sheets.flatMap(({ declarations }) => declarations);
  const isPlain =
    sheets.every(({ layers }) => layers.length === 0) &&
    !all.some(({ isImportant }) => isImportant);
  return isPlain ? all : all.toSorted(byLayer(sheets));
}

/** The same for what is said of one thing by different selectors: the more specific ones come later. */
export function inFullCascade(
  declarations: readonly ReadDeclaration[],
  sheets: readonly Pick<ReadSheet, 'layers'>[],
): readonly ReadDeclaration[] {
  const layers = byLayer(sheets);
  return declarations.toSorted((one, other) => {
    const byLayers = layers(one, other);
    return byLayers === 0
      ? compare(specificityOf(one.selector), specificityOf(other.selector))
      : byLayers;
  });
}
