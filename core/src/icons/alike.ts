import { THICKEST_STROKE } from './kinds.ts';
import type { IconMeasures } from './measure.ts';

/** Two strokes one of which is twice the other are this far apart; the rest is weighed against it. Our own weights. */
const apart = (one: number, other: number): number =>
  one <= 0 || other <= 0 ? 0 : Math.abs(Math.log2(one / other));

/** Whether what is drawn is strokes rather than full: two tones may be either. */
const isThin = ({ kind, stroke }: IconMeasures): boolean =>
  kind !== 'filled' && stroke <= THICKEST_STROKE;

/**
 * How much two icons differ in how they are drawn, whatever they show: 0 for the same hand; above 1 nobody takes them
 * for one set. Our own weights: the kind counts most, then strokes, ends and corners, then how full they are.
 */
export const unlikeness = (one: IconMeasures, other: IconMeasures): number =>
  (one.kind === other.kind ? 0 : 1) +
  (isThin(one) && isThin(other) ? apart(one.stroke, other.stroke) : 0) +
  (one.roundEnds !== undefined && other.roundEnds !== undefined && one.roundEnds !== other.roundEnds
    ? 0.3
    : 0) +
  (one.corner !== undefined && other.corner !== undefined
    ? Math.min(0.5, 4 * Math.abs(one.corner - other.corner))
    : 0) +
  Math.abs(one.ink - other.ink) +
  0.1 * apart(one.details + 1, other.details + 1) +
  0.5 * Math.abs(Math.max(one.wide, one.high) - Math.max(other.wide, other.high));

/** The middle of some numbers; undefined of none. */
const middle = (values: readonly (number | undefined)[]): number | undefined => {
  const known = values.filter((value) => value !== undefined).toSorted((one, other) => one - other);
  return known[Math.floor(known.length / 2)];
};

const commonest = <Value>(values: readonly Value[]): Value | undefined => {
  const counts = new Map<Value, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].toSorted(([, one], [, other]) => other - one)[0]?.[0];
};

/** What icons that are drawn alike are like; undefined of none. */
export function typicalOf(all: readonly IconMeasures[]): IconMeasures | undefined {
  const kind = commonest(all.map((one) => one.kind));
  if (kind === undefined) return undefined;
  const of = (part: (one: IconMeasures) => number | undefined): number | undefined =>
    middle(all.map(part));
  return {
    kind,
    stroke: of(({ stroke }) => stroke) ?? 0,
    evenness: of(({ evenness }) => evenness) ?? 0,
    roundEnds: commonest(
      all.flatMap(({ roundEnds }) => (roundEnds === undefined ? [] : [roundEnds])),
    ),
    corner: of(({ corner }) => corner),
    grid: commonest(all.map(({ grid }) => grid)),
    ink: of(({ ink }) => ink) ?? 0,
    details: of(({ details }) => details) ?? 0,
    gap: of(({ gap }) => gap),
    wide: of(({ wide }) => wide) ?? 0,
    high: of(({ high }) => high) ?? 0,
  };
}

export interface FaceBeside {
  /** Thickness of its stems in px, at the size at which it stands beside icons. */
  readonly stemPx: number;
  /** How large icons are beside it, in px. */
  readonly iconPx: number;
}

export interface Fit {
  /** Width of the icons' strokes in px beside the face. */
  readonly strokePx: number;
  /** By how much it is thicker than the stems: 0 for as thick, 1 for twice. */
  readonly heavier: number;
  /** 0 for as thick as the stems; larger is worse, Infinity for what has no strokes. */
  readonly distance: number;
}

/** Between these shares of the stem a stroke looks meant; common practice. */
export const STROKE_BESIDE_STEM = { from: 0.75, to: 1.35 } as const;

/** How icons go with a face: their strokes against its stems at the sizes at which they stand beside each other. */
export function fitBeside(icons: IconMeasures, { stemPx, iconPx }: FaceBeside): Fit {
  const strokePx = icons.stroke * iconPx;
  return {
    strokePx,
    heavier: strokePx / stemPx - 1,
    distance: isThin(icons) ? apart(strokePx, stemPx) : Infinity,
  };
}
