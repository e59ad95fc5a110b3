import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shadowCss, shadowOf } from '../space/shadows.ts';
import { inOrder } from '../system/document.ts';
import { newDocument } from '../system/new-document.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { breakpointsIn } from './layout-read.ts';
import { inferredFrom } from './inferred.ts';
import type { Proposal, ProposalId } from './proposal.ts';
import { readSheet } from './read-sheet.ts';

const proposal = (css: string, id: ProposalId): Proposal | undefined =>
  inferredFrom([readSheet(css, 'x.css')]).proposals.find((one) => one.id === id);

/** A new system, in which everything that is proposed has a place. */
function decided(...proposals: readonly (Proposal | undefined)[]) {
  const { fonts } = sampleDocument();
  const { heading, text } = fonts.roles;
  const start = newDocument({
    ...{ name: 'Millrace', brand: '#2a6365' },
    ...{ heading: heading.family, text: text.family },
  });
  const result = patched(
    start,
    proposals.flatMap((one) => one?.patch ?? []),
  );
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

/** A size that flows between two screens, as it is usually written. */
const clamp = (low: number, high: number, from: number, to: number): string => {
  const slope = (high - low) / (to - from);
  return `clamp(${low}px, ${low - slope * from}px + ${100 * slope}vw, ${high}px)`;
};

describe('the screens that sizes flow between', () => {
  test('are found in whatever way they are written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 60 }),
        fc.integer({ min: 90, max: 180 }),
        (from, to) => {
          const css = [18, 24, 40]
            .map(
              (size, index) =>
                `.s${index} { font-size: ${clamp(size, size * 1.5, from * 10, to * 10)} }`,
            )
            .join('\n');
          const found = proposal(css, 'flow');
          expect(found?.value).toBe(`${from * 10} to ${to * 10} px`);
          const { anchors } = decided(found).type;
          expect(inOrder(anchors).map(([, { width }]) => width)).toEqual([from * 10, to * 10]);
        },
      ),
    );
  });

  test('are none where sizes are fixed, or grow without an end', () => {
    expect(proposal('h1 { font-size: 40px } h2 { font-size: 2rem }', 'flow')).toBeUndefined();
    expect(
      proposal('h1 { font-size: 4vw } h2 { font-size: calc(1rem + 2vw) }', 'flow'),
    ).toBeUndefined();
  });

  test('others that are held elsewhere are told as an alternative', () => {
    const css = `h1 { font-size: ${clamp(30, 50, 400, 1200)} } h2 { font-size: ${clamp(20, 30, 400, 1200)} } h3 { font-size: ${clamp(18, 24, 500, 900)} }`;
    const found = proposal(css, 'flow');
    expect(found?.value).toBe('400 to 1200 px');
    expect(found?.alternatives?.map(({ value }) => value)).toEqual(['500 to 900 px']);
    expect(found?.unexplained).toEqual(['500 to 900 px']);
  });
});

describe('breakpoints', () => {
  test.each([
    ['(min-width: 768px)', 768],
    ['(max-width: 767px)', 768],
    ['(max-width: 767.98px)', 768],
    ['(min-width: 48em)', 768],
    ['(width >= 48rem)', 768],
    ['(width < 768px)', 768],
    ['(max-width: 768px)', 768],
    ['(max-width: 600px)', 600],
    ['(width <= 767px)', 768],
    ['screen and (min-width: 768px)', 768],
  ])('%s breaks at %i px', (query, px) => {
    const sheet = readSheet(`@media ${query} { a { color: red } }`, 'x.css');
    expect(breakpointsIn([sheet])).toEqual([[px, 1]]);
  });

  test('of a range are both its ends; print and other questions are none', () => {
    const css = `@media (min-width: 600px) and (max-width: 899px) { a { color: red } }
      @media print and (min-width: 500px) { a { color: red } }
      @media (prefers-color-scheme: dark) { a { color: red } } @media (min-height: 700px) { a { color: red } }`;
    expect(breakpointsIn([readSheet(css, 'x.css')]).map(([px]) => px)).toEqual([600, 900]);
  });

  test('become those of a system, in order, whatever they are', () => {
    fc.assert(
      fc.property(
        // What is a px apart is one breakpoint.
        fc.uniqueArray(fc.integer({ min: 105, max: 500 }), { minLength: 1, maxLength: 5 }),
        (fourths) => {
          const widths = fourths.map((px) => px * 4);
          const css = widths
            .map((px) => `@media (min-width: ${px}px) { a { color: red; margin: 1px } }`)
            .join('\n');
          const found = proposal(css, 'breakpoints');
          const { breakpoints } = decided(found).layout;
          const all = inOrder(breakpoints).map(([, { width }]) => width);
          expect(all).toEqual(all.toSorted((one, other) => one - other));
          for (const px of widths) expect(all).toContain(px);
        },
      ),
    );
  });
});

describe('the grid', () => {
  test('has the columns that its tracks say, or that its shares are of', () => {
    expect(proposal('.g { grid-template-columns: repeat(10, 1fr) }', 'columns')?.value).toBe('10');
    const shares = Array.from(
      { length: 11 },
      (_, index) => `.c${index} { width: ${((index + 1) / 12) * 100}% }`,
    );
    const found = proposal(shares.join('\n'), 'columns');
    expect(found?.value).toBe('12');
    expect(decided(found).layout.grid.at['wide']?.columns).toBe(12);
    // Halves and quarters are of any grid.
    expect(
      proposal('.a { width: 50% } .b { width: 25% } .c { width: 75% }', 'columns'),
    ).toBeUndefined();
  });

  test('has the gutter that most gaps are', () => {
    const css =
      '.a { gap: 32px } .b { gap: 1rem 32px } .c { column-gap: 2rem } .d { gap: 12px } .e { gap: 12px }';
    const found = proposal(css, 'gutter');
    expect(found?.value).toBe('32 px');
    expect(found?.alternatives?.map(({ value }) => value)).toEqual(['12 px']);
    expect(decided(found).layout.grid.base.gutter).toBe(32);
  });
});

describe('the light of the shadows', () => {
  test('is that which made them, from wherever it comes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: 2, max: 20 }),
        (from, height) => {
          const light = { from, reach: 0.6, softness: 1.5, strength: 0.2, ambient: 0.1 };
          const css = [height, height * 3]
            .map(
              (px, index) =>
                `.s${index} { box-shadow: ${shadowCss(shadowOf(px, '#ffffff', light))} }`,
            )
            .join('\n');
          const { shape } = decided(proposal(css, 'light'));
          expect(Math.abs(shape.light.from - from)).toBeLessThanOrEqual(1);
          expect(shape.light.reach).toBeCloseTo(0.6, 1);
          expect(shape.light.strength).toBeCloseTo(0.2, 1);
          expect(shape.shadows.items['low']?.height).toBeCloseTo(height, 0);
          expect(shape.shadows.items['high']?.height).toBeCloseTo(height * 3, 0);
        },
      ),
    );
  });

  test('is told by no edge, and by no shade within', () => {
    expect(
      proposal('a { box-shadow: 0 0 0 3px red } b { box-shadow: inset 0 2px 4px #000 }', 'light'),
    ).toBeUndefined();
  });
});
