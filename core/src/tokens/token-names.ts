import { propertyOfPath } from './token.ts';

/** The names that are in use, and why another name cannot stand beside them. */
export interface TokenNames {
  readonly add: (path: readonly string[]) => void;
  /** Why a path cannot stand beside these names, said of whoever has them; undefined where it can. */
  readonly problemWith: (path: readonly string[], owner: string) => string | undefined;
}

/** Every group that a path stands in, from the outermost. */
const groupsOf = (path: readonly string[]): string[] =>
  path.slice(1).map((_, index) => path.slice(0, index + 1).join('.'));

/**
 * Names of tokens that have to differ: as paths, as custom properties, and so that no token stands below
 * another (the open format has tokens in groups only).
 */
export function tokenNames(paths: Iterable<readonly string[]>): TokenNames {
  const properties = new Map<string, string>();
  const tokens = new Set<string>();
  const groups = new Set<string>();
  const add = (path: readonly string[]): void => {
    const id = path.join('.');
    properties.set(propertyOfPath(path), id);
    tokens.add(id);
    for (const group of groupsOf(path)) groups.add(group);
  };
  for (const path of paths) add(path);
  return {
    add,
    problemWith: (path, owner) => {
      const id = path.join('.');
      const same = properties.get(propertyOfPath(path));
      if (same === id) return `${owner} has a token of this name`;
      if (same !== undefined)
        return `its custom property would be that of ${same}, which ${owner} has`;
      if (groups.has(id)) return `${owner} has a group of this name`;
      const above = groupsOf(path).find((group) => tokens.has(group));
      return above === undefined
        ? undefined
        : `it would stand below ${above}, a token that ${owner} has`;
    },
  };
}
