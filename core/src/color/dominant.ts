import { oklabDistance, oklabOf, rgbOfOklab, type Oklab } from './oklab.ts';
import { hexOf, type Hex } from './srgb.ts';

/** What a sampled color is good for: near-white and near-black are no colors of a brand. */
export type SampledKind = 'paper' | 'ink' | 'gray' | 'color';

export interface SampledColor {
  readonly hex: Hex;
  /** How much of the opaque pixels it stands for, 0 to 1. */
  readonly share: number;
  readonly kind: SampledKind;
}

/** Pixels are gathered in cells of so many bits a channel; their own mean is kept. */
const BITS = 5;
const SHIFT = 8 - BITS;
const CELLS = 1 << (3 * BITS);

/** Pixels that let more than half of what is behind them through say nothing. */
const OPAQUE = 128;

const ROUNDS = 24;
/** Nearer than this a cell pulls no harder. */
const NEAR = 0.004;
/** Centers that are nearer than this to one another are one color. In OKLab; common practice. */
const SAME = 0.05;
/** An accent has at least this chroma, and stands this far from everything that was found. */
const VIVID = 0.09;
const AWAY = 0.11;
/** Less than this share of the picture is dust. */
const DUST = 0.0008;

const PAPER = 0.94;
const INK = 0.22;
const GRAY = 0.022;

interface Cell {
  readonly lab: Oklab;
  readonly count: number;
}

/** The colors of a picture, gathered in cells; the work is the same however many pixels there are. */
function cellsOf(pixels: Uint8ClampedArray): { cells: Cell[]; total: number } {
  const counts = new Uint32Array(CELLS);
  const sums = new Float64Array(CELLS * 3);
  let total = 0;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    if ((pixels[at + 3] ?? 0) < OPAQUE) continue;
    const red = pixels[at] ?? 0;
    const green = pixels[at + 1] ?? 0;
    const blue = pixels[at + 2] ?? 0;
    const cell = ((red >> SHIFT) << (2 * BITS)) | ((green >> SHIFT) << BITS) | (blue >> SHIFT);
    counts[cell] = (counts[cell] ?? 0) + 1;
    sums[3 * cell] = (sums[3 * cell] ?? 0) + red;
    sums[3 * cell + 1] = (sums[3 * cell + 1] ?? 0) + green;
    sums[3 * cell + 2] = (sums[3 * cell + 2] ?? 0) + blue;
    total += 1;
  }
  const cells: Cell[] = [];
  counts.forEach((count, cell) => {
    if (count === 0) return;
    const mean = (channel: 0 | 1 | 2): number => (sums[3 * cell + channel] ?? 0) / count / 255;
    cells.push({ lab: oklabOf([mean(0), mean(1), mean(2)]), count });
  });
  return { cells, total };
}

const nearest = (lab: Oklab, centers: readonly Oklab[]): { index: number; distance: number } =>
  centers.reduce(
    (best, center, index) => {
      const distance = oklabDistance(lab, center);
      return distance < best.distance ? { index, distance } : best;
    },
    { index: 0, distance: Infinity },
  );

/** Beginnings spread over the picture: the largest cell, then what is far from all and not rare. */
function beginnings(cells: readonly Cell[], most: number): Oklab[] {
  const first = cells.reduce((one, other) => (other.count > one.count ? other : one));
  const centers = [first.lab];
  const distances = cells.map(({ lab }) => oklabDistance(lab, first.lab));
  while (centers.length < Math.min(most, cells.length)) {
    let best = 0;
    let worth = -1;
    cells.forEach(({ count }, index) => {
      const own = count * (distances[index] ?? 0) ** 2;
      if (own > worth) [best, worth] = [index, own];
    });
    const next = cells[best]?.lab;
    if (!next || worth <= 0) break;
    centers.push(next);
    cells.forEach(({ lab }, index) => {
      distances[index] = Math.min(distances[index] ?? 0, oklabDistance(lab, next));
    });
  }
  return centers;
}

interface Cluster {
  readonly lab: Oklab;
  readonly count: number;
}

/**
 * Each cell to its nearest center, each center to the mean of its cells, by turns; or, for the least mean
 * distance rather than the least mean square, to their median (a step of Weiszfeld’s).
 */
function settled(
  cells: readonly Cell[],
  begin: readonly Oklab[],
  middle: 'mean' | 'median' = 'mean',
): Cluster[] {
  let centers = begin;
  let clusters: Cluster[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums = centers.map(() => [0, 0, 0, 0, 0] as [number, number, number, number, number]);
    for (const { lab, count } of cells) {
      const { index, distance } = nearest(lab, centers);
      const sum = sums[index];
      if (!sum) continue;
      const weight = middle === 'mean' ? count : count / Math.max(NEAR, distance);
      sum[0] += lab[0] * weight;
      sum[1] += lab[1] * weight;
      sum[2] += lab[2] * weight;
      sum[3] += weight;
      sum[4] += count;
    }
    clusters = sums
      .filter(([, , , , count]) => count > 0)
      .map(([l, a, b, weight, count]) => ({ lab: [l / weight, a / weight, b / weight], count }));
    const moved = clusters.some(({ lab }, index) => {
      const before = centers[index];
      return before === undefined || oklabDistance(lab, before) > 0.0005;
    });
    centers = clusters.map(({ lab }) => lab);
    if (!moved) break;
  }
  return clusters;
}

/** Vivid colors that are small and far from all that was found: gathered, the largest first. */
function accentsIn(cells: readonly Cell[], centers: readonly Oklab[], total: number): Oklab[] {
  const away = cells.filter(
    ({ lab }) => Math.hypot(lab[1], lab[2]) >= VIVID && nearest(lab, centers).distance > AWAY,
  );
  const groups: { lab: Oklab; count: number }[] = [];
  for (const { lab, count } of away.toSorted((one, other) => other.count - one.count)) {
    const near = groups.find((group) => oklabDistance(group.lab, lab) < AWAY);
    if (near) near.count += count;
    else groups.push({ lab, count });
  }
  return groups.filter(({ count }) => count / total >= DUST).map(({ lab }) => lab);
}

/** The nearest two become one, at the mean of both, as long as they hardly differ. */
function merged(clusters: readonly Cluster[]): Cluster[] {
  const left = [...clusters];
  for (;;) {
    let pair: readonly [number, number] | undefined;
    let least = SAME;
    left.forEach(({ lab }, one) =>
      left.slice(one + 1).forEach((other, offset) => {
        const distance = oklabDistance(lab, other.lab);
        if (distance < least) [least, pair] = [distance, [one, one + 1 + offset]];
      }),
    );
    const [one, other] = pair ?? [];
    const first = left[one ?? -1];
    const second = left[other ?? -1];
    if (one === undefined || other === undefined || !first || !second) return left;
    const count = first.count + second.count;
    const mean = (part: 0 | 1 | 2): number =>
      (first.lab[part] * first.count + second.lab[part] * second.count) / count;
    left.splice(other, 1);
    left.splice(one, 1, { lab: [mean(0), mean(1), mean(2)], count });
  }
}

/** A cell that holds so much of a cluster is a flat color, and the rest its soft edges. */
const FLAT = 0.5;

/** Clusters around a flat color take that very color: a logo's is not to be mixed with its edges. */
function flat(clusters: readonly Cluster[], cells: readonly Cell[]): Cluster[] {
  const centers = clusters.map(({ lab }) => lab);
  const largest = new Map<number, Cell>();
  for (const cell of cells) {
    const { index } = nearest(cell.lab, centers);
    if (cell.count > (largest.get(index)?.count ?? 0)) largest.set(index, cell);
  }
  return clusters.map((cluster, index) => {
    const cell = largest.get(index);
    return cell && cell.count >= FLAT * cluster.count ? { ...cluster, lab: cell.lab } : cluster;
  });
}

function kindOf([lightness, a, b]: Oklab): SampledKind {
  if (lightness >= PAPER) return 'paper';
  if (lightness <= INK) return 'ink';
  return Math.hypot(a, b) < GRAY ? 'gray' : 'color';
}

/**
 * The dominant colors of a picture with their shares, the largest first: clusters in OKLab, so that
 * what looks alike is one; vivid accents that a large dull area would swallow are found apart, and
 * colors that hardly differ are joined. Transparent pixels are left out. Deterministic.
 * `pixels` are RGBA bytes as a canvas gives them; `most` is the number of clusters before accents.
 * An empty or wholly transparent picture gives none.
 * Source: weighted k-means (Lloyd 1982), begun as farthest points weighted by area.
 */
export function dominantColors(pixels: Uint8ClampedArray, most = 8): readonly SampledColor[] {
  const { cells, total } = cellsOf(pixels);
  if (cells.length === 0) return [];
  const first = settled(cells, beginnings(cells, most));
  const accents = accentsIn(
    cells,
    first.map(({ lab }) => lab),
    total,
  );
  const all =
    accents.length === 0 ? first : settled(cells, [...first.map(({ lab }) => lab), ...accents]);
  // Joined colors find their place again: a mean of two is not yet the middle of what is nearest to it.
  const again = settled(
    cells,
    merged(all).map(({ lab }) => lab),
    'median',
  );
  const joined = flat(again, cells);
  return joined
    .filter(({ count }) => count / total >= DUST)
    .map(({ lab, count }) => ({
      hex: hexOf(rgbOfOklab(lab)),
      share: count / total,
      kind: kindOf(lab),
    }))
    .sort((one, other) => other.share - one.share);
}
