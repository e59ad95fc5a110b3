/** A size at a screen width; both in CSS px at a root of 16 px. */
export interface SizeAt {
  readonly widthPx: number;
  readonly sizePx: number;
}

/** The root size that browsers start from: `medium`. Source: CSS Fonts 4, common practice. */
export const ROOT_PX = 16;

/** Decimals of the numbers in an emitted expression. */
const DECIMALS = 4;

/** What a size flows with: the viewport, or the container that a text stands in. */
export type FluidUnit = 'vi' | 'vw' | 'cqi';

export const LENGTHS = ['rem', 'em', 'px'] as const;

/** How a size is written beside what flows. */
export interface Written {
  /** `rem` follows the reader; `em` the text around it as well; `px` nobody. */
  readonly length: (typeof LENGTHS)[number];
  /** The root's font size as a share of the browser's: 1 is 100 %. */
  readonly root: number;
}

const USUAL: Written = { length: 'rem', root: 1 };

/**
 * `clamp(minRem, baseRem + slope, maxRem)`; the slope counts hundredths of the width. In rem of 16 px,
 * whatever the length is that is written.
 */
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
  readonly written: Written;
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

/** A number of rems of 16 px as it is written: in rem or em of the root that is set, or in px. */
const written = (rem: number, { length, root }: Written): number =>
  rounded(length === 'px' ? rem * ROOT_PX : rem / root);

/** Rems of 16 px that are exactly what is written. */
const asWritten = (rem: number, how: Written): number =>
  how.length === 'px' ? written(rem, how) / ROOT_PX : written(rem, how) * how.root;

/** What a rem, em or px of a size is in px, at a font size of the browser. */
const remPx = ({ length }: Written, rootPx: number): number => (length === 'px' ? ROOT_PX : rootPx);

const held = (least: number, value: number, most: number): number =>
  Math.max(least, Math.min(value, most));

/** The clamp that runs from `from` to `to` rem between two widths, and rests outside. */
function clampBetween(
  one: SizeAt,
  other: SizeAt,
  [from, to]: readonly [number, number],
  how: Written,
): FluidClamp {
  const perPx = ((to - from) * ROOT_PX) / (other.widthPx - one.widthPx);
  return {
    minRem: asWritten(Math.min(from, to), how),
    maxRem: asWritten(Math.max(from, to), how),
    baseRem: asWritten(from - (perPx * one.widthPx) / ROOT_PX, how),
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
 * Throws a RangeError where the widths do not grow or a number is not finite, a width is not
 * above 0 or a size below 0; space flows from a size of 0, text never does.
 */
export function fluidSize(
  at: readonly SizeAt[],
  unit: FluidUnit = 'vi',
  how: Written = USUAL,
): FluidSize {
  for (const { widthPx, sizePx } of at) {
    if (!(widthPx > 0) || !Number.isFinite(widthPx))
      throw new RangeError(`widths are above 0 px, not ${widthPx}`);
    if (!(sizePx >= 0) || !Number.isFinite(sizePx))
      throw new RangeError(`sizes are 0 px or more, not ${sizePx}`);
  }
  const [first] = at;
  if (!first) throw new RangeError('there is no size');
  const stretches = at.slice(1).flatMap((to, index) => {
    const from = at[index];
    if (!from || to.widthPx <= from.widthPx) throw new RangeError('the widths are to grow');
    return asWritten(from.sizePx / ROOT_PX, how) === asWritten(to.sizePx / ROOT_PX, how)
      ? []
      : [{ from, to }];
  });
  const [only] = stretches;
  const start = asWritten(first.sizePx / ROOT_PX, how);
  const [restRem, clamps] =
    only && stretches.length === 1
      ? [
          0,
          [
            clampBetween(
              only.from,
              only.to,
              [only.from.sizePx / ROOT_PX, only.to.sizePx / ROOT_PX],
              how,
            ),
          ],
        ]
      : [
          start,
          stretches.map(({ from, to }) =>
            clampBetween(from, to, [0, (to.sizePx - from.sizePx) / ROOT_PX], how),
          ),
        ];
  const flowing = clamps.filter(({ slope }) => slope !== 0);
  const rests = restsOf(restRem, flowing);
  return flowing.length === 0
    ? { restRem: start, clamps: [], unit, written: how, minRem: start, maxRem: start }
    : {
        restRem,
        clamps: flowing,
        unit,
        written: how,
        minRem: asWritten(Math.min(...rests), how),
        maxRem: asWritten(Math.max(...rests), how),
      };
}

/** The expression as it stands in the style sheet; one length where nothing flows. */
export function fluidCss({ restRem, clamps, unit, written: how }: FluidSize): string {
  const length = (rem: number): string => `${written(rem, how)}${how.length}`;
  const flowing = clamps.map(({ minRem, maxRem, baseRem, slope }) => {
    const line = `${length(baseRem)} ${slope < 0 ? '-' : '+'} ${rounded(Math.abs(slope))}${unit}`;
    return `clamp(${length(minRem)}, ${line}, ${length(maxRem)})`;
  });
  if (flowing.length === 0) return length(restRem);
  return restRem === 0 && flowing.length === 1
    ? flowing.join('')
    : `calc(${[length(restRem), ...flowing].join(' + ')})`;
}

/** A number of rems of 16 px as a length of the open format, which knows rem and px. */
export const lengthJson = (rem: number, how: Written = USUAL) =>
  how.length === 'px'
    ? ({ value: written(rem, how), unit: 'px' } as const)
    : ({ value: written(rem, { ...how, length: 'rem' }), unit: 'rem' } as const);

/**
 * The size in CSS px of an emitted expression at a width (of the viewport, or of the container where
 * it flows with that) and a font size of the browser, both in px.
 */
export function fluidPx(size: FluidSize, widthPx: number, rootPx: number = ROOT_PX): number {
  const rem = remPx(size.written, rootPx);
  return size.clamps.reduce(
    (sum, { minRem, maxRem, baseRem, slope }) =>
      sum + held(minRem * rem, baseRem * rem + (slope * widthPx) / 100, maxRem * rem),
    size.restRem * rem,
  );
}

/** The widths in px at which a size begins or ends to flow, ascending; none where it rests everywhere. */
export const kneesOf = (size: FluidSize, rootPx: number = ROOT_PX): readonly number[] =>
  size.clamps
    .flatMap(({ minRem, maxRem, baseRem, slope }) =>
      [minRem, maxRem].map((rem) => ((rem - baseRem) * remPx(size.written, rootPx) * 100) / slope),
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
      const rem = remPx(size.written, rootPx);
      const line = baseRem * rem + (slope * middle) / 100;
      return line > minRem * rem && line < maxRem * rem;
    });
    const slope = flowing.reduce((sum, clamp) => sum + clamp.slope / 100, 0);
    return [{ fromPx, toPx, slope, constantPx: fluidPx(size, middle, rootPx) - slope * middle }];
  });
}

/**
 * The same size in steps: from each breakpoint up what the flowing size is there, below the first
 * what it is at its narrowest. For style sheets without `clamp()`.
 */
export function steppedPieces(size: FluidSize, breakpoints: readonly number[]): readonly Piece[] {
  const stops = [0, ...breakpoints.toSorted((one, other) => one - other), Infinity];
  return stops.slice(1).map((toPx, index) => ({
    fromPx: stops[index] ?? 0,
    toPx,
    constantPx: fluidPx(size, stops[index] ?? 0),
    slope: 0,
  }));
}
