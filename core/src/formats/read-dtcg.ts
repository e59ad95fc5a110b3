import { escaped, placesIn, type CustomItem, type Source } from '../system/custom-values.ts';
import type { Described } from '../system/descriptions.ts';
import { customToken, type StyleDocument } from '../system/document.ts';
import { inheritedWords, isInherited, jsonProblem } from '../system/json.ts';
import { readDocument } from '../system/upgrade.ts';
import type { TokenJson } from '../tokens/token.ts';
import { readForm } from '../tokens/token-forms.ts';
import { EXTENSION } from './dtcg.ts';
import {
  extendedPath,
  isNode,
  isToken,
  pointerParts,
  valueThere,
  withExtendedGroups,
  type LeftOut,
  type Node,
} from './extended-groups.ts';

export type { LeftOut } from './extended-groups.ts';

export type ReadDtcg =
  | { readonly kind: 'system'; readonly document: StyleDocument }
  | {
      readonly kind: 'tokens';
      readonly tokens: readonly CustomItem[];
      /** What groups are for. */
      readonly groups?: readonly Described[];
      readonly leftOut: readonly LeftOut[];
    }
  | { readonly kind: 'problem'; readonly message: string };

/** Deeper groups than this are no design tokens but an attack on the reader. */
const DEEPEST = 32;
const MOST = 5000;

interface Found {
  readonly path: string;
  readonly node: Node;
  readonly inheritedType: string | undefined;
  /** Whether it, or a group around it, is not to be used any more, and why. */
  readonly deprecated?: string | true | undefined;
  readonly below?: true;
}

const deprecatedOf = (node: Node, around: string | true | undefined): string | true | undefined => {
  const { $deprecated: said = around } = node;
  return said === true || (typeof said === 'string' && said !== '') ? said : undefined;
};

/** Tokens that stand below a token, where the format allows none. */
function* belowToken(node: Node, path: readonly string[]): Generator<Found> {
  if (path.length > DEEPEST) return;
  if (isToken(node)) yield { path: path.join('.'), node, inheritedType: undefined, below: true };
  for (const [key, child] of Object.entries(node))
    if (!key.startsWith('$') && isNode(child)) yield* belowToken(child, [...path, key]);
}

function* tokensOf(
  node: Node,
  path: readonly string[],
  inheritedType: string | undefined,
  around?: string | true,
): Generator<Found> {
  const type = typeof node['$type'] === 'string' ? node['$type'] : inheritedType;
  const deprecated = deprecatedOf(node, around);
  if (isToken(node)) {
    yield { path: path.join('.'), node, inheritedType, deprecated };
    // The format has no tokens below a token; what stands there is found all the same, to be told.
    for (const [key, child] of Object.entries(node))
      if (!key.startsWith('$') && isNode(child)) yield* belowToken(child, [...path, key]);
    return;
  }
  if (path.length > DEEPEST) return;
  for (const [key, child] of Object.entries(node))
    if (isNode(child) && (key === '$root' || !key.startsWith('$')))
      yield* tokensOf(child, [...path, key], type, deprecated);
}

/** What the groups of a file are for, and which they extend, but for the file itself. */
function* describedGroups(node: Node, path: readonly string[]): Generator<Described> {
  if (isToken(node) || path.length > DEEPEST) return;
  const { $description, $extends: from } = node;
  const id = path.join('.');
  const text = typeof $description === 'string' ? $description.trim().slice(0, 2000) : '';
  const of = from === undefined ? undefined : extendedPath(from)?.join('.');
  const isExtending = of !== undefined && isTokenPath(of);
  if ((text !== '' || isExtending) && isTokenPath(id) && !path.some(isInherited))
    yield { path: id, text, ...(isExtending && { extends: of }) };
  for (const [key, child] of Object.entries(node))
    if (!key.startsWith('$') && isNode(child)) yield* describedGroups(child, [...path, key]);
}

/** The place that a value refers to by a JSON Pointer; nothing where it is another value. */
const pointerOf = (value: TokenJson | undefined): string | undefined =>
  isNode(value) && typeof value['$ref'] === 'string' && Object.keys(value).length === 1
    ? value['$ref']
    : undefined;

/** The whole token that a pointer leads to, or its value. */
function tokenAt(pointer: string): string | undefined {
  const parts = pointerParts(pointer);
  const path = parts?.at(-1) === '$value' ? parts.slice(0, -1) : parts;
  return path === undefined || path.length === 0 || path.some((part) => part.includes('.'))
    ? undefined
    : path.join('.');
}

/** The token that a value is taken from as a whole, by its path. */
function aliasOf(
  value: TokenJson | undefined,
  all: ReadonlyMap<string, Found>,
): string | undefined {
  const named = typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value)?.[1] : undefined;
  // A group with a value of its own is referred to by its name as well.
  if (named !== undefined)
    return !all.has(named) && all.has(`${named}.$root`) ? `${named}.$root` : named;
  const pointer = pointerOf(value);
  const pointed = pointer === undefined ? undefined : tokenAt(pointer);
  return pointed !== undefined && all.has(pointed) ? pointed : undefined;
}

/** The place in the value of a token that a value is taken from. */
function placeOf(
  value: TokenJson | undefined,
  all: ReadonlyMap<string, Found>,
): Exclude<Source, string> | undefined {
  const pointer = pointerOf(value);
  const path = pointer === undefined ? undefined : pointerParts(pointer);
  const depth = path?.indexOf('$value') ?? -1;
  if (!path || depth < 1 || path.slice(0, depth).some((part) => part.includes('.')))
    return undefined;
  const of = path.slice(0, depth).join('.');
  const at = `/${path
    .slice(depth + 1)
    .map(escaped)
    .join('/')}`;
  return all.has(of) && isTokenPath(of) && PLACE.test(at) ? { of, at } : undefined;
}

/** The parts of a value that are taken from tokens, or from places in their values, by their places in it. */
function partsOf(
  value: TokenJson | undefined,
  all: ReadonlyMap<string, Found>,
): Pick<CustomItem, 'parts'> {
  const whole = placeOf(value, all);
  if (whole) return { parts: { '': whole } };
  if (!isNode(value) && !Array.isArray(value)) return {};
  const parts = [...placesIn(value)].flatMap(([place, one]) => {
    if (!PLACE.test(place)) return [];
    const alias = aliasOf(one, all);
    const source =
      alias !== undefined && all.has(alias) && isTokenPath(alias) ? alias : placeOf(one, all);
    return source === undefined ? [] : [[place, source] as const];
  });
  return parts.length === 0 ? {} : { parts: Object.fromEntries(parts) };
}

/** A place that a document may keep. */
const PLACE = /^(\/[^/]{0,60}){1,8}$/;

/** What a token says that its value is. */
const valueOf = ({ node }: Found): TokenJson | undefined =>
  Object.hasOwn(node, '$value') ? node['$value'] : { $ref: node['$ref'] ?? '' };

type Resolved = Filled & { readonly type: string | undefined };

/** A value with its references followed, and of how many parts it is; or why there is none. */
type Filled = { readonly value: TokenJson; readonly size: number } | { readonly problem: string };

/** The parts of a value with its references followed, of one token and of a whole file. */
const MOST_OF_ONE = 10_000;
const MOST_OF_ALL = 200_000;

const TOO_LARGE: Filled = {
  problem: 'with its references followed it is too large: they double at each level',
};
/** Parts in parts and references to references, one in the other. */
const DEEPEST_REFERENCES = 200;
const TOO_DEEP: Filled = { problem: 'its references lead from one to the next too often' };
const ABSENT: Filled = { problem: 'a part of it refers to a token that is not there' };

/** Follows the references of a file; what was followed once is known. */
function follower(all: ReadonlyMap<string, Found>, root: Node) {
  const known = new Map<string, Filled>();

  function referred(alias: string, depth: number): Filled {
    const before = known.get(alias);
    if (before) return before;
    const token = all.get(alias);
    const target = token && valueOf(token);
    // Until it is known, whoever comes here again has run in a circle.
    known.set(alias, { problem: `its references run in a circle through “${alias}”` });
    const result = target === undefined ? ABSENT : filled(target, depth + 1);
    known.set(alias, result);
    return result;
  }

  /** What stands at a place of the file, with its own references followed. */
  function pointedAt(pointer: string, depth: number): Filled {
    const key = `at ${pointer}`;
    const before = known.get(key);
    if (before) return before;
    known.set(key, { problem: `its references run in a circle through “${pointer}”` });
    const parts = pointerParts(pointer);
    const target = parts && valueThere(root, parts);
    const result = target === undefined ? ABSENT : filled(target, depth + 1);
    known.set(key, result);
    return result;
  }

  function filled(value: TokenJson, depth: number): Filled {
    if (depth > DEEPEST_REFERENCES) return TOO_DEEP;
    const alias = aliasOf(value, all);
    if (alias !== undefined) return referred(alias, depth);
    const pointer = pointerOf(value);
    if (pointer !== undefined) return pointedAt(pointer, depth);
    const isList = Array.isArray(value);
    if (!isList && !isNode(value)) return { value, size: 1 };
    let size = 1;
    const entries: [string, TokenJson][] = [];
    for (const [key, part] of Object.entries(value as Node)) {
      const one = filled(part, depth + 1);
      if ('problem' in one) return one;
      size += one.size;
      if (size > MOST_OF_ONE) return TOO_LARGE;
      entries.push([key, one.value]);
    }
    return {
      value: isList ? entries.map(([, part]) => part) : Object.fromEntries(entries),
      size,
    };
  }

  return {
    /** A value with its references followed, and the token that it is taken from as a whole. */
    value: (said: TokenJson): Filled & { readonly alias?: string | undefined } => ({
      ...filled(said, 0),
      alias: aliasOf(said, all),
    }),
    /** Follows references to a value; one that leads nowhere, or in a circle, is a problem. */
    resolve(found: Found): Resolved {
      const seen = new Set<string>();
      let here = found;
      for (;;) {
        const { $type } = here.node;
        const type = typeof $type === 'string' ? $type : here.inheritedType;
        const value = valueOf(here);
        const alias = aliasOf(value, all);
        if (alias === undefined) return { ...filled(value ?? null, 0), type };
        if (seen.has(alias))
          return { problem: `its references run in a circle through “${alias}”`, type };
        seen.add(alias);
        const next = all.get(alias);
        if (!next) return { problem: `it refers to “${alias}”, which is not in the file`, type };
        here = next;
      }
    },
  };
}

/** What our own extension says of the value of a token. */
function extensionOf(node: Node): TokenJson | undefined {
  const extensions = node['$extensions'];
  const own = isNode(extensions) ? extensions[EXTENSION] : undefined;
  const value = isNode(own) ? own['value'] : undefined;
  return value === undefined || jsonProblem(value) === undefined ? value : undefined;
}

/** What extensions of other makers say of a token, to go out as it came; nothing where no database would keep it. */
function othersOf(node: Node): TokenJson | undefined {
  const extensions = node['$extensions'];
  if (!isNode(extensions)) return undefined;
  const others = Object.entries(extensions).filter(([maker]) => maker !== EXTENSION);
  const kept: TokenJson = Object.fromEntries(others);
  return others.length === 0 || jsonProblem(kept) !== undefined ? undefined : kept;
}

/** The value in the other theme, as our own extension says it; with the mode that it is of. */
function otherThemeOf(
  node: Node,
): { readonly mode: 'light' | 'dark'; readonly said: TokenJson } | undefined {
  const extensions = node['$extensions'];
  const own = isNode(extensions) ? extensions[EXTENSION] : undefined;
  const modes = isNode(own) ? own['modes'] : undefined;
  if (!isNode(modes)) return undefined;
  const { dark, light } = modes;
  if (dark !== undefined) return { mode: 'dark', said: dark };
  return light === undefined ? undefined : { mode: 'light', said: light };
}

const isTokenPath = (path: string): boolean =>
  path.length <= 200 && /^[^{}$.][^{}.]*(\.[^{}$.][^{}.]*)*(\.\$root)?$/.test(path);

const ourExtension = (root: Node): Node | undefined => {
  const extensions = root['$extensions'];
  const own = isNode(extensions) ? extensions[EXTENSION] : undefined;
  return isNode(own) ? own : undefined;
};

/** Whether a file holds all decisions of a system. */
export const isOurs = (root: Node): boolean => Object.hasOwn(ourExtension(root) ?? {}, 'decisions');

/**
 * Reads a file of the open token format. One that Garnish wrote gives the whole system back; any
 * other gives its tokens, references followed, and says which were left out and why. A text that is
 * no such file is a problem in words; nothing is thrown.
 */
export function readDtcg(text: string): ReadDtcg {
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch (error) {
    return {
      kind: 'problem',
      message: `This is not JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`,
    };
  }
  const harm = jsonProblem(root, () => true);
  if (harm !== undefined)
    return { kind: 'problem', message: `This file cannot be taken: ${harm}. Nothing was taken.` };
  if (!isNode(root)) return { kind: 'problem', message: 'A token file is one JSON object.' };
  const own = ourExtension(root);
  if (own && isOurs(root)) {
    const read = readDocument(own['decisions']);
    if (read.ok) return { kind: 'system', document: read.document };
    const [first] = read.problems;
    return {
      kind: 'problem',
      message: `The decisions in this file cannot be restored: ${first?.path ?? ''} ${first?.message ?? ''}.`,
    };
  }
  return readTree(root);
}

/**
 * The tokens of a tree of the open format that is read from JSON already, references followed.
 * @param most more tokens than this are refused in words
 */
export function readTree(root: Node, most = MOST): Exclude<ReadDtcg, { kind: 'system' }> {
  const extended = withExtendedGroups(root);
  const found = [...tokensOf(extended.root, [], undefined)];
  if (found.length === 0)
    return { kind: 'problem', message: 'There is no token in this file: nothing has a $value.' };
  if (found.length > most)
    return {
      kind: 'problem',
      message: `This file has ${found.length} tokens; ${most} is the most.`,
    };
  const all = new Map(found.map((one) => [one.path, one]));
  const tokens: CustomItem[] = [];
  const leftOut: LeftOut[] = [...extended.problems];
  const follow = follower(all, extended.root);
  let size = 0;
  for (const one of found) {
    const { $type = one.inheritedType } = one.node;
    const inherited = [...one.path.split('.'), typeof $type === 'string' ? $type : ''].find(
      isInherited,
    );
    if (inherited !== undefined) {
      leftOut.push({ path: one.path, reason: inheritedWords(inherited) });
      continue;
    }
    const resolved = follow.resolve(one);
    if (one.below)
      leftOut.push({ path: one.path, reason: 'it stands below a token, where only groups may' });
    else if ('problem' in resolved) leftOut.push({ path: one.path, reason: resolved.problem });
    else if (resolved.type === undefined)
      leftOut.push({ path: one.path, reason: 'it has no $type, and no group around it has one' });
    else if (!isTokenPath(one.path))
      leftOut.push({ path: one.path, reason: 'its name has a sign that names may not have' });
    else {
      size += resolved.size;
      if (size > MOST_OF_ALL) {
        leftOut.push({
          path: one.path,
          reason: 'the file holds too much with its references followed',
        });
        continue;
      }
      const form = readForm(resolved.type, resolved.value);
      const unkept = form.ok ? jsonProblem(form.value) : form.reason;
      if (!form.ok || unkept !== undefined) {
        leftOut.push({ path: one.path, reason: unkept ?? '' });
        continue;
      }
      const alias = aliasOf(valueOf(one), all);
      const description = one.node['$description'];
      const extension = extensionOf(one.node) ?? form.extension;
      const others = othersOf(one.node);
      const usual = {
        value: form.value,
        ...(alias !== undefined && isTokenPath(alias) ? { alias } : partsOf(valueOf(one), all)),
      };
      const elsewhere = otherThemeOf(one.node);
      const there = elsewhere && follow.value(elsewhere.said);
      const otherForm =
        there && 'value' in there ? readForm(resolved.type, there.value) : undefined;
      const other =
        otherForm?.ok === true && jsonProblem(otherForm.value) === undefined
          ? {
              value: otherForm.value,
              ...(there?.alias !== undefined && isTokenPath(there.alias)
                ? { alias: there.alias }
                : partsOf(elsewhere?.said, all)),
            }
          : undefined;
      const isDarkFirst = elsewhere?.mode === 'light' && other !== undefined;
      const token: CustomItem = {
        path: one.path,
        type: resolved.type,
        ...(isDarkFirst ? { ...other, dark: usual } : { ...usual, ...(other && { dark: other }) }),
        ...(extension !== undefined && { extension }),
        ...(others !== undefined && { others }),
        ...(typeof description === 'string' && { description: description.slice(0, 2000) }),
        ...(one.deprecated !== undefined && {
          deprecated: one.deprecated === true || one.deprecated.slice(0, 2000),
        }),
      };
      const checked = customToken.safeParse(token);
      if (checked.success) tokens.push(token);
      else
        leftOut.push({
          path: one.path,
          reason: `${checked.error.issues[0]?.path.join(' ') ?? ''}: ${checked.error.issues[0]?.message ?? ''}`,
        });
    }
  }
  const groups = [...describedGroups(root, [])];
  return { kind: 'tokens', tokens, leftOut, ...(groups.length > 0 && { groups }) };
}
