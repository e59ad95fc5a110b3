import { beforeAll, describe, expect, test } from '@jest/globals';
import { applyPatch, parsePatch } from 'diff';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import type { Derived } from '../derive/derived.ts';
import { plainTokens } from '../formats/plain-tokens.ts';
import { blockCss, sheetOf } from '../formats/sheet.ts';
import { seeded } from '../seeded.ts';
import { sampleDocument } from '../system/sample.ts';
import type { StyleDocument } from '../system/document.ts';
import { driftMarkdown, percent } from './drift-report.ts';
import { driftOf, shareOf, type Drift, type DriftRow } from './drift.ts';
import { faultsIn } from './faults.ts';
import { mended, patchOf, replacementsIn } from './mending.ts';
import { distanceOf, measured } from './measured.ts';
import { missingStates } from './missing-states.ts';
import { readSheet } from './read-sheet.ts';

let system: StyleDocument;
let derived: Derived;
/** The rules of a system with every value written out, its classes renamed, as somebody might have built them. */
let flat = '';

beforeAll(() => {
  system = sampleDocument();
  derived = derive(system);
  const { tokens } = plainTokens(system, derived);
  const values = new Map(tokens.map(({ name, values: { light } }) => [`--${name}`, light.css]));
  flat = derived.rules
    .flatMap(({ rules }) => rules)
    .filter(({ selector, within }) => within === undefined && !/^(?::root|@)/.test(selector))
    .map(({ selector, declarations }) => {
      const said = declarations.map(
        ([property, value]) =>
          `  ${property}: ${value.replaceAll(/var\((--[\w-]+)\)/g, (whole, name: string) => values.get(name) ?? whole)};`,
      );
      return `${selector.replaceAll(/\.([a-z])/g, '.x-$1')} {\n${said.join('\n')}\n}`;
    })
    .join('\n');
});

const drifted = (css: string, file = 'site.css'): Drift =>
  driftOf(system, derived, [readSheet(css, file)]);
const shown = ({ match, kind, value, token }: DriftRow): string =>
  [match, kind, value, token?.id ?? 'none'].join(' | ');

describe('drift', () => {
  test('of the exported sheet itself is not counted: it is the system’s own', () => {
    const drift = drifted(sheetOf(derived).map(blockCss).join('\n'), 'tokens.css');
    expect(drift.own).toEqual(['tokens.css']);
    expect(drift.all).toEqual({ equal: 0, near: 0, foreign: 0 });
    expect(shareOf(drift.all)).toBe(1);
  });

  test('is none where every value is written out as it is, whatever the classes are called', () => {
    const drift = drifted(flat);
    expect(drift.all.equal).toBeGreaterThan(200);
    // What has no token of its own (the ring of focus, thickness of some lines) is honestly foreign.
    expect(drift.rows.filter(({ match }) => match !== 'equal').map(({ kind }) => kind)).toEqual(
      expect.not.arrayContaining(['color', 'size', 'space', 'face', 'weight', 'corner']),
    );
    expect(shareOf(drift.all)).toBeGreaterThan(0.98);
  });

  test('finds exactly the faults that are planted, each with its token, its place and how far it is', () => {
    const before = drifted(flat);
    const { tokens } = plainTokens(system, derived);
    const page = tokens.find(({ id }) => id === 'color.page')?.values.light.css ?? '';
    const next = `#${(Number.parseInt(page.slice(1), 16) ^ 0x020002).toString(16).padStart(6, '0')}`;
    const planted = `${flat}
.promo { background: ${next}; padding: 1.03125rem; border-radius: 19px }
@media (min-width: 40em) { .promo { color: #ff00aa } }`;
    const after = drifted(planted);
    const known = new Set(before.rows.map(shown));
    const added = after.rows.filter((row) => !known.has(shown(row)));
    expect(added.map(({ match, kind, value }) => [match, kind, value])).toEqual([
      ['near', 'color', next],
      ['near', 'space', '1.03125rem'],
      ['foreign', 'corner', '19px'],
      ['foreign', 'color', '#ff00aa'],
    ]);
    expect(added[0]?.token?.id).toBe('color.page');
    expect(added[0]?.away).toMatch(/^ΔE \d/);
    expect(added[1]?.away).toBe('0.5 px');
    const line = planted.split('\n').findIndex((one) => one.startsWith('.promo')) + 1;
    expect(added.map(({ places }) => places.map((one) => [one.line, one.selector]))).toEqual([
      [[line, '.promo']],
      [[line, '.promo']],
      [[line, '.promo']],
      [[line + 1, '.promo']],
    ]);
    expect(after.all.foreign).toBe(before.all.foreign + 2);
    expect(after.all.near).toBe(before.all.near + 2);
  });

  test('noise of half a pixel and of two colors is near, never equal and never foreign', () => {
    const random = seeded('noise');
    const colors = derived.tokens.flatMap(({ id, values }) =>
      id.startsWith('color.') && /^#[\da-f]{6}$/.test(values.light.css ?? '')
        ? [values.light.css ?? '']
        : [],
    );
    const css = Array.from({ length: 40 }, (_, index) => {
      const color = colors[Math.floor(random() * colors.length)] ?? '#000000';
      const channel = [0, 8, 16][Math.floor(random() * 3)] ?? 0;
      const value = Number.parseInt(color.slice(1), 16);
      const own = (value >> channel) & 255;
      const moved = value + ((own > 127 ? -1 : 1) << channel);
      return `.n${index} { color: #${moved.toString(16).padStart(6, '0')}; }`;
    }).join('\n');
    const { all, rows } = drifted(css);
    // Two colors may lie so close that one moved is the other.
    expect(all.foreign).toBe(0);
    expect(all.near).toBeGreaterThan(30);
    for (const { token } of rows) expect(token?.id).toMatch(/^(?:color|palette)\./);
  });

  test('what is taken by its custom property is equal, through those of others too, in each theme', () => {
    const css = `:root { --brand: var(--color-action); --gap: 1rem; --ink: #ff00aa }
@media (prefers-color-scheme: dark) { :root { --ink: #00ffaa } }
.a { color: var(--brand); padding: var(--gap) calc(2 * var(--space-inset)); margin: 3% auto }
.b { color: var(--ink, red); gap: var(--unknown) }`;
    const { rows, unjudged } = drifted(css);
    expect(rows.map((row) => `${shown(row)} | ${row.theme} | ${row.isTaken}`)).toEqual(
      expect.arrayContaining([
        expect.stringMatching(
          /^equal \| color \| var\(--brand\) \| color\.action \| light \| true$/,
        ),
        expect.stringMatching(/^equal \| space \| calc\(2 \* var\(--space-inset\)\) .* true$/),
        expect.stringMatching(/^foreign \| color \| var\(--ink, red\) .* light/),
        expect.stringMatching(/^foreign \| color \| var\(--ink, red\) .* dark/),
      ]),
    );
    // A share of something, and what leads nowhere, is not judged.
    expect(unjudged).toBe(2);
  });

  test('is told where a token is set to another value, which no patch undoes by itself', () => {
    const css = ':root { --color-page: #ff00aa } .a { background: var(--color-page) }';
    const drift = drifted(css);
    expect(drift.all).toEqual({ equal: 1, near: 0, foreign: 1 });
    expect(drift.rows[0]).toMatchObject({ value: '#ff00aa', token: { id: 'color.page' } });
    expect(patchOf([{ file: 'site.css', text: css }], drift)).toBe('');
  });

  test('of a value that is a token in light alone is not mended: dark would be another', () => {
    const css = `:root { --in: 1rem } @media (prefers-color-scheme: dark) { :root { --in: 77px } } .a { padding: var(--in) }`;
    const drift = drifted(css);
    expect(drift.rows.map(({ match, theme }) => `${match} ${theme}`).toSorted()).toEqual([
      'equal light',
      'foreign dark',
    ]);
    expect(patchOf([{ file: 'site.css', text: css }], drift)).toBe('');
  });

  test('of nothing, and of names that are those of objects, is told as of anything', () => {
    for (const css of ['', '}', '.constructor { color: var(--__proto__) } .__proto__ { gap: 3px }'])
      expect(() => drifted(css)).not.toThrow();
    expect(shareOf(drifted('').all)).toBe(1);
    expect(drifted('').nowhere.length).toBeGreaterThan(10);
    expect([1, 0.9996, 0.5, 0].map(percent)).toEqual(['100 %', '99.9 %', '50.0 %', '0.0 %']);
  });
});

describe('a sheet that is mended', () => {
  const css = `.a { padding: 1.03125rem 1rem; margin: -1rem; color: #ff00aa; width: 7px /* 1rem */ }\n.b { gap: 1rem }\n`;
  test('takes what is nearly a token, or one written out, from it, and leaves every other byte', () => {
    const drift = drifted(css);
    const [next] = mended([{ file: 'site.css', text: css }], drift);
    expect(next?.text).toMatch(
      /^\.a \{ padding: var\(--[\w-]+\) var\(--[\w-]+\); margin: calc\(-1 \* var\(--[\w-]+\)\); color: #ff00aa; width: 7px \/\* 1rem \*\/ \}\n\.b \{ gap: var\(--[\w-]+\) \}\n$/,
    );
    expect(replacementsIn(drift)[0]).toMatchObject({ value: '1rem', places: 2 });
    // Looked at again it is better, and what is left is what has no token.
    const again = drifted(next?.text ?? '');
    expect(shareOf(again.all)).toBeGreaterThan(shareOf(drift.all));
    expect(again.rows.filter(({ isTaken }) => !isTaken).map(({ value }) => value)).toEqual([
      '#ff00aa',
    ]);
  });

  test('as a patch is the same, and none where nothing is to be mended', () => {
    const drift = drifted(css);
    const sheets = [{ file: 'site.css', text: css }];
    const patch = patchOf(sheets, drift);
    expect(patch).toMatch(/^--- a\/site\.css\n\+\+\+ b\/site\.css\n@@ -1,2 \+1,2 @@\n/);
    const [parsed] = parsePatch(patch);
    expect(parsed && applyPatch(css, parsed)).toBe(mended(sheets, drift)[0]?.text);
    expect(patchOf(sheets, drifted(''))).toBe('');
  });

  test('whatever the sheet, the text around its values stays', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            property: fc.constantFrom(
              'color',
              'padding',
              'margin',
              'border-radius',
              'gap',
              'border',
            ),
            value: fc.constantFrom(
              '1rem',
              '16px',
              '17px',
              '#fff',
              'red',
              'var(--space-inset)',
              '1px solid #000',
              '-8px',
              'calc(1px + 2px)',
            ),
            between: fc.constantFrom(':', ' : ', ':/* ; */', ':\n\t'),
          }),
          { maxLength: 12 },
        ),
        (all) => {
          const text = `/* 1rem */ .a {${all.map(({ property, value, between }) => `${property}${between}${value}`).join(';')}} /* end */`;
          const drift = drifted(text);
          const [next] = mended([{ file: 'site.css', text }], drift);
          const properties = (sheet: string): string[] =>
            readSheet(sheet, 'x').declarations.map(({ property }) => property);
          expect(properties(next?.text ?? '')).toEqual(properties(text));
          expect(next?.text.startsWith('/* 1rem */ .a {')).toBe(true);
          expect(next?.text.endsWith('} /* end */')).toBe(true);
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('states that are missing', () => {
  const missing = (css: string) =>
    missingStates([readSheet(css, 'x')], {}).map(({ name, states }) => [name, states]);
  test('are those that a component has and its class has not', () => {
    const [button] = missing('.button { color: red } .button:hover, .other:active { color: blue }');
    expect(button?.[0]).toBe('button');
    expect(button?.[1]).toContain('pressed');
    expect(button?.[1]).toContain('focus');
    expect(button?.[1]).not.toContain('hover');
    expect(missing('.unknown { color: red }')).toEqual([]);
    // The prefix of the classes counts.
    expect(
      missingStates([readSheet('.x-button { gap: 1px }', 'x')], { classes: 'x' }),
    ).toHaveLength(1);
  });
});

describe('values that are compared', () => {
  const on = { widthsPx: [360, 1440] };
  const far = (kind: Parameters<typeof measured>[0], one: string, other: string) => {
    const [a, b] = [measured(kind, one, on), measured(kind, other, on)];
    return a && b ? distanceOf(kind, a, b)?.far : undefined;
  };
  test.each([
    ['color', '#F00', 'rgb(100% 0 0)', 0],
    ['color', 'hsl(0 100% 50%)', 'red', 0],
    ['space', '16px', '1rem', 0],
    ['space', 'clamp(1rem, 1rem, 2rem)', '16px', 0],
    ['weight', 'bold', '700', 0],
    ['line height', '150%', '1.5', 0],
    ['duration', '.12s', '120ms', 0],
    ['easing', 'ease', 'cubic-bezier(.25,.1,.25,1)', 0],
    ['face', '"Archivo", serif', 'archivo', 0],
    ['shadow', '0 1px 2px #000', '0px 1px 2px 0 black', 0],
  ] as const)('%s: %s is %s', (kind, one, other, expected) => {
    expect(far(kind, one, other)).toBe(expected);
  });

  test('near is what is hardly told apart; a hair is not near its double', () => {
    expect(far('color', '#777777', '#787878')).toBeLessThan(1);
    expect(far('color', '#777777', '#999999')).toBeGreaterThan(1);
    expect(far('color', 'rgb(0 0 0 / .5)', 'rgb(0 0 0 / .9)')).toBeGreaterThan(1);
    expect(far('edge', '1px', '2px')).toBeGreaterThan(1);
    expect(far('space', '17px', '16px')).toBeLessThanOrEqual(1);
    expect(far('space', '10vw', '36px')).toBeGreaterThan(1);
    expect(far('shadow', '0 1px 2px #000', 'inset 0 1px 2px #000')).toBeUndefined();
    expect(measured('line height', '20px', on)).toBeUndefined();
  });
});

test('a report in words says the figure, the parts, what is to be mended and what was not read', () => {
  const sheet = readSheet('.button { color: #ff00aa; padding: 1.03125rem } }', 'a|b.css');
  const drift = driftOf(system, derived, [sheet]);
  const text = driftMarkdown({
    ...{ system: 'A <b>', state: 'release 1.0.0', drift, problems: sheet.problems },
    states: missingStates([sheet], {}),
    faults: faultsIn([sheet]),
  });
  expect(text).toContain('0.0 % of 2 values are those of the system (release 1.0.0)');
  expect(text).toContain('| 1.03125rem |'.replaceAll('|', '|').slice(2, -2));
  expect(text).toContain('## States that are missing');
  expect(text).toContain('### Used once');
  expect(text).toContain('## Not read');
  expect(text).not.toContain('<b>');
  expect(text).toContain('a\\|b.css');
});

test('a rem is what the root of the sheets says that it is', () => {
  const css = '.a { padding: 1.6rem }';
  const matchOf = (text: string) =>
    driftOf(system, derived, [readSheet(text, 'x.css')]).rows.map(({ match, value }) => [
      match,
      value,
    ]);
  expect(matchOf(`html { font-size: 62.5% } ${css}`)).toContainEqual(['equal', '1.6rem']);
  expect(matchOf(css)).not.toContainEqual(['equal', '1.6rem']);
});
