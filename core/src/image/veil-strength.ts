import { LINEAR_LEVELS, rgbOf, type Hex } from '../color/srgb.ts';
import { fadeAt, LEVELS, wayFrom, type Area, type Pixels, type VeilSide } from './veil.ts';
import { onWhite, wordsOf } from './words.ts';

type Levels = readonly [red: number, green: number, blue: number];

/** Pixels that are nearly alike: what is certain of all of them is judged once. */
interface Kind {
  /** The least and the most of each channel, 0 to 255, and of what is left of the veil, 0 to 1. */
  readonly low: Levels;
  readonly high: Levels;
  readonly faded: readonly [least: number, most: number];
  /** Where its pixels stand in the list of all. */
  readonly from: number;
  readonly to: number;
}

/** The pixels of a picture under a box, in kinds; what a kind leaves open is judged pixel by pixel. */
export interface Histogram {
  readonly kinds: readonly Kind[];
  /** Every pixel as one number, red in the lowest byte. */
  readonly colors: Uint32Array;
  /** What is left of the veil along its way, and for every pixel where on that way it is. */
  readonly fades: Float64Array;
  readonly steps: Uint16Array;
  readonly count: number;
}

/** How finely pixels are parted into kinds: by the veil on them, and by the upper bits of their color. */
const BANDS = 64;

/**
 * Takes up the pixels under a box. `crop` is the part of the picture that the frame shows, `box` stands
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
  const columns = Math.max(0, right - left);
  const rows = Math.max(0, bottom - top);
  const count = columns * rows;
  // A veil fades across or down; so it is the same along a column, or along a row.
  const isAcross = side === 'start' || side === 'end';
  const fades = Float64Array.from({ length: isAcross ? columns : rows }, (_, at) =>
    fadeAt(
      isAcross
        ? wayFrom(side, (left + at + 0.5 - crop.x) / crop.width, 0)
        : wayFrom(side, 0, (top + at + 0.5 - crop.y) / crop.height),
    ),
  );
  const bands = Int32Array.from(fades, (fade) => Math.floor(fade * BANDS) << 12);
  const words = wordsOf(data);
  const kindOf = new Uint32Array(count);
  const known = new Uint32Array((BANDS + 1) << 12);
  const sizes = new Uint32Array(known.length);
  let found = 0;
  let index = 0;
  for (let y = 0; y < rows; y += 1) {
    let at = (top + y) * width + left;
    for (let x = 0; x < columns; x += 1, at += 1, index += 1) {
      const pixel = onWhite(words[at] ?? 0);
      const band = bands[isAcross ? x : y] ?? 0;
      const key = band | ((pixel & 0xf0) << 4) | ((pixel >>> 8) & 0xf0) | ((pixel >>> 20) & 0xf);
      let kind = known[key] ?? 0;
      if (kind === 0) {
        found += 1;
        kind = found;
        known[key] = kind;
      }
      kindOf[index] = kind - 1;
      sizes[kind - 1] = (sizes[kind - 1] ?? 0) + 1;
    }
  }
  let end = 0;
  const starts = Array.from(sizes.subarray(0, found), (size) => (end += size) - size);
  const next = Int32Array.from(starts);
  const colors = new Uint32Array(count);
  const steps = new Uint16Array(count);
  // The least and the most of red, green and blue of each kind, and where on the way of the veil it begins and ends.
  const low = new Uint8Array(found * 3).fill(255);
  const high = new Uint8Array(found * 3);
  const first = new Uint16Array(found).fill(0xffff);
  const last = new Uint16Array(found);
  index = 0;
  for (let y = 0; y < rows; y += 1) {
    let at = (top + y) * width + left;
    for (let x = 0; x < columns; x += 1, at += 1, index += 1) {
      const kind = kindOf[index] ?? 0;
      const place = next[kind] ?? 0;
      next[kind] = place + 1;
      const pixel = onWhite(words[at] ?? 0);
      colors[place] = pixel;
      const own = kind * 3;
      const red = pixel & 255;
      const green = (pixel >>> 8) & 255;
      const blue = (pixel >>> 16) & 255;
      if (red < (low[own] ?? 0)) low[own] = red;
      if (red > (high[own] ?? 0)) high[own] = red;
      if (green < (low[own + 1] ?? 0)) low[own + 1] = green;
      if (green > (high[own + 1] ?? 0)) high[own + 1] = green;
      if (blue < (low[own + 2] ?? 0)) low[own + 2] = blue;
      if (blue > (high[own + 2] ?? 0)) high[own + 2] = blue;
      const step = isAcross ? x : y;
      steps[place] = step;
      if (step < (first[kind] ?? 0)) first[kind] = step;
      if (step > (last[kind] ?? 0)) last[kind] = step;
    }
  }
  const levels = (of: Uint8Array, kind: number): Levels => [
    of[kind * 3] ?? 0,
    of[kind * 3 + 1] ?? 0,
    of[kind * 3 + 2] ?? 0,
  ];
  const kinds = starts.map((from, kind) => {
    const to = next[kind] ?? from;
    // Along its way a veil only grows weaker, or only stronger.
    const one = fades[first[kind] ?? 0] ?? 0;
    const other = fades[last[kind] ?? 0] ?? 0;
    return {
      low: levels(low, kind),
      high: levels(high, kind),
      faded: [Math.min(one, other), Math.max(one, other)] as const,
      from,
      to,
    };
  });
  return { kinds, colors, fades, steps, count };
}

const luminance = (r: number, g: number, b: number): number =>
  0.2126 * (LINEAR_LEVELS[r] ?? 0) +
  0.7152 * (LINEAR_LEVELS[g] ?? 0) +
  0.0722 * (LINEAR_LEVELS[b] ?? 0);

/** A pixel under so much of a color, as browsers blend: in gamma-encoded sRGB, to 8 bits. */
const blended = (pixel: number, veil: number, alpha: number): number =>
  Math.round(pixel * (1 - alpha) + veil * alpha);

const levelsOf = (hex: Hex): Levels => {
  const [red, green, blue] = rgbOf(hex);
  return [Math.round(red * 255), Math.round(green * 255), Math.round(blue * 255)];
};

interface Look {
  readonly ink: Hex;
  readonly color: Hex;
  readonly strength: number;
}

/** Contrast of the text with every pixel of a kind lies between these. */
function contrastBounds(
  { low, high, faded }: Kind,
  [r, g, b]: Levels,
  own: number,
  opacity: number,
): readonly [least: number, most: number] {
  const [thin, thick] = [opacity * faded[0], opacity * faded[1]];
  const end = (pixel: Levels, darker: boolean): number => {
    const pick = darker ? Math.min : Math.max;
    return (
      luminance(
        pick(blended(pixel[0], r, thin), blended(pixel[0], r, thick)),
        pick(blended(pixel[1], g, thin), blended(pixel[1], g, thick)),
        pick(blended(pixel[2], b, thin), blended(pixel[2], b, thick)),
      ) + 0.05
    );
  };
  const [dark, light] = [end(low, true), end(high, false)];
  const [one, other] = [
    own > dark ? own / dark : dark / own,
    own > light ? own / light : light / own,
  ];
  const within = own >= dark && own <= light;
  return [within ? 1 : Math.min(one, other), Math.max(one, other)];
}

/** What a strength comes to. */
export interface VeilProof {
  readonly strength: number;
  /** The share of the pixels that pass, 0 to 1. */
  readonly passing: number;
  /** The lowest contrast under the box. */
  readonly lowest: number;
}

/** Contrasts of the pixels of a kind, one by one. */
function contrastsIn(
  { colors, fades, steps }: Histogram,
  { from, to }: Kind,
  [r, g, b]: Levels,
  own: number,
  opacity: number,
  see: (contrast: number) => void,
): void {
  for (let place = from; place < to; place += 1) {
    const alpha = opacity * (fades[steps[place] ?? 0] ?? 0);
    const pixel = colors[place] ?? 0;
    const ground =
      luminance(
        blended(pixel & 255, r, alpha),
        blended((pixel >>> 8) & 255, g, alpha),
        blended((pixel >>> 16) & 255, b, alpha),
      ) + 0.05;
    see(own > ground ? own / ground : ground / own);
  }
}

const liftedOf = (ink: Hex): number => luminance(...levelsOf(ink)) + 0.05;

/** Judges every pixel of a box under a veil of one strength (0 to 255). */
export function proveStrength(
  box: Histogram,
  { ink, color, strength }: Look,
  needed: number,
): VeilProof {
  const veil = levelsOf(color);
  const own = liftedOf(ink);
  const opacity = strength / LEVELS;
  let passing = 0;
  let lowest = Infinity;
  for (const kind of box.kinds) {
    const [least, most] = contrastBounds(kind, veil, own, opacity);
    const settled = least >= needed || most < needed;
    if (settled && least >= needed) passing += kind.to - kind.from;
    if (settled && least >= lowest) continue;
    contrastsIn(box, kind, veil, own, opacity, (contrast) => {
      if (!settled && contrast >= needed) passing += 1;
      if (contrast < lowest) lowest = contrast;
    });
  }
  return { strength, passing: box.count === 0 ? 1 : passing / box.count, lowest };
}

/**
 * Whether a share of the pixels of a box passes; only what its kinds leave open is looked at closely.
 * `order` holds the numbers of the kinds and is rearranged: those that failed stand first, because at the
 * next strength they are likely to fail again, and enough of them end the search.
 */
function passes(
  box: Histogram,
  order: Uint32Array,
  { ink, color, strength }: Look,
  needed: number,
  share: number,
): boolean {
  if (box.count === 0) return true;
  const veil = levelsOf(color);
  const own = liftedOf(ink);
  const opacity = strength / LEVELS;
  const open: Kind[] = [];
  let possible = box.count;
  let failed = 0;
  for (let place = 0; place < order.length; place += 1) {
    const number = order[place] ?? 0;
    const kind = box.kinds[number];
    if (!kind) continue;
    const [least, most] = contrastBounds(kind, veil, own, opacity);
    if (least >= needed) continue;
    if (most >= needed) {
      open.push(kind);
      continue;
    }
    order[place] = order[failed] ?? 0;
    order[failed] = number;
    failed += 1;
    possible -= kind.to - kind.from;
    if (possible / box.count < share) return false;
  }
  for (const kind of open) {
    contrastsIn(box, kind, veil, own, opacity, (contrast) => {
      if (contrast < needed) possible -= 1;
    });
    if (possible / box.count < share) return false;
  }
  return true;
}

export interface VeilAsk {
  readonly ink: Hex;
  readonly color: Hex;
  readonly needed: number;
  /** The share of the pixels that have to pass, 0 to 1. */
  readonly pixels: number;
  /** Only weaker veils are tried; all where absent. */
  readonly below?: number;
}

/**
 * The least strength (0 to 255) of a veil at which the text passes under every box, exactly; a box may have an ink, a
 * veil and a need of its own. Contrast
 * is not monotone in the strength, so every strength is tried from the weakest up, until one passes; one
 * that passes at a share of the pixels short of all may be followed by one that does not. Undefined where
 * none of the 256 passes, or none below a limit.
 */
export function leastStrength(
  boxes: readonly (Histogram & {
    readonly needed?: number;
    readonly ink?: Hex;
    readonly color?: Hex;
  })[],
  { ink, color, needed, pixels, below = LEVELS + 1 }: VeilAsk,
): { readonly strength: number; readonly proofs: readonly VeilProof[] } | undefined {
  const asked = boxes.map((box) => ({
    box,
    order: Uint32Array.from(box.kinds.keys()),
    least: box.needed ?? needed,
    look: { ink: box.ink ?? ink, color: box.color ?? color },
  }));
  for (let strength = 0; strength < below; strength += 1) {
    if (
      !asked.every(({ box, order, least, look }) =>
        passes(box, order, { ...look, strength }, least, pixels),
      )
    )
      continue;
    return {
      strength,
      proofs: asked.map(({ box, least, look }) => proveStrength(box, { ...look, strength }, least)),
    };
  }
  return undefined;
}
