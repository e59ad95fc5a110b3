import type { Derived } from '../derive/derived.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { appValue, untold, type AppValue } from './app-values.ts';
import {
  headOf,
  identifiers,
  inCamelCase,
  plainTokens,
  type PlainToken,
  type PlainTokens,
} from './plain-tokens.ts';

/** Lines at the head of a file: whose it is, what units are meant, and what could not be said. */
export const told = (plain: PlainTokens, mode: Mode, says: string): readonly string[] => {
  const lost = untold(plain.tokens, mode);
  return [
    ...headOf(plain, says),
    'A length of 1 px is one unit that does not depend on the screen; 1 rem is 16 of them.',
    ...(lost.length === 0 ? [] : [`Without a value here: ${lost.join(', ')}`]),
  ];
};

const constantOf = ({ name }: PlainToken): string => {
  const camel = inCamelCase(name);
  return /^[a-z_]/i.test(camel) ? camel : `t${camel}`;
};

/** Words that are none of a language’s names. */
const KEPT: ReadonlySet<string> = new Set([
  ...['as', 'break', 'case', 'class', 'continue', 'default', 'do', 'else', 'enum', 'extension'],
  ...[
    'false',
    'for',
    'fun',
    'func',
    'guard',
    'if',
    'import',
    'in',
    'init',
    'interface',
    'internal',
  ],
  ...['is', 'let', 'null', 'nil', 'object', 'operator', 'package', 'private', 'protocol', 'public'],
  ...[
    'repeat',
    'return',
    'self',
    'static',
    'struct',
    'subscript',
    'super',
    'switch',
    'this',
    'throw',
  ],
  ...['throws', 'true', 'try', 'typealias', 'typeof', 'val', 'var', 'when', 'where', 'while'],
]);

export const named = (tokens: readonly PlainToken[]): ReadonlyMap<string, string> =>
  identifiers(tokens, (token) => {
    const name = constantOf(token);
    return KEPT.has(name) ? `${name}Token` : name;
  });

export const inQuotes = (text: string): string =>
  `"${text
    .replaceAll('\\', '\\\\')
    .replaceAll('"', String.raw`\"`)
    .replaceAll('$', String.raw`\$`)
    .replaceAll(/\s+/g, ' ')}"`;

export const argb = ({ alpha, rgb }: Extract<AppValue, { kind: 'color' }>): string =>
  `0x${alpha}${rgb}`;

export const noteOf = (value: AppValue): string =>
  value.kind === 'length' && value.told !== undefined
    ? ` // flows: ${value.told}`
    : value.kind === 'em'
      ? ' // em'
      : '';

/** A constant in each of the two languages, with what the value is in every theme. */
export type Constant = (name: string, values: readonly AppValue[]) => string | undefined;

export function constants(document: StyleDocument, derived: Derived, write: Constant) {
  const plain = plainTokens(document, derived);
  const [first] = plain.modes;
  const names = named(plain.tokens);
  return {
    head: told(plain, first, `tokens as constants; colors in ${plain.modes.join(' and ')}`).map(
      (line) => `// ${line}`,
    ),
    modes: plain.modes,
    lines: plain.tokens.flatMap((token) => {
      const values = plain.modes.flatMap((mode) => appValue(token, mode) ?? []);
      return write(names.get(token.name) ?? '', values) ?? [];
    }),
  };
}
