import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FAULT_KINDS, FAULT_REASONS, faultsIn, unitOf, type FaultKind } from './faults.ts';
import { readSheet } from './read-sheet.ts';
import { sheetsIn } from './sheets-in.ts';

const faults = (css: string, kind?: FaultKind) =>
  faultsIn([readSheet(css, 'x.css')])
    .filter((one) => kind === undefined || one.kind === kind)
    .map(({ kind: of, values, places }) => [of, values.join(' '), places.length]);

describe('faults of sheets by themselves', () => {
  test('values that are nearly one stand together, the most frequent first; the same in other words is none', () => {
    const css =
      '.a, .b { color: #1b4b66 } .c { background: #1c4d69 } .d { color: #1B4B66 } .e { color: rgb(27 75 102) } .f { color: #c8452b }';
    expect(faults(css, 'nearly the same')).toEqual([['nearly the same', '#1b4b66 #1c4d69', 3]]);
    expect(
      faults(
        '.a { padding: 24px } .b { padding: 23.8px } .c { padding: 16px 1.5rem }',
        'nearly the same',
      ),
    ).toEqual([['nearly the same', '24px 23.8px', 2]]);
    // A hair and its double are two.
    expect(
      faults('.a { border-radius: 1px } .b { border-radius: 2px }', 'nearly the same'),
    ).toEqual([]);
  });

  test('sizes and line heights in px, and sizes by the screen alone', () => {
    const css =
      '.a { font: 16px/26px A } .b { font-size: 1rem; line-height: 1.5 } .c { font-size: 5vw } .d { font-size: clamp(1rem, 5vw, 2rem) } .e { font-size: calc(1vw + 1rem) }';
    expect(faults(css, 'fixed text size')).toEqual([['fixed text size', '16px', 1]]);
    expect(faults(css, 'fixed line height')).toEqual([['fixed line height', '26px', 1]]);
    expect(faults(css, 'unbounded by the screen')).toEqual([['unbounded by the screen', '5vw', 1]]);
  });

  test('full heights, and what is forced', () => {
    const css =
      '.a { min-height: 100vh; height: 100svh } .b { color: red !important; max-height: calc(100vh - 4rem) }';
    expect(faults(css, 'full height').map(([, value]) => value)).toEqual([
      'min-height: 100vh',
      'max-height: calc(100vh - 4rem)',
    ]);
    expect(faults(css, 'forced')).toEqual([['forced', 'color: red !important', 1]]);
  });

  test('spaces off a unit that most of them have; none where there is no unit', () => {
    expect(unitOf([8, 16, 24, 24, 17])).toBe(8);
    expect(unitOf([5, 10, 15, 20])).toBe(5);
    expect(unitOf([7, 11, 13, 17, 23])).toBeUndefined();
    expect(unitOf([8, 16])).toBeUndefined();
    const css =
      '.a { padding: 8px 16px } .b { margin: -24px 1rem } .c { gap: 13px; padding: clamp(1px, 3vw, 17px) }';
    expect(faults(css, 'off the unit')).toEqual([['off the unit', '13px', 1]]);
  });

  test('every kind has a reason, and the page from before has one of most kinds', () => {
    for (const kind of FAULT_KINDS) expect(FAULT_REASONS[kind]).toMatch(/\.$/);
    const text = readFileSync(
      new URL('../../../samples/before-garnish.html', import.meta.url),
      'utf8',
    );
    const found = faultsIn(sheetsIn({ file: 'before.html', text }).sheets);
    expect(new Set(found.map(({ kind }) => kind))).toEqual(
      new Set(
        FAULT_KINDS.filter(
          (kind) => kind !== 'unbounded by the screen' && kind !== 'stepped by screens',
        ),
      ),
    );
    const near = found.filter(({ kind, of }) => kind === 'nearly the same' && of === 'color');
    expect(near.map(({ values }) => values)).toContainEqual(
      expect.arrayContaining(['#1b4b66', '#1c4d69', '#1d4f6b']),
    );
  });

  test('lengths that several screens set anew are told where they only grow or shrink', () => {
    const stepped = (css: string) =>
      faultsIn([readSheet(css, 'x.css')])
        .filter(({ kind }) => kind === 'stepped by screens')
        .map(({ values, places }) => [values[0], places.length]);
    const h1 = 'h1 { font-size: 28px } @media (min-width: 600px) { h1 { font-size: 36px } }';
    expect(stepped(`${h1} @media (min-width: 900px) { h1 { font-size: 48px } }`)).toEqual([
      ['font-size: 28px, 36px, 48px', 3],
    ]);
    // One step is none, what goes up and down is meant, and other conditions are no screens.
    expect(stepped(h1)).toEqual([]);
    expect(stepped(`${h1} @media (min-width: 900px) { h1 { font-size: 30px } }`)).toEqual([]);
    expect(stepped(`${h1} @media print { h1 { font-size: 48px } }`)).toEqual([]);
    expect(stepped(`${h1} @media (min-width: 900px) { h1 { font-size: 4em } }`)).toEqual([]);
  });

  test('each place is told once under each fault, whatever the sheet', () => {
    const value = fc.constantFrom(
      'red',
      '#f00',
      '#fe0000',
      '1px',
      '16px',
      '15.9px',
      '100vh',
      '5vw',
      '1px !important',
      'var(--x)',
      '',
    );
    const property = fc.constantFrom(
      'color',
      'font-size',
      'padding',
      'height',
      'line-height',
      'border-radius',
      'font',
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(property, value), { maxLength: 20 }), (all) => {
        const css = `.a {${all.map(([name, said]) => `${name}: ${said};`).join(' ')}}`;
        for (const { places } of faultsIn([readSheet(css, 'x')])) {
          expect(places.length).toBeGreaterThan(0);
          expect(new Set(places.map(({ from }) => from)).size).toBe(new Set(places).size);
        }
      }),
      { numRuns: 200 },
    );
  });
});
