import type { Piece } from './fluid.ts';

/** How much larger text has to get by zooming. Source: WCAG 2.2, 1.4.4. */
export const NEEDED_GAIN = 2;

export interface ZoomRange {
  /** The screen widths that are looked at, in px. */
  readonly fromPx: number;
  readonly toPx: number;
  /** The browser's highest zoom, as a factor. */
  readonly most: number;
  /** The only zooms that the browser has, as factors; any up to the highest where absent. */
  readonly stops?: readonly number[];
}

/** The widths that are in use, and the zoom of common browsers. Common practice. */
export const USUAL_RANGE: ZoomRange = { fromPx: 320, toPx: 2560, most: 5 };

/** Widths at which no zoom makes a text large enough, and the width at which it grows least. */
export interface ZoomGap {
  readonly fromPx: number;
  readonly toPx: number;
  readonly worstPx: number;
  /** How many times larger the text gets there at most. */
  readonly gain: number;
}

/** Of two widths at which a text grows as little, the narrower is told. */
const TIE = 1e-9;

/** A straight line over the screen width: constant + slope times the width. */
type Line = readonly [constant: number, slope: number];

const at = ([constant, slope]: Line, width: number): number => constant + slope * width;

const crossing = ([one, two]: Line, [three, four]: Line): number => (three - one) / (two - four);

/**
 * The sizes that a text can be brought to at a screen width within (low, high), as lines over the
 * width: at zoom z a screen of W px lays out as one of W / z, so that the text is z f(W / z) large.
 * On a piece that is z times its constant plus its slope times W: straight in z, so that the ends
 * of the piece, and of the zoom, are enough; at a step both sides count.
 */
function reachable(pieces: readonly Piece[], low: number, { most, stops }: ZoomRange): Line[] {
  return pieces.flatMap(({ fromPx, toPx, constantPx, slope }): Line[] => {
    if (stops)
      return [1, ...stops]
        .filter((zoom) => zoom <= most && low >= zoom * fromPx && low < zoom * toPx)
        .map((zoom) => [zoom * constantPx, slope]);
    if (low < fromPx || low >= most * toPx) return [];
    return [
      low < toPx ? [constantPx, slope] : [0, constantPx / toPx + slope],
      low < most * fromPx ? [0, constantPx / fromPx + slope] : [most * constantPx, slope],
    ];
  });
}

/** The widths at which another line begins to count. */
function breaksOf(pieces: readonly Piece[], { fromPx, toPx, most, stops }: ZoomRange): number[] {
  const zooms = stops ? [1, ...stops] : [1, most];
  const all = pieces.flatMap((piece) => zooms.map((zoom) => zoom * piece.fromPx));
  const within = all.filter((width) => width > fromPx && width < toPx);
  return [...new Set([fromPx, ...within, toPx])].sort((one, other) => one - other);
}

/**
 * The stretches of screen widths at which no zoom makes the text twice as large, exactly: between
 * two breaks every size that can be reached is a straight line over the width, so that each line
 * falls short on one stretch, and all do where those meet. `pieces` cover every width from 0.
 * Source: WCAG 2.2, 1.4.4; arithmetic.
 */
export function zoomGaps(
  pieces: readonly Piece[],
  range: ZoomRange = USUAL_RANGE,
): readonly ZoomGap[] {
  const gaps: ZoomGap[] = [];
  const breaks = breaksOf(pieces, range);
  breaks.slice(1).forEach((high, index) => {
    const low = breaks[index] ?? 0;
    const own = pieces.find(({ fromPx, toPx }) => low >= fromPx && low < toPx);
    if (!own) return;
    const size: Line = [own.constantPx, own.slope];
    const lines = reachable(pieces, low, range);
    let [from, to] = [low, high];
    for (const [constant, slope] of lines) {
      const short: Line = [constant - NEEDED_GAIN * size[0], slope - NEEDED_GAIN * size[1]];
      // Rounded numbers that meet the limit exactly do not fall short of it.
      const slack = -1e-9 * at(size, high);
      const [atLow, atHigh] = [at(short, low), at(short, high)];
      if (atLow >= slack && atHigh >= slack) return;
      if (atLow >= slack) from = Math.max(from, crossing(short, [0, 0]));
      if (atHigh >= slack) to = Math.min(to, crossing(short, [0, 0]));
    }
    if (to - from <= 1e-9) return;
    const gainAt = (width: number): number =>
      Math.max(...lines.map((line) => at(line, width))) / at(size, width);
    // The highest of straight lines is lowest, against another one, at an end or where two cross.
    const turns = lines.flatMap((line, one) =>
      lines.slice(one + 1).map((other) => crossing(line, other)),
    );
    const worstPx = [from, to, ...turns.filter((width) => width > from && width < to)].reduce(
      (worst, width) => (gainAt(width) < gainAt(worst) - TIE ? width : worst),
    );
    gaps.push({ fromPx: from, toPx: to, worstPx, gain: gainAt(worstPx) });
  });
  return joined(gaps);
}

/** Stretches that touch are one. */
function joined(gaps: readonly ZoomGap[]): ZoomGap[] {
  const result: ZoomGap[] = [];
  for (const gap of gaps) {
    const last = result.at(-1);
    if (last && gap.fromPx - last.toPx < 1e-6)
      result.splice(-1, 1, {
        ...(gap.gain < last.gain - TIE ? gap : last),
        fromPx: last.fromPx,
        toPx: gap.toPx,
      });
    else result.push(gap);
  }
  return result;
}

/** How many times larger zooming makes a text at one screen width, at most. */
export function zoomGain(
  pieces: readonly Piece[],
  widthPx: number,
  range: ZoomRange = USUAL_RANGE,
): number {
  const own = pieces.find(({ fromPx, toPx }) => widthPx >= fromPx && widthPx < toPx);
  const lines = reachable(pieces, widthPx, range);
  if (!own) return NaN;
  return (
    Math.max(...lines.map((line) => at(line, widthPx))) / (own.constantPx + own.slope * widthPx)
  );
}
