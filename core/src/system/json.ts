/** Any JSON value. */
export type Json =
  string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** Deeper than anything that is decided here, and more than the largest system has. */
export const DEEPEST = 40;
export const MOST_NODES = 200_000;
/** Longer than the largest artwork: expressions that read texts are safe up to here. */
export const LONGEST_TEXT = 200_000;

const INHERITED: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

/**
 * Whether every plain object has something of this name without being given it (`constructor`,
 * `toString`, `__proto__`): nothing from outside may be called so.
 */
export const isInherited = (name: string): boolean => INHERITED.has(name);

/** What is said of such a name. */
export const inheritedWords = (name: string): string =>
  `“${name}” is a name that every object has; nothing can be called so`;

/** Half of a pair of UTF-16, or the sign NUL: PostgreSQL and UTF-8 know neither. */
const UNKEPT = /\p{Surrogate}|\0/u;

/**
 * What keeps a value from being stored, in words; undefined where nothing does. A value is refused that
 * is deeper than 40, has more than 200,000 parts, a text of more than 200,000 signs, a number that is none (1e999), a sign that no database
 * keeps, or a part with a name that it may not have: by default one that every object has. It is walked
 * without recursion, so that no depth harms.
 */
export function jsonProblem(
  value: unknown,
  isName: (name: string) => boolean = (name) => !isInherited(name),
): string | undefined {
  const waiting: { readonly value: unknown; readonly depth: number }[] = [{ value, depth: 0 }];
  let count = 0;
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    count += 1;
    if (count > MOST_NODES) return `it has more than ${MOST_NODES} parts`;
    const { value: here, depth } = next;
    if (typeof here === 'string') {
      if (here.length > LONGEST_TEXT) return `a text has more than ${LONGEST_TEXT} signs`;
      if (UNKEPT.test(here))
        return 'a text has a sign that cannot be kept (NUL, or half of a pair)';
    } else if (typeof here === 'number') {
      if (!Number.isFinite(here)) return 'a number is beyond what numbers can be';
    } else if (typeof here === 'object' && here !== null) {
      if (depth >= DEEPEST) return `its parts are deeper than ${DEEPEST}`;
      const isList = Array.isArray(here);
      // Counted before they are put down: a list of a million is not copied to be refused.
      const size = isList ? here.length : Object.keys(here).length;
      if (count + waiting.length + size > MOST_NODES) return `it has more than ${MOST_NODES} parts`;
      for (const [key, part] of Object.entries(here)) {
        if (!isList && !isName(key)) return inheritedWords(key);
        if (!isList && key.length > LONGEST_TEXT)
          return `a name has more than ${LONGEST_TEXT} signs`;
        if (!isList && UNKEPT.test(key))
          return 'a name has a sign that cannot be kept (NUL, or half of a pair)';
        waiting.push({ value: part, depth: depth + 1 });
      }
    } else if (here !== undefined && typeof here !== 'boolean' && here !== null)
      return `it holds a ${typeof here}, which JSON does not know`;
  }
  return undefined;
}

/** A copy of something that is JSON by its schema. */
export const jsonOf = (value: unknown): Json => JSON.parse(JSON.stringify(value)) as Json;

/** Freezes a value with all that is in it; what is frozen already is not looked at again. */
export function frozen<Value>(value: Value): Value {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  Object.freeze(value);
  for (const part of Object.values(value)) frozen(part);
  return value;
}
