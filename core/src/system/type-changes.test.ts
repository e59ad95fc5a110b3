import { describe, expect, test } from '@jest/globals';
import { inOrder } from './document.ts';
import { patched, valueAt, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { addingAnchor, addingTextRole, removingAnchor, removingTextRole } from './type-changes.ts';

const SAMPLE = sampleDocument();

const after = (patch: Patch, document = SAMPLE) => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

describe('another anchor', () => {
  test('stands halfway in the widest gap, and leaves the others as they are', () => {
    const three = after(addingAnchor(SAMPLE.type, 'middle'));
    const [narrow, middle, wide] = inOrder(three.type.anchors).map(([, anchor]) => anchor);
    expect(three.type.anchors.order).toEqual(['narrow', 'middle', 'wide']);
    expect([narrow, wide]).toEqual(inOrder(SAMPLE.type.anchors).map(([, anchor]) => anchor));
    for (const part of ['width', 'base', 'ratio'] as const)
      expect(middle?.[part]).toBeCloseTo(((narrow?.[part] ?? 0) + (wide?.[part] ?? 0)) / 2, 0);
  });

  test('goes into the gap that is widest then', () => {
    const three = after(addingAnchor(SAMPLE.type, 'middle'));
    const moved = after(
      [{ op: 'replace', path: '/type/anchors/items/middle/width', value: 400 }],
      three,
    );
    const four = after(addingAnchor(moved.type, 'between'), moved);
    expect(four.type.anchors.order).toEqual(['narrow', 'middle', 'between', 'wide']);
  });

  test('takes what was decided at it along when it goes again', () => {
    const three = after(addingAnchor(SAMPLE.type, 'middle'));
    const [role = ''] = SAMPLE.type.roles.order;
    const [space = ''] = SAMPLE.space.roles.order.filter(
      (id) => SAMPLE.space.roles.items[id]?.value.kind === 'step',
    );
    const [, larger = ''] = SAMPLE.space.steps.order;
    const own = after(
      [
        { op: 'add', path: `/type/roles/items/${role}/sizes`, value: { middle: 33 } },
        { op: 'add', path: `/space/roles/items/${space}/value/at`, value: { middle: larger } },
      ],
      three,
    );
    const back = after(removingAnchor(own, 'middle'), own);
    expect(back.type).toEqual(SAMPLE.type);
    expect(valueAt(back, `/space/roles/items/${space}/value/at`)).toBeUndefined();
  });

  test('leaves sizes at other anchors when it goes', () => {
    const [role = ''] = SAMPLE.type.roles.order;
    const own = after(
      [
        ...addingAnchor(SAMPLE.type, 'middle'),
        { op: 'add', path: `/type/roles/items/${role}/sizes`, value: { middle: 33, wide: 40 } },
      ],
      SAMPLE,
    );
    const back = after(removingAnchor(own, 'middle'), own);
    expect(back.type.roles.items[role]?.sizes).toEqual({ wide: 40 });
  });
});

describe('a text role', () => {
  test('comes at the end, and goes as if it had never been', () => {
    const one = after(addingTextRole(SAMPLE.type, 'new'));
    expect(one.type.roles.order.at(-1)).toBe('new');
    expect(after(removingTextRole(one, 'new'), one)).toEqual(SAMPLE);
  });

  test.each(SAMPLE.type.roles.order)('%s goes with every use of it in the colors', (id) => {
    const gone = after(removingTextRole(SAMPLE, id));
    expect(Object.hasOwn(gone.type.roles.items, id)).toBe(false);
    expect(inOrder(gone.color.texts).filter(([, { text }]) => text === id)).toEqual([]);
    expect(inOrder(gone.color.texts)).toHaveLength(
      inOrder(SAMPLE.color.texts).filter(([, { text }]) => text !== id).length,
    );
  });
});
