import { escaped } from '../system/custom-values.ts';
import type { TokenJson } from '../tokens/token.ts';

/** A place of a file that could not be taken over, and why. */
export interface LeftOut {
  readonly path: string;
  readonly reason: string;
}

export type Node = { readonly [key: string]: TokenJson };

export const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** More would be a file that grows out of all proportion by extending itself. */
const MOST_NODES = 100_000;
const DEEPEST = 64;

/** The parts of a JSON Pointer as it stands in a URI fragment; nothing where it is none. Source: RFC 6901, 3, 4 and 6. */
export function pointerParts(pointer: string): readonly string[] | undefined {
  if (pointer === '#') return [];
  if (!pointer.startsWith('#/')) return undefined;
  try {
    return pointer
      .slice(2)
      .split('/')
      .map((part) => decodeURIComponent(part).replaceAll('~1', '/').replaceAll('~0', '~'));
  } catch {
    return undefined;
  }
}

/** What stands at a place of a file; nothing where there is no such place. */
export const valueThere = (root: Node, parts: readonly string[]): TokenJson | undefined =>
  parts.reduce<TokenJson | undefined>(
    (at, part) =>
      typeof at === 'object' && at !== null && Object.hasOwn(at, part)
        ? (at as Node)[part]
        : undefined,
    root,
  );

/** A place of a file as a JSON Pointer in a URI fragment. Source: RFC 6901, 3 and 6. */
export const pointerTo = (parts: readonly string[]): string =>
  `#/${parts.map((part) => inFragment(escaped(part))).join('/')}`;

/** A text as it stands in the fragment of a URI. Source: RFC 3986, 3.5: `pchar`, `/` and `?` stand for themselves. */
export const inFragment = (text: string): string =>
  encodeURIComponent(text).replaceAll(/%(?:24|26|2B|2C|2F|3A|3B|3D|3F|40)/g, decodeURIComponent);

/** Where a group is that another extends: as `{group.path}`, as a JSON Pointer, or as an object with one. */
export function extendedPath(value: TokenJson): readonly string[] | undefined {
  if (isNode(value))
    return typeof value['$ref'] === 'string' ? pointerParts(value['$ref']) : undefined;
  if (typeof value !== 'string') return undefined;
  const name = /^\{([^{}]+)\}$/.exec(value)?.[1];
  return name === undefined ? pointerParts(value) : name.split('.');
}

/** A token says what it is by a value, or by a place where one stands. */
export const isToken = (node: Node): boolean =>
  Object.hasOwn(node, '$value') || typeof node['$ref'] === 'string';

/** A token that a group has from the one that it extends: it takes its value from there, and says the same of itself. */
function inherited(node: Node, path: readonly string[]): Node {
  const { $value: _value, $ref: _ref, $extensions: said, ...words } = node;
  const { 'app.garnish': _ours, ...others } = isNode(said) ? said : {};
  return {
    ...words,
    $value: { $ref: pointerTo(path) },
    ...(Object.keys(others).length > 0 && { $extensions: others }),
  };
}

/**
 * A file in which every group that extends another has what that one has: tokens of its own stand in place of those of
 * the same name, groups of the same name are put together; what it has from there takes its value from there. Source:
 * Design Tokens Format Module 2025.10, extending groups (from memory). What cannot be followed is told, and the group
 * stands as it is.
 */
export function withExtendedGroups(root: Node): {
  readonly root: Node;
  readonly problems: readonly LeftOut[];
} {
  const problems: LeftOut[] = [];
  const done = new Map<string, Node>();
  const open = new Set<string>();
  let nodes = 0;
  /** A group as another has it from it. */
  const handedOn = (base: Node, at: readonly string[]): Node => {
    nodes += Object.keys(base).length;
    return Object.fromEntries(
      Object.entries(base).map(([key, value]) => {
        if (!isNode(value) || (key.startsWith('$') && key !== '$root')) return [key, value];
        const path = [...at, key];
        return [key, isToken(value) ? inherited(value, path) : handedOn(value, path)];
      }),
    );
  };
  const merged = (base: Node, own: Node): Node => {
    const both: Record<string, TokenJson> = { ...base };
    for (const [key, value] of Object.entries(own)) {
      const before = Object.hasOwn(base, key) ? base[key] : undefined;
      const areGroups =
        !key.startsWith('$') &&
        isNode(before) &&
        isNode(value) &&
        !Object.hasOwn(before, '$value') &&
        !Object.hasOwn(value, '$value');
      both[key] = areGroups ? merged(before, value) : value;
    }
    return both;
  };
  const told = (path: readonly string[], reason: string): void => {
    problems.push({ path: path.join('.') || 'the file', reason });
  };
  function extended(node: Node, path: readonly string[]): Node {
    if (Object.hasOwn(node, '$value') || path.length > DEEPEST) return node;
    const key = JSON.stringify(path);
    const known = done.get(key);
    if (known) return known;
    open.add(key);
    let whole = node;
    const { $extends: from } = node;
    if (from !== undefined) {
      const at = extendedPath(from);
      const base = at && valueThere(root, at);
      if (!at || !isNode(base) || Object.hasOwn(base, '$value'))
        told(path, 'what it extends is no group of this file');
      else if (open.has(JSON.stringify(at)))
        told(path, 'the groups that it extends run in a circle');
      else whole = merged(handedOn(extended(base, at), at), node);
    }
    if (nodes > MOST_NODES) {
      told(path, 'with its groups extended the file holds too much');
      whole = node;
    } else {
      let changed = whole;
      for (const [name, child] of Object.entries(whole)) {
        if (name.startsWith('$') || !isNode(child)) continue;
        const next = extended(child, [...path, name]);
        if (next !== child) changed = { ...changed, [name]: next };
      }
      whole = changed;
    }
    open.delete(key);
    done.set(key, whole);
    return whole;
  }
  return { root: extended(root, []), problems };
}
