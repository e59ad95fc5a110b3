import { jsonProblem } from '../system/json.ts';
import type { CustomItem } from '../system/custom-values.ts';
import type { Described } from '../system/descriptions.ts';
import type { TokenJson } from '../tokens/token.ts';
import { isNode, pointerParts, valueThere, type LeftOut, type Node } from './extended-groups.ts';
import { isOurs, readTree, type ReadDtcg } from './read-dtcg.ts';
import { readProperties } from './read-properties.ts';
import { isSheet, plainText, readTokens } from './taking.ts';

/** A file with its name, which may have the folders that it stands in before it. */
export interface TextFile {
  readonly name: string;
  readonly text: string;
}

/** More are no files of tokens that belong together. */
const MOST_FILES = 1000;

const baseOf = (name: string): string => name.split('/').at(-1) ?? name;

const isToken = (node: Node): boolean =>
  Object.hasOwn(node, '$value') || Object.hasOwn(node, '$ref');

/** Groups of several files in one; of two tokens of one name the last counts. */
function merged(one: Node, other: Node): Node {
  if (isToken(one) || isToken(other)) return other;
  const result = new Map(Object.entries(one));
  for (const [key, value] of Object.entries(other)) {
    const there = result.get(key);
    result.set(key, isNode(there) && isNode(value) ? merged(there, value) : value);
  }
  return Object.fromEntries(result);
}

const mergedAll = (trees: readonly Node[]): Node =>
  trees.reduce<Node>((all, tree) => merged(all, tree), {});

/** Where a resolver document gets something from: a file, a part of itself, or what stands there. */
type Sources = readonly TokenJson[];

const listOf = (value: TokenJson | undefined): Sources =>
  Array.isArray(value) ? (value as Sources) : [];

/** Whether a file says how others are put together, rather than what tokens there are. */
const isResolver = (node: Node): boolean => Array.isArray(node['resolutionOrder']);

/** Deeper than this no resolver refers to itself. */
const DEEPEST = 8;

/**
 * The tree that a resolver document puts together from files, in one context of each of its modifiers.
 * Source: Design Tokens Resolver Module 2025.10 (from memory).
 */
function resolved(
  resolver: Node,
  files: ReadonlyMap<string, Node>,
  contextOf: (modifier: string, node: Node) => string | undefined,
  missing: (file: string) => void,
): Node {
  const fromSource = (source: TokenJson, depth: number): readonly Node[] => {
    if (!isNode(source) || depth > DEEPEST) return [];
    const { $ref } = source;
    if (typeof $ref !== 'string') return fromPart(source, undefined, depth);
    if (!$ref.startsWith('#')) {
      const file = files.get(baseOf($ref.split('#')[0] ?? ''));
      if (!file) missing($ref);
      return file ? [file] : [];
    }
    const parts = pointerParts($ref);
    const there = parts && valueThere(resolver, parts);
    return isNode(there) ? fromPart(there, parts?.at(-1), depth + 1) : [];
  };
  const fromPart = (part: Node, name: string | undefined, depth: number): readonly Node[] => {
    if (Array.isArray(part['sources']))
      return listOf(part['sources']).flatMap((one) => fromSource(one, depth + 1));
    const { contexts } = part;
    if (!isNode(contexts)) return [part];
    const own = name ?? (typeof part['name'] === 'string' ? part['name'] : '');
    const context = contextOf(own, part);
    const sources =
      context !== undefined && Object.hasOwn(contexts, context) ? contexts[context] : undefined;
    return listOf(sources).flatMap((one) => fromSource(one, depth + 1));
  };
  return mergedAll(listOf(resolver['resolutionOrder']).flatMap((one) => fromSource(one, 0)));
}

const contextsOf = (modifier: Node): readonly string[] =>
  isNode(modifier['contexts']) ? Object.keys(modifier['contexts']) : [];

const defaultOf = (modifier: Node): string | undefined =>
  typeof modifier['default'] === 'string' ? modifier['default'] : contextsOf(modifier)[0];

const DARK = /dark|night/i;

const plain = ({ value, alias, parts }: CustomItem) => ({
  value,
  ...(alias !== undefined && { alias }),
  ...(parts && { parts }),
});

/** Tokens with what they are in dark, where another file says so. */
function withDark(
  light: readonly CustomItem[],
  dark: readonly CustomItem[],
): readonly CustomItem[] {
  const other = new Map(dark.map((token) => [token.path, token]));
  return light.map((token) => {
    const there = other.get(token.path);
    const isSame =
      !there ||
      there.type !== token.type ||
      JSON.stringify(plain(there)) === JSON.stringify(plain(token));
    return isSame ? token : { ...token, dark: plain(there) };
  });
}

interface Gathered {
  readonly tokens: readonly CustomItem[];
  readonly groups: readonly Described[];
  readonly leftOut: readonly LeftOut[];
}

const NONE: Gathered = { tokens: [], groups: [], leftOut: [] };

function gathered(read: Exclude<ReadDtcg, { kind: 'system' }>, name: string): Gathered {
  if (read.kind === 'problem') return { ...NONE, leftOut: [{ path: name, reason: read.message }] };
  return { tokens: read.tokens, groups: read.groups ?? [], leftOut: read.leftOut };
}

/** What stands in several trees, as a resolver document puts them together; all of them at once where there is none. */
function fromTrees(trees: ReadonlyMap<string, Node>): Gathered {
  const resolvers = [...trees].filter(([, node]) => isResolver(node));
  const files = new Map(
    [...trees].flatMap(([name, node]) => (isResolver(node) ? [] : [[baseOf(name), node] as const])),
  );
  const [found] = resolvers;
  if (!found)
    return files.size === 0
      ? NONE
      : gathered(readTree(mergedAll([...files.values()])), 'the files');
  const [name, resolver] = found;
  const absent = new Set<string>();
  const miss = (file: string): void => {
    absent.add(file);
  };
  const modifiers = isNode(resolver['modifiers']) ? Object.values(resolver['modifiers']) : [];
  const hasDark = modifiers.some(
    (one) => isNode(one) && contextsOf(one).some((context) => DARK.test(context)),
  );
  const usual = (modifier: Node): string | undefined =>
    contextsOf(modifier).find(
      (context) => !DARK.test(context) && context === defaultOf(modifier),
    ) ??
    contextsOf(modifier).find((context) => !DARK.test(context)) ??
    defaultOf(modifier);
  const light = gathered(
    readTree(resolved(resolver, files, (_, modifier) => usual(modifier), miss)),
    name,
  );
  const dark = hasDark
    ? gathered(
        readTree(
          resolved(
            resolver,
            files,
            (_, modifier) =>
              contextsOf(modifier).find((context) => DARK.test(context)) ?? defaultOf(modifier),
            miss,
          ),
        ),
        name,
      )
    : NONE;
  return {
    tokens: withDark(light.tokens, dark.tokens),
    groups: light.groups,
    leftOut: [
      ...light.leftOut,
      ...[...absent].map((file) => ({
        path: file,
        reason: `${baseOf(name)} asks for this file, and it is not among them`,
      })),
    ],
  };
}

/**
 * Reads tokens from several files that belong together: their references may lead from one to another, a resolver
 * document may say how they are put together, style sheets may stand beside them. A file that Garnish wrote with all
 * decisions gives the whole system back. A file that cannot be read is named, and the others come in. Nothing is thrown.
 */
export function readFiles(files: readonly TextFile[]): ReadDtcg {
  const [only] = files;
  if (!only) return { kind: 'problem', message: 'There is no file of tokens among them.' };
  if (files.length === 1) return readTokens(only.text);
  if (files.length > MOST_FILES)
    return {
      kind: 'problem',
      message: `These are ${files.length.toLocaleString('en-US')} files; ${MOST_FILES.toLocaleString('en-US')} is the most.`,
    };
  const trees = new Map<string, Node>();
  const sheets: string[] = [];
  const leftOut: LeftOut[] = [];
  for (const { name, text } of files) {
    const plainOne = plainText(text);
    if (isSheet(plainOne)) {
      sheets.push(plainOne);
      continue;
    }
    let root: unknown;
    try {
      root = JSON.parse(plainOne);
    } catch {
      leftOut.push({ path: name, reason: 'it is neither JSON nor a style sheet' });
      continue;
    }
    const harm = jsonProblem(root, () => true);
    if (harm !== undefined) leftOut.push({ path: name, reason: harm });
    else if (!isNode(root)) leftOut.push({ path: name, reason: 'a token file is one JSON object' });
    else if (isOurs(root)) return readTokens(text);
    else trees.set(name, root);
  }
  const open = fromTrees(trees);
  const css =
    sheets.length === 0 ? NONE : gathered(readProperties(sheets.join('\n')), 'style sheets');
  const tokens = [
    ...new Map([...open.tokens, ...css.tokens].map((token) => [token.path, token])).values(),
  ];
  const all = [...leftOut, ...open.leftOut, ...css.leftOut];
  return tokens.length === 0
    ? {
        kind: 'problem',
        message: all[0] ? `${all[0].path}: ${all[0].reason}.` : 'There is no token in these files.',
      }
    : { kind: 'tokens', tokens, groups: open.groups, leftOut: all };
}
