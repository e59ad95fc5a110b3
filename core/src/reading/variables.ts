import type { ReadDeclaration } from './read-sheet.ts';

/** What a custom property is set to, and where. */
export type Definition = Pick<
  ReadDeclaration,
  'property' | 'value' | 'selector' | 'within' | 'file' | 'line'
>;

/** Longer than this a value does not get by its references, however often they double it. */
const LONGEST = 10_000;
const DEEPEST = 1000;

/** The reference that stands first in a value: its name, what stands in for it, and where it begins and ends. */
interface Reference {
  readonly from: number;
  readonly to: number;
  readonly name: string;
  readonly fallback: string | undefined;
}

/** The first `var()` of a value that holds no other in its name; nothing where there is none, or it is not closed. */
function firstReference(value: string): Reference | undefined {
  const found = /(?<![\w-])var\(/i.exec(value);
  if (!found) return undefined;
  const start = found.index + found[0].length;
  let depth = 1;
  let comma = -1;
  for (let at = start; at < value.length; at += 1) {
    const sign = value[at];
    if (sign === '(') depth += 1;
    else if (sign === ')') depth -= 1;
    else if (sign === ',' && depth === 1 && comma < 0) comma = at;
    if (depth > 0) continue;
    const end = comma < 0 ? at : comma;
    return {
      from: found.index,
      to: at + 1,
      name: value.slice(start, end).trim(),
      fallback: comma < 0 ? undefined : value.slice(comma + 1, at).trim(),
    };
  }
  return undefined;
}

/** The names that a value refers to, with those in what stands in for others. */
export const namesReferred = (value: string): readonly string[] =>
  [...value.matchAll(/(?<![\w-])var\(\s*(--[^\s,)]+)/gi)].map(([, name = '']) => name);

/** The property that a value is nothing but a reference to, whatever stands in for it. */
export function soleReference(value: string): string | undefined {
  const text = value.trim();
  const found = firstReference(text);
  return found?.from === 0 && found.to === text.length ? found.name : undefined;
}

type ValueOf = (name: string) => string | undefined;

/** Tells the properties that hang on themselves, by way of any others. Source: the algorithm of Tarjan, 1972. */
function askingCycles(valueOf: ValueOf): (name: string) => boolean {
  const found = new Map<string, { readonly index: number; low: number; isOpen: boolean }>();
  const open: string[] = [];
  const cyclic = new Set<string>();
  function visit(name: string, depth: number): number {
    const own = { index: found.size, low: found.size, isOpen: true };
    found.set(name, own);
    open.push(name);
    const names = namesReferred(valueOf(name) ?? '');
    if (names.includes(name)) cyclic.add(name);
    // What is deeper than anybody writes is taken for a cycle: it has no value either way.
    if (depth > DEEPEST) cyclic.add(name);
    else
      for (const next of names) {
        const known = found.get(next);
        if (!known) own.low = Math.min(own.low, visit(next, depth + 1));
        else if (known.isOpen) own.low = Math.min(own.low, known.index);
      }
    if (own.low === own.index) {
      const together = open.splice(open.indexOf(name));
      for (const one of together) {
        const member = found.get(one);
        if (member) member.isOpen = false;
        if (together.length > 1) cyclic.add(one);
      }
    }
    return own.low;
  }
  return (name) => {
    if (!found.has(name)) visit(name, 0);
    return cyclic.has(name);
  };
}

/**
 * Fills the custom properties of values in, as a browser computes them. Source: CSS Variables 1, 2.3 and 3: one that
 * leads nowhere takes what stands in for it; those that hang on themselves are invalid, whatever stands in for them
 * there.
 * @param valueOf what a custom property is set to where the values stand; always the same
 * @returns what fills a value in: nothing where that is invalid when it is computed, or longer than anybody writes
 */
export function filling(valueOf: ValueOf): (value: string) => string | undefined {
  const isCyclic = askingCycles(valueOf);
  const known = new Map<string, string | undefined>();
  const valueIn = (name: string): string | undefined => {
    if (isCyclic(name)) return undefined;
    if (!known.has(name)) {
      const own = valueOf(name);
      known.set(name, own === undefined ? undefined : filled(own));
    }
    return known.get(name);
  };
  function filled(value: string): string | undefined {
    let text = value;
    for (let at = firstReference(text); at; at = firstReference(text)) {
      const { from, to, name, fallback } = at;
      const found = valueIn(name) ?? (fallback === undefined ? undefined : filled(fallback));
      if (found === undefined) return undefined;
      text = text.slice(0, from) + found + text.slice(to);
      if (text.length > LONGEST) return undefined;
    }
    return text;
  }
  return filled;
}
