import { ROOT_PX } from './fluid.ts';
import { INTERVALS } from './scale.ts';

/** A scale that fits a list of sizes: base × ratio to a whole power for each. */
export interface FittedScale {
  readonly base: number;
  readonly ratio: number;
  /** The place of each size, in the order of the sizes. */
  readonly places: readonly number[];
  /**
   * The root of the mean square of the distances between the sizes that fit and the scale, in per
   * cent of the size: 0 fits exactly.
   */
  readonly error: number;
  /** Which of the sizes lie further off than rounding to whole px explains. */
  readonly outliers: readonly number[];
}

const NUMBER = /(-?\d{0,12}\.?\d{1,12})\s{0,4}(px|rem|em|pt|vw|vi|%)?/g;

/** Units that a size can be read in, in px at a root of 16 px; those of the viewport say nothing. */
const PX_OF: ReadonlyMap<string, number> = new Map(
  Object.entries({
    px: 1,
    rem: ROOT_PX,
    em: ROOT_PX,
    pt: 96 / 72,
    '%': ROOT_PX / 100,
  }),
);

/** A size that was read, and the words that it stands in. */
export interface ReadSize {
  readonly px: number;
  readonly text: string;
}

/** No list of sizes is longer. */
export const MOST_CHARACTERS = 100_000;

/** The things of a list: apart by lines, semicolons, commas outside brackets, or a space before a number. */
function listed(text: string): string[] {
  const parts: string[] = [];
  let depth = 0;
  let from = 0;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at] ?? '';
    if (sign === '(') depth += 1;
    if (sign === ')') depth = Math.max(0, depth - 1);
    const ends =
      sign === '\n' ||
      sign === ';' ||
      (depth === 0 && (sign === ',' || (/\s/.test(sign) && /[\d.]/.test(text[at + 1] ?? ''))));
    if (!ends) continue;
    parts.push(text.slice(from, at));
    from = at + 1;
    if (sign === '\n') depth = 0;
  }
  return [...parts, text.slice(from)];
}

/** The last length of a clamp with a unit that counts is its largest size. */
function sizeIn(text: string): number | undefined {
  const bounds = /clamp\(([^()]*(?:\([^()]*\)[^()]*)*)\)/.exec(text)?.[1]?.split(',');
  const part = bounds ? (bounds.at(-1) ?? '') : text;
  const found = [...part.matchAll(NUMBER)].flatMap(([, number, unit = 'px']) => {
    const factor = PX_OF.get(unit);
    return factor === undefined ? [] : [Number(number) * factor];
  });
  return found.find((px) => px >= 4 && px <= 400);
}

/**
 * The sizes in a text: a list of numbers (px, where no unit is said), or a fragment of a style
 * sheet, of which only declarations of `font-size`, of `font` and of custom properties count. Of a
 * clamp the largest size is read. In px at a root of 16 px, in the order of the text, of which the
 * first 100,000 characters are read.
 */
export function readSizes(whole: string): readonly ReadSize[] {
  const text = whole.slice(0, MOST_CHARACTERS);
  const declarations = [
    ...text.matchAll(/(?:^|[;{\s])((?:--[\w-]+|font-size|font))\s*:\s*([^;}]+)/g),
  ];
  const parts =
    declarations.length > 0
      ? declarations.map(([, name = '', value = '']) => ({ text: `${name}: ${value}`, value }))
      : listed(text).map((value) => ({ text: value, value }));
  return parts.flatMap(({ text: words, value }) => {
    const px = sizeIn(value);
    return px === undefined ? [] : [{ px, text: words.trim() }];
  });
}

/** Rounding to whole px moves a size by so much at most; the share is what rounding does to the base. */
const ROUNDING_PX = 0.5;
const ROUNDING_SHARE = 0.006;

const LEAST_RATIO = 1.05;
const MOST_RATIO = 2.2;
/** A list of which more lies off the scale has no scale. */
const MOST_OUTLIERS = 0.34;

const placesOf = (logs: readonly number[], ratio: number): number[] =>
  logs.map((log) => Math.round(log / Math.log(ratio)));

/** The ratio that suits places best: least squares of the logarithms, without the outliers. */
function ratioOf(
  logs: readonly number[],
  places: readonly number[],
  outliers: readonly number[],
): number {
  let squares = 0;
  let products = 0;
  places.forEach((place, index) => {
    if (outliers.includes(index)) return;
    squares += place * place;
    products += place * (logs[index] ?? 0);
  });
  return squares === 0 ? NaN : Math.exp(products / squares);
}

/** How far each size lies from its place beyond rounding, in px. */
const beyond = (sizes: readonly number[], { base, ratio, places }: Line): number[] =>
  sizes.map((px, index) =>
    Math.max(
      0,
      Math.abs(px - base * ratio ** (places[index] ?? 0)) - ROUNDING_PX - ROUNDING_SHARE * px,
    ),
  );

type Line = Pick<FittedScale, 'base' | 'ratio' | 'places'>;

/** Places and ratio by turns, from a beginning until neither changes. */
function fit(sizes: readonly number[], base: number, start: number): FittedScale {
  const logs = sizes.map((px) => Math.log(px / base));
  let ratio = start;
  let places = placesOf(logs, ratio);
  let outliers: number[] = [];
  for (let round = 0; round < 6; round += 1) {
    const next = ratioOf(logs, places, outliers);
    if (!(next >= LEAST_RATIO && next <= MOST_RATIO)) break;
    const settled = Math.abs(next - ratio) < 1e-9;
    ratio = next;
    places = placesOf(logs, ratio);
    outliers = beyond(sizes, { base, ratio, places }).flatMap((px, index) =>
      px > 0 ? [index] : [],
    );
    if (settled) break;
  }
  // Scales are made with round ratios or intervals: the nearest is taken where it fits as well.
  const round = [
    Number(ratio.toFixed(2)),
    ...INTERVALS.map((interval) => interval.ratio).filter((one) => Math.abs(one - ratio) < 0.004),
  ].find(
    (one) =>
      beyond(sizes, { base, ratio: one, places }).filter((px) => px > 0).length <= outliers.length,
  );
  ratio = round ?? ratio;
  const inside = sizes.flatMap((px, index) =>
    outliers.includes(index) ? [] : [(px - base * ratio ** (places[index] ?? 0)) / px],
  );
  const error =
    100 * Math.sqrt(inside.reduce((sum, share) => sum + share * share, 0) / (inside.length || 1));
  return { base, ratio, places, error, outliers };
}

/** What speaks against a scale beside its error: skipped places, shared ones, sizes that lie off it. */
function cost({ places, error, outliers }: FittedScale): number {
  const inside = places.filter((_, index) => !outliers.includes(index));
  const different = new Set(inside);
  const spread = Math.max(...inside) - Math.min(...inside) + 1;
  return (
    0.4 * error +
    1.2 * (spread - different.size) +
    3 * (inside.length - different.size) +
    2 * outliers.length
  );
}

/** Ratios to begin with: what lies between neighboring sizes, whole or in two or three steps. */
const beginnings = (ascending: readonly number[]): number[] =>
  ascending.slice(1).flatMap((px, index) => {
    const between = px / (ascending[index] ?? px);
    return [between, between ** (1 / 2), between ** (1 / 3)].filter(
      (ratio) => ratio >= LEAST_RATIO && ratio <= MOST_RATIO,
    );
  });

/** How much nearer to 16 px a base is taken before a slightly better fit with another. */
const PREFERRED = 0.06;

/**
 * The scales that fit a list of sizes in px best, the best first. Every size from 12 to 24 px is
 * tried as the base (all of them where none is), the ratios between neighbors as beginnings; places
 * and ratio then settle by turns. Ranked by the error with a toll on skipped places, on sizes that
 * share one, on outliers, and on bases far from 16 px. At most a third of the sizes may lie off the
 * scale. Fewer than three different sizes fit anything: none is returned then.
 */
export function fitScales(sizes: readonly number[], most = 3): readonly FittedScale[] {
  const ascending = [...new Set(sizes)].sort((one, other) => one - other);
  if (ascending.length < 3) return [];
  const usual = ascending.filter((px) => px >= 12 && px <= 24);
  const starts = beginnings(ascending);
  const found = (usual.length > 0 ? usual : ascending)
    .flatMap((base) => starts.map((start) => fit(ascending, base, start)))
    .filter(({ outliers }) => outliers.length <= ascending.length * MOST_OUTLIERS)
    .map((scale) => ({
      scale,
      toll: cost(scale) + PREFERRED * Math.abs(scale.base - ROOT_PX),
    }))
    .sort((one, other) => one.toll - other.toll);
  const kept: FittedScale[] = [];
  for (const { scale } of found) {
    if (kept.length >= most) break;
    const known = kept.some(
      ({ base, ratio }) => base === scale.base && Math.abs(ratio - scale.ratio) < 0.01,
    );
    if (!known) kept.push(scale);
  }
  const at = sizes.map((px) => ascending.indexOf(px));
  return kept.map(({ places, outliers, ...scale }) => ({
    ...scale,
    places: at.map((index) => places[index] ?? 0),
    outliers: at.flatMap((index, own) => (outliers.includes(index) ? [own] : [])),
  }));
}
