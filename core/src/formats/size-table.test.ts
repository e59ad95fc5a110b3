import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { micromark } from 'micromark';
import { gfmTable, gfmTableHtml } from 'micromark-extension-gfm-table';
import { writeSizes, type SizeRow } from './size-table.ts';

const row = (role: string): SizeRow => ({
  role,
  place: 2,
  narrowPx: 24.48,
  widePx: 32,
  nowPx: 28.123,
  lineHeight: 1.24,
  characters: 51.6,
  css: 'clamp(1.53rem, 1rem + 1vi, 2rem)',
});

test('as custom properties every role keeps a name of its own', () => {
  expect(writeSizes([row('Big | one'), row('big one')], 'CSS')).toBe(
    ':root {\n  --type-big-one-size: clamp(1.53rem, 1rem + 1vi, 2rem);\n' +
      '  --type-big-one-2-size: clamp(1.53rem, 1rem + 1vi, 2rem);\n}\n',
  );
});

test('for a spreadsheet every row has the same cells, whatever is in a name', () => {
  fc.assert(
    fc.property(
      fc.array(fc.string({ unit: 'binary' }), { minLength: 1, maxLength: 5 }),
      (names) => {
        const rows = writeSizes(names.map(row), 'TSV').replace(/\n$/, '').split('\n');
        expect(rows.map((line) => line.split('\t').length)).toEqual(
          Array(names.length + 1).fill(8),
        );
      },
    ),
  );
  const lines = writeSizes([row('a\tb\nc')], 'TSV')
    .trimEnd()
    .split('\n');
  expect(lines.map((line) => line.split('\t').length)).toEqual([8, 8]);
  expect(lines[1]).toContain('a b c\tup 2\t24.48\t32.00\t28.12\t1.24\t52');
});

test('as Markdown it is a table to an independent parser', () => {
  // micromark, with tables as GitHub writes them.
  const html = micromark(writeSizes([row('a|b')], 'Markdown'), {
    extensions: [gfmTable()],
    htmlExtensions: [gfmTableHtml()],
  });
  expect(html).toContain('<td>a|b</td>');
  expect(html.match(/<td>/g)).toHaveLength(8);
});
