import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { section } from '../proof/sections/kinds.ts';
import { collectionOf } from '../system/collection.ts';
import { isHtml, readHtml, readMarkdown } from './read-article.ts';
import { readTable } from './read-table.ts';

const tableOf = (text: string) => {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.problem);
  const { columns, rows } = read.table;
  return [
    columns.order.map((id) => columns.items[id]),
    ...rows.order.map((id) => columns.order.map((column) => rows.items[id]?.[column])),
  ];
};

describe('a table from the clipboard', () => {
  test('is cells between tabs, as spreadsheets put them there', () => {
    expect(tableOf('Seat\tPrice\nStalls\t9.50\nBalcony\t"12.00"\n')).toEqual([
      ['Seat', 'Price'],
      ['Stalls', '9.50'],
      ['Balcony', '12.00'],
    ]);
  });

  test('is read from CSV as its standard has it', () => {
    // RFC 4180, 2.6 and 2.7: breaks, commas and doubled quotes within quotes.
    expect(tableOf('"aaa","b\r\nbb","ccc"\r\nzzz,yyy,"b""b,b"\r\n')).toEqual([
      ['aaa', 'b bb', 'ccc'],
      ['zzz', 'yyy', 'b"b,b'],
    ]);
    expect(tableOf('a;b\n1,5;2,5')).toEqual([
      ['a', 'b'],
      ['1,5', '2,5'],
    ]);
  });

  test('loses empty rows and columns, and names columns without a name', () => {
    expect(tableOf('Seat\t\t\n\t\t\nStalls\t\t9\n')).toEqual([
      ['Seat', 'Column 2'],
      ['Stalls', '9'],
    ]);
  });

  test.each(['', 'one line', 'a\nb\nc', 'a\tb'])('“%s” is none, and that is said', (text) => {
    expect(readTable(text)).toEqual({ ok: false, problem: expect.stringContaining('no table') });
  });

  test('is one that a section can hold, whatever was pasted', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
        const read = readTable(text);
        if (!read.ok) return;
        const { columns, rows } = read.table;
        const own = { kind: 'table', title: '', note: '', columns, rows };
        expect(section.safeParse(own).success).toBe(true);
      }),
    );
    const large = Array.from({ length: 1500 }, (_, row) => `${row}\tx\ty`).join('\n');
    const read = readTable(large);
    expect(read.ok && read.said).toBe(
      '1000 rows with 3 columns came in; 499 rows did not, there are too many.',
    );
  });
});

describe('an article', () => {
  const MARKDOWN = `# The river in March

A *paragraph* with a [link](https://example.com) and \`code\`.[^1]

## Where it rises

- One
- Two

1. First
2. Second

> Water has no memory.
>
> — A ferryman

\`\`\`
print(1)
\`\`\`

![The weir](weir.png)

[^1]: Measured at the weir.
`;

  test('from Markdown has its headings, lists, quotes, code, figures and footnotes', () => {
    const read = readMarkdown(MARKDOWN);
    if (!read.ok) throw new Error(read.problem);
    expect(read.title).toBe('The river in March');
    expect(read.parts).toEqual([
      { is: 'paragraph', text: 'A paragraph with a link and code.' },
      { is: 'heading', level: 2, text: 'Where it rises' },
      {
        is: 'bullets',
        lines: expect.objectContaining({ items: { 'item-1': 'One', 'item-2': 'Two' } }),
      },
      {
        is: 'numbers',
        lines: expect.objectContaining({ items: { 'item-1': 'First', 'item-2': 'Second' } }),
      },
      { is: 'quote', text: 'Water has no memory.', source: 'A ferryman' },
      { is: 'code', text: 'print(1)' },
      { is: 'figure', caption: 'The weir' },
      { is: 'footnote', text: 'Measured at the weir.' },
    ]);
  });

  test('from HTML is its words: nothing that acts, loads or looks comes along', () => {
    const html = `<h2 onclick="alert(1)">Opening</h2><script>document.title = 'x'</script>
      <style>p { color: red }</style><p style="color: red">We <b>open</b> on <a href="javascript:alert(1)">Friday</a>.</p>
      <ul><li>One<img src=x onerror="alert(1)"></li></ul><iframe src="https://example.com"></iframe><svg><script>1</script></svg>`;
    expect(isHtml(html)).toBe(true);
    const read = readHtml(html);
    if (!read.ok) throw new Error(read.problem);
    expect(read.parts).toEqual([
      { is: 'heading', level: 2, text: 'Opening' },
      { is: 'paragraph', text: 'We open on Friday.' },
      { is: 'bullets', lines: expect.objectContaining({ items: { 'item-1': 'One' } }) },
    ]);
    expect(JSON.stringify(read)).not.toMatch(/alert|script|onerror|color|example\.com/);
  });

  test('of Markdown with markup in it leaves the markup out', () => {
    const read = readMarkdown(
      'Before <script>alert(1)</script> after\n\n<div onclick="x">in</div>\n',
    );
    expect(JSON.stringify(read)).not.toMatch(/<|onclick/);
  });

  test('without words is none', () => {
    for (const read of [readMarkdown(' \n'), readHtml('<script>1</script>')])
      expect(read).toEqual({ ok: false, problem: expect.stringContaining('no words') });
  });

  test('is one that a section can hold, whatever was pasted', () => {
    const mark = fc.constantFrom(
      ...'#-*>`|[]()!<>/ \n1.a'.split(''),
      '<p>',
      '<li>',
      '```',
      '[^1]: ',
    );
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 120 }), (marks) => {
        for (const read of [readMarkdown(marks.join('')), readHtml(marks.join(''))]) {
          if (!read.ok) continue;
          const parts = collectionOf(read.parts.map((part, at) => [`p${at}`, part] as const));
          const own = { kind: 'article', title: read.title, lead: '', parts };
          expect([marks.join(''), section.safeParse(own).success]).toEqual([marks.join(''), true]);
        }
      }),
    );
  });
});
