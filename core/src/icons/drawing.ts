import { SVGPathData } from 'svg-pathdata';
import type { Cap, Join } from './kinds.ts';
import { usualStroke } from './usual.ts';

/** A path of an icon, filled or stroked. */
export interface IconShape {
  /** Path data in units of the box, absolute. Source: SVG 2, 9.3. */
  readonly d: string;
  readonly paint: 'fill' | 'stroke';
  /** Of a stroke, in units of the box. */
  readonly width?: number | undefined;
  /** Drawn in the second tone. */
  readonly tone?: 2 | undefined;
  /** Of a fill; nonzero where absent. */
  readonly rule?: 'evenodd' | undefined;
}

/** An icon as nothing but paths: it can hold no script, no address and no color. */
export interface IconDrawing {
  /** The box, from 0 0, in units of its own. */
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly IconShape[];
  readonly cap: Cap;
  readonly join: Join;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A piece of a path: a line, or a cubic curve with its two handles. */
export type Piece =
  | { readonly is: 'line'; readonly from: Point; readonly to: Point }
  | {
      readonly is: 'curve';
      readonly from: Point;
      readonly one: Point;
      readonly two: Point;
      readonly to: Point;
    };

/** A run of pieces without a gap. */
export interface Run {
  readonly pieces: readonly Piece[];
  readonly isClosed: boolean;
  readonly start: Point;
}

const same = (one: Point, other: Point): boolean =>
  Math.abs(one.x - other.x) < 1e-6 && Math.abs(one.y - other.y) < 1e-6;

/**
 * The runs of a path, everything in it turned into lines and cubic curves.
 * @throws SyntaxError where it is no path data.
 */
export function runsOf(d: string): readonly Run[] {
  const { commands } = new SVGPathData(d).toAbs().normalizeHVZ(false).normalizeST().qtToC().aToC();
  const runs: { pieces: Piece[]; isClosed: boolean; start: Point }[] = [];
  let at: Point = { x: 0, y: 0 };
  for (const command of commands) {
    let run = runs.at(-1);
    if (command.type === SVGPathData.MOVE_TO) {
      at = { x: command.x, y: command.y };
      runs.push({ pieces: [], isClosed: false, start: at });
      continue;
    }
    if (run === undefined || run.isClosed) {
      run = { pieces: [], isClosed: false, start: at };
      runs.push(run);
    }
    if (command.type === SVGPathData.CLOSE_PATH) {
      if (!same(at, run.start)) run.pieces.push({ is: 'line', from: at, to: run.start });
      run.isClosed = true;
      at = run.start;
    } else if (command.type === SVGPathData.LINE_TO) {
      const to = { x: command.x, y: command.y };
      if (!same(at, to)) run.pieces.push({ is: 'line', from: at, to });
      at = to;
    } else if (command.type === SVGPathData.CURVE_TO) {
      const to = { x: command.x, y: command.y };
      run.pieces.push({
        is: 'curve',
        from: at,
        one: { x: command.x1, y: command.y1 },
        two: { x: command.x2, y: command.y2 },
        to,
      });
      at = to;
    }
  }
  return runs;
}

export interface InkBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The box around everything that is inked; undefined where nothing is. Strokes count with half their width. */
export function inkBox({
  shapes,
}: IconDrawing):
  | { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number }
  | undefined {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { d, paint, width = 0 } of shapes) {
    const { minX, minY, maxX, maxY } = new SVGPathData(d).toAbs().getBounds();
    const half = paint === 'stroke' ? width / 2 : 0;
    left = Math.min(left, minX - half);
    top = Math.min(top, minY - half);
    right = Math.max(right, maxX + half);
    bottom = Math.max(bottom, maxY + half);
  }
  return right > left || bottom > top ? { left, top, right, bottom } : undefined;
}

const DECIMALS = 1000;
const rounded = (value: number): number => Math.round(value * DECIMALS) / DECIMALS;

/** The same drawing moved and then scaled, in a box of its own. */
export function placed(
  drawing: IconDrawing,
  {
    left,
    top,
    scale,
    width,
    height,
  }: {
    readonly left: number;
    readonly top: number;
    readonly scale: number;
    readonly width: number;
    readonly height: number;
  },
): IconDrawing {
  return {
    ...drawing,
    width: rounded(width),
    height: rounded(height),
    shapes: drawing.shapes.map((shape) => ({
      ...shape,
      d: new SVGPathData(shape.d)
        .toAbs()
        .matrix(scale, 0, 0, scale, left * scale, top * scale)
        .round(DECIMALS)
        .encode(),
      ...(shape.width !== undefined && { width: rounded(shape.width * scale) }),
    })),
  };
}

/** The same with every stroke of one width, the commonest by length of path; fills stay. */
export function evened(drawing: IconDrawing): IconDrawing {
  const usual = usualStroke(drawing);
  if (usual === undefined) return drawing;
  return {
    ...drawing,
    shapes: drawing.shapes.map((shape) =>
      shape.paint === 'stroke' ? { ...shape, width: usual } : shape,
    ),
  };
}
