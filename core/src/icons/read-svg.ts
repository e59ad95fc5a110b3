import type { Element, ElementContent, Root } from 'hast';
import { fromHtml } from 'hast-util-from-html';
import { SVGPathData } from 'svg-pathdata';
import { parseColor } from '../color/parse-color.ts';
import { oklabOf } from '../color/oklab.ts';
import { isHex, rgbOf } from '../color/srgb.ts';
import { inkBox, placed, type IconDrawing, type IconShape } from './drawing.ts';
import { CAPS, JOINS, type Cap, type Join } from './kinds.ts';

export type IconReading =
  | {
      readonly ok: true;
      readonly drawing: IconDrawing;
      /** What could not be kept, in words. */
      readonly lost: readonly string[];
    }
  | { readonly ok: false; readonly problem: string };

/** More than an icon has, in characters, paths, points and levels. */
export const MOST_CHARACTERS = 60_000;
export const MOST_SHAPES = 64;
const MOST_POINTS = 4000;
const DEEPEST = 60;
/** No box is larger, and no point lies further out. */
const FURTHEST = 100_000;
const DECIMALS = 1000;

type Matrix = readonly [number, number, number, number, number, number];
const PLAIN: Matrix = [1, 0, 0, 1, 0, 0];

const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
];

/** A list of transforms as one matrix. Source: SVG 2, 8.5 and CSS Transforms 1. */
export function matrixOf(transform: string): Matrix {
  let all = PLAIN;
  for (const [, name = '', list = ''] of transform.matchAll(/([a-zA-Z]+)\s*\(([^()]*)\)/g)) {
    const [a = 0, b, c, d = 0, e = 0, f = 0] = list
      .trim()
      .split(/[\s,]+/)
      .map(Number.parseFloat);
    const turn = (a * Math.PI) / 180;
    const around = (made: Matrix): Matrix =>
      b === undefined
        ? made
        : times(times([1, 0, 0, 1, b, c ?? 0], made), [1, 0, 0, 1, -b, -(c ?? 0)]);
    const known: Readonly<Record<string, Matrix>> = {
      matrix: [a, b ?? 0, c ?? 0, d, e, f],
      translate: [1, 0, 0, 1, a, b ?? 0],
      scale: [a, 0, 0, b ?? a, 0, 0],
      rotate: around([Math.cos(turn), Math.sin(turn), -Math.sin(turn), Math.cos(turn), 0, 0]),
      skewX: [1, 0, Math.tan(turn), 1, 0, 0],
      skewY: [1, Math.tan(turn), 0, 1, 0, 0],
    };
    const one = Object.hasOwn(known, name) ? known[name] : undefined;
    if (one?.every(Number.isFinite)) all = times(all, one);
  }
  return all;
}

interface Style {
  readonly fill: string;
  readonly stroke: string;
  readonly width: number;
  readonly rule: string;
  readonly cap: string;
  readonly join: string;
  readonly fillOpacity: number;
  readonly strokeOpacity: number;
  readonly opacity: number;
  readonly matrix: Matrix;
  readonly isHidden: boolean;
}

const INITIAL: Style = {
  fill: '#000000',
  stroke: 'none',
  width: 1,
  rule: 'nonzero',
  cap: 'butt',
  join: 'miter',
  fillOpacity: 1,
  strokeOpacity: 1,
  opacity: 1,
  matrix: PLAIN,
  isHidden: false,
};

/** The attributes of an element by their names in SVG. */
interface Attributes {
  readonly get: (name: string) => string | undefined;
  readonly has: (name: string) => boolean;
}

/** A name however it is spelled: parsers write stroke-linecap in ways of their own. */
const keyOf = (name: string): string => name.replaceAll('-', '').toLowerCase();

/** What its style says wins over its attributes. */
function attributesOf({ properties }: Element): Attributes {
  const all = new Map<string, string>();
  for (const [name, value] of Object.entries(properties))
    if (value !== null && value !== undefined)
      all.set(keyOf(name), Array.isArray(value) ? value.join(' ') : String(value));
  for (const declaration of (all.get('style') ?? '').split(';')) {
    const [name = '', value = ''] = declaration.split(':').map((part) => part.trim());
    if (name !== '' && value !== '') all.set(keyOf(name), value);
  }
  return { get: (name) => all.get(keyOf(name)), has: (name) => all.has(keyOf(name)) };
}

const numberOf = (value: string | undefined, otherwise: number): number => {
  const read = Number.parseFloat(value ?? '');
  return Number.isFinite(read) ? (value?.trim().endsWith('%') ? read / 100 : read) : otherwise;
};

function styleOf(before: Style, own: Attributes): Style {
  const paint = (name: string, inherited: string): string => {
    const value = own.get(name)?.trim();
    return value === undefined || value === 'inherit' ? inherited : value;
  };
  return {
    fill: paint('fill', before.fill),
    stroke: paint('stroke', before.stroke),
    width: numberOf(own.get('stroke-width'), before.width),
    rule: paint('fill-rule', before.rule),
    cap: paint('stroke-linecap', before.cap),
    join: paint('stroke-linejoin', before.join),
    fillOpacity: numberOf(own.get('fill-opacity'), before.fillOpacity),
    strokeOpacity: numberOf(own.get('stroke-opacity'), before.strokeOpacity),
    opacity: before.opacity * numberOf(own.get('opacity'), 1),
    matrix: own.has('transform')
      ? times(before.matrix, matrixOf(own.get('transform') ?? ''))
      : before.matrix,
    isHidden:
      before.isHidden ||
      own.get('display') === 'none' ||
      ['hidden', 'collapse'].includes(own.get('visibility') ?? ''),
  };
}

/** A basic shape as path data; undefined for what is none, or has no size. Source: SVG 2, chapter 10. */
function pathOf(tag: string, own: Attributes): string | undefined {
  const of = (name: string): number => numberOf(own.get(name), 0);
  switch (tag) {
    case 'path':
      return own.get('d');
    case 'line':
      return `M${of('x1')} ${of('y1')}L${of('x2')} ${of('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = (own.get('points') ?? '')
        .trim()
        .split(/[\s,]+/)
        .map(Number.parseFloat);
      if (points.length < 4 || !points.every(Number.isFinite)) return undefined;
      const pairs = points.flatMap((x, at) =>
        at % 2 === 0 ? [`${x} ${points[at + 1] ?? 0}`] : [],
      );
      return `M${pairs.join('L')}${tag === 'polygon' ? 'Z' : ''}`;
    }
    case 'circle':
    case 'ellipse': {
      const rx = tag === 'circle' ? of('r') : of('rx');
      const ry = tag === 'circle' ? rx : of('ry');
      if (rx <= 0 || ry <= 0) return undefined;
      const x = of('cx');
      const y = of('cy');
      return `M${x - rx} ${y}A${rx} ${ry} 0 1 1 ${x + rx} ${y}A${rx} ${ry} 0 1 1 ${x - rx} ${y}Z`;
    }
    case 'rect': {
      const [x, y, wide, high] = [of('x'), of('y'), of('width'), of('height')];
      if (wide <= 0 || high <= 0) return undefined;
      const rx = Math.min(numberOf(own.get('rx') ?? own.get('ry'), 0), wide / 2);
      const ry = Math.min(numberOf(own.get('ry') ?? own.get('rx'), 0), high / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}H${x + wide}V${y + high}H${x}Z`;
      const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}H${x + wide - rx}${arc(rx, ry)}V${y + high - ry}${arc(-rx, ry)}H${x + rx}${arc(-rx, -ry)}V${y + ry}${arc(rx, -ry)}Z`;
    }
    default:
      return undefined;
  }
}

/** What is no part of an icon, by the words that say so; nothing for what is lost without being seen. */
const LOST: Readonly<Record<string, string>> = {
  text: 'Words were left out; turn them into paths before.',
  image: 'A picture was left out: an icon is drawn with paths.',
  foreignobject: 'Markup that is no drawing was left out.',
  mask: 'A mask was left out; what it hid is seen.',
  clippath: 'A clip was left out; what it hid is seen.',
  filter: 'A filter was left out.',
  use: 'Copies of other parts (use) were left out.',
  style: 'A style sheet was left out; what it painted is black.',
  script: 'A script was left out.',
  animate: 'Movement was left out.',
  animatetransform: 'Movement was left out.',
  lineargradient: 'A gradient became one color.',
  radialgradient: 'A gradient became one color.',
};

/** Those whose children are not drawn where they stand. */
const UNDRAWN = new Set([
  'defs',
  'symbol',
  'mask',
  'clippath',
  'pattern',
  'marker',
  'filter',
  'metadata',
  'title',
  'desc',
  'style',
  'script',
  'text',
  'foreignobject',
  'switch',
]);

interface Painted extends IconShape {
  /** Its color as #rrggbb, or `text` for that of the text. */
  readonly color: string;
  readonly opacity: number;
  readonly cap: string;
  readonly join: string;
}

const colorOf = (paint: string): string | undefined => {
  const value = paint.trim();
  if (value === 'none' || value === 'transparent') return undefined;
  if (/^currentcolor$/i.test(value)) return 'text';
  const read = parseColor(value);
  return read.ok ? read.hex : '#000000';
};

class TooMuch extends Error {}

function shapesIn(root: Root | Element, lost: Set<string>): readonly Painted[] {
  const shapes: Painted[] = [];
  let points = 0;
  const add = (d: string, style: Style): void => {
    let path: SVGPathData;
    try {
      path = new SVGPathData(d)
        .toAbs()
        .matrix(...style.matrix)
        .round(DECIMALS);
    } catch {
      lost.add('A path that cannot be read was left out.');
      return;
    }
    if (path.commands.length < 2) return;
    points += path.commands.length;
    // Handles of curves too, which are no part of what is drawn.
    const isNear = path.commands.every((command) =>
      Object.values(command).every(
        (value) => typeof value !== 'number' || Math.abs(value) <= FURTHEST,
      ),
    );
    if (!isNear) {
      lost.add('A path that lies far outside was left out.');
      return;
    }
    const [a, b, c, d2] = style.matrix;
    const scale = Math.sqrt(Math.abs(a * d2 - b * c));
    const isEven =
      Math.abs(a * c + b * d2) < 1e-6 && Math.abs(Math.hypot(a, b) - Math.hypot(c, d2)) < 1e-6;
    if (!isEven && colorOf(style.stroke) !== undefined)
      lost.add('Strokes that were stretched are of one width now.');
    const own = { d: path.encode(), cap: style.cap, join: style.join };
    const fill = colorOf(style.fill);
    if (fill !== undefined && style.fillOpacity * style.opacity > 0)
      shapes.push({
        ...own,
        paint: 'fill',
        color: fill,
        opacity: style.fillOpacity * style.opacity,
        ...(style.rule === 'evenodd' && { rule: 'evenodd' }),
      });
    const stroke = colorOf(style.stroke);
    if (stroke !== undefined && style.width > 0 && style.strokeOpacity * style.opacity > 0)
      shapes.push({
        ...own,
        paint: 'stroke',
        color: stroke,
        opacity: style.strokeOpacity * style.opacity,
        width: Math.round(style.width * scale * DECIMALS) / DECIMALS,
      });
    if (shapes.length > MOST_SHAPES || points > MOST_POINTS) throw new TooMuch();
  };
  const walk = (node: Root | ElementContent, before: Style, depth: number): void => {
    if (depth > DEEPEST) throw new TooMuch();
    if (node.type !== 'element' && node.type !== 'root') return;
    let style = before;
    if (node.type === 'element') {
      const tag = node.tagName.toLowerCase();
      const says = LOST[tag];
      if (Object.hasOwn(LOST, tag) && says !== undefined) lost.add(says);
      if (UNDRAWN.has(tag)) {
        for (const child of node.children)
          if (child.type === 'element' && Object.hasOwn(LOST, child.tagName.toLowerCase()))
            lost.add(LOST[child.tagName.toLowerCase()] ?? '');
        return;
      }
      const own = attributesOf(node);
      style = styleOf(before, own);
      if (style.isHidden) return;
      const d = pathOf(tag, own);
      if (d !== undefined && d.trim() !== '') add(d, style);
    }
    for (const child of node.children) if (child.type === 'element') walk(child, style, depth + 1);
  };
  walk(root, INITIAL, 0);
  return shapes;
}

const svgIn = (node: Root | Element): Element | undefined => {
  for (const child of node.children) {
    if (child.type !== 'element') continue;
    if (child.tagName.toLowerCase() === 'svg') return child;
    const inner = svgIn(child);
    if (inner) return inner;
  }
  return undefined;
};

/** The commonest of some words, or the first of those that are known. */
const commonest = <Word extends string>(all: readonly string[], known: readonly Word[]): Word => {
  const count = (word: string): number => all.filter((one) => one === word).length;
  return known.toSorted((one, other) => count(other) - count(one))[0] as Word;
};

/** The color of the text counts as the darkest. */
const lightnessOf = (color: string): number => (isHex(color) ? oklabOf(rgbOf(color))[0] : -1);

/** The shapes in two tones: what is faint, or in the lighter of two colors, is the second. */
function toned(shapes: readonly Painted[], lost: Set<string>): readonly IconShape[] {
  const colors = [...new Set(shapes.map(({ color }) => color))].toSorted(
    (one, other) => lightnessOf(one) - lightnessOf(other),
  );
  if (colors.length > 2) lost.add(`${colors.length} colors became two tones.`);
  return shapes.map(({ d, paint, width, rule, color, opacity }) => ({
    d,
    paint,
    ...(width !== undefined && { width }),
    ...(rule !== undefined && { rule }),
    ...((opacity < FAINT || color !== colors[0]) && { tone: 2 as const }),
  }));
}

/** Less opaque than this is the second tone; common practice. */
const FAINT = 0.7;

/**
 * An icon from SVG: its paths and basic shapes with their transforms, widths of strokes, and up to two tones; nothing
 * that could act or load is ever taken over. Colors are dropped: icons take those of the system.
 * @param svg a whole file, or its inside where `box` is given
 * @param box the box that the inside is drawn in
 */
export function readIcon(
  svg: string,
  box?: {
    readonly left?: number;
    readonly top?: number;
    readonly width: number;
    readonly height: number;
  },
): IconReading {
  if (svg.length > MOST_CHARACTERS)
    return {
      ok: false,
      problem: `It has ${svg.length.toLocaleString('en-US')} characters; up to ${MOST_CHARACTERS.toLocaleString('en-US')} are taken.`,
    };
  const lost = new Set<string>();
  try {
    const tree = fromHtml(box ? `<svg>${svg}</svg>` : svg, { fragment: true });
    const root = svgIn(tree);
    if (!root) return { ok: false, problem: 'It is no SVG.' };
    const painted = shapesIn(root, lost);
    if (painted.length === 0) return { ok: false, problem: 'Nothing is drawn in it.' };
    const drawing: IconDrawing = {
      width: 1,
      height: 1,
      shapes: toned(painted, lost),
      cap: commonest<Cap>(
        painted.flatMap(({ paint, cap }) => (paint === 'stroke' ? [cap] : [])),
        CAPS,
      ),
      join: commonest<Join>(
        painted.flatMap(({ paint, join }) => (paint === 'stroke' ? [join] : [])),
        JOINS,
      ),
    };
    const own = box ?? boxOf(root, drawing);
    if (!own) return { ok: false, problem: 'Nothing is drawn in it.' };
    const { left = 0, top = 0, width, height } = own;
    return {
      ok: true,
      drawing:
        left === 0 && top === 0
          ? { ...drawing, width, height }
          : placed(drawing, { left: -left, top: -top, scale: 1, width, height }),
      lost: [...lost].filter((words) => words !== ''),
    };
  } catch (error) {
    if (error instanceof TooMuch)
      return {
        ok: false,
        problem: `It is more than an icon: up to ${MOST_SHAPES} paths, ${MOST_POINTS.toLocaleString('en-US')} points and ${DEEPEST} levels are taken.`,
      };
    // Levels without end overflow the stack of whatever reads them.
    if (error instanceof RangeError)
      return { ok: false, problem: 'It has more levels than can be read.' };
    throw error;
  }
}

/** The box of a file: its viewBox, its size, or what is inked. */
function boxOf(
  root: Element,
  drawing: IconDrawing,
): { left: number; top: number; width: number; height: number } | undefined {
  const own = attributesOf(root);
  const [left = 0, top = 0, width = 0, height = 0] = (own.get('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map((value) => numberOf(value, Number.NaN));
  const isBox = (wide: number, high: number): boolean =>
    wide > 0 && high > 0 && wide <= FURTHEST && high <= FURTHEST;
  if (isBox(width, height) && Math.abs(left) <= FURTHEST && Math.abs(top) <= FURTHEST)
    return { left, top, width, height };
  const size = { width: numberOf(own.get('width'), 0), height: numberOf(own.get('height'), 0) };
  if (isBox(size.width, size.height)) return { left: 0, top: 0, ...size };
  const ink = inkBox(drawing);
  return (
    ink && {
      left: ink.left,
      top: ink.top,
      width: Math.max(ink.right - ink.left, 1e-3),
      height: Math.max(ink.bottom - ink.top, 1e-3),
    }
  );
}
