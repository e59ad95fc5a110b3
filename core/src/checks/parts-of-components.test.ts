import { describe, expect, test } from '@jest/globals';
import { converter } from 'culori';
import { derive } from '../derive/derive.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';

const found = (patch: Patch, kind: string) => {
  const document = sampleDocument(patch);
  return findingsOf(document, derive(document)).filter(({ id }) => id.startsWith(`${kind}:`));
};
const repaired = (patch: Patch, kind: string) => {
  const [finding] = found(patch, kind);
  const after = patched(sampleDocument(patch), finding?.repair?.patch ?? []);
  if (!after.ok) throw new Error(JSON.stringify(after.problems));
  return findingsOf(after.document, derive(after.document)).filter(({ id }) =>
    id.startsWith(`${kind}:`),
  );
};

describe('room before and after words', () => {
  const longer = { role: 'section' };
  test('is the same in a new system', () => {
    expect(found([], 'unequal-room')).toEqual([]);
  });

  test.each([
    ['after', longer],
    ['before', longer],
    ['after', { px: 3 }],
    ['before', { px: 99 }],
  ])('that differs %s them is told in px, and the repair makes both the same', (side, value) => {
    const patch: Patch = [{ op: 'add', path: `/space/parts/large-control.${side}`, value }];
    const [finding, ...others] = found(patch, 'unequal-room');
    expect(others).toEqual([]);
    expect(finding?.figures).toMatch(/^[\d.]+ px before them and [\d.]+ px after them at \d+ px$/);
    expect(repaired(patch, 'unequal-room')).toEqual([]);
  });

  test('that is chosen on both sides alike is none', () => {
    const both: Patch = ['before', 'after'].map((side) => ({
      op: 'add',
      path: `/space/parts/large-control.${side}`,
      value: longer,
    }));
    expect(found(both, 'unequal-room')).toEqual([]);
  });
});

describe('gray on a tint', () => {
  const gray: Patch = [
    {
      op: 'add',
      path: '/color/roles/items/ash',
      value: {
        name: 'ash',
        light: { kind: 'own', value: '#9a9a9a' },
        dark: { kind: 'own', value: '#9a9a9a' },
      },
    },
    {
      op: 'replace',
      path: '/color/roles/order',
      value: [...sampleDocument().color.roles.order, 'ash'],
    },
  ];
  const onButton = (part: string): Patch => [
    ...gray,
    { op: 'add', path: `/components/departures/button.${part}`, value: 'color.ash' },
  ];

  test('is nowhere in a new system', () => {
    expect(found([], 'gray')).toEqual([]);
  });

  test('is told with both chromas, as an independent library has them, and let go', () => {
    const findings = found(onButton('ink'), 'gray');
    expect(findings.length).toBeGreaterThan(0);
    for (const { figures } of findings) {
      const [, ink = '', inkChroma, ground = '', groundChroma] =
        /^(#\w+) has a chroma of ([\d.]+), its ground (#\w+) one of ([\d.]+)$/.exec(figures) ?? [];
      // Source: culori, chroma of OKLCH.
      for (const [hex, said] of [
        [ink, inkChroma],
        [ground, groundChroma],
      ] as const)
        expect(converter('oklch')(hex)?.c ?? -1).toBeCloseTo(Number(said), 3);
    }
    expect(repaired(onButton('ink'), 'gray')).toEqual([]);
  });

  test('of what is off is meant, and tells nothing', () => {
    expect(found(onButton('ink-off'), 'gray')).toEqual([]);
  });
});
