import type { Derived } from '../derive/derived.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { plainTokens, type PlainToken } from './plain-tokens.ts';

/** A value as programs take it: a number where it is one, else as CSS writes it. */
export const valueOf = ({ type, values }: PlainToken, mode: Mode): string | number => {
  const { css, json } = values[mode];
  return (type === 'number' || type === 'fontWeight') && typeof json === 'number' ? json : css;
};

/** Objects without a prototype: a token may be called as what every other object has. */
export type Tree = { [key: string]: Tree | string | number };
const empty = (): Tree => Object.create(null) as Tree;

export function treeOf(tokens: readonly PlainToken[], mode: Mode): Tree {
  const root = empty();
  for (const token of tokens) {
    let at = root;
    for (const part of token.called.slice(0, -1)) {
      const next = at[part];
      const group = typeof next === 'object' ? next : empty();
      at[part] = group;
      at = group;
    }
    at[token.called.at(-1) ?? token.id] = valueOf(token, mode);
  }
  return root;
}

const written = (value: unknown): string => `${JSON.stringify(value, undefined, 2)}\n`;

/** The tokens as JSON by the names of their custom properties, in each theme. */
export function writeFlatJson(document: StyleDocument, derived: Derived): string {
  const { modes, tokens } = plainTokens(document, derived);
  const themes = empty();
  for (const mode of modes) {
    const own = empty();
    for (const token of tokens) own[token.name] = valueOf(token, mode);
    themes[mode] = own;
  }
  return written(themes);
}

/** The tokens as JSON in their groups, in each theme. */
export function writeNestedJson(document: StyleDocument, derived: Derived): string {
  const { modes, tokens } = plainTokens(document, derived);
  const themes = empty();
  for (const mode of modes) themes[mode] = treeOf(tokens, mode);
  return written(themes);
}
