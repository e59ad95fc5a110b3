import Papa from 'papaparse';
import { LONGEST_NAME, LONGEST_WORDS } from '../system/schema-parts.ts';
import { listed } from '../proof/sections/kind.ts';

/** A table as a section has it. */
export interface ReadTable {
  readonly columns: { readonly order: string[]; readonly items: Record<string, string> };
  readonly rows: {
    readonly order: string[];
    readonly items: Record<string, Record<string, string>>;
  };
}

export type TableReading =
  | { readonly ok: true; readonly table: ReadTable; readonly said: string }
  | { readonly ok: false; readonly problem: string };

/** More columns than a page has room for, and more rows than anybody reads. */
const MOST_COLUMNS = 24;
const MOST_ROWS = 1000;

const tidy = (cell: string, longest: number): string =>
  cell.replaceAll(/\s+/g, ' ').trim().slice(0, longest);

/**
 * A table from what a spreadsheet puts on the clipboard, or from CSV: tabs, semicolons or commas, cells in quotes.
 * The first row names the columns. Empty rows and columns are left out; what is more than 24 columns or 1,000 rows
 * is, too, and said. A text without two cells beside each other is no table.
 */
export function readTable(text: string): TableReading {
  const { data } = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: 'greedy',
    ...(text.includes('\t') && { delimiter: '\t' }),
  });
  const widest = Math.max(0, ...data.map((row) => row.length));
  const used = Array.from({ length: widest }, (_, column) => column).filter((column) =>
    data.some((row) => tidy(row[column] ?? '', 1) !== ''),
  );
  if (used.length < 2 || data.length < 2)
    return {
      ok: false,
      problem: 'This is no table: it takes two columns and two rows at least. Nothing was changed.',
    };
  const columns = used.slice(0, MOST_COLUMNS);
  const [head = [], ...body] = data;
  const rows = body.slice(0, MOST_ROWS);
  const names = listed(
    ...columns.map((column, at) => tidy(head[column] ?? '', LONGEST_NAME) || `Column ${at + 1}`),
  );
  const left = [
    ...(used.length > columns.length ? [`${used.length - columns.length} columns`] : []),
    ...(body.length > rows.length ? [`${body.length - rows.length} rows`] : []),
  ];
  return {
    ok: true,
    table: {
      columns: names,
      rows: listed(
        ...rows.map((row) =>
          Object.fromEntries(
            columns.map((column, at) => [
              names.order[at] ?? '',
              tidy(row[column] ?? '', LONGEST_WORDS),
            ]),
          ),
        ),
      ),
    },
    said: `${rows.length} rows with ${columns.length} columns came in${left.length > 0 ? `; ${left.join(' and ')} did not, there are too many` : ''}.`,
  };
}
