import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import {
  identifiers,
  inOrderOfUse,
  plainTokens,
  variablesFile,
  type PlainToken,
  type PlainValue,
} from './plain-tokens.ts';

/** A value that Sass takes as it is: it would divide a ratio, so that one is a number already. */
const inSass = ({ type }: PlainToken, { css, json }: PlainValue): string =>
  type === 'number' && typeof json === 'number' ? String(json) : css;

/** A value in a map: lists by commas stand in parentheses. */
const inMap = (css: string): string => (css.includes(',') ? `(${css})` : css);

/** An identifier of Sass begins with a letter or an underscore. Source: CSS Syntax 3, identifiers. */
const asVariable = (name: string): string => (/^-?[0-9]|^--/.test(name) ? `_${name}` : name);

/**
 * The tokens as variables of Sass, those that are taken from others as such, in the theme that stands where nothing
 * is said; and a map of all of them for each theme.
 */
export function writeSass(document: StyleDocument, derived: Derived): string {
  const plain = plainTokens(document, derived);
  const [first] = plain.modes;
  const names = identifiers(plain.tokens, ({ name }) => asVariable(name));
  const variable = (name: string): string => `$${names.get(name) ?? name}`;
  const lines = inOrderOfUse(plain.tokens, first).map((token) => {
    const value = token.values[first];
    const { from } = value;
    return `${variable(token.name)}: ${from !== undefined && names.has(from) ? variable(from) : inSass(token, value)};`;
  });
  const maps = plain.modes.map(
    (mode) =>
      `$${mode}: (\n${plain.tokens
        .map(
          (token) =>
            `  "${token.name}": ${mode === first ? variable(token.name) : inMap(inSass(token, token.values[mode]))},\n`,
        )
        .join('')});\n`,
  );
  return variablesFile(
    plain,
    `tokens as Sass variables (${first}), and a map for each theme`,
    lines,
    maps,
  );
}
