import type { Distance } from '@garnish/core/measures/geometry';
import {
  makesRoomBetween,
  makesRoomIn,
  type Length,
  type Outward,
  type Walls,
} from '@garnish/core/measures/made-of';
import { boxOf, edgeOf, gapsOf, roomOf, type Reading } from './chosen.ts';

const wallsOf = (element: Element, reading: Reading): Walls => ({
  inset: roomOf(element, 'padding', reading),
  edge: edgeOf(element),
  margin: roomOf(element, 'margin', reading),
  gap: gapsOf(element, reading),
});

/** An element and what is around it, within something that holds it. */
function outwardWithin(holder: Element, element: Element, reading: Reading): Outward {
  const around: Walls[] = [];
  for (let one = element.parentElement; one && one !== holder; one = one.parentElement)
    around.push(wallsOf(one, reading));
  return [wallsOf(element, reading), ...around];
}

/** The innermost element that holds both, one of them where it holds the other. */
function holderOf(one: Element, two: Element): Element | undefined {
  for (let holder: Element | null = one; holder; holder = holder.parentElement)
    if (holder.contains(two)) return holder;
  return undefined;
}

/** Tells what makes a distance between two elements of a page; nothing where no token has a say in it. */
export function makingBetween(
  one: Element,
  two: Element,
  reading: Reading,
): (distance: Distance) => readonly Length[] {
  const holder = holderOf(one, two);
  if (!holder || one === two) return () => [];
  const walls = wallsOf(holder, reading);
  if (holder === one || holder === two) {
    const inner = outwardWithin(holder, holder === one ? two : one, reading);
    const { left, top } = boxOf(holder);
    return ({ axis, from, px }) =>
      makesRoomIn(
        px,
        inner,
        walls,
        axis,
        Math.abs(from - (axis === 'x' ? left : top)) < 0.01 ? 'start' : 'end',
      );
  }
  const [outOne, outTwo] = [
    outwardWithin(holder, one, reading),
    outwardWithin(holder, two, reading),
  ];
  const [a, b] = [boxOf(one), boxOf(two)];
  return ({ axis, px }) => {
    const [start, size] =
      axis === 'x' ? (['left', 'width'] as const) : (['top', 'height'] as const);
    if (a[start] + a[size] <= b[start]) return makesRoomBetween(px, outOne, outTwo, walls, axis);
    if (b[start] + b[size] <= a[start]) return makesRoomBetween(px, outTwo, outOne, walls, axis);
    return [];
  };
}
