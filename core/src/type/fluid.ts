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

/** `clamp(minRem, baseRem + slope, maxRem)`; the slope counts hundredths of the viewport's width. */
export interface FluidClamp {
  readonly minRem: number;
  readonly maxRem: number;
  readonly baseRem: number;
  readonly slope: number;
}

/**
 * A size that flows between widths and rests outside them, with the very numbers that are emitted:
 * a constant and one clamp for each stretch in which it flows. Whatever judges a size reads these.
 */
export interface FluidSize {
  readonly restRem: number;
  readonly clamps: readonly FluidClamp[];
  readonly unit: FluidUnit;
  /** The smallest and the largest that it is anywhere. */
  readonly minRem: number;
  readonly maxRem: number;
}

/** A stretch of screen widths in which a size runs straight: constant + slope times the width, in px. */
export interface Piece {
  readonly fromPx: number;
  readonly toPx: number;
  readonly constantPx: number;
  readonly slope: number;
}

const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

const held = (least: number, value: number, most: number): number =>
  Math.max(least, Math.min(value, most));

/** The clamp that runs from `from` to `to` rem between two widths, and rests outside. */
function clampBetween(one: SizeAt, other: SizeAt, from: number, to: number): FluidClamp {
  const perPx = ((to - from) * ROOT_PX) / (other.widthPx - one.widthPx);
  return {
    minRem: rounded(Math.min(from, to)),
    maxRem: rounded(Math.max(from, to)),
    baseRem: rounded(from - (perPx * one.widthPx) / ROOT_PX),
    slope: rounded(perPx * 100),
  };
}

/** The sizes at rest before the first clamp and after each. */
function restsOf(restRem: number, clamps: readonly FluidClamp[]): number[] {
  const left = ({ slope, minRem, maxRem }: FluidClamp): number => (slope < 0 ? maxRem : minRem);
  const right = ({ slope, minRem, maxRem }: FluidClamp): number => (slope < 0 ? minRem : maxRem);
  let here = clamps.reduce((sum, clamp) => sum + left(clamp), restRem);
  return [here, ...clamps.map((clamp) => (here += right(clamp) - left(clamp)))];
}

/**
 * Straight lines through sizes at two or more widths, rounded as emitted; a size may shrink as the
 * screen grows. Two widths make one clamp with the sizes as its bounds; more make a sum: the first
 * size and what each stretch adds. A sum is one value for every width, exact to the rounding, and
 * shorter than the value again in a media query for each stretch.
 * Source: CSS Values 4, clamp(); linear interpolation.
 * Throws a RangeError where the widths do not grow or a number is not finite and positive.
 */
export function fluidSize(at: readonly SizeAt[], unit: FluidUnit = 'vi'): FluidSize {
  for (const number of at.flatMap(({ widthPx, sizePx }) => [widthPx, sizePx]))
    if (!(number > 0) || !Number.isFinite(number))
      throw new RangeError(`widths and sizes are above 0 px, not ${number}`);
  const [first] = at;
  if (!first) throw new RangeError('there is no size');
  const stretches = at.slice(1).flatMap((to, index) => {
    const from = at[index];
    if (!from || to.widthPx <= from.widthPx) throw new RangeError('the widths are to grow');
    return rounded(from.sizePx / ROOT_PX) === rounded(to.sizePx / ROOT_PX) ? [] : [{ from, to }];
  });
  const [only] = stretches;
  const start = rounded(first.sizePx / ROOT_PX);
  const [restRem, clamps] =
    only && stretches.length === 1
      ? [
          0,
          [clampBetween(only.from, only.to, only.from.sizePx / ROOT_PX, only.to.sizePx / ROOT_PX)],
        ]
      : [
          start,
          stretches.map(({ from, to }) =>
            clampBetween(from, to, 0, (to.sizePx - from.sizePx) / ROOT_PX),
          ),
        ];
  const flowing = clamps.filter(({ slope }) => slope !== 0);
  const rests = restsOf(restRem, flowing);
  return flowing.length === 0
    ? { restRem: start, clamps: [], unit, minRem: start, maxRem: start }
    : {
        restRem,
        clamps: flowing,
        unit,
        minRem: rounded(Math.min(...rests)),
        maxRem: rounded(Math.max(...rests)),
      };
}

const plain = (value: number): string => String(rounded(value));

const clampCss = ({ minRem, maxRem, baseRem, slope }: FluidClamp, unit: FluidUnit): string => {
  const sign = slope < 0 ? '-' : '+';
  const line = `${plain(baseRem)}rem ${sign} ${plain(Math.abs(slope))}${unit}`;
  return `clamp(${plain(minRem)}rem, ${line}, ${plain(maxRem)}rem)`;
};

/** The expression as it stands in the style sheet; one length where nothing flows. */
export function fluidCss({ restRem, clamps, unit }: FluidSize): string {
  const flowing = clamps.map((clamp) => clampCss(clamp, unit));
  if (flowing.length === 0) return `${plain(restRem)}rem`;
  return restRem === 0 && flowing.length === 1
    ? flowing.join('')
    : `calc(${[`${plain(restRem)}rem`, ...flowing].join(' + ')})`;
}

/** The size in CSS px of an emitted expression at a viewport width and a root size, both in px. */
export const fluidPx = (size: FluidSize, widthPx: number, rootPx: number = ROOT_PX): number =>
  size.clamps.reduce(
    (sum, { minRem, maxRem, baseRem, slope }) =>
      sum + held(minRem * rootPx, baseRem * rootPx + (slope * widthPx) / 100, maxRem * rootPx),
    size.restRem * rootPx,
  );

/** The widths in px at which a size begins or ends to flow, ascending; none where it rests everywhere. */
export const kneesOf = (size: FluidSize, rootPx: number = ROOT_PX): readonly number[] =>
  size.clamps
    .flatMap(({ minRem, maxRem, baseRem, slope }) =>
      [minRem, maxRem].map((rem) => ((rem - baseRem) * rootPx * 100) / slope),
    )
    .sort((one, other) => one - other);

/** A size as the straight pieces that it is made of, from 0 px up without a gap. */
export function piecesOf(size: FluidSize, rootPx: number = ROOT_PX): readonly Piece[] {
  const stops = [0, ...kneesOf(size, rootPx).filter((knee) => knee > 0), Infinity];
  return stops.slice(1).flatMap((toPx, index): Piece[] => {
    const fromPx = stops[index] ?? 0;
    if (toPx === fromPx) return [];
    const middle = toPx === Infinity ? fromPx + 1 : (fromPx + toPx) / 2;
    const flowing = size.clamps.filter(({ minRem, maxRem, baseRem, slope }) => {
      const line = baseRem * rootPx + (slope * middle) / 100;
      return line > minRem * rootPx && line < maxRem * rootPx;
    });
    const slope = flowing.reduce((sum, clamp) => sum + clamp.slope / 100, 0);
    return [{ fromPx, toPx, slope, constantPx: fluidPx(size, middle, rootPx) - slope * middle }];
  });
}
