import { describe, expect, test } from '@jest/globals';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import type { Derived } from '../derived.ts';
import { createDeriver, derive } from '../derive.ts';

const SAMPLE = sampleDocument();

const after = (patch: Patch, start: StyleDocument = SAMPLE): StyleDocument => {
  const result = patched(start, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

/** What was derived before a change and after it, by one that remembers. */
function both(patch: Patch): readonly [before: Derived, after: Derived, document: StyleDocument] {
  const deriver = createDeriver();
  const before = deriver(SAMPLE);
  const document = after(patch);
  return [before, deriver(document), document];
}

const MOVED: Patch = [
  { op: 'replace', path: '/color/sources/items/brand/value', value: '#7a3f8f' },
];
const CHANGES: readonly (readonly [string, Patch, readonly string[]])[] = [
  ['the value of a source', MOVED, ['brand', 'neutral']],
  [
    'the name of a source',
    [{ op: 'replace', path: '/color/sources/items/brand/name', value: 'tide' }],
    ['brand'],
  ],
  [
    'the tint of the neutrals',
    [{ op: 'replace', path: '/color/neutral/tint', value: 0.9 }],
    ['neutral'],
  ],
  ['a size in Type', [{ op: 'replace', path: '/type/anchors/items/wide/base', value: 21 }], []],
];

describe.each(CHANGES)('after a change of %s', (_, patch, touched) => {
  const [before, now, document] = both(patch);

  test('ramps that are made of something else are the very same', () => {
    for (const [id, ramp] of now.ramps)
      if (!touched.includes(id)) expect([id, ramp === before.ramps.get(id)]).toEqual([id, true]);
  });

  test('roles that look the same are the very same, and all are what is derived anew', () => {
    const anew = derive(document);
    for (const [id, role] of now.colors) {
      const earlier = before.colors.get(id);
      const isMade = (['light', 'dark'] as const).some((mode) =>
        touched.includes(role.painted[mode].ramp?.id ?? ''),
      );
      if (
        !isMade &&
        earlier?.colors.light === role.colors.light &&
        earlier.colors.dark === role.colors.dark
      )
        expect([id, role === earlier]).toEqual([id, true]);
      expect(role).toEqual(anew.colors.get(id));
    }
    expect([...now.colors.keys()]).toEqual([...anew.colors.keys()]);
  });
});

describe('what a ramp is beside its color', () => {
  test.each<[string, Patch]>([
    ['the names of its rungs', [{ op: 'add', path: '/color/rungNames', value: 'tens' }]],
    ['the chroma that is left in dark', [{ op: 'add', path: '/color/darkChroma', value: 0.6 }]],
    ['its run', [{ op: 'add', path: '/color/sources/items/brand/ramp', value: { paper: 0.9 } }]],
  ])('%s makes it anew, and going back brings what was', (_, patch) => {
    const deriver = createDeriver();
    const first = deriver(SAMPLE).ramps.get('brand');
    const result = patched(SAMPLE, patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    const changed = deriver(result.document).ramps.get('brand');
    expect(changed).not.toBe(first);
    expect(changed).toEqual(derive(result.document).ramps.get('brand'));
    expect(deriver(after(result.inverse, result.document)).ramps.get('brand')).toEqual(first);
  });

  test('shares of roles follow both of theirs', () => {
    const deriver = createDeriver();
    const start = after([
      {
        op: 'replace',
        path: '/color/roles/items/line/light',
        value: { kind: 'share', of: 'action', over: 'page', share: 0.5, form: 'transparent' },
      },
    ]);
    const before = deriver(start).colors.get('line');
    const moved = after(MOVED, start);
    const now = deriver(moved).colors.get('line');
    expect(now).toEqual(derive(moved).colors.get('line'));
    expect(now?.painted.light.transparent).not.toEqual(before?.painted.light.transparent);
  });
});

test('every role of the sample is kept by a change that has nothing to do with colors', () => {
  const [before, now] = both([{ op: 'replace', path: '/space/unit', value: 9 }]);
  expect(now.colors).toBe(before.colors);
  expect(now.ramps).toBe(before.ramps);
  expect(inOrder(SAMPLE.color.roles)).toHaveLength(now.colors.size);
});
