/** Where something stands, in px of the page. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export type Axis = 'x' | 'y';

/** A distance as a line along an axis: from one place to another, across at a third, in px. */
export interface Distance {
  readonly axis: Axis;
  readonly from: number;
  readonly to: number;
  /** Where the line lies on the other axis. */
  readonly at: number;
  readonly px: number;
}

/** Distances smaller than this are none, in px: rounding makes them. */
const NONE_PX = 0.005;

const spanOf = (box: Box, axis: Axis): readonly [from: number, to: number] =>
  axis === 'x' ? [box.left, box.left + box.width] : [box.top, box.top + box.height];

const other = (axis: Axis): Axis => (axis === 'x' ? 'y' : 'x');

/** The middle of what two spans share; where they share nothing, the middle of the first. */
function middleOf(one: readonly [number, number], two: readonly [number, number]): number {
  const [from, to] = [Math.max(one[0], two[0]), Math.min(one[1], two[1])];
  return from < to ? (from + to) / 2 : (one[0] + one[1]) / 2;
}

const line = (axis: Axis, from: number, to: number, at: number): readonly Distance[] => {
  const px = Math.abs(to - from);
  return px < NONE_PX ? [] : [{ axis, from: Math.min(from, to), to: Math.max(from, to), at, px }];
};

/**
 * The distances between two things, along both axes: where they are apart, the room between them; where one reaches
 * over or around the other, that from edge to edge on each side. Nothing where edges meet.
 */
export function distancesBetween(one: Box, two: Box): readonly Distance[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const [a, b] = [spanOf(one, axis), spanOf(two, axis)];
    const at = middleOf(spanOf(one, other(axis)), spanOf(two, other(axis)));
    if (a[1] <= b[0]) return line(axis, a[1], b[0], at);
    if (b[1] <= a[0]) return line(axis, b[1], a[0], at);
    return [...line(axis, a[0], b[0], at), ...line(axis, a[1], b[1], at)];
  });
}

/** The distances from a thing to the edges of what is around it, on all four sides. */
export const distancesAround = (inner: Box, outer: Box): readonly Distance[] => {
  const [x, y] = [inner.left + inner.width / 2, inner.top + inner.height / 2];
  return [
    ...line('x', outer.left, inner.left, y),
    ...line('x', inner.left + inner.width, outer.left + outer.width, y),
    ...line('y', outer.top, inner.top, x),
    ...line('y', inner.top + inner.height, outer.top + outer.height, x),
  ];
};

/** Which edges two things share, in px along each axis. */
export function sharedEdges(
  one: Box,
  two: Box,
): readonly { readonly axis: Axis; readonly at: number }[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const theirs = spanOf(two, axis);
    return spanOf(one, axis)
      .filter((edge) => theirs.some((at) => Math.abs(at - edge) < NONE_PX))
      .map((at) => ({ axis, at }));
  });
}

/** The room between neighbors: from each thing to the nearest behind it that it shares height or width with. */
export function distancesAmong(boxes: readonly Box[]): readonly Distance[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const across = other(axis);
    const shares = (one: Box, two: Box): boolean => {
      const [a, b] = [spanOf(one, across), spanOf(two, across)];
      return Math.max(a[0], b[0]) < Math.min(a[1], b[1]);
    };
    return boxes.flatMap((one) => {
      const [, end] = spanOf(one, axis);
      const [next] = boxes
        .filter((two) => two !== one && spanOf(two, axis)[0] >= end - NONE_PX && shares(one, two))
        .sort((two, three) => spanOf(two, axis)[0] - spanOf(three, axis)[0]);
      return next
        ? line(
            axis,
            end,
            spanOf(next, axis)[0],
            middleOf(spanOf(one, across), spanOf(next, across)),
          )
        : [];
    });
  });
}

const covers = (one: Box, two: Box): boolean =>
  (['x', 'y'] as const).every((axis) => {
    const [a, b] = [spanOf(one, axis), spanOf(two, axis)];
    return Math.max(a[0], b[0]) < Math.min(a[1], b[1]);
  });

const between = (wanted: number, most: number): number => Math.max(0, Math.min(wanted, most));

/** Labels stand so far from what they would have covered, in px. */
const LABEL_GAP = 3;

/**
 * Where a label stands: where it is wanted, within the room; where it would cover something there, at the side of it
 * that is nearer, else above it, or below it where there is no room above.
 */
export function labelPlace(
  wanted: Box,
  room: Pick<Box, 'width' | 'height'>,
  spared: Box | undefined,
): Box {
  const inRoom = (box: Box): Box => ({
    ...box,
    left: between(box.left, room.width - box.width),
    top: between(box.top, room.height - box.height),
  });
  const first = inRoom(wanted);
  if (!spared || !covers(first, spared)) return first;
  const end = spared.left + spared.width;
  const isBehind = wanted.left + wanted.width / 2 > spared.left + spared.width / 2;
  const aside = {
    ...first,
    left: isBehind ? end + LABEL_GAP : spared.left - LABEL_GAP - wanted.width,
  };
  if (inRoom(aside).left === aside.left) return aside;
  const above = spared.top - LABEL_GAP - wanted.height;
  return inRoom({
    ...first,
    top: above >= 0 ? above : spared.top + spared.height + LABEL_GAP,
  });
}

/** A length as it is told: to the hundredth of a px, without zeros that say nothing. */
export const sizeWords = (px: number): string => String(Number(px.toFixed(2)));

/** The same in rem of a root of 16 px. */
export const remWords = (px: number): string => `${Number((px / 16).toFixed(4))}rem`;
