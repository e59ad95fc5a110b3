import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  makesRoomBetween,
  makesRoomIn,
  makingWords,
  type Length,
  type Outward,
  type Walls,
} from './made-of.ts';
import type { OfSides } from './sides.ts';

const none: Length = { px: 0, tokens: [] };
const of = (px: number, ...tokens: readonly string[]): Length => ({ px, tokens });
const all = <Value>(value: Value): OfSides<Value> => [value, value, value, value];
const walls = (said: Partial<Walls> = {}): Walls => ({
  inset: all(none),
  edge: all(0),
  margin: all(none),
  gap: { row: none, column: none },
  ...said,
});

describe('the room in something', () => {
  const card = walls({
    inset: [of(12, 'a.top'), of(16, 'a.side'), of(20, 'a.end'), of(16, 'a.side')],
  });

  test('is its inset, by side', () => {
    expect(makesRoomIn(12, [walls()], card, 'y', 'start')).toEqual([of(12, 'a.top')]);
    expect(makesRoomIn(20, [walls()], card, 'y', 'end')).toEqual([of(20, 'a.end')]);
    expect(makesRoomIn(16, [walls()], card, 'x', 'start')).toEqual([of(16, 'a.side')]);
  });

  test('is margins, insets and edges of all that is between, the innermost first', () => {
    const text = walls({ margin: all(of(4, 'text.after')) });
    const row = walls({ inset: all(of(8, 'row.inset')), edge: all(1) });
    expect(makesRoomIn(29, [text, row], card, 'x', 'end')).toEqual([
      of(4, 'text.after'),
      of(8, 'row.inset'),
      of(1),
      of(16, 'a.side'),
    ]);
  });

  test('is not told where they do not come to it, or no token has a say', () => {
    expect(makesRoomIn(30, [walls()], card, 'x', 'end')).toEqual([]);
    expect(makesRoomIn(3, [walls()], walls({ edge: all(3) }), 'x', 'end')).toEqual([]);
  });
});

describe('the room between two', () => {
  const grid = walls({ gap: { row: of(24, 'cards.gap'), column: of(32, 'columns.gap') } });
  const plain: Outward = [walls()];

  test('is the gap of what holds both, by axis', () => {
    expect(makesRoomBetween(24, plain, plain, grid, 'y')).toEqual([of(24, 'cards.gap')]);
    expect(makesRoomBetween(32, plain, plain, grid, 'x')).toEqual([of(32, 'columns.gap')]);
  });

  test('is, within each, what leads out of the one and into the other', () => {
    const first: Outward = [walls(), walls({ inset: all(of(16, 'card.inset')) })];
    const second: Outward = [walls(), walls({ inset: all(of(10, 'aside.inset')), edge: all(2) })];
    expect(makesRoomBetween(52, first, second, grid, 'y')).toEqual([
      of(16, 'card.inset'),
      of(24, 'cards.gap'),
      of(2),
      of(10, 'aside.inset'),
    ]);
  });

  // CSS 2.2, 8.3.1: adjoining margins of blocks are one, the larger of them.
  test('is the larger of two margins that meet; beside a gap it is all three', () => {
    const before: Outward = [walls({ margin: all(of(20, 'heading.after')) })];
    const behind: Outward = [walls({ margin: all(of(12, 'text.before')) })];
    expect(makesRoomBetween(20, before, behind, walls(), 'y')).toEqual([of(20, 'heading.after')]);
    expect(makesRoomBetween(20, behind, before, walls(), 'y')).toEqual([of(20, 'heading.after')]);
    expect(makesRoomBetween(56, before, behind, grid, 'y')).toEqual([
      of(20, 'heading.after'),
      of(24, 'cards.gap'),
      of(12, 'text.before'),
    ]);
    expect(makesRoomBetween(32, before, behind, walls(), 'y')).toEqual([
      of(20, 'heading.after'),
      of(12, 'text.before'),
    ]);
  });
});

test('what is told always comes to what was measured, and has a token', () => {
  const length = fc.record({
    px: fc.constantFrom(0, 1, 4, 8, 16, 24.5),
    tokens: fc.constantFrom<readonly string[]>([], ['a'], ['b.c']),
  });
  const side = fc.tuple(length, length, length, length);
  const some = fc.record({
    inset: side,
    margin: side,
    edge: fc.tuple(fc.constantFrom(0, 1), fc.constant(0), fc.constantFrom(0, 2), fc.constant(1)),
    gap: fc.record({ row: length, column: length }),
  });
  const outward = fc
    .tuple(some, fc.array(some, { maxLength: 2 }))
    .map(([own, around]): Outward => [own, ...around]);
  fc.assert(
    fc.property(
      outward,
      outward,
      some,
      fc.constantFrom('x' as const, 'y' as const),
      fc.integer({ min: 0, max: 120 }),
      (one, two, holder, axis, px) => {
        for (const parts of [
          makesRoomBetween(px, one, two, holder, axis),
          makesRoomIn(px, one, holder, axis, 'start'),
        ]) {
          if (parts.length === 0) continue;
          expect(parts.reduce((sum, part) => sum + part.px, 0)).toBeCloseTo(px, 1);
          expect(parts.some(({ tokens }) => tokens.length > 0)).toBe(true);
          expect(parts.every((part) => part.px !== 0)).toBe(true);
        }
      },
    ),
    { numRuns: 300 },
  );
});

test('one length is told by its tokens, several each with its own', () => {
  expect(makingWords([of(16, 'card.inset')], 'px')).toBe('card.inset');
  expect(makingWords([of(16, 'card.inset'), of(1), of(8, 'row.gap', 'x')], 'px')).toBe(
    '16 card.inset + 1 + 8 row.gap x',
  );
  expect(makingWords([of(16, 'a'), of(8, 'b')], 'rem')).toBe('1rem a + 0.5rem b');
  expect(makingWords([], 'px')).toBe('');
});
