/**
 * The size of a place on a modular scale: base times ratio to the power of the place (0 is the
 * base, 2 is two up, -1 is one down). With a second ratio the two take turns: the first leads from
 * the base up, the second from the base down. px in, px out.
 */
export function sizeOfPlace(
  basePx: number,
  ratio: number,
  place: number,
  second: number = ratio,
): number {
  const [near, far] = place >= 0 ? [ratio, second] : [second, ratio];
  const steps = Math.abs(place);
  const times = near ** Math.ceil(steps / 2) * far ** Math.floor(steps / 2);
  return place >= 0 ? basePx * times : basePx / times;
}

/** A place in words: base, up 2, down 1. */
export const placeName = (place: number): string =>
  place === 0 ? 'base' : place > 0 ? `up ${place}` : `down ${-place}`;

/** A place as part of a token's name. */
export const placeSlug = (place: number): string => placeName(place).replace(' ', '-');

/** Ratios with the names of musical intervals. Source: music theory, common practice. */
export const INTERVALS: readonly { readonly name: string; readonly ratio: number }[] = [
  { name: 'minor second', ratio: 16 / 15 },
  { name: 'major second', ratio: 9 / 8 },
  { name: 'minor third', ratio: 6 / 5 },
  { name: 'major third', ratio: 5 / 4 },
  { name: 'perfect fourth', ratio: 4 / 3 },
  { name: 'augmented fourth', ratio: Math.SQRT2 },
  { name: 'perfect fifth', ratio: 3 / 2 },
  { name: 'golden ratio', ratio: (1 + Math.sqrt(5)) / 2 },
];

/** The interval of a ratio where it is one to three decimals; otherwise undefined. */
export const intervalOf = (ratio: number): string | undefined =>
  INTERVALS.find((interval) => Math.abs(interval.ratio - ratio) < 0.0006)?.name;
