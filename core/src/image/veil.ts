import { LINEAR_LEVELS, rgbOf, type Hex } from '../color/srgb.ts';

/** From where a veil comes: over the whole picture, or fading out from one side. */
export type VeilSide = 'all over' | 'bottom' | 'top' | 'start' | 'end';

export interface VeilLook {
  readonly color: Hex;
  readonly side: VeilSide;
  /** Opacity where it is strongest, in levels of 255. */
  readonly strength: number;
}

/** How many levels of opacity are emitted: as many as 8 bits hold. */
export const LEVELS = 255;

/** A fading veil is whole over this share of the way from its side, and gone at the end of it. */
export const WHOLE_UNTIL = 0.5;

/** What is left of a fading veil at a share of the way from its side, 0 to 1. */
export const fadeAt = (way: number): number =>
  way <= WHOLE_UNTIL ? 1 : Math.max(0, 1 - (way - WHOLE_UNTIL) / (1 - WHOLE_UNTIL));

const TOWARDS = {
  bottom: 'to top',
  top: 'to bottom',
  start: 'to right',
  end: 'to left',
} as const;

/** The veil as a gradient of CSS, to be laid over the picture. */
export function veilCss({ color, side, strength }: VeilLook): string {
  const [red, green, blue] = rgbOf(color).map((channel) => Math.round(channel * 255));
  const at = (level: number): string =>
    `rgb(${red} ${green} ${blue} / ${Number((level / LEVELS).toFixed(4))})`;
  return side === 'all over'
    ? `linear-gradient(${at(strength)}, ${at(strength)})`
    : `linear-gradient(${TOWARDS[side]}, ${at(strength)} ${WHOLE_UNTIL * 100}%, ${at(0)} 100%)`;
}

/** A part of a picture, in pixels from its upper left corner. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A picture’s pixels, four bytes each: red, green, blue, alpha. */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/**
 * The colors under an area, counted: by 15 bits of color, and by how much of the veil is there, in
 * sixteenths. What a box covers thousands of times is judged once.
 */
export interface Histogram {
  /** Mean red, green and blue of each kind (0 to 255), its share of the veil (0 to 1), its count. */
  readonly kinds: readonly {
    readonly rgb: readonly [number, number, number];
    readonly veil: number;
    readonly count: number;
    /** The darkest and the lightest of the kind, so that no pixel of it is judged too kindly. */
    readonly extremes: readonly (readonly [number, number, number])[];
  }[];
  readonly count: number;
}

/** The part of a picture that a frame shows, as `object-fit: cover` crops it around the middle. */
export function coverCrop(
  picture: { readonly width: number; readonly height: number },
  frame: { readonly width: number; readonly height: number },
): Area {
  const scale = Math.max(frame.width / picture.width, frame.height / picture.height);
  const width = Math.min(picture.width, frame.width / scale);
  const height = Math.min(picture.height, frame.height / scale);
  return { x: (picture.width - width) / 2, y: (picture.height - height) / 2, width, height };
}

/** How far from the veil’s side a place in the frame is, both as shares of the frame. */
export function wayFrom(side: VeilSide, x: number, y: number): number {
  switch (side) {
    case 'all over':
      return 0;
    case 'bottom':
      return 1 - y;
    case 'top':
      return y;
    case 'start':
      return x;
    case 'end':
      return 1 - x;
  }
}

const BANDS = 64;

/**
 * Counts the colors under a box. `crop` is the part of the picture that the frame shows, `box` stands
 * in shares of the frame. Transparent pixels count as they look on white.
 */
export function histogramUnder(
  { data, width, height }: Pixels,
  crop: Area,
  box: Area,
  side: VeilSide,
): Histogram {
  const left = Math.max(0, Math.floor(crop.x + box.x * crop.width));
  const top = Math.max(0, Math.floor(crop.y + box.y * crop.height));
  const right = Math.min(width, Math.ceil(crop.x + (box.x + box.width) * crop.width));
  const bottom = Math.min(height, Math.ceil(crop.y + (box.y + box.height) * crop.height));
  const sums = new Map<number, number[]>();
  let count = 0;
  for (let y = top; y < bottom; y += 1)
    for (let x = left; x < right; x += 1) {
      const at = (y * width + x) * 4;
      const alpha = (data[at + 3] ?? 255) / 255;
      const on = (value: number): number => value * alpha + 255 * (1 - alpha);
      const r = on(data[at] ?? 0);
      const g = on(data[at + 1] ?? 0);
      const b = on(data[at + 2] ?? 0);
      const fade =
        side === 'all over'
          ? 1
          : fadeAt(
              wayFrom(side, (x + 0.5 - crop.x) / crop.width, (y + 0.5 - crop.y) / crop.height),
            );
      // Rounded down: no pixel is believed to have more of the veil than it has.
      const band = Math.floor(fade * BANDS);
      const key = ((r >> 3) << 17) | ((g >> 3) << 12) | ((b >> 3) << 7) | band;
      const light = 0.2126 * r + 0.7152 * g + 0.0722 * b;
      const sum = sums.get(key);
      if (!sum) sums.set(key, [1, r, g, b, light, r, g, b, light, r, g, b]);
      else {
        sum[0] = (sum[0] ?? 0) + 1;
        sum[1] = (sum[1] ?? 0) + r;
        sum[2] = (sum[2] ?? 0) + g;
        sum[3] = (sum[3] ?? 0) + b;
        if (light < (sum[4] ?? 0)) sum.splice(4, 4, light, r, g, b);
        if (light > (sum[8] ?? 0)) sum.splice(8, 4, light, r, g, b);
      }
      count += 1;
    }
  const kinds = [...sums].map(([key, sum]) => {
    const [n = 1, r = 0, g = 0, b = 0, , r1 = 0, g1 = 0, b1 = 0, , r2 = 0, g2 = 0, b2 = 0] = sum;
    return {
      rgb: [r / n, g / n, b / n] as const,
      veil: (key & 127) / BANDS,
      count: n,
      extremes: n === 1 ? [[r1, g1, b1] as const] : [[r1, g1, b1] as const, [r2, g2, b2] as const],
    };
  });
  return { kinds, count };
}

const luminance = (r: number, g: number, b: number): number =>
  0.2126 * (LINEAR_LEVELS[r] ?? 0) +
  0.7152 * (LINEAR_LEVELS[g] ?? 0) +
  0.0722 * (LINEAR_LEVELS[b] ?? 0);

/** A pixel under so much of a color, as browsers blend: in gamma-encoded sRGB, to 8 bits. */
const blended = (pixel: number, veil: number, alpha: number): number =>
  Math.round(pixel * (1 - alpha) + veil * alpha);

/** What a strength comes to. */
export interface VeilProof {
  readonly strength: number;
  /** The share of the pixels that pass, 0 to 1. */
  readonly passing: number;
  /** The lowest contrast under the box. */
  readonly lowest: number;
}

/** Judges the pixels of a box under a veil of one strength. */
export function proveStrength(
  { kinds, count }: Histogram,
  { ink, color, strength }: { readonly ink: Hex; readonly color: Hex; readonly strength: number },
  needed: number,
): VeilProof {
  const [vr, vg, vb] = rgbOf(color).map((channel) => Math.round(channel * 255)) as [
    number,
    number,
    number,
  ];
  const [ir, ig, ib] = rgbOf(ink).map((channel) => Math.round(channel * 255)) as [
    number,
    number,
    number,
  ];
  const own = luminance(ir, ig, ib) + 0.05;
  let passing = 0;
  let lowest = Infinity;
  for (const { extremes, veil, count: number } of kinds) {
    const alpha = (strength / LEVELS) * veil;
    let least = Infinity;
    for (const [r, g, b] of extremes) {
      const ground =
        luminance(
          blended(Math.round(r), vr, alpha),
          blended(Math.round(g), vg, alpha),
          blended(Math.round(b), vb, alpha),
        ) + 0.05;
      least = Math.min(least, own > ground ? own / ground : ground / own);
    }
    if (least >= needed) passing += number;
    lowest = Math.min(lowest, least);
  }
  return { strength, passing: count === 0 ? 1 : passing / count, lowest };
}

export interface VeilAsk {
  readonly ink: Hex;
  readonly color: Hex;
  readonly needed: number;
  /** The share of the pixels that have to pass, 0 to 1. */
  readonly pixels: number;
}

/**
 * The least strength (0 to 255) of a veil at which the text passes under every box. Contrast is not
 * monotone in the strength, so every strength is tried from the weakest up, until one passes; one that
 * passes at a share of the pixels short of all may be followed by one that does not. Undefined where
 * none of the 256 passes.
 */
export function leastStrength(
  boxes: readonly (Histogram & { readonly needed?: number })[],
  { ink, color, needed, pixels }: VeilAsk,
): { readonly strength: number; readonly proofs: readonly VeilProof[] } | undefined {
  for (let strength = 0; strength <= LEVELS; strength += 1) {
    const proofs: VeilProof[] = [];
    for (const box of boxes) {
      const proof = proveStrength(box, { ink, color, strength }, box.needed ?? needed);
      if (proof.passing < pixels) break;
      proofs.push(proof);
    }
    if (proofs.length === boxes.length) return { strength, proofs };
  }
  return undefined;
}
