import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtOf, factsOf, type FactsOf } from './facts.ts';
import {
  distancesAround,
  distancesBetween,
  distancesAmong,
  labelPlace,
  remWords,
  sharedEdges,
  sizeWords,
  type Box,
} from './geometry.ts';

const box = (left: number, top: number, width: number, height: number): Box => ({
  left,
  top,
  width,
  height,
});
const said = (distances: ReturnType<typeof distancesBetween>) =>
  distances.map(({ axis, px, at }) => `${axis} ${px} at ${at}`);

describe('distances', () => {
  test('of two beside each other are the room between them, and where their edges are apart', () => {
    expect(said(distancesBetween(box(0, 0, 100, 50), box(124, 0, 100, 50)))).toEqual([
      'x 24 at 25',
    ]);
    expect(said(distancesBetween(box(0, 0, 100, 50), box(124, 10, 100, 50)))).toEqual([
      'x 24 at 30',
      'y 10 at 50',
      'y 10 at 50',
    ]);
    expect(said(distancesBetween(box(0, 100, 50, 20), box(10, 0, 50, 70)))).toEqual([
      'x 10 at 110',
      'x 10 at 110',
      'y 30 at 30',
    ]);
  });

  test('of one in another are those from edge to edge; of what meets there are none', () => {
    expect(said(distancesBetween(box(10, 20, 30, 40), box(0, 0, 100, 100)))).toEqual([
      'x 10 at 40',
      'x 60 at 40',
      'y 20 at 25',
      'y 40 at 25',
    ]);
    expect(distancesBetween(box(0, 0, 10, 10), box(10, 0, 10, 10))).toEqual([]);
    expect(distancesBetween(box(0, 0, 10, 10), box(0, 0, 10, 10))).toEqual([]);
  });

  const some = fc.record({
    left: fc.integer({ min: -500, max: 500 }),
    top: fc.integer({ min: -500, max: 500 }),
    width: fc.integer({ min: 0, max: 400 }),
    height: fc.integer({ min: 0, max: 400 }),
  });

  test('are the same both ways, end on edges of the two, and move with them', () => {
    fc.assert(
      fc.property(some, some, fc.integer({ min: -99, max: 99 }), (one, two, by) => {
        const lengths = (distances: ReturnType<typeof distancesBetween>) =>
          distances.map(({ axis, px }) => `${axis}${px}`).toSorted((a, b) => a.localeCompare(b));
        const distances = distancesBetween(one, two);
        expect(lengths(distancesBetween(two, one))).toEqual(lengths(distances));
        const moved = (here: Box): Box => ({ ...here, left: here.left + by, top: here.top - by });
        expect(lengths(distancesBetween(moved(one), moved(two)))).toEqual(lengths(distances));
        for (const { axis, from, to, px } of distances) {
          const edges = [one, two].flatMap((here) =>
            axis === 'x' ? [here.left, here.left + here.width] : [here.top, here.top + here.height],
          );
          expect([edges.includes(from), edges.includes(to), to - from]).toEqual([true, true, px]);
        }
      }),
    );
  });

  test('around a thing make up what is around it', () => {
    fc.assert(
      fc.property(some, some, (outer, share) => {
        const inner: Box = {
          left: outer.left + Math.min(outer.width, Math.abs(share.left)),
          top: outer.top + Math.min(outer.height, Math.abs(share.top)),
          width: 0,
          height: 0,
        };
        const sum = (axis: string) =>
          distancesAround(inner, outer).reduce(
            (all, one) => all + (one.axis === axis ? one.px : 0),
            0,
          );
        expect([sum('x'), sum('y')]).toEqual([outer.width, outer.height]);
      }),
    );
  });

  test('among neighbors go from each to the nearest behind it, along both axes', () => {
    const cell = (left: number, top: number): Box => ({ left, top, width: 20, height: 10 });
    // Two rows of three, 4 px between columns and 6 px between rows; the last one stands further off.
    const grid = [cell(0, 0), cell(24, 0), cell(48, 0), cell(0, 16), cell(24, 16), cell(58, 16)];
    const found = distancesAmong(grid).map(({ axis, px, from }) => [axis, px, from]);
    expect(found).toEqual([
      ['x', 4, 20],
      ['x', 4, 44],
      ['x', 4, 20],
      ['x', 14, 44],
      ['y', 6, 10],
      ['y', 6, 10],
      ['y', 6, 10],
    ]);
    expect(sharedEdges(box(0, 0, 10, 10), box(0, 20, 30, 10))).toEqual([{ axis: 'x', at: 0 }]);
    expect(distancesAmong([])).toEqual([]);
    expect(distancesAmong([cell(0, 0)])).toEqual([]);
  });

  test('are told to the hundredth, without zeros that say nothing', () => {
    expect([24, 16.3125, 0.1 + 0.2, 1e-9].map(sizeWords)).toEqual(['24', '16.31', '0.3', '0']);
    expect([16, 18, 1].map(remWords)).toEqual(['1rem', '1.125rem', '0.0625rem']);
  });
});

describe('facts', () => {
  const thing = (
    computed: Readonly<Record<string, string>>,
    declared: Readonly<Record<string, string>> = {},
    more: Partial<FactsOf> = {},
  ): FactsOf => ({
    computed: (property) => computed[property] ?? '',
    declared: new Map(Object.entries(declared)),
    tokensOf: (property) => (property === '--own' ? [] : [property.slice(2)]),
    unit: 'px',
    hasWords: false,
    ...more,
  });
  const CARD = {
    'padding-top': '20px',
    'padding-right': '24px',
    'padding-bottom': '22px',
    'padding-left': '24px',
    display: 'grid',
    'row-gap': '8px',
    'column-gap': '16px',
    'background-color': 'rgb(220, 235, 233)',
    'border-top-left-radius': '4px',
    'border-top-right-radius': '4px',
    'border-bottom-right-radius': '4px',
    'border-bottom-left-radius': '4px',
    'max-width': '480px',
    'font-family': '"Archivo", sans-serif',
    'font-size': '20px',
    'line-height': '24px',
  };

  test('are what a thing has, each with its tokens, in px or rem', () => {
    const declared = {
      padding: 'var(--card-inset-block) var(--card-inset)',
      gap: 'var(--card-gap) var(--own)',
      'background-color': 'var(--color-surface)',
      'border-radius': 'var(--corner-soft)',
    };
    expect(
      factsOf(thing(CARD, declared)).map(({ what, value, tokens }) => [what, value, ...tokens]),
    ).toEqual([
      ['inset', '20 24 22', 'card-inset-block', 'card-inset'],
      ['gap', '8 16', 'card-gap'],
      ['at most wide', '480'],
      ['ground', '#dcebe9', 'color-surface'],
      ['corner', '4', 'corner-soft'],
    ]);
    const [inset] = factsOf(thing(CARD, declared, { unit: 'rem' }));
    expect(inset?.value).toBe('1.25rem 1.5rem 1.375rem');
  });

  test('leave out what is nothing: no room, no edge, a gap where nothing is laid out', () => {
    expect(
      factsOf(
        thing({
          ...CARD,
          ...Object.fromEntries(
            ['top', 'right', 'bottom', 'left'].map((side) => [`padding-${side}`, '0px']),
          ),
          display: 'block',
          'background-color': 'rgba(0, 0, 0, 0)',
          'border-top-style': 'none',
          'border-top-width': '3px',
        }),
      ).map(({ what }) => what),
    ).toEqual(['at most wide', 'corner']);
  });

  test('tell of an edge on one side which it is, and of words everything', () => {
    const edged = {
      'border-top-style': 'none',
      'border-bottom-style': 'solid',
      'border-bottom-width': '1px',
      'border-left-style': 'none',
      'border-right-style': 'none',
      'border-bottom-color': 'rgb(0, 33, 33)',
    };
    expect(factsOf(thing(edged))).toEqual([
      { what: 'edge', value: '0 0 1 solid #002121', tokens: [] },
    ]);
    const words = factsOf(
      thing(
        {
          'font-family': '"Archivo", sans-serif',
          'font-size': '20px',
          'line-height': '24px',
          color: 'rgb(1, 2, 3)',
        },
        { font: 'var(--type-h4-style)', color: 'var(--color-text)' },
        { hasWords: true },
      ),
    );
    expect(words.map(({ what, value, tokens }) => [what, value, ...tokens])).toEqual([
      ['face', '"Archivo"', 'type-h4-style'],
      ['size', '20', 'type-h4-style'],
      ['line height', '24', 'type-h4-style'],
      ['color', '#010203', 'color-text'],
    ]);
  });

  test('say how it is built', () => {
    const of = (own: Readonly<Record<string, string>>) => (property: string) =>
      own[property] ?? 'none';
    expect(builtOf(of({ 'background-color': 'rgb(1, 2, 3)' }), true, 'a')).toBe(
      'text, ground, no edge, no picture',
    );
    expect(builtOf(of({ 'background-image': 'linear-gradient(red, blue)' }), false, 'div')).toBe(
      'no text of its own, no ground, no edge, a gradient, no picture',
    );
    const tiled = { 'background-image': 'url("data:,x")', 'background-repeat': 'repeat' };
    expect(builtOf(of(tiled), false, 'div')).toBe(
      'no text of its own, no ground, no edge, a pattern, no picture',
    );
    const once = { ...tiled, 'background-repeat': 'no-repeat' };
    expect(builtOf(of(once), false, 'div')).toBe('no text of its own, no ground, no edge, picture');
    expect(builtOf(of({}), false, 'img')).toBe('no text of its own, no ground, no edge, picture');
  });
});

describe('a label', () => {
  const room = { width: 400, height: 300 };
  const label = (left: number, top: number) => box(left, top, 80, 32);

  test('stands where it is wanted, and within the room', () => {
    expect(labelPlace(label(100, 50), room, undefined)).toEqual(label(100, 50));
    expect(labelPlace(label(-20, 290), room, undefined)).toEqual(label(0, 268));
    expect(labelPlace(label(100, 50), room, box(180, 50, 40, 40))).toEqual(label(100, 50));
  });

  test('is beside what it would cover, at the side that is nearer', () => {
    expect(labelPlace(label(190, 90), room, box(20, 80, 200, 40))).toEqual(label(223, 90));
    expect(labelPlace(label(100, 90), room, box(150, 80, 200, 40))).toEqual(label(67, 90));
  });

  test('is above it where there is no room beside, or below it where there is none there either', () => {
    expect(labelPlace(label(100, 90), room, box(60, 80, 300, 40))).toEqual(label(100, 45));
    expect(labelPlace(label(100, 20), room, box(60, 10, 300, 40))).toEqual(label(100, 53));
  });
});
