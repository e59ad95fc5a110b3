import type { Derived } from '../derive/derived.ts';
import { namedClass, type Naming } from '../formats/naming.ts';

/** A name and what it became. */
export interface Renaming {
  readonly before: string;
  readonly after: string;
}

/** What became of the classes of a sheet, each without its dot. */
export interface ClassDifference {
  readonly added: readonly string[];
  readonly removed: readonly string[];
  readonly renamed: readonly Renaming[];
}

/** A class in a selector, its name as the first group. */
export const CLASS = /\.((?:[\p{L}\p{N}_-]|\\.)+)/gu;

/** The classes that any rule asks for, without the prefix. Strings hold no classes. */
export const classesOf = ({ selectors }: Pick<Derived, 'selectors'>): ReadonlySet<string> =>
  new Set(
    selectors.flatMap((selector) =>
      [...selector.replaceAll(/"(?:[^"\\]|\\.)*"/g, '').matchAll(CLASS)].map(
        ([, name = '']) => name,
      ),
    ),
  );

/** A name with one of its parts, between hyphens or at its ends, called otherwise. */
const withPart = (name: string, { before, after }: Renaming): string => {
  const at = `-${name}-`.indexOf(`-${before}-`);
  return at < 0 ? name : name.slice(0, at) + after + name.slice(at + before.length);
};

/**
 * What each class of a state is called in another, without prefixes; those that are gone are left out. A class is
 * called otherwise where it bears the name of something that was renamed.
 * @param parts what was renamed, as the parts of names say it: `accent` became `spark`
 */
export function matchClasses(
  before: ReadonlySet<string>,
  after: ReadonlySet<string>,
  parts: readonly Renaming[],
): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const taken = new Set<string>();
  for (const name of before) {
    const next = after.has(name)
      ? name
      : parts
          .map((part) => withPart(name, part))
          .find((other) => !before.has(other) && after.has(other));
    if (next === undefined || taken.has(next)) continue;
    taken.add(next);
    found.set(name, next);
  }
  return found;
}

interface ClassesOfState {
  readonly classes: ReadonlySet<string>;
  readonly naming: Pick<Naming, 'classes'>;
}

/** What became of the classes, by the names that they have outside. */
export function classDifference(
  before: ClassesOfState,
  after: ClassesOfState,
  matched: ReadonlyMap<string, string>,
): ClassDifference {
  const there = new Set(matched.values());
  return {
    removed: [...before.classes]
      .filter((name) => !matched.has(name))
      .map((name) => namedClass(name, before.naming)),
    renamed: [...matched]
      .map(([name, next]) => ({
        before: namedClass(name, before.naming),
        after: namedClass(next, after.naming),
      }))
      .filter((one) => one.before !== one.after),
    added: [...after.classes]
      .filter((name) => !there.has(name))
      .map((name) => namedClass(name, after.naming)),
  };
}
