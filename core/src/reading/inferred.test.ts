import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { plainTokens } from '../formats/plain-tokens.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { StyleDocument } from '../system/document.ts';
import { seeded } from '../seeded.ts';
import { inferredFrom, readFrom, type Inferred } from './inferred.ts';
import type { Proposal } from './proposal.ts';
import { readSheet } from './read-sheet.ts';
import { sheetsIn } from './sheets-in.ts';

const from = (css: string, apart?: ReadonlySet<string>): Inferred =>
  inferredFrom([readSheet(css, 'x.css')], apart);
const proposal = ({ proposals }: Inferred, id: Proposal['id']): Proposal | undefined =>
  proposals.find((one) => one.id === id);

/** A site as somebody might have built it from a system: values written out, names of its own, rules shuffled. */
function builtFrom(system: StyleDocument, seed: string, noisePx = 0): string {
  const derived = derive(system);
  const { tokens } = plainTokens(system, derived);
  const value = (id: string): string => tokens.find((one) => one.id === id)?.values.light.css ?? '';
  const random = seeded(seed);
  const spaces = tokens
    .filter(({ id }) => id.startsWith('step.'))
    .map(({ values }) => values.light.css);
  const noisy = (css: string): string =>
    noisePx === 0 ? css : `calc(${css} + ${(random() * 2 - 1) * noisePx}px)`;
  const rules = [
    `body { font-size: ${value('type.body.size')}; color: ${value('color.text')}; background: ${value('color.page')} }`,
    ...[1, 2, 3, 4, 5].map(
      (level) => `article h${level} { font-size: ${noisy(value(`type.h${level}.size`))} }`,
    ),
    `.tiny { font-size: ${noisy(value('type.small.size'))} }`,
    ...spaces.map((space, index) => `.s${index} { padding: ${space}; gap: ${space} }`),
    `.big-button { background: ${value('color.action')}; border-radius: ${value('radius.soft')} }`,
    `input { border-radius: ${value('radius.soft')} }`,
    `.price-card { border-radius: ${value('radius.round')} }`,
    `.outer-wrap { max-width: 1216px; color: ${value('color.link')} }`,
  ];
  return rules
    .map((rule) => ({ rule, at: random() }))
    .toSorted((one, other) => one.at - other.at)
    .map(({ rule }) => rule)
    .join('\n');
}

const withDecisions = (patch: Patch): StyleDocument => {
  const result = patched(sampleDocument(), patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

describe('a system that is found in what was built from it', () => {
  const cases = [
    { low: [16, 1.2], high: [18, 1.25], unit: 8 },
    { low: [15, 1.125], high: [17, 1.2], unit: 6 },
    { low: [17, 1.25], high: [20, 1.333], unit: 10 },
    { low: [16, 1.25], high: [16, 1.25], unit: 5 },
  ] as const;
  test.each(cases)('has its base, its ratio, its unit, its corners: %j', ({ low, high, unit }) => {
    const system = withDecisions([
      { op: 'replace', path: '/type/anchors/items/narrow/base', value: low[0] },
      { op: 'replace', path: '/type/anchors/items/narrow/ratio', value: low[1] },
      { op: 'replace', path: '/type/anchors/items/wide/base', value: high[0] },
      { op: 'replace', path: '/type/anchors/items/wide/ratio', value: high[1] },
      { op: 'replace', path: '/space/unit', value: unit },
      { op: 'replace', path: '/shape/radii/items/soft/px', value: 5 },
      { op: 'replace', path: '/shape/radii/items/round/px', value: 11 },
    ]);
    for (const [seed, noise] of [
      ['plain', 0],
      ['noisy', 0.25],
    ] as const) {
      const found = from(builtFrom(system, seed, noise));
      const all = found.proposals.flatMap(({ patch }) => patch);
      const result = patched(sampleDocument(), all);
      if (!result.ok) throw new Error(JSON.stringify(result.problems));
      const { type, space, shape, layout } = result.document;
      // The base is exact; a ratio is within one part in a hundred.
      expect([seed, type.anchors.items['narrow']?.base, type.anchors.items['wide']?.base]).toEqual([
        seed,
        low[0],
        high[0],
      ]);
      expect(Math.abs((type.anchors.items['wide']?.ratio ?? 0) / high[1] - 1)).toBeLessThan(0.01);
      expect(Math.abs((type.anchors.items['narrow']?.ratio ?? 0) / low[1] - 1)).toBeLessThan(0.01);
      expect(['h1', 'h2', 'h3', 'h4'].map((role) => type.roles.items[role]?.place)).toEqual([
        5, 4, 3, 2,
      ]);
      // Half of the unit is a step: what is a multiple of it, is one of the unit or of its half.
      expect([unit, unit / 2, unit * 2]).toContain(space.unit);
      expect(shape.radii.items['soft']?.px).toBe(5);
      expect(shape.radii.items['round']?.px).toBe(11);
      expect(shape.corners.card).toBe('round');
      expect(layout.grid.at['wide']?.container).toBe(1216);
      expect(found.colors[0]).toMatchObject({ hex: '#2a6365', use: 'action' });
    }
  });

  test('tells what it does not explain', () => {
    const css = `body { font-size: 16px } h1 { font-size: 39.06px } h2 { font-size: 31.25px } h3 { font-size: 25px } h4 { font-size: 20px } .odd { font-size: 22.4px }`;
    const scale = proposal(from(css), 'scale');
    expect(scale?.value).toBe('16 px × 1.25');
    expect(scale?.unexplained).toEqual(['22.4 px, .odd']);
    expect(scale?.explains).toBeCloseTo(5 / 6);
    const unit = proposal(from('.a { padding: 8px 16px 24px 13px; gap: 32px }'), 'unit');
    expect(unit).toMatchObject({ value: '8 px', unexplained: ['13px'] });
    expect(proposal(from('.a { padding: 4px 12px 20px; gap: 28px }'), 'unit')?.value).toBe(
      '8 px, halved where it is 4 px',
    );
  });

  test('proposes nothing where nothing says it', () => {
    for (const css of ['', 'a { color: red }', '.a { padding: 7px; font-size: 1em }'])
      expect(from(css).proposals).toEqual([]);
    // A pill is no corner of a scale.
    expect(from('.btn { border-radius: 999px }').proposals).toEqual([]);
  });
});

describe('colors that are found', () => {
  const css = `:root { --brand: #1b4b66 }
header { background: var(--brand); color: #fff } .hero { background: #1c4d69 } h2 { color: #1b4b66 }
.btn { background: #c8452b } .btn:hover { background: #a93820 } p { color: #333; border: 1px solid #343434 }
@media (prefers-color-scheme: dark) { header { background: #001122 } }`;
  test('are joined where they are nearly one, and parted again where somebody says so', () => {
    const { colors, neutrals } = from(css);
    expect(colors.map(({ hex, joined, use }) => [hex, joined, use])).toEqual([
      ['#c8452b', [], 'action'],
      ['#1b4b66', ['#1c4d69'], 'ground'],
    ]);
    expect(neutrals.map(({ hex, joined }) => [hex, joined])).toEqual([
      ['#ffffff', []],
      ['#333333', ['#343434']],
    ]);
    const apart = from(css, new Set(['#1c4d69']));
    expect(apart.colors.map(({ hex }) => hex)).toEqual(['#c8452b', '#1b4b66', '#1c4d69']);
  });
});

test('the page from before is read as a system', () => {
  const text = readFileSync(
    new URL('../../../samples/before-garnish.html', import.meta.url),
    'utf8',
  );
  const found = inferredFrom(sheetsIn({ file: 'before-garnish.html', text }).sheets);
  expect(found.proposals.map(({ id }) => id)).toEqual([
    'scale',
    'unit',
    'breakpoints',
    'gutter',
    'controls',
    'cards',
    'container',
    'light',
    'action',
    'action-hover',
  ]);
  expect(proposal(found, 'scale')?.value).toBe('16 px × 1.25');
  expect(proposal(found, 'container')?.value).toBe('1120 px');
  expect(found.colors[0]?.hex).toBe('#c8452b');
  expect(found.colors.find(({ hex }) => hex === '#1b4b66')?.joined).toEqual(
    expect.arrayContaining(['#1c4d69', '#1d4f6b']),
  );
  expect(found.faces[0]?.[0]).toBe('Trebuchet MS');
  const said = readFrom(['before-garnish.html'], found.proposals);
  expect(said).toMatch(/^Read from before-garnish\.html\. Base size and ratio: 16 px/);
  expect(readFrom(['a', 'b', 'c', 'd'], [])).toBe('Read from a, b, c and others.');
});

test('the colors of what acts, at rest and in its states, are those of the rules', () => {
  const found = from(`.btn { background: #c8452b } .btn:hover, .btn:focus { background: #a93820 }
    .btn:active { background-color: #8a2c18 } .btn-quiet { background: #eeeeee }
    .btn-quiet:hover { background: #dddddd } .link:hover { background: #ff0000 }`);
  const of = (id: Proposal['id']) => proposal(found, id);
  expect(
    ['action', 'action-hover', 'action-pressed'].map((id) => of(id as Proposal['id'])?.value),
  ).toEqual(['#c8452b', '#a93820', '#8a2c18']);
  const result = patched(
    sampleDocument(),
    found.proposals.flatMap(({ patch }) => patch),
  );
  expect(result.ok && result.document.color.roles.items['action-hover']?.light).toEqual({
    ...{ kind: 'own', value: '#a93820' },
  });
  // Without a color of its own nothing acts in one, and a state that is as at rest is none.
  expect(
    proposal(from('.btn { background: #eee } .btn:hover { background: #ddd }'), 'action'),
  ).toBeUndefined();
  expect(
    proposal(from('.btn { background: #c00 } .btn:hover { background: #c00 }'), 'action-hover'),
  ).toBeUndefined();
});
