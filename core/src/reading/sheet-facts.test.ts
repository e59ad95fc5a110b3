import { expect, test } from '@jest/globals';
import { readSheet } from './read-sheet.ts';
import { factsOfSheets } from './sheet-facts.ts';

test('sheets are counted, and what they name is listed, what is taken most first', () => {
  const css = `@layer base, site; @font-face { font-family: "Oxney"; src: url(a.woff2) }
    :root { --gap: 8px; --ink: #111; --unused: 1px; --__proto__: 2px }
    @media (prefers-color-scheme: dark) { :root { --ink: #eee } }
    .a { color: var(--ink); gap: var(--gap, var(--ink)); margin: 0 !important }
    @media (min-width: 600px) { .a { gap: var(--gap) } .b { gap: 1px } }`;
  const facts = factsOfSheets([readSheet(css, 'a.css'), readSheet('b { color: red }', 'b.css')]);
  expect(facts).toMatchObject({
    files: 2,
    declarations: 11,
    forced: 1,
    families: ['Oxney'],
    problems: 0,
  });
  expect(facts.layers).toEqual(['base', 'site']);
  expect(facts.breakpoints).toEqual([[600, 2]]);
  expect(facts.rules).toBe(6);
  expect(facts.properties).toEqual([
    { name: '--gap', values: ['8px'], taken: 2 },
    { name: '--ink', values: ['#111', '#eee'], taken: 2 },
    { name: '--unused', values: ['1px'], taken: 0 },
    { name: '--__proto__', values: ['2px'], taken: 0 },
  ]);
});
