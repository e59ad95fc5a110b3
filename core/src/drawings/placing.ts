import type { Box } from '../measures/geometry.ts';
import type { Measure } from './measures.ts';

/** How far a label was moved by hand, in px of the drawing. */
export interface Moved {
  readonly x: number;
  readonly y: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A straight line of a drawing. */
export type Stroke = readonly [from: Point, to: Point];

/** A measure with its place in a drawing; all in px of the drawing. */
export interface PlacedMeasure {
  readonly measure: Measure;
  readonly line: Stroke;
  /** From the edges out to the measure. */
  readonly helpers: readonly Stroke[];
  /** From the measure to its label, where that does not stand at it. */
  readonly leader?: Stroke;
  readonly label: Box;
  readonly lines: readonly string[];
}

/** Where everything of a drawing stands. */
export interface Placed {
  readonly width: number;
  readonly height: number;
  /** Where the corner of the component is. */
  readonly origin: Point;
  readonly measures: readonly PlacedMeasure[];
}

export const LABEL = { size: 11, line: 14, room: 5, advance: 0.6 } as const;

/** How wide lines of label are, in px: its face has figures and letters of one width. */
export const linesWide = (lines: readonly string[]): number =>
  Math.ceil(
    Math.max(0, ...lines.map((line) => line.length)) * LABEL.size * LABEL.advance + 2 * LABEL.room,
  );
export const linesHigh = (lines: readonly string[]): number => lines.length * LABEL.line + 4;

/** Between the component and the first measure, from one measure to the next, and to the labels. */
const OUT_PX = 18;
const LANE_PX = 12;
const TO_LABEL_PX = 14;
/** Between labels. */
const APART_PX = 5;
/** A measure and its neighbor in one lane. */
const CLEAR_PX = 6;

interface Spread {
  readonly at: number;
  readonly size: number;
}

/**
 * Where things stand along a line that want to stand at given places and must not touch: as near as can be in sum of
 * squares, in their order. The pool-adjacent-violators method of isotonic regression (Barlow et al., 1972; from memory).
 * @param wanted the middle that each wants, and its size, in the order of their middles
 * @returns the middle of each
 */
export function spread(wanted: readonly Spread[], apart = APART_PX): readonly number[] {
  // Without their own sizes before them, they need only be in order.
  const offsets: number[] = [];
  let taken = 0;
  for (const { size } of wanted) {
    offsets.push(taken + size / 2);
    taken += size + apart;
  }
  const blocks: { sum: number; count: number }[] = [];
  for (const [index, { at }] of wanted.entries()) {
    blocks.push({ sum: at - (offsets[index] ?? 0), count: 1 });
    for (;;) {
      const [before, last] = [blocks.at(-2), blocks.at(-1)];
      if (!before || !last || before.sum / before.count <= last.sum / last.count) break;
      blocks.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count });
    }
  }
  return blocks
    .flatMap(({ sum, count }) => Array.from({ length: count }, () => sum / count))
    .map((start, index) => start + (offsets[index] ?? 0));
}

/** The lanes of measures beside each other: those that would touch lie in different ones, short ones nearest. */
export function lanesOf(measures: readonly Pick<Measure, 'from' | 'to'>[]): readonly number[] {
  const lanes: (readonly [number, number])[][] = [];
  const result = measures.map(() => 0);
  const order = measures
    .map(({ from, to }, index) => ({ from, to, index }))
    .sort((one, other) => one.to - one.from - (other.to - other.from) || one.from - other.from);
  for (const { from, to, index } of order) {
    const free = lanes.findIndex((lane) =>
      lane.every(([start, end]) => end + CLEAR_PX <= from || to + CLEAR_PX <= start),
    );
    const lane = free === -1 ? lanes.length : free;
    (lanes[lane] ??= []).push([from, to]);
    result[index] = lane;
  }
  return result;
}

/**
 * The rows of labels that stand above measures like flags, each to the right of its own staff: no two touch, and no
 * staff crosses the label of another.
 * @param flags where each staff is, and how wide its label, from left to right
 * @returns the row of each, 0 the nearest
 */
export function flagRows(
  flags: readonly { readonly x: number; readonly width: number }[],
): readonly number[] {
  const rows: number[] = [];
  for (let index = flags.length - 1; index >= 0; index -= 1) {
    const { x, width } = flags[index] ?? { x: 0, width: 0 };
    let row = 0;
    for (let other = index + 1; other < flags.length; other += 1)
      if ((flags[other]?.x ?? 0) < x + width + APART_PX)
        row = Math.max(row, (rows[other] ?? 0) + 1);
    rows[index] = row;
  }
  return rows;
}

interface Label {
  readonly lines: readonly string[];
  readonly moved?: Moved | undefined;
}

type Sided = 'left' | 'right' | 'top' | 'bottom';

/** Sizes stand left and below, rooms right and above. */
const sideOf = ({ kind, axis }: Measure): Sided =>
  kind === 'size' ? (axis === 'y' ? 'left' : 'bottom') : axis === 'y' ? 'right' : 'top';

const movedBy = (box: Box, moved: Moved | undefined): Box =>
  moved ? { ...box, left: box.left + moved.x, top: box.top + moved.y } : box;

/** The place of a box nearest to a point. */
const nearest = ({ left, top, width, height }: Box, { x, y }: Point): Point => ({
  x: Math.min(Math.max(x, left), left + width),
  y: Math.min(Math.max(y, top), top + height),
});

const middle = ([from, to]: Stroke): Point => ({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });

/**
 * Places measures around a component: each beside the thing on a line of its own, helping lines out to it, and its
 * label beyond all lines of its side, where it covers nothing. Labels that were moved by hand stand where they were
 * put.
 * @param size of the component, in px of the drawing
 * @param labelOf the lines of a measure, and how far its label was moved
 */
export function placed(
  size: { readonly width: number; readonly height: number },
  measures: readonly Measure[],
  labelOf: (measure: Measure) => Label,
): Placed {
  const result: PlacedMeasure[] = [];
  // From where to where the labels at the right reach: flags that are wider than the component stay clear of them.
  const beside = { from: Infinity, to: -Infinity };
  for (const side of ['left', 'right', 'top', 'bottom'] as const) {
    const own = measures
      .filter((measure) => sideOf(measure) === side)
      .sort((one, other) => one.from + one.to - (other.from + other.to) || one.from - other.from);
    const labels = own.map(labelOf);
    const lanes = lanesOf(own);
    const most = Math.max(0, ...lanes);
    const isUpright = side === 'left' || side === 'right';
    const outward = side === 'left' || side === 'top' ? -1 : 1;
    const start = side === 'right' ? size.width : side === 'bottom' ? size.height : 0;
    const beyond = OUT_PX + most * LANE_PX + TO_LABEL_PX;
    const centers = isUpright
      ? spread(
          own.map(({ from, to }, index) => ({
            at: (from + to) / 2,
            size: linesHigh(labels[index]?.lines ?? []),
          })),
        )
      : [];
    const rows = isUpright
      ? []
      : flagRows(
          own.map(({ from, to }, index) => ({
            x: (from + to) / 2,
            width: linesWide(labels[index]?.lines ?? []),
          })),
        );
    const isReaching =
      !isUpright &&
      own.some(
        ({ from, to }, index) =>
          (from + to) / 2 + linesWide(labels[index]?.lines ?? []) > size.width + OUT_PX,
      );
    const usualOut = start + outward * beyond;
    const out = !isReaching
      ? usualOut
      : outward < 0
        ? Math.min(usualOut, beside.from - APART_PX)
        : Math.max(usualOut, beside.to + APART_PX);
    const rowHigh = Math.max(0, ...labels.map(({ lines }) => linesHigh(lines))) + APART_PX;
    for (const [index, measure] of own.entries()) {
      const { lines, moved } = labels[index] ?? { lines: [] };
      const { from, to, edge } = measure;
      const across = start + outward * (OUT_PX + (lanes[index] ?? 0) * LANE_PX);
      const at = (along: number, away: number): Point =>
        isUpright ? { x: away, y: along } : { x: along, y: away };
      const line: Stroke = [at(from, across), at(to, across)];
      const [width, height] = [linesWide(lines), linesHigh(lines)];
      const usual: Box = isUpright
        ? {
            left: outward < 0 ? out - width : out,
            top: (centers[index] ?? 0) - height / 2,
            width,
            height,
          }
        : {
            left: (from + to) / 2,
            top:
              outward < 0
                ? out - (rows[index] ?? 0) * rowHigh - height
                : out + (rows[index] ?? 0) * rowHigh,
            width,
            height,
          };
      if (side === 'right') {
        beside.from = Math.min(beside.from, usual.top);
        beside.to = Math.max(beside.to, usual.top + height);
      }
      const label = movedBy(usual, moved);
      const near = middle(line);
      result.push({
        measure,
        line,
        helpers: [from, to].map((along) => [at(along, edge), at(along, across + outward * 4)]),
        leader: [near, nearest(label, near)],
        label,
        lines,
      });
    }
  }
  const all = [
    { left: 0, top: 0, ...size },
    ...result.flatMap(({ label, line: [one, other] }) => [
      label,
      { left: one.x - 4, top: one.y - 4, width: 8, height: 8 },
      { left: other.x - 4, top: other.y - 4, width: 8, height: 8 },
    ]),
  ];
  const left = Math.floor(Math.min(...all.map((box) => box.left)));
  const top = Math.floor(Math.min(...all.map((box) => box.top)));
  const by = (point: Point): Point => ({ x: point.x - left, y: point.y - top });
  const stroke = ([from, to]: Stroke): Stroke => [by(from), by(to)];
  return {
    width: Math.ceil(Math.max(...all.map((box) => box.left + box.width)) - left),
    height: Math.ceil(Math.max(...all.map((box) => box.top + box.height)) - top),
    origin: { x: -left, y: -top },
    measures: result.map(({ line, helpers, leader, label, ...one }) => ({
      ...one,
      line: stroke(line),
      helpers: helpers.map(stroke),
      ...(leader && { leader: stroke(leader) }),
      label: { ...label, left: label.left - left, top: label.top - top },
    })),
  };
}
