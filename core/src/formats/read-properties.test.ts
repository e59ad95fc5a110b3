import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { propertyOf } from '../tokens/token.ts';
import { writeCss } from './css.ts';
import { incomingOf, takeChosen } from './incoming.ts';
import { readProperties } from './read-properties.ts';

function tokensOf(css: string) {
  const read = readProperties(css);
  if (read.kind !== 'tokens') throw new Error(read.message);
  return { ...read, byPath: new Map(read.tokens.map((token) => [token.path, token])) };
}

describe('custom properties of a style sheet', () => {
  test('are told apart by what they are', () => {
    const { tokens, leftOut } = tokensOf(`:root {
      --brand: #1d4ed8; --brand-soft: rgb(29 78 216 / 40%); --named: rebeccapurple;
      --gap: 16px; --wide: 1.5rem; --tight: -0.02em; --radius-none: 0;
      --quick: .2s; --calm: 300ms; --lines: 1.5; --heading-weight: 650;
      --out: cubic-bezier(0, 0, .2, 1); --in: ease-in;
      --card: 0 1px 2px #0003, inset 0 0 0 1px rgb(0 0 0 / 10%);
      --font-text: "Literata", Georgia, serif; --stack: system-ui, sans-serif;
      --grid: repeat(3, 1fr); --sum: calc(1px + 2px); --empty: ;
    }`);
    expect(Object.fromEntries(tokens.map(({ path, type }) => [path, type]))).toEqual({
      brand: 'color',
      'brand-soft': 'color',
      named: 'color',
      gap: 'dimension',
      wide: 'dimension',
      tight: 'dimension',
      'radius-none': 'dimension',
      quick: 'duration',
      calm: 'duration',
      lines: 'number',
      'heading-weight': 'fontWeight',
      out: 'cubicBezier',
      in: 'cubicBezier',
      card: 'shadow',
      'font-text': 'fontFamily',
      stack: 'fontFamily',
    });
    expect(leftOut.map(({ path }) => path)).toEqual(['--grid', '--sum', '--empty']);
    expect(tokens.find(({ path }) => path === 'card')?.value).toHaveLength(2);
  });

  test.each([
    '@media (prefers-color-scheme: dark) { :root { --ink: #fff; --on: var(--paper) } }',
    '[data-theme="dark"] { --ink: #fff; --on: var(--paper) }',
    ':root[data-color-mode=dark] { --ink: #fff; --on: var(--paper) }',
    '.dark { --ink: #fff; --on: var(--paper) }',
    '@layer base { @media (prefers-color-scheme: dark) { html { --ink: #fff; --on: var(--paper) } } }',
  ])('are in dark what %s says', (dark) => {
    const { byPath, leftOut } = tokensOf(
      `:root { --ink: #000; --paper: #eee; --on: var(--ink) } ${dark}`,
    );
    expect(leftOut).toEqual([]);
    expect(byPath.get('ink')).toMatchObject({
      value: { hex: '#000000' },
      dark: { value: { hex: '#ffffff' } },
    });
    expect(byPath.get('on')).toMatchObject({
      alias: 'ink',
      value: { hex: '#000000' },
      dark: { alias: 'paper', value: { hex: '#eeeeee' } },
    });
    expect(byPath.get('paper')?.dark).toBeUndefined();
  });

  test('of a part of the page, or of other screens, are none of the whole', () => {
    const { byPath } = tokensOf(
      ':root { --gap: 8px } .card { --gap: 99px; --own: 1px } @media (width > 60rem) { :root { --gap: 24px } }',
    );
    expect([...byPath.keys()]).toEqual(['gap']);
    expect(byPath.get('gap')?.value).toEqual({ value: 8, unit: 'px' });
  });

  test('come from a few lines without a rule as well', () => {
    expect(tokensOf('--a: 1px;\n--b: var(--a);').byPath.get('b')).toMatchObject({ alias: 'a' });
  });

  test('that refer to nothing, or in a circle, are told', () => {
    const { leftOut } = tokensOf(
      ':root { --a: var(--b); --b: var(--a); --c: var(--none); --d: 1px; --e: calc(var(--d) * 2) }',
    );
    expect(leftOut.map(({ path }) => path)).toEqual(['--a', '--b', '--c', '--e']);
  });

  test('a text that has none is answered in words, and no text is thrown at', () => {
    expect(readProperties('p { color: red }')).toMatchObject({ kind: 'problem' });
    expect(readProperties('')).toMatchObject({ kind: 'problem' });
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.constantFrom(
              ...[
                '--a',
                ':root',
                '{',
                '}',
                ':',
                ';',
                'var(',
                ')',
                '#fff',
                '1px',
                '"',
                '@media',
                '/*',
              ],
              ...['__proto__', '--__proto__', '--constructor: 1px', '(', ',', '\\', '\0'],
            ),
            fc.string({ maxLength: 6 }),
          ),
          { maxLength: 40 },
        ),
        (parts) => {
          expect(['tokens', 'problem']).toContain(readProperties(parts.join(' ')).kind);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('thousands, each referring to the one before, are read', () => {
    const chain = Array.from({ length: 3000 }, (_, at) =>
      at === 0 ? '--p0: 1px;' : `--p${at}: var(--p${at - 1});`,
    ).join('');
    const { tokens } = tokensOf(`:root { ${chain} }`);
    expect(tokens.length).toBe(3000);
  });
});

test('the exported sheet comes in as tokens with the values that it went out with, in both themes', () => {
  const document = sampleDocument();
  const derived = derive(document);
  const { byPath } = tokensOf(writeCss(derived));
  const types = new Set(['color', 'duration', 'cubicBezier', 'fontFamily', 'number']);
  let compared = 0;
  for (const token of derived.tokens) {
    if (!types.has(token.type)) continue;
    const { light, dark } = token.values;
    if (light.css === undefined || /\/|var\(/.test(light.css.replaceAll(/rgb\([^)]*\)/g, '')))
      continue;
    const there = byPath.get(propertyOf(token).slice(2));
    expect([token.id, there?.type]).toEqual([
      token.id,
      /-weight$/.test(propertyOf(token)) ? 'fontWeight' : token.type,
    ]);
    expect([token.id, there?.alias]).toEqual([
      token.id,
      light.reference && propertyOf({ path: light.reference.split('.') }).slice(2),
    ]);
    if (token.type === 'color' && light.css.startsWith('#'))
      expect([token.id, (there?.value as { hex?: string } | undefined)?.hex]).toEqual([
        token.id,
        light.css,
      ]);
    // What is taken from the same token in both themes changes with that one.
    const isOwn = light.reference === undefined || light.reference !== dark.reference;
    if (
      token.type === 'color' &&
      isOwn &&
      dark.css?.startsWith('#') === true &&
      dark.css !== light.css
    )
      expect((there?.dark?.value as { hex?: string } | undefined)?.hex).toBe(dark.css);
    compared += 1;
  }
  expect(compared).toBeGreaterThan(250);
});

test('what was read is taken into a system beside its own, and written out as it was', () => {
  const document = sampleDocument();
  const own = derive(document).tokens;
  const { tokens } = tokensOf(
    ':root { --brand: #1d4ed8; --link: var(--brand) } .dark { --brand: #93c5fd }',
  );
  const incoming = incomingOf(document.tokens.custom, own, tokens);
  let count = 0;
  const taking = takeChosen(
    document.tokens.custom,
    own,
    incoming,
    new Set(tokens.map(({ path }) => path)),
    'theirs',
    () => `t${(count += 1)}`,
  );
  const after = patched(document, taking.patch);
  if (!after.ok) throw new Error(JSON.stringify(after.problems));
  const css = writeCss(derive(after.document));
  expect(css).toContain('--brand: #1d4ed8;');
  expect(css).toContain('--link: var(--brand);');
  expect(css).toContain('--brand: #93c5fd;');
});

test('a shadow that takes its color or a length from others keeps that, in each theme', () => {
  const read = readProperties(`
    :root { --ink: #112233; --far: 4px; --cast: 0 var(--far) 8px var(--ink), inset 0 0 2px #000; --plain: 0 1px 2px var(--ink); }
    @media (prefers-color-scheme: dark) { :root { --plain: 0 var(--far) 2px #fff; } }
    :root { --round: 0 0 1px var(--round); --gone: 0 0 1px var(--nothing); }
  `);
  if (read.kind !== 'tokens') throw new Error(read.message);
  const byPath = new Map(read.tokens.map((token) => [token.path, token]));
  expect(byPath.get('cast')).toMatchObject({
    type: 'shadow',
    parts: { '/0/color': 'ink', '/0/offsetY': 'far' },
    value: [{ offsetY: { value: 4, unit: 'px' } }, { inset: true }],
  });
  expect(byPath.get('plain')).toMatchObject({
    parts: { '/color': 'ink' },
    dark: { parts: { '/offsetY': 'far' } },
  });
  expect(read.leftOut.map(({ path }) => path)).toEqual(['--round', '--gone']);
});

// A find of the fuzzer: half of a pair of UTF-16 in a name was taken, and refused by the document.
test('a name that no database keeps is told', () => {
  const read = readProperties(':root { --\udc00b: 4px; --c: 1px }');
  expect(read).toMatchObject({ kind: 'tokens', tokens: [{ path: 'c' }], leftOut: [{}] });
});
