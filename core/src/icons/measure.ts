import { distancesTo } from './distance.ts';
import { runsOf, type IconDrawing, type Piece, type Point } from './drawing.ts';
import { THICKEST_STROKE, type IconKind } from './kinds.ts';
import { inked, type Mask } from './raster.ts';

/** What an icon is like. Lengths are shares of the longer side of its box, so that icons of any box compare. */
export interface IconMeasures {
  readonly kind: IconKind;
  /** Width of its strokes; of what is filled, the usual width of what is inked. */
  readonly stroke: number;
  /** How much of it is within a tenth of that width, 0 to 1. */
  readonly evenness: number;
  /** Whether its ends are round; undefined where it has no ends that can be told. */
  readonly roundEnds?: boolean | undefined;
  /** The usual radius of its corners, 0 for sharp ones; undefined where it has no corners. */
  readonly corner?: number | undefined;
  /** The step of the grid that its points are on; undefined where they are on none. */
  readonly grid?: number | undefined;
  /** How much of the box is inked, 0 to 1. */
  readonly ink: number;
  /** Pieces of ink, and holes in it. */
  readonly details: number;
  /** The narrowest room between inks; undefined where there is none. */
  readonly gap?: number | undefined;
  /** Size of what is inked. */
  readonly wide: number;
  readonly high: number;
}

/** The longer side of the box as it is measured, in px: eight to each 24th. */
const PX = 192;

/** A width is even within a tenth; common practice. */
const EVEN = 0.1;

/**
 * Where the distance runs along a crest: twice the distance there is how wide the ink is. A crest that climbs is that
 * of a corner, not of a stroke, and does not count. `beyond` is the distance past the edge of the box: there is no ink.
 */
function widthsAlong({ width, height }: Mask, distances: Float64Array, beyond: number): number[] {
  const widths: number[] = [];
  const climbs = (x: number, y: number, own: number): boolean => {
    const most = own * CLIMB + 0.7;
    for (const [cos, sin] of DIRECTIONS)
      for (const share of REACHES) {
        const nextX = Math.round(x + cos * Math.max(NEAR_PX, own * share));
        const nextY = Math.round(y + sin * Math.max(NEAR_PX, own * share));
        if (nextX < 0 || nextY < 0 || nextX >= width || nextY >= height) continue;
        if ((distances[nextY * width + nextX] as number) > most) return true;
      }
    return false;
  };
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const place = y * width + x;
      const own = distances[place] as number;
      if (own < 1 || own > width + height) continue;
      const left = x === 0 ? beyond : (distances[place - 1] as number);
      const right = x === width - 1 ? beyond : (distances[place + 1] as number);
      const up = y === 0 ? beyond : (distances[place - width] as number);
      const down = y === height - 1 ? beyond : (distances[place + width] as number);
      const across = own >= left && own > right;
      const along = own >= up && own > down;
      if ((!across && !along) || climbs(x, y, own)) continue;
      // An even number of pixels has two in its middle, an odd one has one; what runs aslant lies between.
      const isPair = (across && own === left) || (along && own === up);
      widths.push(2 * own - (Number.isInteger(own) ? (isPair ? 0 : 1) : 0.5));
    }
  return widths.toSorted((one, other) => one - other);
}

/** Whether a crest climbs is seen so far along it: at shares of its height, and never nearer than a few pixels. */
const REACHES = [0.5, 0.9] as const;
const NEAR_PX = 3;
const CLIMB = 1.06;
const DIRECTIONS = Array.from({ length: 16 }, (_, index) => {
  const angle = (index * Math.PI) / 8;
  return [Math.cos(angle), Math.sin(angle)] as const;
});

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;

/** How many pieces hang together: of ink by edges and corners, of what is not inked by edges alone. */
function piecesOf(
  { width, height, ink }: Mask,
  value: 0 | 1,
): { readonly count: number; readonly inside: number } {
  const seen = new Uint8Array(ink.length);
  const waiting = new Int32Array(ink.length);
  let count = 0;
  let inside = 0;
  for (let start = 0; start < ink.length; start += 1) {
    if (ink[start] !== value || seen[start] === 1) continue;
    let touches = false;
    let size = 0;
    let left = 1;
    waiting[0] = start;
    seen[start] = 1;
    const reach = (place: number): void => {
      if (ink[place] !== value || seen[place] === 1) return;
      seen[place] = 1;
      waiting[left] = place;
      left += 1;
    };
    while (left > 0) {
      left -= 1;
      const place = waiting[left] as number;
      size += 1;
      const x = place % width;
      const [isLeft, isRight] = [x === 0, x === width - 1];
      const [isTop, isBottom] = [place < width, place >= width * (height - 1)];
      if (isLeft || isRight || isTop || isBottom) touches = true;
      if (!isLeft) reach(place - 1);
      if (!isRight) reach(place + 1);
      if (!isTop) reach(place - width);
      if (!isBottom) reach(place + width);
      if (value === 0) continue;
      if (!isTop && !isLeft) reach(place - width - 1);
      if (!isTop && !isRight) reach(place - width + 1);
      if (!isBottom && !isLeft) reach(place + width - 1);
      if (!isBottom && !isRight) reach(place + width + 1);
    }
    // Crumbs between two outlines are no details.
    if (size < CRUMB_PX) continue;
    count += 1;
    if (!touches) inside += 1;
  }
  return { count, inside };
}

const CRUMB_PX = 6;

const direction = (from: Point, to: Point): number => Math.atan2(to.y - from.y, to.x - from.x);

const turnBetween = (one: number, other: number): number => {
  const turn = Math.abs(other - one) % (2 * Math.PI);
  return turn > Math.PI ? 2 * Math.PI - turn : turn;
};

const endsOf = (piece: Piece): { readonly into: number; readonly out: number } => {
  if (piece.is === 'line') {
    const one = direction(piece.from, piece.to);
    return { into: one, out: one };
  }
  const { from, one, two, to } = piece;
  const far = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) > 1e-6;
  return {
    into: direction(from, [one, two, to].find((point) => far(from, point)) ?? to),
    out: direction([two, one, from].find((point) => far(to, point)) ?? from, to),
  };
};

interface Corners {
  readonly radii: readonly number[];
  /** Turns of a half circle, by the distance that they bridge. */
  readonly halves: readonly number[];
}

/** Twice the area of a run, negative where it runs the other way round; curves count by their ends. */
const areaOf = ({ pieces }: { readonly pieces: readonly Piece[] }): number =>
  pieces.reduce((sum, { from, to }) => sum + from.x * to.y - to.x * from.y, 0);

/**
 * The radii with which straight lines meet, and the half circles between them. With `side`, the sense in which the
 * outline of what is filled runs, only corners that stick out count: where arms meet, ink has corners of its own.
 */
function cornersOf(
  { pieces, isClosed }: { readonly pieces: readonly Piece[]; readonly isClosed: boolean },
  side: number | undefined,
): Corners {
  const radii: number[] = [];
  const halves: number[] = [];
  const count = pieces.length;
  for (const [index, piece] of pieces.entries()) {
    if (piece.is !== 'line') continue;
    const curves: Piece[] = [];
    let next: Piece | undefined;
    for (let step = 1; step <= count; step += 1) {
      const place = index + step;
      if (place >= count && !isClosed) break;
      const other = pieces[place % count];
      if (other === undefined || other.is === 'line') {
        next = other;
        break;
      }
      curves.push(other);
    }
    if (next === undefined || (next === piece && curves.length === 0)) continue;
    const out = direction(piece.from, piece.to);
    const into = direction(next.from, next.to);
    const turn = turnBetween(out, into);
    const sense = Math.sin(into - out);
    if (side !== undefined && sense * side < 0) continue;
    if (curves.length === 0) {
      if (turn > Math.PI / 6) radii.push(0);
      continue;
    }
    const chord = Math.hypot(next.from.x - piece.to.x, next.from.y - piece.to.y);
    const whole = curves.reduce((sum, curve) => {
      const { into: from, out: to } = endsOf(curve);
      return sum + turnBetween(from, to);
    }, 0);
    if (whole > (5 / 6) * Math.PI && whole < (7 / 6) * Math.PI) halves.push(chord);
    else if (turn >= Math.PI / 3 && turn <= (2 / 3) * Math.PI && Math.abs(whole - turn) < 0.2)
      radii.push(chord / (2 * Math.sin(turn / 2)));
  }
  return { radii, halves };
}

/** The coarsest grid that nine of ten points are on, from a 24th of the box down to a 192nd, or of its own units. */
function gridOf(
  drawing: IconDrawing,
  runs: readonly { readonly pieces: readonly Piece[]; readonly start: Point }[],
): number | undefined {
  const values = runs.flatMap(({ pieces, start }) =>
    [start, ...pieces.map(({ to }) => to)].flatMap(({ x, y }) => [x, y]),
  );
  const side = Math.max(drawing.width, drawing.height);
  for (let step = 2 ** Math.floor(Math.log2(side / 12)); step >= side / 192; step /= 2) {
    const on = values.filter(
      (value) => Math.abs(value / step - Math.round(value / step)) < 0.02,
    ).length;
    if (on >= values.length * 0.9) return step / side;
  }
  return undefined;
}

const median = (values: readonly number[]): number | undefined =>
  values.length === 0
    ? undefined
    : quantile(
        values.toSorted((one, other) => one - other),
        0.5,
      );

/**
 * What an icon is like, from its paths: where they are stroked by what they say, and of what is filled by the width
 * of its ink along its middle.
 * @returns undefined where nothing is inked
 * @throws SyntaxError where a path cannot be read
 */
export function measureIcon(drawing: IconDrawing): IconMeasures | undefined {
  const mask = inked(drawing, PX);
  const { width, height, ink } = mask;
  let [count, left, right, top, bottom] = [0, width, -1, height, -1];
  for (let place = 0; place < ink.length; place += 1) {
    if (ink[place] !== 1) continue;
    const x = place % width;
    const y = (place - x) / width;
    count += 1;
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = y;
  }
  if (count === 0) return undefined;
  const side = Math.max(drawing.width, drawing.height);
  const paths = drawing.shapes.map((shape) => ({ ...shape, runs: runsOf(shape.d) }));
  const runs = paths.flatMap(({ runs: own }) => own);
  const strokes = paths.filter(({ paint }) => paint === 'stroke');
  const isStroked = strokes.length * 2 > paths.length;
  const hasTones = paths.some(({ tone }) => tone === 2) && paths.some(({ tone }) => tone !== 2);
  const hollow = ink.map((value) => 1 - value);
  const widths = widthsAlong(mask, distancesTo(hollow, width, height), 0);
  const measured = quantile(widths, 0.5) / PX;
  const said = median(strokes.map(({ width: own = 0 }) => own / side)) ?? measured;
  const stroke = isStroked ? said : measured;
  const evenness = isStroked
    ? strokes.filter(({ width: own = 0 }) => Math.abs(own / side - stroke) <= stroke * EVEN)
        .length / paths.length
    : widths.filter((own) => Math.abs(own - stroke * PX) <= Math.max(1, stroke * PX * EVEN))
        .length / Math.max(1, widths.length);
  const gaps = widthsAlong(mask, distancesTo(ink, width, height), Infinity);
  const corners = paths.flatMap(({ paint, runs: own }) => {
    const [largest] = own.map(areaOf).toSorted((one, other) => Math.abs(other) - Math.abs(one));
    return own.map((run) => cornersOf(run, paint === 'fill' ? largest : undefined));
  });
  const radii = corners.flatMap(({ radii: own }) => own);
  const corner = median(radii);
  const hasEnds = strokes.some(({ runs: own }) => own.some(({ isClosed }) => !isClosed));
  const halves = corners.flatMap(({ halves: own }) => own);
  const isThin = stroke <= THICKEST_STROKE;
  const kind = hasTones
    ? 'two-toned'
    : isStroked || (isThin && evenness >= LEAST_EVENNESS && count / ink.length < MOST_INK)
      ? 'outlined'
      : 'filled';
  return {
    kind,
    stroke,
    evenness,
    roundEnds: isStroked
      ? hasEnds
        ? drawing.cap === 'round'
        : undefined
      : halves.length > 0
        ? halves.some((chord) => Math.abs(chord / side - stroke) < stroke / 4)
        : undefined,
    corner:
      corner === undefined
        ? undefined
        : isStroked
          ? corner / side + (corner > 0 || drawing.join === 'round' ? stroke / 2 : 0)
          : corner / side,
    grid: gridOf(drawing, runs),
    ink: count / ink.length,
    details: piecesOf(mask, 1).count + piecesOf(mask, 0).inside,
    gap: gaps.length === 0 ? undefined : quantile(gaps, 0.05) / PX,
    wide: (right - left + 1) / width,
    high: (bottom - top + 1) / height,
  };
}

/** What is filled passes for outlined where so much of it is of one width, and so little of the box inked. */
const LEAST_EVENNESS = 0.5;
const MOST_INK = 0.45;
