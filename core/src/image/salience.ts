import { oklabOf } from '../color/oklab.ts';

/** Pixels in rows from the top, four bytes each (red, green, blue, alpha), as a canvas gives them. */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A spot that stands out; its middle as shares of the picture, its strength from 0 to 1. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly strength: number;
}

export interface Salience {
  /** How much each cell stands out, 0 to 1, in rows from the top. */
  readonly map: Float32Array;
  readonly columns: number;
  readonly rows: number;
  /** The strongest spots, strongest first. */
  readonly spots: readonly Spot[];
}

/** So many cells lie side by side; finer than that nobody sees while squinting. */
const COLUMNS = 96;

/** Sums of everything above and to the left, so that the mean of any rectangle is four look-ups. */
function sumsOf(values: Float32Array, columns: number, rows: number): Float64Array {
  const sums = new Float64Array((columns + 1) * (rows + 1));
  for (let row = 0; row < rows; row += 1) {
    let line = 0;
    for (let column = 0; column < columns; column += 1) {
      line += values[row * columns + column] ?? 0;
      sums[(row + 1) * (columns + 1) + column + 1] =
        (sums[row * (columns + 1) + column + 1] ?? 0) + line;
    }
  }
  return sums;
}

/** The mean around every cell, within so many cells on either side; less at the edges of the picture. */
function means(values: Float32Array, columns: number, rows: number, reach: number): Float32Array {
  const sums = sumsOf(values, columns, rows);
  const at = (row: number, column: number): number => sums[row * (columns + 1) + column] ?? 0;
  const result = new Float32Array(values.length);
  for (let row = 0; row < rows; row += 1) {
    const [top, bottom] = [Math.max(0, row - reach), Math.min(rows, row + reach + 1)];
    for (let column = 0; column < columns; column += 1) {
      const [left, right] = [Math.max(0, column - reach), Math.min(columns, column + reach + 1)];
      const sum = at(bottom, right) - at(top, right) - at(bottom, left) + at(top, left);
      result[row * columns + column] = sum / ((bottom - top) * (right - left));
    }
  }
  return result;
}

/** The picture in OKLab, each cell the mean of its pixels; transparent pixels count as white. */
function cellsOf({ data, width, height }: Pixels): {
  channels: readonly [Float32Array, Float32Array, Float32Array];
  columns: number;
  rows: number;
} {
  const columns = Math.max(1, Math.min(COLUMNS, width));
  const size = width / columns;
  const rows = Math.max(1, Math.round(height / size));
  const channels = [0, 1, 2].map(() => new Float32Array(columns * rows)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const rgb: [number, number, number] = [0, 0, 0];
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const [top, bottom] = [Math.floor(row * size), Math.floor((row + 1) * size)];
      const [left, right] = [Math.floor(column * size), Math.floor((column + 1) * size)];
      let count = 0;
      rgb.fill(0);
      for (let y = top; y < Math.max(top + 1, Math.min(height, bottom)); y += 1)
        for (let x = left; x < Math.max(left + 1, Math.min(width, right)); x += 1) {
          const at = (y * width + x) * 4;
          const alpha = (data[at + 3] ?? 255) / 255;
          for (let channel = 0; channel < 3; channel += 1)
            rgb[channel] =
              (rgb[channel] ?? 0) + ((data[at + channel] ?? 255) / 255) * alpha + (1 - alpha);
          count += 1;
        }
      const lab = oklabOf([rgb[0] / count, rgb[1] / count, rgb[2] / count]);
      channels.forEach((values, channel) => (values[row * columns + column] = lab[channel] ?? 0));
    }
  return { channels, columns, rows };
}

/** The reach of the middle and of its surroundings, in cells: small things, parts, whole blocks. */
const SCALES: readonly (readonly [middle: number, around: number])[] = [
  [0, 4],
  [1, 8],
  [3, 16],
];

/** Difference of color counts so much beside difference of lightness. Common practice. */
const COLOR_WEIGHT = 1.6;

/** Spots lie so far apart, as a share of the width. */
const APART = 0.12;

function strongest(map: Float32Array, columns: number, rows: number, most: number): Spot[] {
  const spots: Spot[] = [];
  const order = [...map.keys()].sort((one, other) => (map[other] ?? 0) - (map[one] ?? 0));
  for (const at of order) {
    const strength = map[at] ?? 0;
    if (spots.length >= most || strength <= 0) break;
    const spot = {
      x: ((at % columns) + 0.5) / columns,
      y: (Math.floor(at / columns) + 0.5) / rows,
      strength,
    };
    // Across and down in the same measure: shares of the width.
    const away = (other: Spot): number =>
      Math.hypot(other.x - spot.x, ((other.y - spot.y) * rows) / columns);
    if (spots.every((other) => away(other) >= APART)) spots.push(spot);
  }
  return spots;
}

/**
 * What stands out of a picture: how much the lightness and the color of each spot differ from what
 * lies around it, at three sizes, the strongest counted as 1. A picture of one color has no spots.
 * Source: center and surround of Itti, Koch and Niebur 1998, here in OKLab with box means.
 */
export function salienceOf(pixels: Pixels, most = 3): Salience {
  const { channels, columns, rows } = cellsOf(pixels);
  const map = new Float32Array(columns * rows);
  for (const [middle, around] of SCALES) {
    const pairs = channels.map((values) => [
      means(values, columns, rows, middle),
      means(values, columns, rows, around),
    ]);
    for (let at = 0; at < map.length; at += 1) {
      const [light = 0, a = 0, b = 0] = pairs.map(
        ([inner, outer]) => (inner?.[at] ?? 0) - (outer?.[at] ?? 0),
      );
      map[at] = (map[at] ?? 0) + Math.abs(light) + COLOR_WEIGHT * Math.hypot(a, b);
    }
  }
  const largest = map.reduce((best, value) => Math.max(best, value), 0);
  // Rounding alone leaves less than this.
  if (largest < 1e-4) return { map: map.fill(0), columns, rows, spots: [] };
  for (let at = 0; at < map.length; at += 1) map[at] = (map[at] ?? 0) / largest;
  return { map, columns, rows, spots: strongest(map, columns, rows, most) };
}
