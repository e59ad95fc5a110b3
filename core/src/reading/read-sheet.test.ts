import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pxOn } from './lengths.ts';
import { rootPxOf } from './theme-of.ts';
import { readSheet } from './read-sheet.ts';
import { isDark, isOfRoot } from './theme-of.ts';
import { partsOfDeclaration } from './values.ts';
import { filling, namesReferred, soleReference } from './variables.ts';

const require = createRequire(import.meta.url);

describe('a style sheet that is read', () => {
  test('tells each declaration with its place and what is around it', () => {
    const css = `@layer base {
  .card { color: RED !important; --Brand: #fff }
  @media (min-width: 40em) { .card > a, .b { padding: 1rem 2rem; &:hover { margin: 0 } } }
}
`;
    const { declarations, media, problems } = readSheet(css, 'a.css');
    expect(problems).toEqual([]);
    expect(declarations.map(({ from: _from, to: _to, ...one }) => one)).toEqual([
      {
        ...{ file: 'a.css', line: 2, column: 11, selector: '.card', within: ['@layer base'] },
        ...{ property: 'color', value: 'RED', isImportant: true },
      },
      {
        ...{ file: 'a.css', line: 2, column: 34, selector: '.card', within: ['@layer base'] },
        ...{ property: '--Brand', value: '#fff', isImportant: false },
      },
      {
        ...{ file: 'a.css', line: 3, column: 46, selector: '.card > a, .b' },
        ...{ within: ['@layer base', '@media (min-width: 40em)'] },
        ...{ property: 'padding', value: '1rem 2rem', isImportant: false },
      },
      {
        ...{ file: 'a.css', line: 3, column: 76, selector: ':is(.card > a, .b):hover' },
        ...{ within: ['@layer base', '@media (min-width: 40em)'] },
        ...{ property: 'margin', value: '0', isImportant: false },
      },
    ]);
    expect(media).toEqual([{ condition: '(min-width: 40em)', line: 3 }]);
    // Each value stands where it is said to.
    for (const { value, from, to } of declarations) expect(css.slice(from, to)).toBe(value);
  });

  test('fetches nothing: what it imports is listed; its own faces are known, what moves is no element', () => {
    const { imports, families, declarations } = readSheet(
      `@import url("a.css") layer(x); @import 'b.css';
@font-face { font-family: "Own Face"; src: url(x.woff2) }
@keyframes in { from { color: red } }
@property --x { syntax: "<color>"; inherits: false; initial-value: red }
p { font-family: "Own Face", serif }`,
      'a.css',
    );
    expect(imports).toEqual(['a.css', 'b.css']);
    expect(families).toEqual(['Own Face']);
    expect(declarations.map(({ value }) => value)).toEqual(['"Own Face", serif']);
  });

  test('goes on behind what it cannot read, and says where that is', () => {
    const { declarations, problems } = readSheet('a { color: red; %%: 1 }\n}}} b { gap: 2px', 'x');
    expect(declarations.map(({ value }) => value)).toEqual(expect.arrayContaining(['red', '2px']));
    expect(problems).toEqual([{ file: 'x', line: 2, message: expect.any(String) }]);
  });

  test('stands where it is said to behind a mark at the beginning, and with comments inside', () => {
    const css = '\uFEFFa { color /* x */ : /* y */ red /* z */ blue !important; }';
    for (const { value, from, to } of readSheet(css, 'x').declarations)
      expect(css.slice(from, to)).toBe(value);
    expect(readSheet(css, 'x').declarations).toHaveLength(1);
  });

  test('stands where it is said to behind the signs that browsers of old were told by', () => {
    const css = 'a { *zoom: 1; _height: 2px; color: red } <p>{_x=gap:1px';
    const { declarations } = readSheet(css, 'x');
    expect(declarations.map(({ property, value }) => [property, value])).toEqual([
      ['zoom', '1'],
      ['height', '2px'],
      ['color', 'red'],
      ['x=gap', '1px'],
    ]);
    for (const { value, from, to } of declarations) expect(css.slice(from, to)).toBe(value);
  });

  test('has what nests without a sign too, and an at-rule within a rule', () => {
    const { declarations } = readSheet(
      '.a { .b { gap: 1px } > i { gap: 2px } :where(&) { gap: 3px } @media print { gap: 4px } }',
      'x',
    );
    expect(declarations.map(({ selector, value }) => `${selector} ${value}`)).toEqual([
      '.a .b 1px',
      '.a > i 2px',
      ':where(.a) 3px',
      '.a 4px',
    ]);
  });

  test('refuses bombs with words, and takes no time over them', () => {
    const deep = readSheet('a{'.repeat(100_000), 'deep');
    expect(deep.problems.map(({ message }) => message).join()).toContain('too deep');
    expect(readSheet('('.repeat(100_000), 'x').declarations).toEqual([]);
    expect(readSheet('a'.repeat(12_000_001), 'x').problems[0]?.message).toContain('million');
    const doubled = readSheet(`${'&, & {'.repeat(60)} color: red ${'}'.repeat(60)}`, 'x');
    for (const { selector } of doubled.declarations) expect(selector.length).toBeLessThan(20_000);
    const nested = readSheet(`${'.a { '.repeat(60)} color: red ${'}'.repeat(60)}`, 'n');
    expect(nested.declarations).toHaveLength(1);
  });

  test('whatever it is given, it answers, and what it tells stands there', () => {
    const piece = fc.oneof(
      fc.constantFrom(
        '_',
        '*',
        'a',
        '{',
        '}',
        ':',
        ';',
        'color',
        'red',
        '@media x',
        '/*',
        '*/',
        '"',
        "'",
        '(',
        ')',
        '\\',
        '&',
        ',',
        '\n',
        '--x',
        'var(--x)',
        '!important',
        '<!--',
        '\u0000',
        '💧',
      ),
      fc.string(),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 60 }), (pieces) => {
        const css = pieces.join('');
        for (const one of readSheet(css, 'x').declarations) {
          expect(css.slice(one.from, one.to)).toBe(one.value);
          for (const { from, to, text } of partsOfDeclaration(one))
            expect(one.value.slice(from, to)).toBe(text);
        }
      }),
      { numRuns: 1000 },
    );
  });

  // General sheets of the registry, as they are installed.
  test.each(['tailwindcss/index.css', 'tailwindcss/preflight.css', 'daisyui/daisyui.css'])(
    '%s is read whole',
    (name) => {
      const sheet = readSheet(readFileSync(require.resolve(name), 'utf8'), name);
      expect(sheet.declarations.length).toBeGreaterThan(20);
      expect([name, sheet.problems]).toEqual([name, []]);
    },
  );
});

describe('lengths on a screen', () => {
  const screen = { widthPx: 1000, heightPx: 500, rootPx: 20 };
  // CSS Values 4, 6.1 and 6.2, and 10: units, and functions of them.
  test.each([
    ['0', 0],
    ['12px', 12],
    ['-1.5rem', -30],
    ['1in', 96],
    ['2.54cm', 96],
    ['72pt', 96],
    ['6pc', 96],
    ['40Q', (40 * 96) / 101.6],
    ['10vw', 100],
    ['10dvh', 50],
    ['1vmin', 5],
    ['clamp(1rem, 2vw + 4px, 3rem)', 24],
    ['calc(1rem + clamp(0rem, 2vi - 10px, 1rem))', 30],
    ['min(10px, 1rem)', 10],
    ['max(10px, 1rem)', 20],
    ['calc((1rem + 10px) * 2 / 3)', 20],
    ['calc(-1 * 8px)', -8],
  ])('%s is %s px', (value, px) => {
    expect(pxOn(value, screen)).toBeCloseTo(px, 4);
  });

  test.each([
    '1em',
    '50%',
    'auto',
    'var(--x)',
    'calc(100% - 1px)',
    '',
    '1',
    'red',
    `calc(${'1px + '.repeat(900)}1px)`,
  ])('%s is not known without a page', (value) => {
    expect(pxOn(value, screen)).toBeUndefined();
  });
});

describe('custom properties', () => {
  const fill = (definitions: Readonly<Record<string, string>>) =>
    filling((name) => (Object.hasOwn(definitions, name) ? definitions[name] : undefined));

  test('are filled in with what stands in for them', () => {
    const filled = fill({ '--a': '1px', '--b': 'var(--a)', '--c': 'var(--nowhere, var(--b))' });
    expect(filled('calc(var(--c) + var( --b ))')).toBe('calc(1px + 1px)');
    expect(filled('var(--nowhere, 2px, 3px)')).toBe('2px, 3px');
    expect(filled('var(--nowhere,)')).toBe('');
    expect(filled('var(--nowhere)')).toBeUndefined();
    expect(filled('var(--a')).toBe('var(--a');
    expect(
      [' var(--a) ', 'var(--a, x) var(--b)', 'var(--a, var(--b))', '1px'].map(soleReference),
    ).toEqual(['--a', undefined, '--a', undefined]);
    expect(namesReferred('var(--a, var( --b)) url(var.css)')).toEqual(['--a', '--b']);
  });

  test('that hang on themselves are invalid, whatever stands in for them there', () => {
    // CSS Variables 1, 2.3: the two of a cycle are both invalid; what refers to them takes what stands in.
    const filled = fill({
      '--one': 'calc(var(--two) + 20px)',
      '--two': 'calc(var(--one, 5px) - 20px)',
      '--self': 'var(--self, 1px)',
      '--out': 'var(--one, 7px)',
      // A cycle that is closed by way of another one.
      '--a': 'var(--b) var(--c)',
      '--b': 'var(--a)',
      '--c': 'var(--b)',
    });
    for (const name of ['--one', '--two', '--self', '--a', '--b', '--c'])
      expect([name, filled(`var(${name})`), filled(`var(${name}, x)`)]).toEqual([
        name,
        undefined,
        'x',
      ]);
    expect(filled('var(--out)')).toBe('7px');
  });

  test('that double each other are no bomb, nor is a long chain', () => {
    const doubled = Object.fromEntries(
      Array.from({ length: 60 }, (_, index) => [
        `--x${index}`,
        `var(--x${index + 1}) var(--x${index + 1})`,
      ]),
    );
    expect(fill({ ...doubled, '--x60': 'a' })('var(--x0)')).toBeUndefined();
    const chain = Object.fromEntries(
      Array.from({ length: 900 }, (_, index) => [`--y${index}`, `var(--y${index + 1})`]),
    );
    expect(fill({ ...chain, '--y900': 'end' })('var(--y0)')).toBe('end');
    const longer = Object.fromEntries(
      Array.from({ length: 50_000 }, (_, index) => [`--z${index}`, `var(--z${index + 1})`]),
    );
    expect(fill({ ...longer, '--z50000': 'end' })('var(--z0, none)')).toBe('none');
    expect(fill({ __proto__: 'x' })('var(--__proto__, y)')).toBe('y');
  });
});

test('the theme of a place is told by its condition or its root', () => {
  const at = (selector: string, ...within: string[]) => isDark({ selector, within });
  expect(at('.a', '@media (prefers-color-scheme:dark)')).toBe(true);
  expect(at('[data-theme="dark"] .a')).toBe(true);
  expect(at('html.dark .a')).toBe(true);
  expect(at('.darker .a')).toBe(false);
  expect(at('.a', '@media (prefers-color-scheme:light)')).toBe(false);
  expect(isOfRoot({ selector: ':root, .x' })).toBe(true);
  expect(isOfRoot({ selector: '.x :root' })).toBe(false);
});

describe('what a declaration decides', () => {
  const parts = (property: string, value: string) =>
    partsOfDeclaration({ property, value }).map(({ kind, text }) => `${kind}: ${text}`);
  test.each([
    ['color', 'rebeccapurple', ['color: rebeccapurple']],
    ['color', 'inherit', []],
    ['background', 'url(x.png) #FFF no-repeat', ['color: #FFF']],
    ['border', '1px solid rgb(0 0 0 / 10%)', ['edge: 1px', 'color: rgb(0 0 0 / 10%)']],
    ['border-block-end', 'thin dashed red', ['color: red']],
    ['margin', '0 auto 1rem', ['space: 1rem']],
    ['padding', 'calc(1px + 1rem) var(--x)', ['space: calc(1px + 1rem)', 'space: var(--x)']],
    ['border-radius', '4px / 8px', ['corner: 4px', 'corner: 8px']],
    [
      'box-shadow',
      '0 1px 2px #0003, inset 0 0 0 1px red',
      ['shadow: 0 1px 2px #0003, inset 0 0 0 1px red'],
    ],
    [
      'transition',
      'color 120ms ease-in, opacity .2s',
      ['duration: 120ms', 'easing: ease-in', 'duration: .2s'],
    ],
    ['animation-name', 'red', []],
    [
      'background-image',
      'linear-gradient(red, color-mix(in oklab, #000 10%, white))',
      ['color: red', 'color: color-mix(in oklab, #000 10%, white)'],
    ],
    ['font-family', '"A", serif', ['face: "A", serif']],
    [
      'font',
      'italic bold 16px/26px "A B", serif',
      ['weight: bold', 'size: 16px', 'line height: 26px', 'face: "A B", serif'],
    ],
    [
      'font',
      '700 clamp(1rem, 2vw, 2rem) A',
      ['weight: 700', 'size: clamp(1rem, 2vw, 2rem)', 'face: A'],
    ],
    ['font', '0.9em / 1.2 A', ['size: 0.9em', 'line height: 1.2', 'face: A']],
    ['font', 'caption', []],
    ['line-height', '1.5', ['line height: 1.5']],
    ['grid-area', 'tan', []],
    ['width', '10px', []],
    ['color', '', []],
  ])('%s: %s', (property, value, found) => {
    expect(parts(property, value)).toEqual(found);
  });
});

test.each([
  ['html { font-size: 62.5% }', 10],
  [':root { font-size: 18px }', 18],
  ['html, body { font-size: 1.25em }', 20],
  ['@media (min-width: 40em) { html { font-size: 20px } }', undefined],
  ['html { font-size: calc(14px + 0.2vw) }', undefined],
  ['body { font-size: 20px }', undefined],
])('a root that says %s has a rem of %s px', (css, px) => {
  expect(rootPxOf([readSheet(css, 'x.css')])).toBe(px);
});
