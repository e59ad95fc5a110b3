/** What Markdown takes for its own anywhere, and what it does at the beginning of a line. */
const ANYWHERE = /[\\`*_{}[\]<>#|~&!]/g;
const AT_FIRST = /^(?:[-+=:]|\d{1,9}(?=[.)](?:\s|$)))/;

/**
 * Words that people wrote, as Markdown that says just them. Source: CommonMark 0.31, backslash escapes:
 * every sign of ASCII can stand behind one. A number before a dot keeps its digits: the dot is escaped.
 */
export const plain = (text: string): string => {
  const escaped = text
    .replaceAll(/\s+/g, ' ')
    .trim()
    .replaceAll(ANYWHERE, String.raw`\$&`);
  const first = AT_FIRST.exec(escaped)?.[0] ?? '';
  if (first === '') return escaped;
  return /^\d/.test(first) ? `${first}\\${escaped.slice(first.length)}` : `\\${escaped}`;
};

/** A code span; its fence is longer than any row of backticks in it. */
export const code = (text: string): string => {
  const longest = Math.max(0, ...(text.match(/`+/g) ?? []).map(({ length }) => length));
  const fence = '`'.repeat(longest + 1);
  return longest === 0 ? `\`${text}\`` : `${fence} ${text} ${fence}`;
};

/** Words in a cell of a table. */
export const inCell = (text: string): string =>
  text.replaceAll(/[\\|`*_<>[\]]/g, String.raw`\$&`).replaceAll(/\s+/g, ' ');

/** A code span in a cell of a table; of nothing nothing. */
export const inCode = (text: string): string =>
  text === ''
    ? ''
    : `\`${text
        .replaceAll(/\s+/g, ' ')
        .replaceAll('|', String.raw`\|`)
        .replaceAll('`', "'")}\``;

/** A table, of cells that are Markdown already. */
export const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] => [
  `| ${head.join(' | ')} |`,
  `|${head.map(() => ' --- ').join('|')}|`,
  ...rows.map((row) => `| ${row.join(' | ')} |`),
];
