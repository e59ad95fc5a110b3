import type { Area, Pixels } from './veil.ts';

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

/** Pixels as one number each, red in the lowest byte: read at once. Every machine that has a browser orders bytes so. */
const wordsOf = ({ buffer, byteOffset, length }: Uint8ClampedArray): Uint32Array =>
  byteOffset % 4 === 0
    ? new Uint32Array(buffer, byteOffset, length / 4)
    : new Uint32Array(buffer.slice(byteOffset, byteOffset + length));

/**
 * The pixels under a box, no finer than a dense screen shows them: where the picture has more, each stands for the mean
 * of those that it covers, in gamma-encoded sRGB as browsers draw a smaller picture. The same pixels where it has not
 * more. `crop` is the part of the picture that the frame shows, in its pixels; `box` stands in shares of the frame.
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
  const sums = new Uint32Array(columns * 3);
  const words = wordsOf(data);
  for (let row = 0; row < rows; row += 1) {
    sums.fill(0);
    const from = Math.floor(row * down);
    const to = row === rows - 1 ? bottom - top : Math.floor((row + 1) * down);
    for (let y = from; y < to; y += 1) {
      let at = (top + y) * width + left;
      for (let column = 0; column < columns; column += 1) {
        const end = starts[column + 1] ?? 0;
        let red = 0;
        let green = 0;
        let blue = 0;
        for (let x = starts[column] ?? 0; x < end; x += 1, at += 1) {
          const pixel = words[at] ?? 0;
          const alpha = pixel >>> 24;
          if (alpha === 255) {
            red += pixel & 255;
            green += (pixel >>> 8) & 255;
            blue += (pixel >>> 16) & 255;
          } else {
            const white = 255 - alpha;
            red += Math.round(((pixel & 255) * alpha) / 255 + white);
            green += Math.round((((pixel >>> 8) & 255) * alpha) / 255 + white);
            blue += Math.round((((pixel >>> 16) & 255) * alpha) / 255 + white);
          }
        }
        const own = column * 3;
        sums[own] = (sums[own] ?? 0) + red;
        sums[own + 1] = (sums[own + 1] ?? 0) + green;
        sums[own + 2] = (sums[own + 2] ?? 0) + blue;
      }
    }
    for (let column = 0; column < columns; column += 1) {
      const wide = (starts[column + 1] ?? 0) - (starts[column] ?? 0);
      const count = Math.max(1, wide * (to - from));
      const own = column * 3;
      const place = (row * columns + column) * 4;
      out[place] = Math.round((sums[own] ?? 0) / count);
      out[place + 1] = Math.round((sums[own + 1] ?? 0) / count);
      out[place + 2] = Math.round((sums[own + 2] ?? 0) / count);
      out[place + 3] = 255;
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
