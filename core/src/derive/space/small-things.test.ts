import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SPACE_PARTS, SPACES_AND_SIDES } from '../../components/spaces.ts';
import { writeCss } from '../../formats/css.ts';
import { utilityRules } from '../../formats/utilities.ts';
import { solveGrid, spanWidth } from '../../space/grid.ts';
import { STEP_NAMES } from '../../system/space-schema.ts';
import { SPACE_SCALES } from '../../space/scale.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { forgetting } from '../../system/breakpoints.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import type { Derived } from '../derived.ts';
import { widthContext, widthIn, widthLimitPx, widthPx } from './layout.ts';
import { partPx } from './parts.ts';

const withNone: Patch = [
  { op: 'add', path: '/space/steps/items/nothing', value: { name: 'none', multiple: 0 } },
  {
    op: 'replace',
    path: '/space/steps/order',
    value: ['nothing', ...sampleDocument().space.steps.order],
  },
];
const rulesOf = ({ rules }: Derived) => rules.flatMap((group) => group.rules);
const problemOf = (patch: Patch): string | undefined => {
  const result = patched(sampleDocument(), patch);
  return result.ok ? undefined : result.problems[0]?.message;
};

describe('a step that is no space', () => {
  test.each(SPACE_SCALES.flatMap((scale) => STEP_NAMES.map((names) => ({ scale, names }))))(
    'is 0 on a scale of $scale called by $names, and moves no other',
    ({ scale, names }) => {
      const changes: Patch = [
        { op: 'replace', path: '/space/scale', value: scale },
        { op: 'replace', path: '/space/names', value: names },
      ];
      const without = derive(sampleDocument(changes));
      const { steps, tokenById } = derive(sampleDocument([...withNone, ...changes]));
      expect(tokenById.get('step.none')?.values.light.css).toBe('0rem');
      const others = [...steps.values()].filter(({ px }) => px > 0);
      expect(others).toEqual([...without.steps.values()]);
    },
  );

  test('is taken on some screens, flowing or from a breakpoint, and by a part', () => {
    const derived = derive(
      sampleDocument([
        ...withNone,
        {
          op: 'replace',
          path: '/space/roles/items/section/value',
          value: { kind: 'stepped', step: 'xl', at: { wide: 'nothing' } },
        },
        {
          op: 'replace',
          path: '/space/roles/items/stack/value',
          value: { kind: 'step', step: 'nothing', at: { wide: 'l' } },
        },
        { op: 'add', path: '/space/parts/card.inset', value: { step: 'nothing' } },
      ]),
    );
    const section = derived.spaces.get('section');
    expect([320, 1079, 1080].map((widthPx) => section?.inline.px({ widthPx }))).toEqual([
      40, 40, 0,
    ]);
    const stack = derived.spaces.get('stack');
    expect(stack?.inline.px({ widthPx: 320 })).toBe(0);
    expect(stack?.inline.px({ widthPx: 1440 })).toBeCloseTo(24, 2);
    expect(derived.tokenById.get('card.inset')?.values.light.reference).toBe('step.none');
  });

  test('has its classes whatever else is in use, from each breakpoint too', () => {
    const document = sampleDocument([
      ...withNone,
      {
        op: 'add',
        path: '/space/utilities',
        value: { prefix: '', steps: 'in use', breakpoints: true },
      },
    ]);
    const selectors = utilityRules(document, derive(document)).map(({ selector }) => selector);
    expect(selectors).toEqual(
      expect.arrayContaining(['.pad-none', '.gap-none', '.pad-top-none-from-wide']),
    );
  });

  test('is the first, the only one, and nothing that a pattern could repeat after', () => {
    expect(problemOf([{ op: 'replace', path: '/space/steps/items/m/multiple', value: 0 }])).toMatch(
      /only the first step can be none/,
    );
    expect(
      problemOf([
        ...withNone,
        {
          op: 'replace',
          path: '/layout/patterns',
          value: {
            order: ['dots'],
            items: {
              dots: {
                name: 'dots',
                kind: 'dots',
                ink: 'text',
                on: 'page',
                cell: 'nothing',
                strength: 0.1,
                turn: 0,
              },
            },
          },
        },
      ]),
    ).toMatch(/repeats after some space/);
  });
});

describe('one side of a space', () => {
  const sided: Patch = [
    ...withNone,
    { op: 'add', path: '/space/parts/card.inset', value: { step: 'nothing' } },
    { op: 'add', path: '/space/parts/card.inset-block-start', value: { step: 'l' } },
    { op: 'add', path: '/space/parts/card.inset-inline-end', value: { px: 13 } },
  ];

  test('is a token of its own, and stands after the whole', () => {
    const derived = derive(sampleDocument(sided));
    expect(derived.tokenById.get('card.inset-block-start')?.values.light.reference).toBe('step.l');
    const { declarations = [] } =
      rulesOf(derived).find(
        ({ selector, declarations: all }) =>
          selector === '.card' && all.some(([property]) => property === 'padding'),
      ) ?? {};
    const paddings = declarations.filter(([property]) => property.startsWith('padding'));
    expect(paddings).toEqual([
      ['padding', 'var(--card-inset)'],
      ['padding-block-start', 'var(--card-inset-block-start)'],
      ['padding-inline-end', 'var(--card-inset-inline-end)'],
    ]);
    expect(writeCss(derived)).toContain('--card-inset-inline-end: 0.8125rem;');
  });

  test('counts where the room of a box is told', () => {
    const { spaces, steps } = derive(sampleDocument(sided));
    const { parts } = sampleDocument(sided).space;
    // 0 before and 13 after: both together are twice the mean.
    expect(partPx('card.inset', 800, { parts, spaces, steps })).toBe(6.5);
  });

  test('is named like no other space, and there is none of what is one side already', () => {
    expect(SPACES_AND_SIDES.size).toBe(new Set(SPACES_AND_SIDES.keys()).size);
    for (const [key, { side, of }] of SPACES_AND_SIDES) {
      expect(Object.hasOwn(SPACE_PARTS, key)).toBe(side === undefined);
      if (side) expect(['padding', 'gap']).toContain(SPACE_PARTS[of]?.property);
    }
  });
});

describe('a width of columns', () => {
  const counted: Patch = [
    {
      op: 'add',
      path: '/layout/widths/items/half',
      value: {
        name: 'half',
        bound: 'max',
        value: 4,
        unit: 'columns',
        at: { medium: 6, wide: 7 },
        centered: true,
      },
    },
    {
      op: 'replace',
      path: '/layout/widths/order',
      value: [...sampleDocument().layout.widths.order, 'half'],
    },
  ];
  const document = sampleDocument(counted);
  const derived = derive(document);

  test('is as wide as so many columns with the gutters between them, at any screen', () => {
    // As the grid itself is solved: n columns and n - 1 gutters.
    fc.assert(
      fc.property(fc.integer({ min: 320, max: 1600 }), (screenPx) => {
        const context = widthContext(derived.grid, screenPx);
        const { columns } = context;
        const range = derived.grid.findLast(({ fromPx }) => screenPx >= fromPx);
        const solved =
          range &&
          solveGrid(
            { ...range.known, container: Math.min(screenPx, range.known.container ?? screenPx) },
            screenPx,
          );
        const count = screenPx >= 1080 ? 7 : screenPx >= 720 ? 6 : 4;
        if (!solved?.ok || !columns) throw new Error('there is no grid');
        expect(widthLimitPx(document.layout, 'half', context)).toBeCloseTo(
          spanWidth(solved.grid, count),
          6,
        );
      }),
    );
  });

  test('never is more columns than there are', () => {
    const context = widthContext(derived.grid, 400);
    expect(widthPx({ value: 9, unit: 'columns' }, context)).toBeCloseTo(context.roomPx, 6);
  });

  test('is written with the properties of the grid, and again from each breakpoint', () => {
    const css = writeCss(derived);
    const of = (count: number): string =>
      `--width-half: calc((100% + var(--grid-gutter)) * min(${count}, var(--grid-columns)) / var(--grid-columns) - var(--grid-gutter));`;
    for (const count of [4, 6, 7]) expect(css).toContain(of(count));
    const rule = rulesOf(derived).find(({ selector }) => selector === '.width-half');
    expect(rule?.declarations).toEqual([
      ['max-inline-size', 'var(--width-half)'],
      ['margin-inline', 'auto'],
    ]);
    expect(derived.tokenById.get('width.half')?.values.light.extension).toMatchObject({
      width: { value: 4, unit: 'columns' },
      from: [{ width: { value: 720, unit: 'px' } }, { width: { value: 1080, unit: 'px' } }],
    });
  });

  test('counts whole columns, and goes with its breakpoint', () => {
    const half = '/layout/widths/items/half';
    expect(problemOf([...counted, { op: 'replace', path: `${half}/value`, value: 2.5 }])).toMatch(
      /whole columns/,
    );
    expect(problemOf([...counted, { op: 'replace', path: `${half}/at/wide`, value: 25 }])).toMatch(
      /whole columns/,
    );
    expect(problemOf([...counted, { op: 'add', path: `${half}/at/lost`, value: 2 }])).toMatch(
      /breakpoint/,
    );
    expect(forgetting(document, 'wide')).toContainEqual({ op: 'remove', path: `${half}/at/wide` });
  });

  test('is as wide as it was in another unit, on the widest screens', () => {
    const half = document.layout.widths.items['half'];
    if (!half) throw new Error('there is no such width');
    const context = widthContext(derived.grid, 1440);
    for (const unit of ['rem', 'em', 'ch', 'px', '%'] as const) {
      const there = widthIn(half, unit, derived.grid);
      expect(widthPx(there, context) / widthPx(half, context)).toBeCloseTo(1, 2);
      expect(widthIn(there, 'columns', derived.grid)).toEqual(half);
    }
  });
});

describe('rows of the grid', () => {
  test('have a gap and a least height where that is decided, and nothing where it is not', () => {
    const rows: Patch = [
      { op: 'add', path: '/layout/grid/base/rowGap', value: 16 },
      { op: 'add', path: '/layout/grid/at/wide/rowGap', value: 32 },
      { op: 'add', path: '/layout/grid/at/medium/row', value: 48 },
    ];
    const css = writeCss(derive(sampleDocument(rows)));
    expect(css).toContain('--grid-row-gap: 1rem;');
    expect(css).toContain('--grid-row-gap: 2rem;');
    expect(css).toContain('--grid-row: 0rem;');
    expect(css).toContain('--grid-row: 3rem;');
    expect(css).toContain('row-gap: var(--grid-row-gap);');
    expect(css).toContain('grid-auto-rows: minmax(var(--grid-row), auto);');
    expect(writeCss(derive(sampleDocument()))).not.toContain('--grid-row');
  });
});
