import type { FactUnit } from './facts.ts';
import { remWords, sizeWords, type Axis } from './geometry.ts';
import type { OfSides } from './sides.ts';

/** A length in px, and the tokens that make it; none where no token does. */
export interface Length {
  readonly px: number;
  readonly tokens: readonly string[];
}

/** What a thing puts between others and what stands in it; sides in the order of CSS. */
export interface Walls {
  readonly inset: OfSides<Length>;
  readonly edge: OfSides<number>;
  readonly margin: OfSides<Length>;
  /** The room that it leaves between what stands in it: between rows, and between columns. */
  readonly gap: { readonly row: Length; readonly column: Length };
}

/** A thing and what it stands in, from the inside out. */
export type Outward = readonly [Walls, ...Walls[]];

/** Parts that a browser has each put on its own grid make a sum that is so much off, in px. */
const OFF_PX = 0.06;

type End = 'start' | 'end';
type Index = 0 | 1 | 2 | 3;

/** Which side of a thing lies to an end of an axis. */
const SIDE: Readonly<Record<Axis, Readonly<Record<End, Index>>>> = {
  x: { start: 3, end: 1 },
  y: { start: 0, end: 2 },
};

/** From the outside of the first thing to that of the last: margins, then insets and edges of each further out. */
function wayOut(things: Outward, side: Index): readonly Length[] {
  const [, ...around] = things;
  return around.flatMap((outer, index): readonly Length[] => {
    const inner = things[index];
    const edge = { px: outer.edge[side], tokens: [] };
    return inner ? [inner.margin[side], outer.inset[side], edge] : [];
  });
}

/** The parts of the first way that comes to a length; none where no way does, or no token has a say in it. */
function thatMake(px: number, ways: readonly (readonly Length[])[]): readonly Length[] {
  const way = ways.find(
    (parts) => Math.abs(parts.reduce((sum, part) => sum + part.px, 0) - px) < OFF_PX,
  );
  const parts = way?.filter((part) => part.px !== 0) ?? [];
  return parts.some(({ tokens }) => tokens.length > 0) ? parts : [];
}

/**
 * What makes the room from a thing to an end of what it stands in, the innermost first: margins, insets, edges.
 * Nothing where they do not come to it: something else stands between, or the thing was put elsewhere.
 * @param px the room, as it was measured
 * @param inner the thing and what is around it, without the outermost
 */
export const makesRoomIn = (
  px: number,
  inner: Outward,
  outer: Walls,
  axis: Axis,
  end: End,
): readonly Length[] => thatMake(px, [wayOut([...inner, outer], SIDE[axis][end])]);

/**
 * What makes the room between two things that are apart in what holds both, in the order of the line. Beside a gap
 * margins count each; in the flow they are one, the larger. Nothing where they do not come to it.
 * Source: CSS 2.2, 8.3.1, collapsing margins; CSS Box Alignment 3, 8.
 * @param px the room, as it was measured
 * @param first the one that stands before, and what is around it within what holds both; `second` likewise
 */
export function makesRoomBetween(
  px: number,
  first: Outward,
  second: Outward,
  within: Pick<Walls, 'gap'>,
  axis: Axis,
): readonly Length[] {
  const { start, end } = SIDE[axis];
  const gap = within.gap[axis === 'x' ? 'column' : 'row'];
  const none: Length = { px: 0, tokens: [] };
  const before = first.at(-1)?.margin[end] ?? none;
  const behind = second.at(-1)?.margin[start] ?? none;
  const way = (...between: readonly Length[]): readonly Length[] => [
    ...wayOut(first, end),
    ...between,
    ...wayOut(second, start).toReversed(),
  ];
  return thatMake(px, [
    way(before, gap, behind),
    way(behind.px > before.px ? behind : before),
    way(gap),
  ]);
}

/** What makes a length, in words: its tokens; of several parts each with its own length. */
export function makingWords(parts: readonly Length[], unit: FactUnit): string {
  const [first, ...more] = parts;
  if (more.length === 0) return first?.tokens.join(' ') ?? '';
  return parts
    .map(({ px, tokens }) => [unit === 'px' ? sizeWords(px) : remWords(px), ...tokens].join(' '))
    .join(' + ');
}
