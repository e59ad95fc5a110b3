import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { writeCss } from '../../formats/css.ts';
import { contrastRatio } from '../../color/contrast.ts';
import { jsonOf, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { cssOfValue } from '../../tokens/css-value.ts';
import { derive } from '../derive.ts';
import { contentPx, gridAt } from './grid.ts';
import { stepNames, stepSizes } from './space.ts';

const cssOf = (token: string, changes: Patch = []): string | undefined =>
  derive(sampleDocument(changes)).tokenById.get(token)?.values.light.css;

const role = (id: string, value: object, block?: object): Patch => [
  { op: 'replace', path: `/space/roles/items/${id}/value`, value: jsonOf(value) },
  ...(block
    ? [{ op: 'add', path: `/space/roles/items/${id}/block`, value: jsonOf(block) } as const]
    : []),
];

describe('steps', () => {
  test('on a base of 8 are 8, 16, 24, and on 4 they are 4, 8, 12', () => {
    // Common practice: scales of multiples of 8 and of 4.
    const multiples = (unit: number): readonly number[] =>
      stepSizes(
        sampleDocument([
          { op: 'replace', path: '/space/unit', value: unit },
          { op: 'replace', path: '/space/steps/items/xs/multiple', value: 1 },
          { op: 'replace', path: '/space/steps/items/s/multiple', value: 2 },
          { op: 'replace', path: '/space/steps/items/m/multiple', value: 3 },
        ]).space,
      ).slice(0, 3);
    expect(multiples(8)).toEqual([8, 16, 24]);
    expect(multiples(4)).toEqual([4, 8, 12]);
  });

  test('may be a series, or made by hand, and be called by their size or multiple', () => {
    const series = sampleDocument([
      { op: 'replace', path: '/space/scale', value: 'geometric' },
      { op: 'add', path: '/space/series', value: { first: 1, ratio: 2 } },
      { op: 'replace', path: '/space/names', value: 'multiples' },
    ]).space;
    expect(stepSizes(series)).toEqual([8, 16, 32, 64, 128, 256]);
    expect(stepNames(series, stepSizes(series))).toEqual(['1', '2', '4', '8', '16', '32']);
    expect(cssOf('step.tiny', [{ op: 'replace', path: '/space/names', value: 'size words' }])).toBe(
      '0.25rem',
    );
    expect(
      cssOf('step.m', [
        { op: 'replace', path: '/space/scale', value: 'by hand' },
        { op: 'add', path: '/space/steps/items/m/px', value: 18 },
      ]),
    ).toBe('1.125rem');
  });

  test('are smaller in rem where the root is larger, and the same in px', () => {
    expect(cssOf('step.m', [{ op: 'add', path: '/type/root', value: 62.5 }])).toBe('1.6rem');
  });
});

describe('roles', () => {
  test('flow between the anchors, and rest outside', () => {
    const changes = role('section', { kind: 'step', step: 'xl', at: { wide: 'xxl' } });
    const section = derive(sampleDocument(changes)).spaces.get('section')?.inline;
    // Linear interpolation: 40 px at 360 px, 64 px at 1440 px, 52 px midway.
    for (const [widthPx, px] of [
      [320, 40],
      [360, 40],
      [900, 52],
      [1440, 64],
      [2000, 64],
    ] as const)
      expect(section?.px({ widthPx })).toBeCloseTo(px, 2);
    expect(section?.value.css).toBe('clamp(2.5rem, 2rem + 2.2222vi, 4rem)');
  });

  test('never turn back between two anchors', () => {
    const steps = sampleDocument().space.steps.order;
    const step = fc.constantFrom(...steps);
    fc.assert(
      fc.property(step, step, (from, to) => {
        const changes = role('section', { kind: 'step', step: from, at: { wide: to } });
        const { inline } = derive(sampleDocument(changes)).spaces.get('section') ?? {};
        const sign = Math.sign(steps.indexOf(to) - steps.indexOf(from));
        let before = inline?.px({ widthPx: 200 }) ?? 0;
        for (let widthPx = 245; widthPx < 2000; widthPx += 45) {
          const px = inline?.px({ widthPx }) ?? 0;
          expect((px - before) * (sign || 1)).toBeGreaterThanOrEqual(-1e-9);
          if (sign === 0) expect(px).toBe(before);
          before = px;
        }
      }),
      { numRuns: 25 },
    );
  });

  test('take steps at breakpoints, smallest screen first, in one rule a breakpoint', () => {
    const changes = role('inset', { kind: 'stepped', step: 's', at: { medium: 'm', wide: 'l' } });
    const derived = derive(sampleDocument(changes));
    const css = writeCss(derived);
    expect(css).toContain('--space-inset: var(--step-s);');
    expect(css).toMatch(
      /@media \(width >= 720px\) \{\n {2}:root \{[^}]*--space-inset: var\(--step-m\);/,
    );
    expect(css).toMatch(
      /@media \(width >= 1080px\) \{\n {2}:root \{[^}]*--space-inset: var\(--step-l\);/,
    );
    const { inline } = derived.spaces.get('inset') ?? {};
    expect([719, 720, 1080].map((widthPx) => inline?.px({ widthPx }))).toEqual([8, 16, 24]);
  });

  test('shrink with their container, scale with their text, and are pulled out', () => {
    const shrinking = {
      kind: 'shrinking',
      form: 'min',
      fixed: { value: 5, unit: 'em' },
      share: 8,
    };
    expect(cssOf('space.inset', role('inset', shrinking))).toBe('min(5em, 8%)');
    expect(cssOf('space.control-inline')).toBe('1.25em');
    expect(cssOf('space.control-block')).toBe('0.625em');
    expect(cssOf('space.hang')).toBe('-0.85em');
    expect(cssOf('space.bleed')).toBe('calc(-1 * var(--space-margin))');
  });

  test('reach the components, apart where they are apart', () => {
    const css = writeCss(derive(sampleDocument()));
    expect(css).toMatch(
      /\.button \{\n {2}padding-block: var\(--button-inset-block\);\n {2}padding-inline: var\(--button-inset-inline\);/,
    );
    expect(css).toMatch(
      /\.card \{\n {2}padding: var\(--card-inset\);\n {2}gap: var\(--card-gap\);\n\}/,
    );
  });

  test('give way to what is decided of one part', () => {
    const part = (value: object): Patch => [
      { op: 'add', path: '/space/parts/card.gap', value: jsonOf(value) },
    ];
    expect(cssOf('card.gap', part({ px: 22 }))).toBe('1.375rem');
    const stepped = derive(sampleDocument(part({ step: 'm' }))).tokenById.get('card.gap');
    expect(stepped?.values.light.reference).toBe('step.m');
  });
});

describe('the grid', () => {
  test('goes on from its own columns to those of a wider screen', () => {
    const { grid } = derive(sampleDocument());
    expect(grid.map(({ fromPx, grid: { columns } }) => [fromPx, columns])).toEqual([
      [0, 4],
      [720, 8],
      [1080, 12],
    ]);
    expect(gridAt(grid, 375)?.column).toBeCloseTo((375 - 48 - 3 * 24) / 4, 9);
    expect(contentPx(grid, 1600)).toBe(1080 - 48);
  });

  test('runs from edge to edge where that is wanted', () => {
    const full = derive(
      sampleDocument([{ op: 'replace', path: '/layout/grid/align', value: 'full' }]),
    );
    expect(contentPx(full.grid, 1600)).toBe(1552);
    expect(full.tokenById.get('grid.container')?.values.light.css).toBe('100%');
  });
});

describe('shape', () => {
  test('casts a shadow in the color of each ground, another in dark', () => {
    const { tokenById } = derive(sampleDocument());
    const onPage = tokenById.get('shadow.page.low');
    expect(onPage?.type).toBe('shadow');
    expect(onPage?.values.light.css).not.toBe(onPage?.values.dark.css);
    expect(onPage?.values.dark.css).toContain('inset');
    for (const mode of ['light', 'dark'] as const) {
      const { json = null, css } = onPage?.values[mode] ?? {};
      // The open format's value says the same as the sheet; only the color is written otherwise.
      const lengths = (text = ''): string => text.replaceAll(/(?:rgb|color)\([^)]*\)/g, 'color');
      expect(lengths(cssOfValue('shadow', json))).toBe(lengths(css));
    }
  });

  test('gives less motion to whoever asks for it', () => {
    const css = writeCss(derive(sampleDocument()));
    expect(css).toContain('--duration-calm: 260ms;');
    expect(css).toMatch(/@media \(prefers-reduced-motion: reduce\) \{[^}]*--duration-calm: 0ms;/);
  });

  test('fills the screen with a fallback for browsers that know no other viewport', () => {
    expect(writeCss(derive(sampleDocument()))).toContain(
      '.screen-high {\n  min-block-size: 100vh;\n  min-block-size: 100svh;\n}',
    );
  });
});

test('what the open format cannot say is read back from our extension as the same CSS', () => {
  const changes = [
    ...role('section', { kind: 'step', step: 'xl', at: { wide: 'xxl' } }),
    ...role('inset', {
      kind: 'shrinking',
      form: 'clamp',
      fixed: { value: 4, unit: 'rem' },
      share: 8,
      least: { value: 12, unit: 'px' },
    }),
  ];
  const { tokenById } = derive(sampleDocument(changes));
  for (const id of [
    'space.section',
    'space.inset',
    'space.control-inline',
    'space.hang',
    'icon.size',
  ]) {
    const { css, extension } = tokenById.get(id)?.values.light ?? {};
    expect([id, cssOfValue('dimension', null, extension)]).toEqual([id, css]);
  }
});

test('a pattern is drawn in colors of the palette, and repeats by the space unit', () => {
  const { patterns } = derive(
    sampleDocument([
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
              on: 'surface',
              cell: 'm',
              strength: 0.05,
              turn: 0,
            },
          },
        },
      },
    ]),
  );
  const [dots] = patterns;
  expect(dots?.svg.light).toContain('width="16"');
  // A share of 5 % is quiet: it hardly differs from its ground.
  expect(
    contrastRatio(dots?.inks.light ?? '#000000', dots?.on.colors.light ?? '#ffffff'),
  ).toBeLessThan(1.2);
});
