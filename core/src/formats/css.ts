import type { DeliveredFace, Derived, Rule } from '../derive/derived.ts';
import { standInName } from '../fonts/family.ts';
import { cssString } from '../css-string.ts';
import { propertyOf, type Token, type TokenValue } from '../tokens/token.ts';

/** Where the sheet expects the font files, beside itself. */
export const FONT_FOLDER = 'fonts';

const valueCss = (value: TokenValue, tokenById: Derived['tokenById']): string | undefined => {
  if (value.css === undefined) return undefined;
  const source = value.reference === undefined ? undefined : tokenById.get(value.reference);
  return source ? `var(${propertyOf(source)})` : value.css;
};

const block = (selector: string, lines: readonly string[], indent = ''): string =>
  `${indent}${selector} {\n${lines.map((line) => `${indent}  ${line}\n`).join('')}${indent}}\n`;

/** Lines that were written: most tokens stay the same object while a slider moves one decision. */
const lines = new WeakMap<TokenValue, { readonly of: Token; readonly line: string | undefined }>();

function lineOf(
  token: Token,
  mode: 'light' | 'dark',
  tokenById: Derived['tokenById'],
): string | undefined {
  const value = token.values[mode];
  const known = lines.get(value);
  // A line names the token that its value is taken from, which has to be there still.
  if (known?.of === token && (value.reference === undefined || tokenById.has(value.reference)))
    return known.line;
  const css = valueCss(value, tokenById);
  const line = css === undefined ? undefined : `${propertyOf(token)}: ${css};`;
  lines.set(value, { of: token, line });
  return line;
}

const properties = (
  tokens: readonly Token[],
  mode: 'light' | 'dark',
  tokenById: Derived['tokenById'],
): string[] =>
  tokens.flatMap((token) => {
    const line = lineOf(token, mode, tokenById);
    return line === undefined ? [] : [line];
  });

/** What changes together stands together, so that a change replaces no more of the sheet than it must. */
const BLOCKS: readonly ReadonlySet<string>[] = [
  new Set(['face', 'scale', 'type']),
  new Set(['palette', 'color', 'gradient', 'veil']),
];

/** The tokens in the blocks that they stand in; the last holds all others. */
function blocksOf(tokens: readonly Token[]): readonly (readonly Token[])[] {
  const blocks: Token[][] = [...BLOCKS, new Set<string>()].map(() => []);
  for (const token of tokens) {
    const at = BLOCKS.findIndex((kinds) => kinds.has(token.path[0] ?? ''));
    blocks[at < 0 ? BLOCKS.length : at]?.push(token);
  }
  return blocks;
}

const fontFaces = ({ family, files }: DeliveredFace): string[] =>
  files.map(({ name: file, style, weight, unicodeRange }) =>
    block('@font-face', [
      `font-family: ${cssString(family.name)};`,
      `font-style: ${style};`,
      `font-weight: ${weight.min === weight.max ? weight.min : `${weight.min} ${weight.max}`};`,
      'font-display: swap;',
      `src: url(${cssString(`${FONT_FOLDER}/${file}`)}) format("woff2");`,
      `unicode-range: ${unicodeRange.replaceAll(',', ', ')};`,
    ]),
  );

const percent = (share: number): string => `${Number((share * 100).toFixed(2))}%`;

/** The stand-in as two faces, because a bold one must not be faked either. */
const standInFaces = ({ family, standIn }: DeliveredFace): string[] =>
  (
    [
      [standIn.font.local, '1 599'],
      [standIn.font.localBold, '600 1000'],
    ] as const
  ).map(([local, weights]) =>
    block('@font-face', [
      `font-family: ${cssString(standInName(family))};`,
      `font-weight: ${weights};`,
      `src: ${local.map((name) => `local(${cssString(name)})`).join(', ')};`,
      `size-adjust: ${percent(standIn.sizeAdjust)};`,
      `ascent-override: ${percent(standIn.ascentOverride)};`,
      `descent-override: ${percent(standIn.descentOverride)};`,
      `line-gap-override: ${percent(standIn.lineGapOverride)};`,
    ]),
  );

const ruleCss = ({ selector, declarations }: Rule, indent = ''): string =>
  block(
    selector,
    declarations.map(([property, value]) => `${property}: ${value};`),
    indent,
  );

/** The rules in order; neighbors of the same at-rule stand in it together. */
export function rulesCss(rules: readonly Rule[]): string[] {
  const written: string[] = [];
  for (let at = 0; at < rules.length;) {
    const within = rules[at]?.within;
    const from = at;
    do at += 1;
    while (within !== undefined && at < rules.length && rules[at]?.within === within);
    const together = rules.slice(from, at);
    written.push(
      within === undefined
        ? together.map((rule) => ruleCss(rule)).join('')
        : `${within} {\n${together.map((rule) => ruleCss(rule, '  ')).join('')}}\n`,
    );
  }
  return written;
}

/** Values for screens that show more than sRGB; the others keep those of the blocks above. */
function wideRules(tokens: readonly Token[]): string[] {
  const lines = (mode: 'light' | 'dark'): string[] =>
    tokens.flatMap((token) => {
      const { wide, reference } = token.values[mode];
      const differs = mode === 'light' || wide !== token.values.light.wide;
      return wide === undefined || reference !== undefined || !differs
        ? []
        : [`${propertyOf(token)}: ${wide};`];
    });
  const [light, dark] = [lines('light'), lines('dark')];
  const within = '@media (color-gamut: p3)';
  return [
    ...(light.length > 0 ? [`${within} {\n${block(':root', light, '  ')}}\n`] : []),
    ...(dark.length > 0
      ? [
          `@media (color-gamut: p3) and (prefers-color-scheme: dark) {\n${block(':root:not([data-theme="light"])', dark, '  ')}}\n`,
          `${within} {\n${block(':root[data-theme="dark"]', dark, '  ')}}\n`,
        ]
      : []),
  ];
}

/** A value that is taken from the same token in both modes changes with that token. */
const sameInDark = ({ values: { light, dark } }: Token): boolean =>
  light === dark ||
  (light.reference === dark.reference && (light.reference !== undefined || light.css === dark.css));

/**
 * The style sheet as its top-level rules in order: font faces, every token as a custom property, the
 * values of the dark theme (by the reader's preference, or by `data-theme` on the root), the colors
 * beyond sRGB for screens that show them, and the classes.
 */
export function writeCssRules({ tokens, tokenById, faces, rules }: Derived): readonly string[] {
  const dark = properties(
    tokens.filter((token) => !sameInDark(token)),
    'dark',
    tokenById,
  );
  return [
    ...faces.flatMap(fontFaces),
    ...faces.filter(({ family }) => family.stack === undefined).flatMap(standInFaces),
    block(':root', ['color-scheme: light dark;']),
    ...blocksOf(tokens).flatMap((own) => {
      const declared = properties(own, 'light', tokenById);
      return declared.length === 0 ? [] : [block(':root', declared)];
    }),
    ...(dark.length > 0
      ? [
          `@media (prefers-color-scheme: dark) {\n${block(':root:not([data-theme="light"])', dark, '  ')}}\n`,
          block(':root[data-theme="dark"]', ['color-scheme: dark;', ...dark]),
          block(':root[data-theme="light"]', ['color-scheme: light;']),
        ]
      : []),
    ...wideRules(tokens),
    ...rulesCss(rules),
  ];
}

export const joinRules = (rules: readonly string[]): string => rules.join('\n');

/** The style sheet. The proof is rendered with these very rules. */
export const writeCss = (derived: Derived): string => joinRules(writeCssRules(derived));
