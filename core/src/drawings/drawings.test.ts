import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SaxesParser } from 'saxes';
import type { Box } from '../measures/geometry.ts';
import { derive } from '../derive/derive.ts';
import { patched } from '../system/patch.ts';
import { labelsMoved, movingLabel } from '../system/label-places.ts';
import { sampleDocument } from '../system/sample.ts';
import { MARKER_PX, markersAround, numbered } from './anatomy.ts';
import { behaviorOf, rowsOf } from './behavior.ts';
import { approachOf } from './approach.ts';
import { drawingOf, labelLines, USUAL_CHOICE, type Drawable } from './drawing.ts';
import { measuresOf, type Measure } from './measures.ts';
import { flagRows, lanesOf, linesHigh, linesWide, placed, spread } from './placing.ts';
import { wrapped } from './svg.ts';
import { saidOfSides, tokensSaid, type OfSides } from '../measures/sides.ts';
import type { Scene, Thing } from './scene.ts';

const NONE = [0, 0, 0, 0] as const;
const NO_TOKENS = [[], [], [], []] as const;

const box = (left: number, top: number, width: number, height: number): Box => ({
  left,
  top,
  width,
  height,
});

function thing(place: string, own: Partial<Thing> & { readonly box: Box }): Thing {
  return {
    place,
    name: place.split('/').at(-1) ?? place,
    inset: NONE,
    edge: NONE,
    margin: NONE,
    gap: { row: 0, column: 0 },
    tokens: { inset: NO_TOKENS, margin: NO_TOKENS, gap: { row: [], column: [] } },
    isFixed: false,
    inside: [],
    facts: [],
    ...own,
  };
}

const ofAll = (name: string): OfSides<readonly string[]> => [[name], [name], [name], [name]];

/** A card of 200 px with an icon, a heading and words, 16 px inside, an edge of 1 px, 8 px between rows. */
const card = (): Scene => {
  const [icon, heading, words] = [box(17, 17, 24, 24), box(17, 49, 166, 30), box(17, 87, 166, 60)];
  return {
    width: 200,
    height: 164,
    things: [
      thing('card', {
        box: box(0, 0, 200, 164),
        inset: [16, 16, 16, 16],
        edge: [1, 1, 1, 1],
        gap: { row: 8, column: 8 },
        tokens: {
          inset: ofAll('card.inset'),
          margin: NO_TOKENS,
          gap: { row: ['card.gap'], column: ['card.gap'] },
        },
        inside: [icon, heading, words],
        facts: [{ what: 'inset', value: '16', tokens: ['card.inset'] }],
      }),
      thing('card/icon', {
        box: icon,
        isFixed: true,
        facts: [{ what: 'at least wide', value: '24', tokens: ['icon.size'] }],
      }),
      thing('card/heading', {
        box: heading,
        words: box(17, 49, 90, 30),
        facts: [{ what: 'size', value: '20', tokens: ['type.h4.size'] }],
      }),
      thing('card/text', {
        box: words,
        margin: [0, 0, 0, 12],
        words: box(17, 87, 140, 60),
        facts: [{ what: 'size', value: '16', tokens: ['type.body.size'] }],
      }),
    ],
  };
};

describe('what rules say of the sides', () => {
  // CSS Box Model 3, 4.2: the examples of the shorthand, one to four values.
  test.each<[string, readonly string[]]>([
    ['2em', ['2em', '2em', '2em', '2em']],
    ['1em 2em', ['1em', '2em', '1em', '2em']],
    ['1em 2em 3em', ['1em', '2em', '3em', '2em']],
    ['1em 2em 3em 4em', ['1em', '2em', '3em', '4em']],
  ])('the shorthand %s', (said, sides) => {
    expect(saidOfSides('padding', new Map([['padding', said]]))).toEqual(sides);
  });

  // CSS Logical Properties 1, 4.3: flow-relative padding, and its start in text from right to left.
  test('longhands say more than their shorthand, and follow the direction of the text', () => {
    const declared = new Map([
      ['padding', 'var(--a)'],
      ['padding-inline', 'var(--b) calc(var(--c) * 2)'],
      ['padding-block-end', 'var(--d)'],
    ]);
    expect(saidOfSides('padding', declared)).toEqual([
      'var(--a)',
      'calc(var(--c) * 2)',
      'var(--d)',
      'var(--b)',
    ]);
    expect(saidOfSides('padding', declared, true)).toEqual([
      'var(--a)',
      'var(--b)',
      'var(--d)',
      'calc(var(--c) * 2)',
    ]);
    expect(saidOfSides('margin', declared)).toEqual([undefined, undefined, undefined, undefined]);
    expect(tokensSaid('calc(var(--c) * 2 + var(--c))', (name) => [`of ${name}`])).toEqual([
      'of --c',
    ]);
    expect(tokensSaid(undefined, () => ['none'])).toEqual([]);
  });
});

describe('measures', () => {
  const said = (measures: readonly Measure[]) =>
    measures.map(({ key, px, words, tokens }) => [key, px, words, ...tokens]);

  test('each is told once: by hand, of a card', () => {
    expect(said(measuresOf(card()))).toEqual([
      ['size card height', 164, 'height'],
      ['size card width', 200, 'width'],
      ['size card/icon height', 24, 'height of icon'],
      ['size card/icon width', 24, 'width of icon', 'icon.size'],
      ['inset card top', 16, 'all round', 'card.inset'],
      ['gap card row', 8, 'between rows', 'card.gap'],
      ['margin card/text left', 12, 'left'],
    ]);
  });

  test('rooms lie within the edge, between neighbors, and around; lines run along them', () => {
    const [inset, gap, margin] = measuresOf(card(), ['inset', 'gap', 'margin']);
    expect(inset?.areas).toEqual([
      box(1, 1, 198, 16),
      box(183, 17, 16, 130),
      box(1, 147, 198, 16),
      box(1, 17, 16, 130),
    ]);
    expect(inset).toMatchObject({ axis: 'y', from: 1, to: 17, edge: 199 });
    expect(gap?.areas).toEqual([box(17, 41, 166, 8), box(17, 79, 166, 8)]);
    expect(margin).toMatchObject({ axis: 'x', from: 5, to: 17, edge: 87 });
  });

  test('sides that differ are measures of their own, and equal ones of two things are one', () => {
    const row = (place: string, top: number): Thing =>
      thing(place, {
        box: box(0, top, 100, 40),
        inset: [4, 12, 8, 12],
        tokens: {
          inset: [['cell.above'], ['cell.beside'], ['cell.below'], ['cell.beside']],
          margin: NO_TOKENS,
          gap: { row: [], column: [] },
        },
      });
    const scene = { width: 100, height: 80, things: [row('a', 0), row('b', 40)] };
    const found = measuresOf(scene, ['inset']);
    expect(said(found)).toEqual([
      ['inset a top', 4, 'above', 'cell.above'],
      ['inset a right', 12, 'left and right', 'cell.beside'],
      ['inset a bottom', 8, 'below', 'cell.below'],
    ]);
    expect(found.map(({ areas }) => areas.length)).toEqual([2, 4, 2]);
    expect(said(measuresOf(scene, ['inset'], new Set(['b'])))[0]?.[0]).toBe('inset b top');
  });

  test('what stands apart by something else than the gap is no gap', () => {
    const scene: Scene = {
      width: 100,
      height: 20,
      things: [
        thing('row', {
          box: box(0, 0, 100, 20),
          gap: { row: 10, column: 10 },
          inside: [box(0, 0, 20, 20), box(30, 0, 20, 20), box(80, 0, 20, 20), box(0, 0, 0, 0)],
        }),
      ],
    };
    const [gap, ...others] = measuresOf(scene, ['gap']);
    expect(others).toEqual([]);
    expect(gap).toMatchObject({ words: 'between columns', areas: [box(20, 0, 10, 20)] });
  });

  test('labels tell values, tokens or both, in px or rem', () => {
    const [inset] = measuresOf(card(), ['inset']);
    if (!inset) throw new Error('there is no inset');
    expect(labelLines(inset, { unit: 'px', tells: 'both' })).toEqual([
      'inset 16 all round',
      'card.inset',
    ]);
    expect(labelLines(inset, { unit: 'rem', tells: 'value' })).toEqual(['inset 1rem all round']);
    expect(labelLines(inset, { unit: 'px', tells: 'token' })).toEqual([
      'inset all round',
      'card.inset',
    ]);
    expect(labelLines({ ...inset, tokens: [] }, { unit: 'px', tells: 'token' })).toEqual([
      'inset 16 all round',
    ]);
  });
});

const length = fc.integer({ min: 0, max: 400 });
const overlap = (one: Box, other: Box): boolean =>
  one.left < other.left + other.width &&
  other.left < one.left + one.width &&
  one.top < other.top + other.height &&
  other.top < one.top + one.height;

describe('placing', () => {
  const wanted = fc.array(fc.record({ at: length, size: fc.integer({ min: 1, max: 60 }) }), {
    minLength: 1,
    maxLength: 12,
  });
  const inOrder = <One extends { readonly at: number }>(list: readonly One[]) =>
    list.toSorted((one, other) => one.at - other.at);

  test('things along a line do not touch, keep their order, and stand as near as can be', () => {
    const far = (at: readonly number[], list: readonly { readonly at: number }[]): number =>
      at.reduce((sum, one, index) => sum + (one - (list[index]?.at ?? 0)) ** 2, 0);
    const isApart = (at: readonly number[], list: readonly { readonly size: number }[]): boolean =>
      at.every((one, index) => {
        const [own, next] = [list[index]?.size ?? 0, list[index + 1]?.size ?? 0];
        return index === at.length - 1 || (at[index + 1] ?? 0) - one >= (own + next) / 2 + 5 - 1e-9;
      });
    fc.assert(
      fc.property(wanted, fc.array(fc.double({ min: -9, max: 9, noNaN: true })), (all, shifts) => {
        const list = inOrder(all);
        const at = spread(list);
        // No other way of standing apart is nearer: one that is tried at random is not.
        const tried = at.map((one, index) => one + (shifts[index] ?? 0));
        return (
          isApart(at, list) && (!isApart(tried, list) || far(tried, list) >= far(at, list) - 1e-6)
        );
      }),
    );
    expect(spread([{ at: 50, size: 10 }])).toEqual([50]);
    // Two that want the same place step aside by as much each: 10 wide, 5 apart.
    expect(
      spread([
        { at: 50, size: 10 },
        { at: 50, size: 10 },
      ]),
    ).toEqual([42.5, 57.5]);
    expect(spread([])).toEqual([]);
  });

  test('measures in one lane do not touch; the short ones lie nearest', () => {
    const spans = fc.array(
      fc.tuple(length, fc.integer({ min: 1, max: 200 })).map(([from, long]) => ({
        from,
        to: from + long,
      })),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(spans, (list) => {
        const lanes = lanesOf(list);
        return list.every((one, index) =>
          list.every(
            (other, at) =>
              at === index ||
              lanes[at] !== lanes[index] ||
              one.to < other.from ||
              other.to < one.from,
          ),
        );
      }),
    );
    expect(
      lanesOf([
        { from: 0, to: 100 },
        { from: 10, to: 20 },
      ]),
    ).toEqual([1, 0]);
  });

  test('flags do not touch, and no staff crosses one of them', () => {
    const flags = fc.array(fc.record({ x: length, width: fc.integer({ min: 10, max: 200 }) }), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(flags, (all) => {
        const list = all.toSorted((one, other) => one.x - other.x);
        const rows = flagRows(list);
        return list.every(({ x, width }, index) =>
          list.every((other, at) => {
            if (at <= index) return true;
            const isOver = other.x < x + width;
            // The one to the right stands nearer, so that its staff ends below this one.
            return !isOver || (rows[at] ?? 0) < (rows[index] ?? 0);
          }),
        );
      }),
    );
  });

  const measure = fc.record({
    kind: fc.constantFrom('size', 'inset', 'gap', 'margin'),
    axis: fc.constantFrom('x', 'y'),
    from: length,
    long: fc.integer({ min: 1, max: 80 }),
    tokens: fc.array(fc.constantFrom('card.inset', 'a.very.long.name-of-a-token', 'x'), {
      maxLength: 3,
    }),
  });

  test('labels cover neither the component nor each other, whatever is measured', () => {
    fc.assert(
      fc.property(fc.array(measure, { maxLength: 14 }), (list) => {
        const size = { width: 480, height: 480 };
        const measures = list.map(({ long, ...one }, index): Measure => ({
          ...one,
          key: String(index),
          to: one.from + long,
          px: long,
          words: 'all round',
          edge: 100,
          areas: [],
        }));
        const { measures: found, origin } = placed(size, measures, (one) => ({
          lines: labelLines(one, USUAL_CHOICE),
        }));
        const component = { left: origin.x, top: origin.y, ...size };
        const covers = found.some(
          ({ label }, index) =>
            overlap(label, component) ||
            found.slice(index + 1).some((other) => overlap(label, other.label)),
        );
        return found.length === list.length && !covers;
      }),
      { numRuns: 300 },
    );
  });

  test('sizes stand left and below, rooms right and above; a moved label stands where it was put', () => {
    const measures = measuresOf(card());
    const lines = (one: Measure) => labelLines(one, USUAL_CHOICE);
    const usual = placed(card(), measures, (one) => ({ lines: lines(one) }));
    const { origin } = usual;
    for (const { measure, label } of usual.measures) {
      const { axis, kind } = measure;
      if (kind === 'size' && axis === 'y') expect(label.left + label.width).toBeLessThan(origin.x);
      if (kind === 'size' && axis === 'x') expect(label.top).toBeGreaterThan(origin.y + 164);
      if (kind !== 'size' && axis === 'y') expect(label.left).toBeGreaterThan(origin.x + 200);
      if (kind !== 'size' && axis === 'x') expect(label.top + label.height).toBeLessThan(origin.y);
    }
    const moved = placed(card(), measures, (one) => ({
      lines: lines(one),
      ...(one.key === 'inset card top' && { moved: { x: 40, y: -300 } }),
    }));
    const at = (all: typeof usual, key: string) => {
      const label = all.measures.find((one) => one.measure.key === key)?.label;
      return [(label?.left ?? 0) - all.origin.x, (label?.top ?? 0) - all.origin.y];
    };
    const [x = 0, y = 0] = at(usual, 'inset card top');
    expect(at(moved, 'inset card top')).toEqual([x + 40, y - 300]);
    expect(at(moved, 'gap card row')).toEqual(at(usual, 'gap card row'));
    // The drawing grows by what was moved out of it.
    expect(moved.height).toBeGreaterThan(usual.height + 200);
    expect(linesWide([])).toBe(10);
    expect(linesHigh(['one', 'two'])).toBe(32);
  });
});

describe('numbers of parts', () => {
  test('what is alike is numbered once, what nothing is told of not at all', () => {
    const scene = card();
    const again = scene.things
      .slice(2, 3)
      .map((heading) => ({ ...heading, place: 'card/heading 2' }));
    const twice = { ...scene, things: [...scene.things, ...again] };
    expect(numbered(twice).map(({ number, thing: { name } }) => [number, name])).toEqual([
      [1, 'card'],
      [2, 'icon'],
      [3, 'heading'],
      [4, 'text'],
    ]);
    expect(numbered({ ...scene, things: [thing('bare', { box: box(0, 0, 1, 1) })] })).toEqual([]);
  });

  test('stand around the component, touch neither it nor each other, and lead into their things', () => {
    const boxes = fc.array(
      fc.record({
        left: fc.integer({ min: 0, max: 180 }),
        top: fc.integer({ min: 0, max: 130 }),
        width: fc.integer({ min: 1, max: 20 }),
        height: fc.integer({ min: 1, max: 20 }),
      }),
      { maxLength: 14 },
    );
    fc.assert(
      fc.property(boxes, (list) => {
        const size = { width: 200, height: 150 };
        const markers = markersAround(
          size,
          list.map((own, index) => ({
            number: index + 1,
            thing: thing(`t${index}`, { box: own }),
          })),
        );
        const sided = markers.map(({ center: { x, y } }) =>
          box(x - MARKER_PX / 2, y - MARKER_PX / 2, MARKER_PX, MARKER_PX),
        );
        return (
          markers.length === list.length &&
          sided.every((one) => !overlap(one, box(0, 0, size.width, size.height))) &&
          markers.every(({ leader: [, { x, y }], thing: { box: own } }) => {
            const { left, top, width, height } = own;
            return x >= left && x <= left + width && y >= top && y <= top + height;
          })
        );
      }),
    );
  });
});

describe('behavior', () => {
  const at = (width: number, keeps: number, inside: readonly Box[]): Scene => ({
    width,
    height: 10,
    things: [
      thing('row', { box: box(0, 0, width, 10), inside }),
      thing('row/icon', { box: box(0, 0, keeps, 10) }),
    ],
  });

  test('what grows, what keeps its width, and from where rows change, in words', () => {
    const [narrow, wide] = [at(280, 24, []), at(640, 24, [])];
    expect(behaviorOf([narrow, wide], [{ name: 'row', atPx: 480, below: 2, from: 1 }])).toEqual([
      'Grows with what it stands in: row.',
      'Keeps its width: icon (24).',
      'What stands in row is in 2 rows below 480 px, in one row from there.',
    ]);
    expect(behaviorOf([narrow], [])).toEqual([]);
  });

  test('things that share height stand in one row', () => {
    expect(rowsOf({ inside: [] })).toBe(0);
    expect(rowsOf({ inside: [box(0, 0, 10, 30), box(20, 10, 10, 10)] })).toBe(1);
    expect(rowsOf({ inside: [box(0, 0, 10, 10), box(0, 10, 10, 10), box(0, 0, 0, 9)] })).toBe(2);
  });
});

const drawable = (own: Partial<Drawable> = {}): Drawable => {
  const picture = {
    xhtml: '<div xmlns="http://www.w3.org/1999/xhtml">x</div>',
    width: 200,
    height: 164,
  };
  return {
    title: 'Card',
    says: 'One of several things side by side.',
    foot: 'Brackwater Ferries, light',
    scene: card(),
    picture,
    states: [
      { name: 'at rest', picture },
      { name: 'pointed at', picture },
    ],
    widths: [280, 640].map((px) => ({ px, picture, scene: { ...card(), width: px } })),
    breaks: [],
    page: '#fdf9f1',
    css: '.a > .b { content: "<&>"; }',
    moved: new Map(),
    ...own,
  };
};

/** The words of the elements of a text, by the names of those; it throws where that is no XML. */
function wordsIn(xml: string): ReadonlyMap<string, string> {
  const parser = new SaxesParser();
  const words = new Map<string, string>();
  const open: string[] = [];
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name }) => open.push(name));
  parser.on('text', (text) => {
    const name = open.at(-1) ?? '';
    words.set(name, (words.get(name) ?? '') + text);
  });
  parser.on('closetag', () => open.pop());
  parser.write(xml).close();
  return words;
}

describe('a drawing', () => {
  test('is well-formed, says everything in words too, and has a label for every measure', () => {
    const drawing = drawingOf(drawable());
    expect(drawing.labels.map(({ key }) => key)).toEqual(
      expect.arrayContaining(measuresOf(card()).map(({ key }) => key)),
    );
    const found = wordsIn(drawing.svg);
    for (const words of [
      'inset 16 all round, card.inset',
      '1 card',
      'pointed at',
      'Keeps its width',
    ])
      expect(found.get('desc')).toContain(words);
    expect(found.get('style')).toContain('.a > .b');
    for (const { box: own } of drawing.labels) {
      expect(own.left).toBeGreaterThanOrEqual(0);
      expect(own.left + own.width).toBeLessThanOrEqual(drawing.width);
      expect(own.top + own.height).toBeLessThanOrEqual(drawing.height);
    }
  });

  test('has an image of each picture where there is one, after what draws XHTML', () => {
    const still = 'data:image/png;base64,AAAA';
    const plain = drawable();
    const stilled = drawingOf({ ...plain, picture: { ...plain.picture, still } });
    expect(stilled.svg).toMatch(
      /<switch><foreignObject requiredExtensions="http:\/\/www\.w3\.org\/1999\/xhtml"[^>]*>.*?<\/foreignObject><image [^>]*href="data:image\/png;base64,AAAA"\/><\/switch>/,
    );
    wordsIn(stilled.svg);
    // Without, nothing asks for what every browser has.
    expect(drawingOf(plain).svg).not.toMatch(/<switch|requiredExtensions|<image/);
  });

  test('draws what is wide smaller beside its other forms, and says so; what fits is as it is', () => {
    const widths = [375, 720, 1440].map((px) => ({
      px,
      picture: { ...drawable().picture, width: px },
      scene: { ...card(), width: px },
    }));
    const wide = drawingOf(drawable({ widths }));
    expect(wide.svg).toContain('1440 px, drawn at 50 %');
    expect(wide.svg).toContain('scale(0.5)');
    expect(drawingOf(drawable()).svg).not.toMatch(/drawn at|scale\(/);
    expect(wide.width).toBeLessThan(1000);
  });

  test('shows what was chosen of it', () => {
    const of = (own: Partial<typeof USUAL_CHOICE>) =>
      drawingOf(drawable(), { ...USUAL_CHOICE, ...own });
    const only = of({ chapters: ['measures'], kinds: ['gap'] });
    expect(only.words).toEqual(['Measures:', 'gap 8 between rows, card.gap']);
    expect(only.svg).not.toContain('inset, the room inside');
    expect(of({ chapters: ['states'] }).labels).toEqual([]);
    expect(of({ ground: 'none' }).svg).not.toContain('#fdf9f1');
    expect(of({ ground: 'page' }).svg).toContain('#fdf9f1');
    const [one, two] = ([1, 2] as const).map((scale) => of({ scale, chapters: ['measures'] }));
    expect((two?.height ?? 0) - (one?.height ?? 0)).toBeGreaterThan(100);
    // A drawing twice as large tells the same lengths.
    expect(two?.words).toEqual(one?.words);
    const alone = of({ chapters: ['measures'], only: new Set(['card/text']) });
    expect(alone.words).toEqual(['Measures:', 'margin 12 left']);
  });

  test('hostile names are words in it', () => {
    const hostile = '</text><script>alert(1)</script>&"\u0000';
    const scene: Scene = {
      ...card(),
      things: card().things.map((one) => ({
        ...one,
        name: hostile,
        place: hostile,
        facts: [{ what: hostile, value: hostile, tokens: [hostile] }],
      })),
    };
    const { svg } = drawingOf(
      drawable({ scene, title: hostile, says: hostile, foot: hostile, page: hostile }),
    );
    expect(svg).not.toContain('<script');
    expect(wordsIn(svg).get('desc')).toContain('alert(1)');
  });

  test('words are parted at spaces, and cut only where nothing else helps', () => {
    expect(wrapped('one two three', 7)).toEqual(['one two', 'three']);
    expect(wrapped('abcdefghij kl', 4)).toEqual(['abcd', 'efgh', 'ij', 'kl']);
    expect(wrapped('', 4)).toEqual([]);
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 1, max: 20 }), (words, most) => {
        const lines = wrapped(words, most);
        const letters = (text: string): string => text.replaceAll(' ', '');
        return (
          letters(lines.join('')) === letters(words) && lines.every(({ length: n }) => n <= most)
        );
      }),
    );
  });
});

test('labels are moved, moved again, and go back, each as one change of the document', () => {
  let count = 0;
  const move = (from: ReturnType<typeof sampleDocument>, measure: string, x: number, y: number) => {
    const patch = movingLabel(
      from.components.labels,
      { drawing: 'card usual', measure, x, y },
      () => `l${(count += 1)}`,
    );
    const result = patched(from, patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    return { patch, document: result.document };
  };
  const moved = (of: ReturnType<typeof sampleDocument>) => [
    ...labelsMoved(of.components.labels, 'card usual'),
  ];
  const first = move(sampleDocument(), 'inset card top', 10.4, -3);
  expect(moved(first.document)).toEqual([['inset card top', { x: 10, y: -3 }]]);
  const second = move(first.document, 'gap card row', 5, 5);
  const third = move(second.document, 'inset card top', 20, 0);
  expect(moved(third.document)).toEqual([
    ['inset card top', { x: 20, y: 0 }],
    ['gap card row', { x: 5, y: 5 }],
  ]);
  expect(moved(move(third.document, 'gap card row', 0, 0).document)).toHaveLength(1);
  expect(move(third.document, 'size card width', 0, 0).patch).toEqual([]);
  expect([...labelsMoved(third.document.components.labels, 'card side')]).toEqual([]);
  expect(movingLabel(undefined, { drawing: 'a b', measure: 'c', x: 0, y: 0 }, () => 'x')).toEqual(
    [],
  );
});

describe('the approach', () => {
  const document = sampleDocument();
  const derived = derive(document);

  test('has every step, every role of space and every text role, with its figures', () => {
    const { svg, words, width, height } = approachOf(document, derived, '');
    const all = words.join('\n');
    for (const { name, px } of derived.steps.values())
      expect(all).toContain(`${name} ${Number(px.toFixed(2))}`);
    for (const { name } of derived.spaces.values()) expect(all).toContain(name);
    for (const { name } of derived.styles.values()) expect(all).toContain(name);
    expect(all).toContain(`unit of ${document.space.unit} px`);
    expect(wordsIn(svg).get('title')).toBe(`The approach of ${document.name}`);
    expect(width).toBeGreaterThan(500);
    expect(height).toBeGreaterThan(500);
  });

  test('follows a change of the unit, and names are words in it', () => {
    const changed = patched(document, [
      { op: 'replace', path: '/space/unit', value: 10 },
      { op: 'replace', path: '/name', value: '<script>' },
    ]);
    if (!changed.ok) throw new Error(JSON.stringify(changed.problems));
    const { svg, words } = approachOf(changed.document, derive(changed.document), '');
    expect(words.join()).toContain('unit of 10 px');
    expect(svg).not.toContain('<script');
  });

  test('has bars as long as its steps are, the longest across the sheet', () => {
    const { svg } = approachOf(document, derived, '');
    const bars = [...svg.matchAll(/data-step="([^"]+)" x="[\d.]+" y="[\d.]+" width="([\d.]+)"/g)];
    const longest = Math.max(...[...derived.steps.values()].map(({ px }) => px));
    const scale = Math.min(1, 360 / longest);
    expect(bars.map(([, id, wide]) => [id, Number(wide)])).toEqual(
      [...derived.steps.values()].map(({ id, px }) => [id, Number((px * scale).toFixed(2))]),
    );
  });
});
