import { describe, expect, test } from '@jest/globals';
import { NO_SHIFT } from '../../color/shift.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { nearDuplicates, shiftPatch } from './palette.ts';

const STATES = ['accent', 'success', 'warning', 'danger', 'notice'];

const second: Patch = [
  { op: 'add', path: '/color/sources/items/other', value: { name: 'other', value: '#2c6466' } },
  { op: 'replace', path: '/color/sources/order', value: [...STATES, 'brand', 'other'] },
  {
    op: 'replace',
    path: '/color/roles/items/link/light',
    value: { kind: 'rung', ramp: 'other', rung: 11 },
  },
  { op: 'replace', path: '/color/roles/items/line/dark', value: { kind: 'own', value: '#2b6365' } },
];

describe('a whole palette', () => {
  test('is shifted but for what is locked', () => {
    const document = sampleDocument(second);
    const patch = shiftPatch(document.color, { ...NO_SHIFT, hue: 90 }, new Set(['brand']));
    const result = patched(document, patch);
    if (!result.ok) throw new Error('refused');
    const { sources, roles } = result.document.color;
    expect(sources.items['brand']?.value).toBe('#2a6365');
    expect(sources.items['other']?.value).not.toBe('#2c6466');
    expect(roles.items['line']?.dark).not.toEqual({ kind: 'own', value: '#2b6365' });
    expect(shiftPatch(document.color, NO_SHIFT, new Set())).toEqual([]);
  });
});

describe('colors that are nearly the same', () => {
  const document = sampleDocument(second);
  const found = nearDuplicates(document.color, 0.03);

  test('are found, the nearest first, sources and roles’ own', () => {
    expect(found.map(({ kept, merged }) => `${merged.name} > ${kept.name}`).sort()).toEqual([
      'line in dark > brand',
      'line in dark > other',
      'other > brand',
    ]);
    const distances = found.map(({ distance }) => distance);
    expect(distances).toEqual(distances.toSorted((one, other) => one - other));
    expect(nearDuplicates(document.color, 0.0001)).toEqual([]);
  });

  test('become one, and the role on the one that goes stands on the one that stays', () => {
    const merge = found.find(({ merged }) => merged.source === 'other');
    const result = patched(document, merge?.patch ?? []);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    expect(result.document.color.sources.order).toEqual([...STATES, 'brand']);
    expect(result.document.color.roles.items['link']?.light).toEqual({
      kind: 'rung',
      ramp: 'brand',
      rung: 11,
    });
    expect([...derive(result.document).ramps.keys()]).toEqual([...STATES, 'brand', 'neutral']);
  });
});
