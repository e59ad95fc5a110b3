import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { seenElement } from './seen-element.ts';
import { colorWords, groundSeen, opacityOf, seenOn, type SeenElement } from './seen.ts';

const valuesOf = (elements: readonly SeenElement[], kind: string) =>
  seenOn(elements)
    .kinds.find((one) => one.kind === kind)
    ?.values.map(({ value, count, area }) => [value, count, area]);

describe('what is on a page', () => {
  test('is told by kind, with how often and on how much of the largest thing it stands', () => {
    const body = seenElement({
      box: { left: 0, top: 0, width: 100, height: 100 },
      grounds: ['rgb(250, 249, 246)'],
    });
    const card = { box: { left: 0, top: 0, width: 50, height: 40 }, corners: [4, 4, 0, 0] };
    const all = [
      body,
      seenElement({ ...card, grounds: ['rgba(0, 0, 0, 0.5)', 'rgb(250, 249, 246)'] }),
      seenElement(card),
    ];
    expect(valuesOf(all, 'ground')).toEqual([
      ['#faf9f6', 1, 1],
      // What shines through is told as it is.
      ['rgb(0 0 0 / 0.5)', 1, 0.2],
      ['#ffffff', 1, 0.2],
    ]);
    expect(valuesOf(all, 'corner')).toEqual([['4 px', 2, 0.4]]);
    expect(valuesOf(all, 'text style')).toBeUndefined();
  });

  test('a space counts once for a thing, whatever its sides', () => {
    const all = [
      seenElement({ padding: [8, 8, 8, 8], margin: [0, 0, 8, 0], gap: [8, 12] }),
      seenElement({ padding: [12, 0, 0, 0] }),
    ];
    expect(valuesOf(all, 'space')?.map(([value, count]) => [value, count])).toEqual([
      ['12 px', 2],
      ['8 px', 1],
    ]);
  });

  test('words are told by style, links by color of their own; what has no words has neither', () => {
    const all = [
      seenElement({ signs: 10 }),
      seenElement({ signs: 10, isLink: true, color: 'rgb(10, 20, 200)' }),
      seenElement({
        signs: 4,
        sizePx: 32,
        weight: 700,
        lineHeightPx: undefined,
        letterSpacingPx: -0.5,
      }),
      seenElement({ color: 'rgb(1, 2, 3)' }),
    ];
    expect(valuesOf(all, 'text style')?.map(([value, count]) => [value, count])).toEqual([
      ['16/24 Archivo 400', 2],
      ['32 Archivo 700 -0.5 px apart', 1],
    ]);
    expect(valuesOf(all, 'text color')?.map(([value]) => value)).toEqual(['#000000']);
    expect(valuesOf(all, 'link color')?.map(([value]) => value)).toEqual(['#0a14c8']);
  });

  test('pictures that make the page jump, and how much there is of everything', () => {
    const { withoutRoom, elements, words, pictures, drawings } = seenOn([
      seenElement({ hasRoom: false }),
      seenElement({ hasRoom: true }),
      seenElement({ isDrawing: true }),
      seenElement({ signs: 3 }),
    ]);
    expect([withoutRoom, elements, words, pictures, drawings]).toEqual([[0], 4, 1, 2, 1]);
  });
});

describe('components', () => {
  const box = { left: 0, top: 0, width: 300, height: 120 };
  const padding = [8, 16, 8, 16];
  const of = (kind: string, ...elements: readonly SeenElement[]) =>
    valuesOf(elements, kind)?.map(([value, count]) => [value, count]);

  test('are told by what one does with them, variant by variant', () => {
    const main = {
      acts: 'button',
      padding,
      signs: 9,
      color: '#ffffff',
      grounds: ['#c8452b'],
      corners: [4, 4, 4, 4],
    } as const;
    const quiet = {
      ...main,
      acts: 'link',
      isLink: true,
      hasOwnGround: false,
      color: '#c8452b',
      edges: [
        { px: 2, color: '#c8452b' },
        { px: 2, color: '#c8452b' },
      ],
    } as const;
    const plain = seenElement({ acts: 'link', isLink: true, signs: 5, hasOwnGround: false });
    expect(of('button', seenElement(main), seenElement(main), seenElement(quiet), plain)).toEqual([
      ['#c8452b, corner 4 px, words #ffffff 16', 2],
      ['edge 2 px #c8452b, corner 4 px, words #c8452b 16', 1],
    ]);
    expect(of('field', seenElement({ acts: 'field', hasOwnGround: false }))).toEqual([
      ['nothing around it', 1],
    ]);
  });

  test('cards come in numbers, are padded, and hold something', () => {
    const card = seenElement({ box, padding, shadow: '0 1px 2px #000' });
    expect(of('card', card, card, seenElement({ box, padding, grounds: ['#eeeeee'] }))).toEqual([
      ['#ffffff, a shadow', 2],
    ]);
    expect(of('card', card)).toBeUndefined();
    expect(of('card', ...[1, 2].map(() => seenElement({ box })))).toBeUndefined();
    expect(of('card', ...[1, 2].map(() => seenElement({ padding })))).toBeUndefined();
  });
});

describe('contrast as it is shown', () => {
  // WCAG 2.2, 1.4.3: #767676 on white is the lightest gray that passes, #777777 fails.
  test.each([
    ['#767676', 16, 400, false],
    ['#777777', 16, 400, true],
    ['#949494', 24, 400, false],
    ['#959595', 24, 400, true],
    ['#949494', 19, 700, false],
  ])('%s at %d px and %d is too faint: %s', (color, sizePx, weight, isFaint) => {
    const { faint } = seenOn([seenElement({ signs: 1, color, sizePx, weight })]);
    expect(faint).toHaveLength(isFaint ? 1 : 0);
  });

  test('is that of what shines through, over everything behind it', () => {
    expect(groundSeen(['rgba(0, 0, 0, 0.5)', 'rgb(255, 0, 0)'])).toBe('#800000');
    expect(groundSeen([])).toBe('#ffffff');
    expect(groundSeen(['rgb(0 0 0 / 0)'])).toBe('#ffffff');
    const [faint] = seenOn([
      seenElement({
        signs: 1,
        color: 'rgba(0, 0, 0, 0.4)',
        grounds: ['rgba(0, 0, 0, 0.2)', '#ffffff'],
      }),
    ]).faint;
    expect(faint?.ground).toBe('#cccccc');
    expect(faint?.color).toBe('#7a7a7a');
    expect(faint?.ratio).toBeCloseTo(wcagContrast('#7a7a7a', '#cccccc'), 6);
  });

  test('is not told over pictures, nor of what is no color', () => {
    const { faint, unjudged } = seenOn([
      seenElement({ signs: 1, color: '#ffffff', isOverPicture: true }),
      seenElement({ signs: 1, color: 'somewhat green' }),
      seenElement({ color: '#ffffff' }),
    ]);
    expect([faint, unjudged]).toEqual([[], [0, 1]]);
  });

  // culori computes the same from the same two colors.
  test('equals that of an independent library', () => {
    const hex = fc
      .integer({ min: 0, max: 0xffffff })
      .map((value) => `#${value.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(hex, hex, (color, ground) => {
        const [found] = seenOn([seenElement({ signs: 1, color, grounds: [ground] })]).faint;
        const ratio = wcagContrast(color, ground);
        if (Math.abs(ratio - 4.5) < 1e-6) return;
        expect(found !== undefined).toBe(ratio < 4.5);
        if (found) expect(found.ratio).toBeCloseTo(ratio, 6);
      }),
      { numRuns: 300 },
    );
  });
});

test.each([
  ['rgb(10, 20, 30)', '#0a141e'],
  ['rgba(10, 20, 30, 0.25)', 'rgb(10 20 30 / 0.25)'],
  ['rgba(0, 0, 0, 0)', undefined],
  ['transparent', undefined],
  ['color(srgb 1 0 0)', '#ff0000'],
  ['nonsense', undefined],
])('%s is told as %s', (css, words) => {
  expect(colorWords(css)).toBe(words);
});

// As browsers compute colors. Source: CSS Color 4, 15, serializing color values.
test.each([
  ['rgb(0, 0, 0)', 1],
  ['rgb(255, 165, 0)', 1],
  ['rgba(0, 0, 0, 0)', 0],
  ['rgba(10, 20, 30, 0.25)', 0.25],
  ['color(srgb 1 0 0)', 1],
  ['oklch(0.5 0.1 0)', 1],
  ['oklch(0.5 0.1 0 / 0)', 0],
  ['color(srgb 1 0 0 / 0.4)', 0.4],
  ['what nobody reads', 1],
])('%s is opaque by %d', (css, opacity) => {
  expect(opacityOf(css)).toBeCloseTo(opacity, 6);
});

test('text styles that differ by one thing, and by little, are told with what they are near to', () => {
  const words = (said: Partial<SeenElement>) => seenElement({ signs: 100, ...said });
  const { nearStyles } = seenOn([
    words({ signs: 500 }),
    words({ sizePx: 15 }),
    words({ sizePx: 15 }),
    words({ lineHeightPx: 25, signs: 20 }),
    // Two things, or much, are another style.
    words({ sizePx: 15, weight: 500 }),
    words({ sizePx: 20 }),
    words({ weight: 700 }),
    words({ face: 'Literata' }),
  ]);
  expect(nearStyles).toEqual([
    { styles: ['16/24 Archivo 400', '15/24 Archivo 400'], by: 'size', places: [1, 2] },
    { styles: ['15/24 Archivo 400', '15/24 Archivo 500'], by: 'weight', places: [4] },
    { styles: ['16/24 Archivo 400', '16/25 Archivo 400'], by: 'line height', places: [3] },
  ]);
});
