import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sheetsIn } from './sheets-in.ts';

const page = `<!doctype html>
<link rel="preload stylesheet" href="/site.css?v=1">
<link rel="icon" href="x.svg">
<style>
  .a { color: red }
  @import "more.css";
</style><style></style>
<p class="b" style='gap: 2px; padding:1rem'>Words <b
  title="style='gap: 9px'" style="margin: 3px">x</b></p>
<i style="content: &quot;x&quot;">y</i>`;

describe('the sheets in a file', () => {
  test('are the sheet itself, with what it asks for', () => {
    const { sheets, linked } = sheetsIn({ file: 'a.CSS', text: '@import "b.css"; a { gap: 1px }' });
    expect(sheets.map(({ declarations }) => declarations.length)).toEqual([1]);
    expect(linked).toEqual(['b.css']);
  });

  test('of a page are those in it and those of its elements, each value where it stands in the file', () => {
    const { sheets, linked } = sheetsIn({ file: 'index.html', text: page });
    expect(linked).toEqual(['/site.css?v=1', 'more.css']);
    const all = sheets.flatMap(({ declarations }) => declarations);
    expect(all.map(({ selector, value, line, column }) => [selector, value, line, column])).toEqual(
      [
        ['.a', 'red', 5, 8],
        ['p[style]', '2px', 8, 21],
        ['p[style]', '1rem', 8, 31],
        ['b[style]', '3px', 9, 35],
      ],
    );
    for (const { from, to, value } of all) expect(page.slice(from, to)).toBe(value);
  });

  test('whatever the page, what is told stands there', () => {
    const piece = fc.oneof(
      fc.constantFrom(
        '<p style="gap: 1px">',
        "<b style='color:red'>",
        '<style>',
        '</style>',
        '.a{gap:2px}',
        '<!--',
        '-->',
        '\n',
        '<svg>',
        '</p>',
        '"',
        '<',
        'style=gap:1px',
        '&amp;',
        '💧',
      ),
      fc.string(),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 25 }), (pieces) => {
        const text = pieces.join('');
        for (const { declarations } of sheetsIn({ file: 'x.html', text }).sheets)
          for (const { from, to, value } of declarations) expect(text.slice(from, to)).toBe(value);
      }),
      { numRuns: 1000 },
    );
  });

  test('of a page that is a bomb are told in time', () => {
    const deep = sheetsIn({ file: 'x.html', text: '<div>'.repeat(4000) });
    expect(deep.sheets).toEqual([]);
    const many = `<p style="gap: 1px">`.repeat(2000);
    expect(sheetsIn({ file: 'x.html', text: many }).sheets.length).toBeGreaterThan(0);
  });
});
