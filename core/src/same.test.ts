import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isSame, keptList, keptMap, keptSame } from './same.ts';

/** Any plain value twice, without a part in common. */
const twice = fc.jsonValue().map((value) => [value, structuredClone(value)] as const);

describe('what says the same', () => {
  test('is told of any two copies', () => {
    fc.assert(fc.property(twice, ([one, other]) => isSame(one, other)));
  });

  test('is told as a comparison of their JSON tells it, where the order of keys is the same', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
        if (JSON.stringify(one) === JSON.stringify(other)) return isSame(one, other);
        // Equal values whose keys stand in another order are the same all the same.
        return !isSame(one, other) || JSON.stringify(one).length === JSON.stringify(other).length;
      }),
    );
  });

  test('does not depend on what every object has, nor on keys without a value', () => {
    expect(isSame({ toString: 1 }, {})).toBe(false);
    expect(isSame({}, { toString: 1 })).toBe(false);
    expect(isSame({ one: undefined }, {})).toBe(false);
    expect(isSame({ one: undefined }, { other: undefined })).toBe(false);
  });

  test('of functions, dates and other objects are only the very same', () => {
    const call = (): number => 1;
    expect(isSame(call, call)).toBe(true);
    expect(isSame(call, () => 1)).toBe(false);
    expect(isSame(new Date(0), new Date(0))).toBe(false);
  });

  test('of maps goes by their order', () => {
    const one = new Map([
      ['a', { x: 1 }],
      ['b', { x: 2 }],
    ]);
    expect(isSame(one, new Map([...one].map(([key, value]) => [key, { ...value }])))).toBe(true);
    expect(isSame(one, new Map([...one].reverse()))).toBe(false);
  });
});

describe('what is kept', () => {
  const thing = (id: string, x: number) => ({ id, x });
  const idOf = ({ id }: { readonly id: string }): string => id;

  test('is the very value from before where nothing changed', () => {
    const before = [thing('a', 1), thing('b', 2)];
    expect(keptSame(before, structuredClone(before))).toBe(before);
    expect(keptList(before, structuredClone(before), idOf)).toBe(before);
    const map = new Map(before.map((one) => [one.id, one]));
    expect(keptMap(map, new Map(structuredClone([...map])))).toBe(map);
  });

  test('is every thing that says the same, wherever it stands now', () => {
    const before = [thing('a', 1), thing('b', 2), thing('c', 3)];
    const now = keptList(before, [thing('c', 3), thing('a', 9), thing('b', 2)], idOf);
    expect(now).toEqual([thing('c', 3), thing('a', 9), thing('b', 2)]);
    expect([now[0], now[2]]).toEqual([before[2], before[1]]);
    expect(now[0]).toBe(before[2]);
    expect(now[2]).toBe(before[1]);
    expect(keptList(before, before.slice(0, 2), idOf)).toHaveLength(2);
  });

  test('always says what is new, for any two lists', () => {
    const list = fc.array(
      fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), x: fc.integer({ min: 0, max: 2 }) }),
    );
    fc.assert(
      fc.property(list, list, (before, now) => {
        expect(keptList(before, now, idOf)).toEqual(now);
      }),
    );
  });

  test('of a map is each thing under its key, in whatever order the keys stand', () => {
    const before = new Map([
      ['a', thing('a', 1)],
      ['b', thing('b', 2)],
    ]);
    const turned = keptMap(before, new Map([...structuredClone([...before])].reverse()));
    expect([...turned.keys()]).toEqual(['b', 'a']);
    expect(turned).not.toBe(before);
    expect([turned.get('a'), turned.get('b')]).toEqual([...before.values()]);
    expect(turned.get('a')).toBe(before.get('a'));
    const fewer = keptMap(before, new Map([['a', thing('a', 1)]]));
    expect(fewer).not.toBe(before);
    expect(fewer.size).toBe(1);
    expect(keptMap(undefined, before)).toBe(before);
  });

  test('of a map may be asked in a way of its own', () => {
    const before = new Map([['a', thing('a', 1)]]);
    const now = new Map([['a', thing('a', 2)]]);
    expect(keptMap(before, now, (one, other) => one.id === other.id)).toBe(before);
    expect(keptMap(before, now)).toEqual(now);
  });

  test('of a map always says what is new, for any two maps', () => {
    const map = fc
      .array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.integer({ min: 0, max: 2 })))
      .map((entries) => new Map(entries.map(([id, x]) => [id, thing(id, x)])));
    fc.assert(
      fc.property(map, map, (before, now) => {
        const kept = keptMap(before, now);
        expect([...kept]).toEqual([...now]);
        expect(kept === before).toBe(isSame(before, now));
      }),
    );
  });
});
