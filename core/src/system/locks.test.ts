import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isLocked, leavingLocked, lockedIn, locking, movesLocked, stateSources } from './locks.ts';
import { patched, valueAt, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const UNIT = '/space/unit';
const BRAND = '/color/sources/items/brand';
const withLocks = (...locked: readonly string[]) =>
  sampleDocument([{ op: 'add', path: '/brief/locked', value: locked }]);

describe('a lock', () => {
  test('holds its place and what stands in it, and nothing beside it', () => {
    for (const [path, is] of [
      [BRAND, true],
      [`${BRAND}/value`, true],
      ['/color/sources/items/brand-2', false],
      ['/color/sources', false],
    ] as const)
      expect([path, isLocked([BRAND], path)]).toEqual([path, is]);
  });

  test('is broken by a change of it, in it, or around it; not by one that says the same', () => {
    const document = withLocks(BRAND);
    const before = document.color.sources.items['brand'];
    const around = (value: string): Patch => [
      {
        op: 'replace',
        path: '/color/sources/items',
        value: { ...document.color.sources.items, brand: { ...before, value } } as never,
      },
    ];
    expect(
      movesLocked(document, [{ op: 'replace', path: `${BRAND}/value`, value: '#000000' }]),
    ).toBe(true);
    expect(movesLocked(document, [{ op: 'remove', path: BRAND }])).toBe(true);
    expect(movesLocked(document, [{ op: 'add', path: `${BRAND}/wide`, value: {} }])).toBe(true);
    expect(movesLocked(document, around('#000000'))).toBe(true);
    expect(movesLocked(document, around(before?.value ?? ''))).toBe(false);
    expect(movesLocked(document, [{ op: 'replace', path: UNIT, value: 4 }])).toBe(false);
    expect(
      movesLocked(document, [
        { op: 'replace', path: `${BRAND}/value`, value: before?.value ?? '' },
      ]),
    ).toBe(false);
  });

  test('is made, opened, and takes those within it along', () => {
    let document = sampleDocument();
    const lock = (path: string, isOn: boolean): void => {
      const result = patched(document, locking(document, path, isOn));
      if (!result.ok) throw new Error(result.problems[0]?.message);
      document = result.document;
    };
    lock(`${BRAND}/value`, true);
    lock(UNIT, true);
    lock(BRAND, true);
    expect(lockedIn(document)).toEqual([UNIT, BRAND]);
    // What is within a locked place is locked already.
    lock(`${BRAND}/name`, true);
    expect(lockedIn(document)).toEqual([UNIT, BRAND]);
    lock(UNIT, false);
    lock(BRAND, false);
    expect([lockedIn(document), 'locked' in document.brief]).toEqual([[], false]);
    expect(locking(document, BRAND, false)).toEqual([]);
  });

  test('is refused where it is no place, or where there are too many', () => {
    const refused = (value: unknown): boolean =>
      !patched(sampleDocument(), [{ op: 'add', path: '/brief/locked', value: value as never }]).ok;
    for (const value of [
      ['no place'],
      [''],
      [],
      [`/${'x'.repeat(400)}`],
      Array(501).fill('/a'),
      [3],
    ])
      expect([value, refused(value)]).toEqual([value, true]);
    // A place that is not there any more harms nothing.
    expect(refused(['/gone/and/away', '/__proto__/x'])).toBe(false);
  });
});

test('whatever a change does, without what would move it everything that is locked is as it was', () => {
  const places = [
    UNIT,
    BRAND,
    `${BRAND}/value`,
    '/layout/logo',
    '/type/anchors',
    '/shape/radii/items/soft',
  ];
  const operations: Patch = [
    { op: 'replace', path: UNIT, value: 5 },
    { op: 'replace', path: `${BRAND}/value`, value: '#123456' },
    { op: 'replace', path: '/layout/logo/least', value: 33 },
    { op: 'replace', path: '/type/anchors/items/wide/base', value: 22 },
    { op: 'replace', path: '/shape/radii/items/soft/px', value: 13 },
    { op: 'replace', path: '/shape/light/from', value: 12 },
  ];
  fc.assert(
    fc.property(
      fc.subarray(places, { minLength: 1 }),
      fc.subarray([...operations]),
      (locked, patch) => {
        const document = withLocks(...locked);
        const rest = leavingLocked(document, patch);
        const result = patched(document, rest);
        if (!result.ok) throw new Error('it does not fit');
        for (const place of locked)
          expect(valueAt(result.document, place)).toEqual(valueAt(document, place));
        // What is left out is locked, all of it.
        for (const one of patch)
          if (!rest.includes(one)) expect(isLocked(locked, one.path)).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

test('the colors of states are those that stand for nothing else', () => {
  const { color } = sampleDocument();
  expect([...stateSources(color)]).toEqual(['success', 'warning', 'danger', 'notice']);
  const shared = sampleDocument([
    {
      op: 'replace',
      path: '/color/roles/items/success/light',
      value: { kind: 'source', source: 'brand' },
    },
    {
      op: 'replace',
      path: '/color/roles/items/notice/light',
      value: { kind: 'near', ramp: 'neutral', rung: 9 },
    },
  ]).color;
  expect([...stateSources(shared)]).toEqual(['warning', 'danger']);
});
