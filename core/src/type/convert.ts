import { ROOT_PX } from './fluid.ts';

export const LENGTH_UNITS = ['px', 'rem', 'em', '%', 'vw', 'vi', 'cqi'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** What lengths are relative to, all in px. */
export interface LengthContext {
  readonly rootPx?: number;
  /** The font size of the element, for em; and of its parent, for % of a font size. */
  readonly fontPx: number;
  readonly parentPx: number;
  /** The viewport, and the container for cqi, in the inline direction. */
  readonly viewportPx: number;
  readonly containerPx: number;
}

/** What one of a unit is in px. Source: CSS Values 4; `%` as `font-size` reads it; CSS Containment 3. */
export const pxOf = (
  unit: LengthUnit,
  { rootPx = ROOT_PX, fontPx, parentPx, viewportPx, containerPx }: LengthContext,
): number =>
  ({
    px: 1,
    rem: rootPx,
    em: fontPx,
    '%': parentPx / 100,
    vw: viewportPx / 100,
    vi: viewportPx / 100,
    cqi: containerPx / 100,
  })[unit];

/** A length in another unit, in the same context. */
export const convert = (
  value: number,
  from: LengthUnit,
  to: LengthUnit,
  context: LengthContext,
): number => (value * pxOf(from, context)) / pxOf(to, context);

/** A length as it was written. */
export interface Length {
  readonly value: number;
  readonly unit: LengthUnit;
}

/** More lengths at once are a file, not a list. */
export const MOST_LENGTHS = 200;

/**
 * Several lengths that stand in a row, apart by spaces, commas, semicolons or lines: `12, 1.5rem 24px`. One without a
 * unit is in the unit that is given. Nothing where there is only one, more than `MOST_LENGTHS`, or anything else.
 */
export function lengthsIn(text: string, unit: LengthUnit): readonly Length[] | undefined {
  const parts = text.split(/[\s,;]+/).filter((part) => part !== '');
  if (parts.length < 2 || parts.length > MOST_LENGTHS) return undefined;
  const lengths = parts.flatMap((part): Length[] => {
    const [, number, own] = /^([-+]?(?:\d+\.?\d*|\.\d+))([a-z%]*)$/i.exec(part) ?? [];
    const found = own === '' ? unit : LENGTH_UNITS.find((one) => one === own?.toLowerCase());
    return number === undefined || found === undefined
      ? []
      : [{ value: Number(number), unit: found }];
  });
  return lengths.length === parts.length ? lengths : undefined;
}
