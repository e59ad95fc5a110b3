import { modesOf, type Themes } from '../system/themes.ts';
import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Token, TokenJson } from '../tokens/token.ts';

/** Our key in `$extensions`, in reverse domain notation as the format asks. */
export const EXTENSION = 'app.garnish';

type Group = { [key: string]: TokenJson | Group };

const reference = (id: string): string => `{${id}}`;

/** A value of the format with its references, which name tokens by their whole path. */
const referring = (value: TokenJson, within: readonly string[]): TokenJson => {
  if (within.length === 0) return value;
  if (typeof value === 'string')
    return /^\{[^{}]+\}$/.test(value)
      ? reference([...within, value.slice(1, -1)].join('.'))
      : value;
  if (Array.isArray(value)) return value.map((part: TokenJson) => referring(part, within));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [key, referring(part, within)]),
  );
};

function tokenJson(token: Token, within: readonly string[], themes: Themes): Group {
  const [first, second] = modesOf(themes);
  const to = (id: string): string => reference([...within, id].join('.'));
  const usual = token.values[first];
  const other = second === undefined ? usual : token.values[second];
  const extension: Group = {
    ...(usual.extension !== undefined && { value: referring(usual.extension, within) }),
    ...(usual !== other &&
      (usual.reference !== other.reference || usual.css !== other.css) && {
        modes: {
          [second ?? first]:
            other.reference === undefined ? referring(other.json, within) : to(other.reference),
        },
      }),
  };
  return {
    $type: token.type,
    $value: usual.reference === undefined ? referring(usual.json, within) : to(usual.reference),
    ...(token.description !== undefined && { $description: token.description }),
    ...(Object.keys(extension).length > 0 && { $extensions: { [EXTENSION]: extension } }),
  };
}

const isGroup = (value: TokenJson | Group | undefined): value is Group =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function place(root: Group, path: readonly string[], value: Group): void {
  const [head, ...rest] = path;
  if (head === undefined) return;
  if (rest.length === 0) {
    const there = Object.hasOwn(root, head) ? root[head] : undefined;
    root[head] = isGroup(there) ? { ...there, ...value } : value;
    return;
  }
  const next = Object.hasOwn(root, head) ? root[head] : undefined;
  const group: Group = isGroup(next) ? next : {};
  root[head] = group;
  place(group, rest, value);
}

/**
 * The tokens in the format of the Design Tokens Community Group (Format Module 2025.10). What the
 * format cannot say stands in `$extensions` under `app.garnish`: the value in the dark mode
 * (`modes`), fluid sizes and lengths in em (`value`), and on the root all decisions, from which
 * `readDtcg` restores the system.
 */
export function writeDtcg({ tokens, themes }: Derived, document: StyleDocument): string {
  const prefix = document.tokens.sheet?.properties;
  const within = prefix === undefined ? [] : [prefix];
  const root: Group = {
    $description: document.description || document.name,
    $extensions: { [EXTENSION]: { decisions: document as unknown as TokenJson } },
  };
  for (const token of tokens)
    place(root, [...within, ...token.path], tokenJson(token, within, themes));
  return `${JSON.stringify(root, undefined, 2)}\n`;
}
