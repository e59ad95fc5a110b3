/** A size at a screen width; both in CSS px at a root of 16 px. */
export interface SizeAt {
  readonly widthPx: number;
  readonly sizePx: number;
}

/** The root size that browsers start from: `medium`. Source: CSS Fonts 4, common practice. */
export const ROOT_PX = 16;

/** Decimals of the numbers in an emitted expression. */
const DECIMALS = 4;

export type FluidUnit = 'vi' | 'vw';

/**
 * A size that flows between two widths and rests outside, with the very numbers that are emitted:
 * `clamp(minRem, baseRem + slope, maxRem)`. Whatever judges a size reads these.
 */
export interface FluidSize {
  readonly minRem: number;
  readonly maxRem: number;
  readonly baseRem: number;
  /** Share of one hundredth of the viewport's width. */
  readonly slope: number;
  readonly unit: FluidUnit;
}

const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

/**
 * The straight line through two sizes, rounded as emitted. The bounds are sorted: a size may shrink
 * as the screen grows. Source: CSS Values 4, clamp(); linear interpolation.
 * Throws a RangeError where the widths do not differ or a number is not finite and positive.
 */
export function fluidSize(one: SizeAt, other: SizeAt, unit: FluidUnit = 'vi'): FluidSize {
  for (const number of [one.widthPx, one.sizePx, other.widthPx, other.sizePx])
    if (!(number > 0) || !Number.isFinite(number))
      throw new RangeError(`widths and sizes are above 0 px, not ${number}`);
  if (one.widthPx === other.widthPx) throw new RangeError('the two widths are the same');
  const perPx = (other.sizePx - one.sizePx) / (other.widthPx - one.widthPx);
  return {
    minRem: rounded(Math.min(one.sizePx, other.sizePx) / ROOT_PX),
    maxRem: rounded(Math.max(one.sizePx, other.sizePx) / ROOT_PX),
    baseRem: rounded((one.sizePx - perPx * one.widthPx) / ROOT_PX),
    slope: rounded(perPx * 100),
    unit,
  };
}

const plain = (value: number): string => String(rounded(value));

/** The expression as it stands in the style sheet; one length where nothing flows. */
export function fluidCss({ minRem, maxRem, baseRem, slope, unit }: FluidSize): string {
  if (minRem === maxRem || slope === 0) return `${plain(minRem)}rem`;
  const sign = slope < 0 ? '-' : '+';
  const line = `${plain(baseRem)}rem ${sign} ${plain(Math.abs(slope))}${unit}`;
  return `clamp(${plain(minRem)}rem, ${line}, ${plain(maxRem)}rem)`;
}

/** The size in CSS px of an emitted expression at a viewport width and a root size, both in px. */
export function fluidPx(size: FluidSize, widthPx: number, rootPx: number = ROOT_PX): number {
  const line = size.baseRem * rootPx + (size.slope * widthPx) / 100;
  const flowing = size.slope === 0 ? size.minRem * rootPx : line;
  return Math.max(size.minRem * rootPx, Math.min(flowing, size.maxRem * rootPx));
}

/**
 * The widths in px between which a size flows, at a root of 16 px; undefined where it rests
 * everywhere.
 */
export function kneesOf(size: FluidSize): readonly [number, number] | undefined {
  if (size.minRem === size.maxRem || size.slope === 0) return undefined;
  const widthAt = (rem: number): number => ((rem - size.baseRem) * ROOT_PX * 100) / size.slope;
  const knees = [widthAt(size.minRem), widthAt(size.maxRem)].sort((one, other) => one - other);
  return [knees[0] ?? 0, knees[1] ?? 0];
}
