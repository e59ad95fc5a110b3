import { describe, expect, test } from '@jest/globals';
import { sampleDocument } from '../system/sample.ts';
import { patched, valueAt } from '../system/patch.ts';
import { createDeriver, derive } from './derive.ts';

const document = sampleDocument();
const derived = derive(document);

describe('derived tokens', () => {
  test('have names of their own, and stand in three tiers', () => {
    const ids = derived.tokens.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const tier of ['primitive', 'semantic', 'component'])
      expect(derived.tokens.some((token) => token.tier === tier)).toBe(true);
  });

  test('refer only to tokens that are there, of the same type, with the same value', () => {
    for (const { id, type, values } of derived.tokens)
      for (const mode of ['light', 'dark'] as const) {
        const { reference, json } = values[mode];
        if (reference === undefined) continue;
        const source = derived.tokenById.get(reference);
        expect([id, source?.type]).toEqual([id, type]);
        expect([id, source?.values[mode].json]).toEqual([id, json]);
      }
  });

  test('can all say why they are what they are, by decisions that exist', () => {
    for (const token of derived.tokens) {
      const { decisions = [] } = derived.trailOf(token.id) ?? {};
      expect(decisions.length).toBeGreaterThan(0);
      for (const { path, value } of decisions) {
        // What may be left open is decided by being left open: the thing that it is part of is there.
        const holder = path.slice(0, path.lastIndexOf('/'));
        expect([path, valueAt(document, path) ?? valueAt(document, holder)]).not.toEqual([
          path,
          undefined,
        ]);
        expect(value).not.toBe('');
      }
    }
  });

  test('the trail of a size tells the sum it came from', () => {
    expect(derived.trailOf('type.h1.size')?.steps[0]).toBe('16 px × 1.2^5 = 39.81 px at 360 px');
  });

  test('of the brand color keep it, unchanged', () => {
    const brand = derived.ramps.get('brand');
    expect(brand?.colors[brand.seat ?? -1]).toBe('#2a6365');
    expect(derived.tokens.some(({ values }) => values.light.css === '#2a6365')).toBe(true);
  });
});

test('a role that takes a source itself keeps it when the source moves to another rung', () => {
  for (const value of ['#2a6365', '#c8f04a', '#663399']) {
    const moved = derive(
      sampleDocument([{ op: 'replace', path: '/color/sources/items/brand/value', value }]),
    );
    expect(moved.colors.get('action')?.colors.light).toBe(value);
    const seat = (moved.ramps.get('brand')?.seat ?? -1) + 1;
    expect(moved.tokenById.get('color.action')?.values.light.reference).toBe(
      `palette.brand.${seat}`,
    );
  }
});

describe('the deriver', () => {
  test('gives the same for the same document', () => {
    const again = createDeriver();
    expect(again(document)).toBe(again(document));
    expect(derive(document).tokens.map(({ id, values }) => [id, values])).toEqual(
      derived.tokens.map(({ id, values }) => [id, values]),
    );
  });

  test('computes only what a change has touched', () => {
    const deriver = createDeriver();
    const before = deriver(document);
    const result = patched(document, [{ op: 'replace', path: '/space/unit', value: 4 }]);
    if (!result.ok) throw new Error('not patched');
    const after = deriver(result.document);
    expect(after.ramps).toBe(before.ramps);
    expect(after.styles).toBe(before.styles);
    expect(after.steps.get('m')?.px).toBe(8);
  });

  test('gives the same whether it remembers something or not', () => {
    const deriver = createDeriver();
    deriver(document);
    const result = patched(document, [
      { op: 'replace', path: '/color/sources/items/brand/value', value: '#b5391a' },
    ]);
    if (!result.ok) throw new Error('not patched');
    const values = (from: typeof derived) => from.tokens.map(({ id, values: own }) => [id, own]);
    expect(values(deriver(result.document))).toEqual(values(derive(result.document)));
  });
});

test('two roles of one name get names of their own', () => {
  const named = sampleDocument([{ op: 'replace', path: '/type/roles/items/h2/name', value: 'h1' }]);
  const slugs = [...derive(named).styles.values()].map(({ slug }) => slug);
  expect(slugs.slice(0, 2)).toEqual(['h1', 'h1-2']);
});

test('a system without an action color has no button, and still derives', () => {
  const bare = sampleDocument([
    { op: 'remove', path: '/color/texts/items/label-action' },
    { op: 'remove', path: '/color/texts/items/button-page' },
    {
      op: 'replace',
      path: '/color/texts/order',
      value: document.color.texts.order.filter(
        (id) => id !== 'label-action' && id !== 'button-page',
      ),
    },
    { op: 'remove', path: '/color/roles/items/action' },
    {
      op: 'replace',
      path: '/color/roles/order',
      value: document.color.roles.order.filter((id) => id !== 'action'),
    },
  ]);
  expect(derive(bare).tokenById.has('button.background')).toBe(false);
});
