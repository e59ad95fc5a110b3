import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { identifiers, inAscii, plainTokens, variablesFile } from './plain-tokens.ts';

/** At-rules, whose names no variable can have. */
const RULES: ReadonlySet<string> = new Set([
  ...['arguments', 'charset', 'container', 'counter-style', 'font-face', 'import', 'keyframes'],
  ...['layer', 'media', 'namespace', 'page', 'plugin', 'property', 'rest', 'scope', 'supports'],
]);

/** A value that Less takes as it is, and does not compute with: what has functions or several parts is escaped. */
const asWritten = (css: string): string =>
  /^(?:#[0-9a-f]{3,8}|-?[\d.]+(?:[a-z]+|%)?|[a-z-]+)$/i.test(css)
    ? css
    : `~'${css.replaceAll('\\', '\\\\').replaceAll("'", String.raw`\'`)}'`;

/**
 * The tokens as variables of Less, those that are taken from others as such, in the theme that stands where nothing is
 * said; and a map of all of them for each theme, to be asked as `@dark[color-page]`.
 */
export function writeLess(document: StyleDocument, derived: Derived): string {
  const plain = plainTokens(document, derived);
  const [first] = plain.modes;
  const themes: readonly string[] = plain.modes;
  const names = identifiers(plain.tokens, ({ name }) => {
    const ascii = inAscii(name);
    return RULES.has(ascii) || themes.includes(ascii) ? `${ascii}-token` : ascii;
  });
  const nameOf = (name: string): string => names.get(name) ?? name;
  const lines = plain.tokens.map(({ name, values }) => {
    const { css, from } = values[first];
    return `@${nameOf(name)}: ${from !== undefined && names.has(from) ? `@${nameOf(from)}` : asWritten(css)};`;
  });
  const maps = plain.modes.map(
    (mode) =>
      `@${mode}: {\n${plain.tokens
        .map(
          ({ name, values }) =>
            `  ${nameOf(name)}: ${mode === first ? `@${nameOf(name)}` : asWritten(values[mode].css)};\n`,
        )
        .join('')}}\n`,
  );
  return variablesFile(
    plain,
    `tokens as Less variables (${first}), and a map for each theme`,
    lines,
    maps,
  );
}
