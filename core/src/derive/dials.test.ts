import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { derive } from './derive.ts';
import { DIALS, dialed } from './dials.ts';
import { stepSizes } from './space/space.ts';

const of = (changes: Patch = []) => {
  const document = sampleDocument(changes);
  return { document, derived: derive(document) };
};
type Dialed = ReturnType<typeof of>;

const after = (system: Dialed, by: Readonly<Record<string, number>>): Dialed => {
  const result = patched(system.document, dialed(system, by));
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return { document: result.document, derived: derive(result.document) };
};
const dial = (id: string) => {
  const found = DIALS.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};
const system = of();
const styles = ({ derived }: Dialed, face: string) =>
  [...derived.styles.values()].filter(
    (style) => (style.face === 'heading') === (face === 'heading'),
  );
const lock = (...locked: readonly string[]): Patch => [
  { op: 'add', path: '/brief/locked', value: locked },
];

test.each(DIALS.map(({ id }) => id))(
  '%s moves nothing where it stands, and fits wherever it is turned',
  (id) => {
    const { least, most, usual, step } = dial(id);
    expect(dialed(system, { [id]: usual })).toEqual([]);
    for (const by of [least, least + step, most - step, most, most * 10])
      expect([by, patched(system.document, dialed(system, { [id]: by })).ok]).toEqual([by, true]);
  },
);

describe('how texts are set', () => {
  test('the line height of headings moves by its share, that of texts stays', () => {
    const next = after(system, { 'heading-line': 90 });
    for (const style of styles(system, 'heading'))
      expect(next.derived.styles.get(style.id)?.lineHeight).toBeCloseTo(style.lineHeight * 0.9, 1);
    for (const style of styles(system, 'text'))
      expect(next.derived.styles.get(style.id)?.lineHeight).toBe(style.lineHeight);
  });

  test('letter spacing is added to in thousandths of an em', () => {
    const next = after(system, { 'text-spacing': 12 });
    for (const style of styles(system, 'text'))
      expect(next.derived.styles.get(style.id)?.letterSpacing).toBeCloseTo(
        style.letterSpacing + 0.012,
        3,
      );
  });

  test('a role that says its own keeps it, and is told', () => {
    const own = of([{ op: 'add', path: '/type/roles/items/h2/lineHeight', value: 1.31 }]);
    const next = after(own, { 'heading-line': 80 });
    expect(next.derived.styles.get('h2')?.lineHeight).toBe(1.31);
    expect(dial('heading-line').stays(own)).toEqual([
      { name: 'h2', path: '/type/roles/items/h2/lineHeight', value: '1.31', why: 'by hand' },
    ]);
    expect(dial('text-line').stays(own)).toEqual([]);
  });

  test('a role that is locked stays as it is, in line height and letter spacing, and is told', () => {
    const held = of(lock('/type/roles/items/h2'));
    const before = held.derived.styles.get('h2');
    const next = after(held, { 'heading-line': 80, 'heading-spacing': 20 });
    const now = next.derived.styles.get('h2');
    expect([now?.lineHeight, now?.letterSpacing]).toEqual([
      before?.lineHeight,
      before?.letterSpacing,
    ]);
    expect(next.derived.styles.get('h3')?.lineHeight).not.toBe(
      held.derived.styles.get('h3')?.lineHeight,
    );
    expect(dial('heading-line').stays(held)).toContainEqual(
      expect.objectContaining({ name: 'h2', why: 'locked' }),
    );
  });

  test('turned twice it has gone both ways together, and its trail says what was decided', () => {
    const twice = after(after(system, { 'text-line': 110 }), { 'text-line': 110 });
    expect(twice.document.type.set?.text?.line).toBeCloseTo(1.21, 4);
    const { decisions } = twice.derived.trailOf('type.body.line-height') ?? { decisions: [] };
    expect(decisions.map(({ path }) => path)).toContain('/type/set/text/line');
  });

  test('all four at once are written into one place', () => {
    const next = after(system, {
      ...{ 'heading-line': 90, 'text-line': 105, 'heading-spacing': -5, 'text-spacing': 5 },
    });
    expect(next.document.type.set).toEqual({
      heading: { line: 0.9, spacing: -0.005 },
      text: { line: 1.05, spacing: 0.005 },
    });
  });
});

describe('the density of all spaces', () => {
  const px = ({ derived }: Dialed, id: string): number =>
    derived.spaces.get(id)?.inline.px({ widthPx: 1280 }) ?? NaN;

  test('moves steps, gutters and margins by its share', () => {
    const next = after(system, { density: 50 });
    for (const [id, step] of system.derived.steps)
      expect(next.derived.steps.get(id)?.px).toBeCloseTo(step.px / 2, 2);
    expect(px(next, 'stack')).toBeCloseTo(px(system, 'stack') / 2, 2);
  });

  test('a length of one’s own and one that is locked stay, both are told, and the locked one is as long as it was', () => {
    const fixed = inOrder(system.document.space.roles).find(
      ([id, { value }]) =>
        value.kind === 'step' && system.derived.spaces.get(id)?.inline.follows === 'nothing',
    )?.[0] as string;
    const own = of([
      ...lock(`/space/roles/items/${fixed}`),
      {
        op: 'replace',
        path: '/space/roles/items/stack/value',
        value: { kind: 'own', value: 1, unit: 'rem' },
      },
    ]);
    const next = after(own, { density: 60 });
    expect(px(next, fixed)).toBeCloseTo(px(own, fixed), 2);
    expect(px(next, 'stack')).toBeCloseTo(16, 2);
    const told = dial('density').stays(own);
    expect(told).toContainEqual(
      expect.objectContaining({ path: `/space/roles/items/${fixed}`, why: 'locked' }),
    );
    expect(told).toContainEqual(
      expect.objectContaining({ path: '/space/roles/items/stack', why: 'by hand' }),
    );
  });

  test.each(['multiples', 'by hand', 'geometric'] as const)(
    'a locked length that flows is as long as it was on every screen, on a scale of %s',
    (scale) => {
      const flowing = { kind: 'step', step: 'l', at: { wide: 'xxl' } };
      const own = of([
        { op: 'replace', path: '/space/scale', value: scale },
        {
          op: 'replace',
          path: '/space/roles/items/section/value',
          value: flowing,
        },
        {
          op: 'replace',
          path: '/space/roles/items/stack/value',
          value: { kind: 'stepped', step: 's', at: { wide: 'm' } },
        },
        ...lock('/space/roles/items/section', '/space/roles/items/stack'),
      ]);
      for (const density of [50, 80, 150]) {
        const next = after(own, { density });
        for (const role of ['section', 'stack'])
          for (const widthPx of [320, 700, 1079, 1080, 1300, 1600]) {
            const on = ({ derived }: Dialed) => derived.spaces.get(role)?.inline.px({ widthPx });
            expect(on(next)).toBeCloseTo(on(own) ?? NaN, 1);
          }
        // What is not locked moves, but on a series that has no room for others.
        const moved = px(next, 'inset-large') / px(own, 'inset-large');
        expect(moved).toBeCloseTo(scale === 'geometric' ? 1 : density / 100, 1);
        const sizes = stepSizes(next.document.space);
        expect(sizes).toEqual(sizes.toSorted((one, other) => one - other));
      }
      // Turned again it adds no further steps; and where the steps are locked, nothing is kept from them.
      const once = after(own, { density: 80 });
      const twice = after(once, { density: 80 });
      expect(twice.document.space.steps.order).toHaveLength(once.document.space.steps.order.length);
      const still = of([
        { op: 'replace', path: '/space/scale', value: scale },
        { op: 'replace', path: '/space/roles/items/section/value', value: flowing },
        ...lock('/space/roles/items/section', '/space/unit', '/space/steps'),
      ]);
      const left = after(still, { density: 80 });
      for (const { derived } of [twice, left])
        expect(derived.spaces.get('section')?.inline.px({ widthPx: 1600 })).toBeCloseTo(
          own.derived.spaces.get('section')?.inline.px({ widthPx: 1600 }) ?? NaN,
          0,
        );
      expect(left.document.space).toEqual(still.document.space);
      expect(dial('density').stays(own)).toContainEqual(
        expect.objectContaining({ path: '/space/roles/items/section', value: 'as it flows' }),
      );
    },
  );

  test('a scale by hand keeps its proportions', () => {
    const byHand = of([
      { op: 'replace', path: '/space/scale', value: 'by hand' },
      ...inOrder(system.document.space.steps).map(([id, { multiple }]) => ({
        ...{ op: 'add' as const, path: `/space/steps/items/${id}/px`, value: multiple * 7 },
      })),
    ]);
    const next = after(byHand, { density: 150 });
    for (const [id, step] of byHand.derived.steps)
      expect(next.derived.steps.get(id)?.px).toBeCloseTo(step.px * 1.5, 1);
  });
});

test('corners move together, round ends and what is locked stay', () => {
  const ids = system.document.shape.radii.order;
  const [first = '', second = ''] = ids;
  const own = of([
    ...lock(`/shape/radii/items/${first}`),
    { op: 'replace', path: `/shape/radii/items/${second}/px`, value: 120 },
  ]);
  const next = after(own, { corners: 200 }).document.shape.radii.items;
  for (const id of ids) {
    const before = own.document.shape.radii.items[id]?.px ?? 0;
    expect([id, next[id]?.px]).toEqual([id, id === first || before >= 100 ? before : before * 2]);
  }
});

test('motion moves together; without any, nothing lasts', () => {
  const all = (one: StyleDocument): readonly number[] =>
    inOrder(one.shape.durations).map(([, { ms }]) => ms);
  expect(all(after(system, { motion: 0 }).document).every((ms) => ms === 0)).toBe(true);
  expect(all(after(system, { motion: 150 }).document)).toEqual(
    all(system.document).map((ms) => Math.round(ms * 1.5)),
  );
});

test('colors come nearer to the page or go away from it, never over it, and what is held by hand stays', () => {
  const held = of([
    {
      op: 'replace',
      path: '/color/roles/items/quiet/light',
      value: { kind: 'rung', ramp: 'neutral', rung: 11 },
    },
  ]);
  fc.assert(
    fc.property(fc.integer({ min: -4, max: 4 }), (by) => {
      const next = after(held, { distance: by }).document.color.roles.items;
      for (const [id, role] of inOrder(held.document.color.roles))
        for (const mode of ['light', 'dark'] as const) {
          const [was, now] = [role[mode], next[id]?.[mode]];
          const page = held.derived.colors.get('page')?.painted[mode].rung ?? 0;
          if (was.kind !== 'near' || now?.kind !== 'near') expect(now).toEqual(was);
          else if (id === 'page') expect(now.rung).toBe(was.rung);
          else {
            expect(Math.sign(now.rung - page)).toBe(Math.sign(was.rung - page));
            expect(Math.abs(now.rung - was.rung)).toBeLessThanOrEqual(Math.abs(by));
            if (by > 0)
              expect(Math.abs(now.rung - page)).toBeGreaterThanOrEqual(Math.abs(was.rung - page));
          }
        }
    }),
    { numRuns: 9 },
  );
  expect(dial('distance').stays(held)).toContainEqual({
    ...{ name: 'quiet', path: '/color/roles/items/quiet', value: 'a held rung', why: 'by hand' },
  });
});
