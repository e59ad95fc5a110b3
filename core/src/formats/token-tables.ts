import Papa from 'papaparse';
import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { TIERS } from '../tokens/token.ts';
import { inCell, inCode } from './markdown.ts';
import { headOf, plainTokens, type PlainToken, type PlainTokens } from './plain-tokens.ts';

/** What stands in a row of a table, by its head. */
const cellsOf = (
  { called, name, type, tier, description = '', values }: PlainToken,
  modes: PlainTokens['modes'],
): Readonly<Record<string, string>> => ({
  token: called.join('.'),
  property: `--${name}`,
  type,
  tier,
  ...Object.fromEntries(
    modes.flatMap((mode) => [
      [modes.length === 1 ? 'value' : mode, values[mode].css],
      [modes.length === 1 ? 'from' : `${mode} from`, values[mode].from ?? ''],
    ]),
  ),
  description,
});

/** The tokens as a table for spreadsheets: RFC 4180, in UTF-8. */
export function writeCsv(document: StyleDocument, derived: Derived): string {
  const { tokens, modes } = plainTokens(document, derived);
  return `${Papa.unparse(tokens.map((token) => cellsOf(token, modes)))}\r\n`;
}

/** The tokens as tables in Markdown, one for each tier; several rows say where a value is taken from. */
export function writeMarkdown(document: StyleDocument, derived: Derived): string {
  const plain = plainTokens(document, derived);
  const { tokens, modes } = plain;
  const [title = '', ...says] = headOf(plain, 'tokens');
  const row = (token: PlainToken): string => {
    const value = (mode: (typeof modes)[number]): string => {
      const { css, from } = token.values[mode];
      return from === undefined ? inCode(css) : `${inCode(css)} from ${inCode(`--${from}`)}`;
    };
    return `| ${[inCode(`--${token.name}`), ...modes.map(value), inCell(token.description ?? '')].join(' | ')} |`;
  };
  const head = ['property', ...(modes.length === 1 ? ['value'] : modes), 'what it is for'];
  return [
    `# ${inCell(title)}`,
    '',
    ...says.flatMap((line) => [inCell(line), '']),
    ...TIERS.flatMap((tier) => {
      const own = tokens.filter((token) => token.tier === tier);
      return own.length === 0
        ? []
        : [
            `## ${tier}`,
            '',
            `| ${head.join(' | ')} |`,
            `|${' --- |'.repeat(head.length)}`,
            ...own.map(row),
            '',
          ];
    }),
  ].join('\n');
}
