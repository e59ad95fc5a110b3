import type { Hex } from '../color/srgb.ts';

export const PATTERN_KINDS = ['dots', 'lines', 'crosses', 'waves', 'rings', 'shape'] as const;
export type PatternKind = (typeof PATTERN_KINDS)[number];

export interface Pattern {
  readonly kind: PatternKind;
  /** After how many px it repeats. */
  readonly cellPx: number;
  readonly ink: Hex;
  /** Degrees clockwise. */
  readonly turn: number;
}

const n = (value: number): string => String(Number(value.toFixed(3)));

/** What stands in one cell of a side of 1, drawn larger than the cell where it crosses its edges. */
const MARKS: Readonly<Record<PatternKind, (side: number, ink: Hex) => string>> = {
  dots: (s, ink) => `<circle cx="${n(s / 2)}" cy="${n(s / 2)}" r="${n(s / 8)}" fill="${ink}"/>`,
  lines: (s, ink) =>
    `<path d="M0 ${n(s / 2)}h${n(s)}" stroke="${ink}" stroke-width="${n(s / 8)}"/>`,
  crosses: (s, ink) =>
    `<path d="M${n(s / 2)} ${n(s / 4)}v${n(s / 2)}M${n(s / 4)} ${n(s / 2)}h${n(s / 2)}" stroke="${ink}" stroke-width="${n(s / 12)}"/>`,
  waves: (s, ink) =>
    `<path d="M0 ${n(s / 2)}q${n(s / 4)} ${n(-s / 3)} ${n(s / 2)} 0t${n(s / 2)} 0" fill="none" stroke="${ink}" stroke-width="${n(s / 12)}"/>`,
  rings: (s, ink) =>
    `<circle cx="${n(s / 2)}" cy="${n(s / 2)}" r="${n(s / 3)}" fill="none" stroke="${ink}" stroke-width="${n(s / 12)}"/>`,
  shape: (s, ink) =>
    `<path d="M${n(s * 0.5)} ${n(s * 0.04)}C${n(s * 0.9)} ${n(s * 0.02)} ${n(s * 0.98)} ${n(s * 0.4)} ${n(s * 0.93)} ${n(s * 0.66)}C${n(s * 0.88)} ${n(s * 0.95)} ${n(s * 0.5)} ${n(s * 0.98)} ${n(s * 0.26)} ${n(s * 0.9)}C${n(s * 0.02)} ${n(s * 0.82)} ${n(s * 0.02)} ${n(s * 0.5)} ${n(s * 0.12)} ${n(s * 0.3)}C${n(s * 0.2)} ${n(s * 0.12)} ${n(s * 0.34)} ${n(s * 0.05)} ${n(s * 0.5)} ${n(s * 0.04)}z" fill="${ink}"/>`,
};

/** Shapes behind objects are this many cells large, and stand once. */
const SHAPE_CELLS = 8;

/**
 * A quiet background as SVG: a cell that repeats, or one large soft shape (`shape`) that does not.
 * Throws a RangeError for a cell that is not above 0 px.
 */
export function patternSvg({ kind, cellPx, ink, turn }: Pattern): string {
  if (!(cellPx > 0)) throw new RangeError('a cell is larger than 0 px');
  const side = kind === 'shape' ? cellPx * SHAPE_CELLS : cellPx;
  const mark = MARKS[kind](side, ink);
  if (kind === 'shape')
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(side)}" height="${n(side)}"><g transform="rotate(${n(turn)} ${n(side / 2)} ${n(side / 2)})">${mark}</g></svg>`;
  // A tile that is turned does not fit its own edges: SVG repeats it inside, over one large picture.
  return turn === 0
    ? `<svg xmlns="http://www.w3.org/2000/svg" width="${n(side)}" height="${n(side)}">${mark}</svg>`
    : `<svg xmlns="http://www.w3.org/2000/svg" width="2400" height="2400"><pattern id="p" width="${n(side)}" height="${n(side)}" patternUnits="userSpaceOnUse" patternTransform="rotate(${n(turn)})">${mark}</pattern><path d="M0 0h2400v2400H0z" fill="url(#p)"/></svg>`;
}

/** Whether it fills its ground, or stands there once. */
export const patternRepeats = (kind: PatternKind): boolean => kind !== 'shape';

/** SVG as an address that a style sheet can hold. */
export const svgAddress = (svg: string): string =>
  `url("data:image/svg+xml,${svg.replaceAll('"', "'").replaceAll('%', '%25').replaceAll('#', '%23').replaceAll('<', '%3c').replaceAll('>', '%3e')}")`;
