/**
 * How much better some things fit than chance would have them fit: 1 where all do, 0 where no more than by chance.
 * @param fitting how many do
 * @param chance how many would by chance
 */
const beyondChance = (fitting: number, chance: number, all: number): number =>
  all - chance < 1e-9 ? 0 : (fitting - chance) / (all - chance);

/** So far off a length may lie that was meant otherwise: rounded, and moved by a px. */
export const OFF_PX = 1.05;
const UNITS = [12, 10, 8, 6, 5, 4] as const;
/** Less than this says nothing. Common practice. */
const LEAST_SCORE = 0.6;
const LEAST_SPACES = 8;

/**
 * The unit that spaces were meant to be multiples of, where each may be a px off: of some usual ones the one that
 * they fit best beyond chance, as all whole px are near a multiple of 2. Nothing where none is beyond doubt.
 */
export function unitOfNoisy(
  px: readonly number[],
): { readonly unit: number; readonly share: number } | undefined {
  const spaces = px.filter((one) => one > 2);
  if (spaces.length < LEAST_SPACES) return undefined;
  const found = UNITS.map((unit) => {
    const fitting = spaces.filter(
      // Half of a unit is a step of it too.
      (one) => one < unit * 0.75 || Math.abs(one - Math.round(one / unit) * unit) <= OFF_PX,
    ).length;
    const chance = spaces.reduce(
      (sum, one) => sum + (one < unit * 0.75 ? 1 : Math.min(1, (2 * OFF_PX) / unit)),
      0,
    );
    return {
      unit,
      share: fitting / spaces.length,
      score: beyondChance(fitting, chance, spaces.length),
    };
  }).filter(({ score }) => score >= LEAST_SCORE);
  // A multiple of what was meant fits half as often: of those that fit, the largest is the unit.
  const [first] = found;
  return first && { unit: first.unit, share: first.share };
}

/** So many sizes are thought to be on no scale at all. Common practice. */
const OUTLIERS = 0.1;

/**
 * How likely some sizes are where they were meant to be on a scale, each off by no more than some slack: the logarithm
 * of the density of each, as if any place between the least and the largest were taken as readily as another. A scale
 * of many places explains everything, and each place of it the less. Sizes that are on no place may be anywhere.
 */
export function likelihoodOf(
  sizes: readonly number[],
  { base, ratio }: { readonly base: number; readonly ratio: number },
  slackPx: number,
): number {
  const [least, most] = [Math.min(base, ...sizes), Math.max(base, ...sizes)];
  const places = Math.log(most / least) / Math.log(ratio) + 1;
  return sizes.reduce((sum, one) => {
    const place = Math.round(Math.log(one / base) / Math.log(ratio));
    const off = Math.abs(one - base * ratio ** place) / slackPx;
    const density =
      off <= 1
        ? ((1 - OUTLIERS) * (1.25 - 0.5 * off)) / (places * 2 * slackPx)
        : OUTLIERS / Math.max(1, most - least);
    return sum + Math.log(density);
  }, 0);
}

const [LEAST_RATIO, MOST_RATIO, STEP] = [1.06, 1.65, 0.0025];

/** So much likelier, as a logarithm, has another base to make them. Common practice. */
const CLEARLY = 1;

/**
 * The scale that sizes of known places are on, drawn through all of them: the straight line of their logarithms, by
 * least squares. Nothing where they stand in one place.
 */
export function scaleThrough(
  placed: readonly { readonly place: number; readonly px: number }[],
): { readonly base: number; readonly ratio: number } | undefined {
  const count = placed.length;
  const sum = (of: (one: (typeof placed)[number]) => number): number =>
    placed.reduce((total, one) => total + of(one), 0);
  const [places, logs] = [sum(({ place }) => place), sum(({ px }) => Math.log(px))];
  const spread = count * sum(({ place }) => place * place) - places * places;
  if (spread === 0) return undefined;
  const slope = (count * sum(({ place, px }) => place * Math.log(px)) - places * logs) / spread;
  return { base: Math.exp((logs - slope * places) / count), ratio: Math.exp(slope) };
}

/** How finely a base is looked for around the size of running text, in px. */
const BASE_STEP = 0.1;

/**
 * The scale that sizes were meant to be on, where each may be a px off, the size of running text too: the one that
 * makes them likeliest.
 * @returns its base and ratio and how likely it makes them; nothing where there are too few
 */
export function scaleOfNoisy(
  px: readonly number[],
  bodyPx: number,
): { readonly base: number; readonly ratio: number; readonly score: number } | undefined {
  const sizes = [...new Set([...px, bodyPx])];
  if (sizes.length < 4) return undefined;
  let best = { base: bodyPx, ratio: 1, score: -Infinity };
  let exact = best;
  for (let step = -10; step <= 10; step += 1) {
    const base = bodyPx + step * BASE_STEP;
    for (let ratio = LEAST_RATIO; ratio <= MOST_RATIO; ratio += STEP) {
      const score = likelihoodOf(sizes, { base, ratio }, OFF_PX);
      if (score > best.score) best = { base, ratio, score };
      if (step === 0 && score > exact.score) exact = { base, ratio, score };
    }
  }
  // The size of running text is what it is, unless everything else says otherwise.
  return exact.score >= best.score - CLEARLY ? exact : best;
}
