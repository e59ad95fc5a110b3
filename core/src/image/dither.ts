import { linear, rgbOf, type Hex } from '../color/srgb.ts';

export const DITHERINGS = ['none', 'ordered', 'error diffusion'] as const;
export type Dithering = (typeof DITHERINGS)[number];

/** The threshold matrix of order 8. Source: Bayer 1973. */
const BAYER: readonly number[] = (() => {
  let matrix: number[][] = [[0]];
  for (let round = 0; round < 3; round += 1) {
    const size = matrix.length;
    matrix = Array.from({ length: size * 2 }, (_, y) =>
      Array.from({ length: size * 2 }, (__, x) => {
        const quarter = [0, 2, 3, 1][(y < size ? 0 : 2) + (x < size ? 0 : 1)] ?? 0;
        return (matrix[y % size]?.[x % size] ?? 0) * 4 + quarter;
      }),
    );
  }
  return matrix.flat().map((value) => (value + 0.5) / 64);
})();
const ORDER = 8;

const LINEAR = Float32Array.from({ length: 256 }, (_, level) => linear(level / 255));

/** Where the error of a pixel goes, in sixteenths. Source: Floyd and Steinberg 1976. */
const SPREAD = [
  [1, 0, 7],
  [-1, 1, 3],
  [0, 1, 5],
  [1, 1, 1],
] as const;

/**
 * A picture in nothing but the colors of a palette, in place: every pixel as the nearest in linear
 * light, with the error spread to its neighbors, or against a threshold that changes from pixel to
 * pixel. In linear light a pattern of two colors looks from afar like the color it stands for.
 * `told` is called with the share that is done, 0 to 1; it may stop the work by returning false.
 */
export function dither(
  data: Uint8ClampedArray,
  width: number,
  height: number,
  palette: readonly Hex[],
  dithering: Dithering,
  told: (share: number) => boolean = () => true,
): boolean {
  const colors = palette.map((hex) => {
    const rgb = rgbOf(hex);
    return {
      bytes: rgb.map((channel) => Math.round(channel * 255)),
      light: rgb.map(linear),
    };
  });
  if (colors.length === 0) throw new RangeError('a palette has one color at least');
  const nearest = nearestIn(colors.map(({ light }) => light));
  // How far the colors of the palette lie apart: so much a threshold has to reach.
  const reach = dithering === 'ordered' ? spacing(colors.map(({ light }) => light)) : 0;
  const rowLength = (width + 2) * 3;
  let errors = new Float32Array(rowLength);
  let below = new Float32Array(rowLength);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = (y * width + x) * 4;
      const alpha = (data[at + 3] ?? 255) / 255;
      const threshold =
        dithering === 'ordered'
          ? ((BAYER[(y % ORDER) * ORDER + (x % ORDER)] ?? 0.5) - 0.5) * reach
          : 0;
      const light = (channel: number): number =>
        (LINEAR[data[at + channel] ?? 0] ?? 0) * alpha + (1 - alpha);
      const offset = (x + 1) * 3;
      const r = light(0) + threshold + (errors[offset] ?? 0);
      const g = light(1) + threshold + (errors[offset + 1] ?? 0);
      const b = light(2) + threshold + (errors[offset + 2] ?? 0);
      const best = colors[nearest(r, g, b)];
      if (!best) continue;
      const [red = 0, green = 0, blue = 0] = best.bytes;
      data[at] = red;
      data[at + 1] = green;
      data[at + 2] = blue;
      data[at + 3] = 255;
      if (dithering !== 'error diffusion') continue;
      const [lr = 0, lg = 0, lb = 0] = best.light;
      // An error that no color of the palette can take up is not carried on for ever.
      const held = (value: number): number => Math.max(-1, Math.min(1, value));
      const left = [held(r - lr), held(g - lg), held(b - lb)] as const;
      for (const [dx, dy, weight] of SPREAD) {
        const row = dy === 0 ? errors : below;
        const to = (x + 1 + dx) * 3;
        for (let channel = 0; channel < 3; channel += 1)
          row[to + channel] = (row[to + channel] ?? 0) + ((left[channel] ?? 0) * weight) / 16;
      }
    }
    errors = below;
    below = new Float32Array(rowLength);
    if (y % 32 === 0 && !told(y / height)) return false;
  }
  return true;
}

/** Levels a channel in which nearest colors are remembered, from and to which in linear light. */
const CELLS = 64;
const FROM = -0.25;
const TO = 1.25;

/** The place in the palette of the color nearest to one in linear light, remembered by cells of it. */
function nearestIn(
  lights: readonly (readonly number[])[],
): (r: number, g: number, b: number) => number {
  const known = new Int16Array(CELLS ** 3).fill(-1);
  const cell = (value: number): number =>
    Math.min(CELLS - 1, Math.max(0, Math.floor(((value - FROM) / (TO - FROM)) * CELLS)));
  // Few colors are compared as fast as they are looked up, and exactly.
  const remembered = lights.length > 16;
  return (r, g, b) => {
    const key = remembered ? (cell(r) * CELLS + cell(g)) * CELLS + cell(b) : 0;
    const before = remembered ? (known[key] ?? -1) : -1;
    if (before >= 0) return before;
    let best = 0;
    let least = Infinity;
    for (let index = 0; index < lights.length; index += 1) {
      const [lr = 0, lg = 0, lb = 0] = lights[index] ?? [];
      // Green weighs most in what is seen, blue least. Common practice: 3, 6, 1.
      const distance = 3 * (lr - r) ** 2 + 6 * (lg - g) ** 2 + (lb - b) ** 2;
      if (distance < least) {
        least = distance;
        best = index;
      }
    }
    if (remembered) known[key] = best;
    return best;
  };
}

/** The mean distance from each color to its nearest other, along gray, in linear light. */
function spacing(lights: readonly (readonly number[])[]): number {
  if (lights.length < 2) return 0;
  const nearest = lights.map((one, index) =>
    Math.min(
      ...lights
        .filter((_, other) => other !== index)
        .map((other) => Math.hypot(...one.map((value, channel) => value - (other[channel] ?? 0)))),
    ),
  );
  const mean = nearest.reduce((sum, value) => sum + value, 0) / nearest.length;
  return Math.min(1, mean / Math.sqrt(3));
}
