import { once } from '../once.ts';
import type { Area, Pixels } from './veil.ts';
import { onWhite, wordsOf } from './words.ts';

/** So many pixels of a picture are looked at for one px of the page: as many as dense screens show. Common practice. */
const PER_PX = 2;

/** The part of a picture that a box shows, as finely as a screen shows it. */
export interface ShownPart {
  readonly pixels: Pixels;
  /** Where the whole frame lies, in these pixels. */
  readonly crop: Area;
}

/** How many pieces of a length begin within a whole number of pixels; none is empty, whatever a division rounds to. */
function piecesIn(whole: number, piece: number): number {
  let count = Math.max(0, Math.ceil(whole / piece));
  while (count > 0 && Math.floor((count - 1) * piece) >= whole) count -= 1;
  return count;
}

/** A picture half as wide and high: each pixel the mean of four; at an odd end it is looked at twice. */
const halved = once(({ data, width, height }: Pixels): Pixels => {
  const [columns, rows] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  const out = new Uint8ClampedArray(columns * rows * 4);
  const [words, made] = [wordsOf(data), wordsOf(out)];
  for (let row = 0; row < rows; row += 1) {
    const upper = row * 2 * width;
    const lower = Math.min(row * 2 + 1, height - 1) * width;
    for (let column = 0; column < columns; column += 1) {
      const left = column * 2;
      const right = Math.min(left + 1, width - 1);
      const a = onWhite(words[upper + left] ?? 0);
      const b = onWhite(words[upper + right] ?? 0);
      const c = onWhite(words[lower + left] ?? 0);
      const d = onWhite(words[lower + right] ?? 0);
      // Two channels at once: four bytes add up to less than the sixteen bits that each has here.
      const outer = (a & 0xff00ff) + (b & 0xff00ff) + (c & 0xff00ff) + (d & 0xff00ff) + 0x20002;
      const green =
        ((a >>> 8) & 255) + ((b >>> 8) & 255) + ((c >>> 8) & 255) + ((d >>> 8) & 255) + 2;
      made[row * columns + column] =
        ((outer >>> 2) & 0xff00ff) | ((green >>> 2) << 8) | (255 << 24);
    }
  }
  return { data: out, width: columns, height: rows };
});

/**
 * The pixels under a box, no finer than a dense screen shows them: where the picture has more, each stands for the mean
 * of those that it covers, in gamma-encoded sRGB as browsers draw a smaller picture. The same pixels where it has not
 * more. Where it has more than twice as many either way, the mean is taken of a picture half as large. `crop` is the part of the picture that the frame shows, in its pixels; `box` stands in shares of the frame.
 */
export function shownPart(
  pixels: Pixels,
  crop: Area,
  box: Area,
  frame: { readonly width: number; readonly height: number },
): ShownPart {
  const across = crop.width / (frame.width * PER_PX);
  const down = crop.height / (frame.height * PER_PX);
  if (across <= 1 || down <= 1) return { pixels, crop };
  if (across >= 2 && down >= 2) {
    const half = {
      x: crop.x / 2,
      y: crop.y / 2,
      width: crop.width / 2,
      height: crop.height / 2,
    };
    return shownPart(halved(pixels), half, box, frame);
  }
  const { data, width, height } = pixels;
  const left = Math.max(0, Math.floor(crop.x + box.x * crop.width));
  const top = Math.max(0, Math.floor(crop.y + box.y * crop.height));
  const right = Math.min(width, Math.ceil(crop.x + (box.x + box.width) * crop.width));
  const bottom = Math.min(height, Math.ceil(crop.y + (box.y + box.height) * crop.height));
  const columns = piecesIn(right - left, across);
  const rows = piecesIn(bottom - top, down);
  const out = new Uint8ClampedArray(columns * rows * 4);
  /** Where each column begins in the picture, and where the last ends; none is empty, for none is less than a pixel. */
  const starts = Uint32Array.from({ length: columns + 1 }, (_, column) =>
    column === columns ? right - left : Math.floor(column * across),
  );
  /** Where the sums of the column stand that each pixel of a row belongs to. */
  const sumOf = new Uint32Array(right - left);
  for (let column = 0; column < columns; column += 1)
    sumOf.fill(column * 3, starts[column], starts[column + 1]);
  const sums = new Uint32Array(columns * 3);
  const [words, made] = [wordsOf(data), wordsOf(out)];
  for (let row = 0; row < rows; row += 1) {
    sums.fill(0);
    const from = Math.floor(row * down);
    const to = row === rows - 1 ? bottom - top : Math.floor((row + 1) * down);
    for (let y = from; y < to; y += 1) {
      const at = (top + y) * width + left;
      for (let x = 0; x < sumOf.length; x += 1) {
        const pixel = onWhite(words[at + x] ?? 0);
        const own = sumOf[x] ?? 0;
        sums[own] = (sums[own] ?? 0) + (pixel & 255);
        sums[own + 1] = (sums[own + 1] ?? 0) + ((pixel >>> 8) & 255);
        sums[own + 2] = (sums[own + 2] ?? 0) + ((pixel >>> 16) & 255);
      }
    }
    for (let column = 0; column < columns; column += 1) {
      const count = ((starts[column + 1] ?? 0) - (starts[column] ?? 0)) * (to - from);
      const own = column * 3;
      const half = count / 2;
      const red = ((sums[own] ?? 0) + half) / count;
      const green = ((sums[own + 1] ?? 0) + half) / count;
      const blue = ((sums[own + 2] ?? 0) + half) / count;
      made[row * columns + column] =
        (red & 255) | ((green & 255) << 8) | ((blue & 255) << 16) | (255 << 24);
    }
  }
  return {
    pixels: { data: out, width: columns, height: rows },
    crop: {
      x: (crop.x - left) / across,
      y: (crop.y - top) / down,
      width: crop.width / across,
      height: crop.height / down,
    },
  };
}
