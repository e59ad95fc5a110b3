import { describe, expect, test } from '@jest/globals';
import { differenceEuclidean } from 'culori';
import fc from 'fast-check';
import { hexOf } from '../color/srgb.ts';
import type { StateId } from '../components/states.ts';
import type { Manner } from '../system/component-schema.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { differenceOf, looksOf } from './component-states.ts';
import { createDeriver, derive } from './derive.ts';

const SAMPLE = sampleDocument();
const MANNER: Manner = { surface: 'filled', states: 'shade' };

const after = (patch: Patch) => {
  const result = patched(SAMPLE, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

/** The sample with the main button in a color at rest and in another one where it is pointed at. */
const painted = (rest: string, hover: string) =>
  derive(
    after([
      {
        op: 'replace',
        path: '/color/roles/items/action/light',
        value: { kind: 'own', value: rest },
      },
      {
        op: 'replace',
        path: '/color/roles/items/action-hover/light',
        value: { kind: 'own', value: hover },
      },
    ]),
  );

const difference = (
  { tokenById }: Pick<ReturnType<typeof derive>, 'tokenById'>,
  from: StateId | undefined,
  to: StateId,
  of = 'button',
  manner = MANNER,
) => differenceOf({ of }, from, to, { manner, tokenById, mode: 'light' });

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

describe('how states differ', () => {
  test('is the distance in OKLab that an independent library finds, for any two colors', () => {
    const distance = differenceEuclidean('oklab');
    fc.assert(
      fc.property(hex, hex, (rest, hover) => {
        const found = difference(painted(rest, hover), undefined, 'hover');
        expect(found.distance).toBeCloseTo(distance(rest, hover), 4);
        expect(found.isMore).toBe(false);
      }),
      { numRuns: 25 },
    );
  });

  test('is nothing where both are the very same', () => {
    expect(difference(painted('#336699', '#336699'), undefined, 'hover')).toEqual({
      distance: 0,
      isMore: false,
    });
  });

  test('is a form where it is a ring, a level or a line, and the focus has its ring in any case', () => {
    for (const states of ['edge', 'level', 'underline'] as const) {
      const manner: Manner = { surface: 'filled', states };
      const derived = derive(after([{ op: 'replace', path: '/components/manner', value: manner }]));
      for (const state of ['hover', 'pressed'] as const)
        expect(difference(derived, undefined, state, 'button', manner).isMore).toBe(true);
      expect(difference(derived, 'hover', 'pressed', 'button', manner).isMore).toBe(true);
    }
    expect(difference(derive(SAMPLE), undefined, 'focus').isMore).toBe(true);
  });

  test('of what is pressed counts what pointing changed', () => {
    // An outlined button that is pressed keeps what pointing said where pressing says nothing.
    const manner: Manner = { surface: 'outlined', states: 'shade' };
    const derived = derive(after([{ op: 'replace', path: '/components/manner', value: manner }]));
    const { isMore, distance } = difference(derived, 'hover', 'pressed', 'button', manner);
    expect([isMore, distance > 0.02]).toEqual([false, true]);
  });
});

test('looks are told apart by what is emitted, and are the same for the same', () => {
  const { tokenById } = derive(SAMPLE);
  const of = (name: string, mode: 'light' | 'dark' = 'light') =>
    looksOf({ of: name }, { manner: MANNER, tokenById, mode });
  expect(of('button')).toBe(of('button'));
  expect(of('button')).not.toBe(of('quiet-button'));
  expect(of('check')).not.toBe(of('radio'));
  // One edge is said by the structure, the other by a token: what is seen is the same.
  const departing = derive(
    after([
      { op: 'add', path: '/components/departures/quiet-button.edge', value: 'color.action' },
      { op: 'add', path: '/components/departures/quiet-button.ink', value: 'color.action' },
    ]),
  ).tokenById;
  const looks = looksOf(
    { of: 'quiet-button' },
    { manner: MANNER, tokenById: departing, mode: 'light' },
  );
  const { color, 'border-color': edge } = Object.fromEntries(
    JSON.parse(looks) as [string, string][],
  );
  expect(edge).toBe(color);
});

describe('what is computed anew', () => {
  const computedBy = (patch: Patch): readonly string[] => {
    const computed: string[] = [];
    const deriver = createDeriver((name) => computed.push(name));
    deriver(SAMPLE);
    computed.length = 0;
    deriver(after(patch));
    return computed;
  };

  test('of a size that stays as large are no needs of colors and no rungs', () => {
    const computed = computedBy([
      { op: 'replace', path: '/type/anchors/items/wide/base', value: 18.2 },
    ]);
    expect(computed).toContain('color: what texts need');
    for (const name of ['color: what is needed', 'color: assignment', 'components: tokens'])
      expect([name, computed.includes(name)]).toEqual([name, false]);
  });

  test('of a color are no names of colors and no rules', () => {
    const computed = computedBy([
      { op: 'replace', path: '/color/sources/items/brand/value', value: '#345678' },
    ]);
    expect(computed).toContain('color: assignment');
    for (const name of computed) expect(name).not.toMatch(/^color: names|rules/);
  });

  test('of the manner are the components alone', () => {
    const computed = computedBy([
      { op: 'replace', path: '/components/manner/states', value: 'edge' },
    ]);
    expect(computed).toContain('components: rules');
    // What components need of colors is theirs too; nothing else is.
    for (const name of computed) expect(name).toMatch(/^(components|color|tokens|rules|custom)/);
    for (const name of computed) expect(name).not.toMatch(/^color: (palette|ramps|names)/);
  });
});
