import { runsOf, type IconDrawing, type IconShape, type Piece, type Point } from './drawing.ts';

/** What is inked, pixel by pixel: 1 where the middle of a pixel is. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly ink: Uint8Array;
}

/** Longest run of a flattened curve, in px. */
const STEP_PX = 3;

/** Points of a piece after its first, so close that lines between them pass for the curve. */
export function pointsOf(piece: Piece): readonly Point[] {
  if (piece.is === 'line') return [piece.to];
  const { from, one, two, to } = piece;
  const length =
    Math.hypot(one.x - from.x, one.y - from.y) +
    Math.hypot(two.x - one.x, two.y - one.y) +
    Math.hypot(to.x - two.x, to.y - two.y);
  const steps = Math.min(64, Math.max(2, Math.ceil(length / STEP_PX)));
  return Array.from({ length: steps }, (_, index) => {
    const t = (index + 1) / steps;
    const s = 1 - t;
    const at = (a: number, b: number, c: number, d: number): number =>
      s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    return { x: at(from.x, one.x, two.x, to.x), y: at(from.y, one.y, two.y, to.y) };
  });
}

interface Outline {
  readonly points: readonly Point[];
  readonly isClosed: boolean;
}

const outlinesOf = ({ d }: IconShape, scale: number): readonly Outline[] =>
  runsOf(d).map(({ pieces, isClosed, start }) => {
    const by = ({ x, y }: Point): Point => ({ x: x * scale, y: y * scale });
    const scaled = pieces.map((piece): Piece =>
      piece.is === 'line'
        ? { is: 'line', from: by(piece.from), to: by(piece.to) }
        : {
            is: 'curve',
            from: by(piece.from),
            one: by(piece.one),
            two: by(piece.two),
            to: by(piece.to),
          },
    );
    return { points: [by(start), ...scaled.flatMap(pointsOf)], isClosed };
  });

/** Inks the inside of polygons. Source: SVG 2, 13.4.1, nonzero and evenodd. */
function fillPolygons(
  { width, height, ink }: Mask,
  polygons: readonly (readonly Point[])[],
  isEvenOdd: boolean,
): void {
  let top = height;
  let bottom = -1;
  for (const points of polygons)
    for (const { y } of points) {
      top = Math.min(top, Math.floor(y));
      bottom = Math.max(bottom, Math.ceil(y));
    }
  top = Math.max(0, top);
  bottom = Math.min(height - 1, bottom);
  if (bottom < top) return;
  const crossings: { readonly x: number; readonly turn: number }[][] = Array.from(
    { length: bottom - top + 1 },
    () => [],
  );
  for (const points of polygons)
    for (const [index, from] of points.entries()) {
      const to = points[(index + 1) % points.length] ?? from;
      if (from.y === to.y) continue;
      const turn = to.y > from.y ? 1 : -1;
      const [high, low] = turn === 1 ? [from, to] : [to, from];
      const first = Math.max(top, Math.ceil(high.y - 0.5));
      const last = Math.min(bottom, Math.ceil(low.y - 0.5) - 1);
      const slope = (low.x - high.x) / (low.y - high.y);
      for (let y = first; y <= last; y += 1)
        crossings[y - top]?.push({ x: high.x + (y + 0.5 - high.y) * slope, turn });
    }
  for (const [row, crossed] of crossings.entries()) {
    crossed.sort((one, other) => one.x - other.x);
    let winding = 0;
    for (const [index, { x, turn }] of crossed.entries()) {
      winding += isEvenOdd ? 1 : turn;
      if (isEvenOdd ? winding % 2 === 0 : winding === 0) continue;
      const end = crossed[index + 1]?.x ?? x;
      const first = Math.max(0, Math.ceil(x - 0.5));
      const last = Math.min(width, Math.ceil(end - 0.5));
      const start = (row + top) * width;
      if (last > first) ink.fill(1, start + first, start + last);
    }
  }
}

function fillDisc({ width, height, ink }: Mask, { x, y }: Point, radius: number): void {
  const first = Math.max(0, Math.ceil(y - radius - 0.5));
  const last = Math.min(height - 1, Math.floor(y + radius - 0.5));
  for (let row = first; row <= last; row += 1) {
    const half = Math.sqrt(Math.max(0, radius * radius - (row + 0.5 - y) ** 2));
    const from = Math.max(0, Math.ceil(x - half - 0.5));
    const to = Math.min(width, Math.floor(x + half - 0.5) + 1);
    if (to > from) ink.fill(1, row * width + from, row * width + to);
  }
}

/** The sharpest turn at which a mitered join keeps its point: 1 / sin(angle / 2) up to 4. Source: SVG 2, 13.5.5. */
const MITER_LIMIT = 4;

function strokeOutline(
  mask: Mask,
  { points: all, isClosed }: Outline,
  half: number,
  { cap, join }: Pick<IconDrawing, 'cap' | 'join'>,
): void {
  const points = all.filter(
    (point, index) =>
      index === 0 ||
      Math.hypot(point.x - (all[index - 1]?.x ?? 0), point.y - (all[index - 1]?.y ?? 0)) > 1e-9,
  );
  const [first] = points;
  if (first === undefined) return;
  if (points.length === 1) {
    // A stroke without length is its two caps. Source: SVG 2, 13.5.4.
    if (cap === 'round') fillDisc(mask, first, half);
    if (cap === 'square') {
      const { x, y } = first;
      fillPolygons(
        mask,
        [
          [
            { x: x - half, y: y - half },
            { x: x + half, y: y - half },
            { x: x + half, y: y + half },
            { x: x - half, y: y + half },
          ],
        ],
        false,
      );
    }
    return;
  }
  const ring =
    isClosed &&
    points.length > 2 &&
    points.at(-1) &&
    Math.hypot((points.at(-1)?.x ?? 0) - first.x, (points.at(-1)?.y ?? 0) - first.y) < 1e-6
      ? points.slice(0, -1)
      : points;
  const count = isClosed ? ring.length : ring.length - 1;
  const lineAt = (index: number): { from: Point; to: Point; x: number; y: number } => {
    const from = ring[index % ring.length] ?? first;
    const to = ring[(index + 1) % ring.length] ?? first;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    return { from, to, x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  };
  for (let index = 0; index < count; index += 1) {
    const { from, to, x, y } = lineAt(index);
    const before = !isClosed && index === 0 && cap === 'square' ? half : 0;
    const after = !isClosed && index === count - 1 && cap === 'square' ? half : 0;
    const [nx, ny] = [-y * half, x * half];
    const [a, b] = [
      { x: from.x - x * before, y: from.y - y * before },
      { x: to.x + x * after, y: to.y + y * after },
    ];
    fillPolygons(
      mask,
      [
        [
          { x: a.x + nx, y: a.y + ny },
          { x: b.x + nx, y: b.y + ny },
          { x: b.x - nx, y: b.y - ny },
          { x: a.x - nx, y: a.y - ny },
        ],
      ],
      false,
    );
    if (!isClosed && index === count - 1) continue;
    const next = lineAt(index + 1);
    const turn = x * next.y - y * next.x;
    const along = x * next.x + y * next.y;
    // Within a curve the turn is small, and a disc is what any join comes to.
    if (join === 'round' || along > 0.94) {
      fillDisc(mask, to, half);
      continue;
    }
    const side = turn > 0 ? -1 : 1;
    const corner = [
      { x: to.x - y * half * side, y: to.y + x * half * side },
      { x: to.x - next.y * half * side, y: to.y + next.x * half * side },
    ] as const;
    const sine = Math.sqrt(Math.max(0, (1 + along) / 2));
    const reach = half / Math.max(1e-6, sine);
    const toTip =
      Math.hypot(corner[0].x + corner[1].x - 2 * to.x, corner[0].y + corner[1].y - 2 * to.y) || 1;
    const tip = {
      x: to.x + ((corner[0].x + corner[1].x - 2 * to.x) / toTip) * reach,
      y: to.y + ((corner[0].y + corner[1].y - 2 * to.y) / toTip) * reach,
    };
    fillPolygons(
      mask,
      [
        join === 'miter' && 1 / Math.max(1e-6, sine) <= MITER_LIMIT
          ? [to, corner[0], tip, corner[1]]
          : [to, ...corner],
      ],
      false,
    );
  }
  if (!isClosed && cap === 'round') {
    fillDisc(mask, first, half);
    fillDisc(mask, ring.at(-1) ?? first, half);
  }
}

/**
 * An icon as it is inked, black on white without shades.
 * @param px of the larger side of its box
 * @throws SyntaxError where a path cannot be read
 */
export function inked(drawing: IconDrawing, px: number): Mask {
  const scale = px / Math.max(drawing.width, drawing.height);
  const width = Math.max(1, Math.round(drawing.width * scale));
  const height = Math.max(1, Math.round(drawing.height * scale));
  const mask: Mask = { width, height, ink: new Uint8Array(width * height) };
  for (const shape of drawing.shapes) {
    const outlines = outlinesOf(shape, scale);
    if (shape.paint === 'fill')
      fillPolygons(
        mask,
        outlines.map(({ points }) => points),
        shape.rule === 'evenodd',
      );
    else
      for (const outline of outlines)
        strokeOutline(mask, outline, ((shape.width ?? 0) * scale) / 2, drawing);
  }
  return mask;
}
