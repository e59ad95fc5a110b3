import { slugs } from '../tokens/token.ts';
import { placeName } from '../type/scale.ts';

/** The figures of a text role, as they stand in the table. */
export interface SizeRow {
  readonly role: string;
  readonly place: number;
  readonly narrowPx: number;
  readonly widePx: number;
  readonly nowPx: number;
  readonly lineHeight: number;
  readonly characters: number;
  readonly css: string;
}

const HEAD = ['role', 'step', 'narrow', 'wide', 'now', 'line height', 'characters', 'size'];

const cells = (row: SizeRow): string[] => [
  row.role,
  placeName(row.place),
  row.narrowPx.toFixed(2),
  row.widePx.toFixed(2),
  row.nowPx.toFixed(2),
  String(row.lineHeight),
  String(Math.round(row.characters)),
  row.css,
];

const inMarkdown = (text: string): string => text.replaceAll(/[\\|]/g, String.raw`\$&`);

/** The rows as a table for a text, for a spreadsheet, or as custom properties. Names stay one cell. */
export function writeSizes(rows: readonly SizeRow[], format: 'CSS' | 'Markdown' | 'TSV'): string {
  if (format === 'CSS') {
    const slugOf = slugs(rows.map(({ role }, index) => [String(index), role]));
    const lines = rows.map(
      (row, index) => `  --type-${slugOf.get(String(index))}-size: ${row.css};`,
    );
    return `:root {\n${lines.join('\n')}\n}\n`;
  }
  const table = [HEAD, ...rows.map(cells)];
  if (format === 'TSV')
    return table
      .map((row) => `${row.map((cell) => cell.replaceAll(/\s+/g, ' ')).join('\t')}\n`)
      .join('');
  const line = (row: readonly string[]): string => `| ${row.map(inMarkdown).join(' | ')} |`;
  return `${[line(HEAD), `|${HEAD.map(() => ' --- ').join('|')}|`, ...table.slice(1).map(line)].join('\n')}\n`;
}
