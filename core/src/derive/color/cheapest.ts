/** Something that can be chosen in several ways, each at its own cost; the first is the wish. */
export interface Choice {
  readonly costs: readonly number[];
}

/** What two choices cost together, by the number of the way that each is chosen in. */
export interface Pull {
  /** The two choices, by their places in the list. */
  readonly one: number;
  readonly other: number;
  readonly cost: (one: number, other: number) => number;
}

/** A cost that depends on some choices: a value for every combination of their ways. */
interface Factor {
  readonly over: readonly number[];
  readonly values: Float64Array;
}

/** Larger tables are not made: one of the choices in them keeps its wish instead. */
const MOST_VALUES = 300_000;

/** The choices that pull on each other, directly or through others, each set together. */
function components(
  places: Iterable<number>,
  neighbors: ReadonlyMap<number, ReadonlySet<number>>,
): number[][] {
  const seen = new Set<number>();
  return [...places].flatMap((start) => {
    if (seen.has(start)) return [];
    const found = new Set([start]);
    // A set is gone through to its end, what joins meanwhile included.
    for (const place of found) for (const other of neighbors.get(place) ?? []) found.add(other);
    for (const place of found) seen.add(place);
    return [[...found]];
  });
}

/**
 * The way of every choice so that all costs together are least, exactly. Looked for only around what clashes:
 * choices whose wishes clash are chosen as if the other ones were not there, which costs no more than the
 * whole can; where the wishes of the others agree with that, the whole costs just as much, and nothing is
 * cheaper. Where one does not, it joins them.
 *
 * Those that are looked at are eliminated one by one, the one with the fewest neighbors first, each time keeping
 * for every combination of the neighbors what is best (bucket elimination, Dechter 1999). Where a table would
 * grow beyond 300,000 values, the choice with the most neighbors keeps its wish, and the rest is exact
 * given that.
 */
export function cheapest(choices: readonly Choice[], pulls: readonly Pull[]): readonly number[] {
  const isOpen = choices.map(({ costs }) => costs.length > 1);
  const ways = choices.map(() => 0);
  const inside = new Set<number>();
  for (;;) {
    const before = inside.size;
    for (const { one, other, cost } of pulls)
      if (cost(ways[one] ?? 0, ways[other] ?? 0) > 0) {
        if (isOpen[one]) inside.add(one);
        if (isOpen[other]) inside.add(other);
      }
    if (inside.size === before) return ways;
    const neighbors = new Map([...inside].map((place) => [place, new Set<number>()]));
    const own = pulls.filter(({ one, other }) => {
      const [isOneIn, isOtherIn] = [inside.has(one), inside.has(other)];
      if (isOneIn && isOtherIn) {
        neighbors.get(one)?.add(other);
        neighbors.get(other)?.add(one);
      }
      return (isOneIn && (isOtherIn || !isOpen[other])) || (isOtherIn && !isOpen[one]);
    });
    for (const places of components(inside, neighbors)) {
      const these = new Set(places);
      const mine = own.filter(({ one, other }) => these.has(one) || these.has(other));
      for (const [place, way] of eliminate(places, choices, mine)) ways[place] = way;
    }
  }
}

/** The cheapest ways of some choices; others that pull on them have one way only. */
function eliminate(
  places: readonly number[],
  choices: readonly Choice[],
  pulls: readonly Pull[],
): Map<number, number> {
  const sizes = new Map(places.map((place) => [place, choices[place]?.costs.length ?? 1]));
  const size = (place: number): number => sizes.get(place) ?? 1;
  const alone = new Map(
    places.map((place) => [place, Float64Array.from(choices[place]?.costs ?? [0])]),
  );
  /** The choices that each is still tied to. */
  const tied = new Map(places.map((place) => [place, new Set<number>()]));
  const pairs = new Map<number, Factor>();
  for (const { one, other, cost } of pulls) {
    const [rows, columns] = [sizes.get(one), sizes.get(other)];
    if (rows !== undefined && columns !== undefined && one !== other) {
      const key = one * choices.length + other;
      const values = pairs.get(key)?.values ?? new Float64Array(rows * columns);
      for (let a = 0, at = 0; a < rows; a += 1)
        for (let b = 0; b < columns; b += 1, at += 1) values[at] = (values[at] ?? 0) + cost(a, b);
      pairs.set(key, { over: [one, other], values });
      tied.get(one)?.add(other);
      tied.get(other)?.add(one);
    } else {
      const place = rows === undefined ? other : one;
      const costs = alone.get(place) ?? new Float64Array();
      for (let way = 0; way < costs.length; way += 1)
        costs[way] = (costs[way] ?? 0) + cost(place === one ? way : 0, place === other ? way : 0);
    }
  }
  let factors = [...pairs.values()];
  const order: {
    place: number;
    over: readonly { place: number; size: number }[];
    best: Uint8Array;
  }[] = [];
  const left = new Set(places);
  /** How many combinations the neighbors of a choice have. */
  const combinations = (place: number): number => {
    let product = 1;
    for (const other of tied.get(place) ?? []) product *= size(other);
    return product;
  };
  while (left.size > 0) {
    let next = -1;
    let fewest = Infinity;
    let widest = -1;
    for (const place of left) {
      const count = combinations(place);
      if (count < fewest) [next, fewest] = [place, count];
      if ((tied.get(place)?.size ?? 0) > (tied.get(widest)?.size ?? -1)) widest = place;
    }
    if (fewest * size(next) > MOST_VALUES) {
      factors = factors.map((factor) => atWish(factor, widest, size));
      for (const other of tied.get(widest) ?? []) tied.get(other)?.delete(widest);
      sizes.set(widest, 1);
      left.delete(widest);
      continue;
    }
    const over = [...(tied.get(next) ?? [])];
    const own = factors.filter((factor) => factor.over.includes(next));
    const { values, best } = bestOf(next, over, own, alone.get(next) ?? new Float64Array(1), size);
    factors = factors.filter((factor) => !factor.over.includes(next));
    if (over.length > 0) factors.push({ over, values });
    for (const other of over) {
      const ties = tied.get(other);
      ties?.delete(next);
      for (const another of over) if (another !== other) ties?.add(another);
    }
    order.push({
      place: next,
      over: over.map((other) => ({ place: other, size: size(other) })),
      best,
    });
    left.delete(next);
  }
  const chosen = new Map(places.map((place) => [place, 0]));
  for (const { place, over, best } of order.reverse()) {
    const at = over.reduce((sum, other) => sum * other.size + (chosen.get(other.place) ?? 0), 0);
    chosen.set(place, best[at] ?? 0);
  }
  return chosen;
}

/** A factor in which one of its choices keeps its first way, and is none of it any more. */
function atWish(factor: Factor, place: number, size: (place: number) => number): Factor {
  const index = factor.over.indexOf(place);
  if (index < 0) return factor;
  const inner = factor.over.slice(index + 1).reduce((product, other) => product * size(other), 1);
  const block = inner * size(place);
  const outer = factor.values.length / block;
  const values = new Float64Array(outer * inner);
  for (let a = 0; a < outer; a += 1)
    for (let b = 0; b < inner; b += 1) values[a * inner + b] = factor.values[a * block + b] ?? 0;
  return { over: factor.over.filter((other) => other !== place), values };
}

/** For every combination of the neighbors the best way of a choice, and what it costs. */
function bestOf(
  place: number,
  over: readonly number[],
  factors: readonly Factor[],
  alone: Float64Array,
  size: (place: number) => number,
): { readonly values: Float64Array; readonly best: Uint8Array } {
  const sizes = over.map(size);
  const total = sizes.reduce((product, one) => product * one, 1);
  const ways = size(place);
  const values = new Float64Array(total).fill(Infinity);
  const best = new Uint8Array(total);
  // How far a step of each neighbor, and of the choice itself, leads in the values of each factor.
  const strides = factors.map(({ over: inside }) => {
    const stride = new Map<number, number>();
    let product = 1;
    for (const other of [...inside].reverse()) {
      stride.set(other, product);
      product *= size(other);
    }
    return { own: stride.get(place) ?? 0, others: over.map((other) => stride.get(other) ?? 0) };
  });
  const at = sizes.map(() => 0);
  const base = factors.map(() => 0);
  const tables = factors.map((factor, index) => ({
    values: factor.values,
    own: strides[index]?.own ?? 0,
  }));
  const sums = new Float64Array(ways);
  for (let combination = 0; combination < total; combination += 1) {
    sums.set(alone);
    for (let index = 0; index < tables.length; index += 1) {
      const table = tables[index];
      if (!table) continue;
      let from = base[index] ?? 0;
      for (let way = 0; way < ways; way += 1) {
        sums[way] = (sums[way] ?? 0) + (table.values[from] ?? 0);
        from += table.own;
      }
    }
    let least = Infinity;
    for (let way = 0; way < ways; way += 1) {
      const cost = sums[way] ?? 0;
      if (cost < least) {
        least = cost;
        best[combination] = way;
      }
    }
    values[combination] = least;
    // The next combination, the last neighbor turning fastest.
    for (let digit = sizes.length - 1; digit >= 0; digit -= 1) {
      const turned = ((at[digit] ?? 0) + 1) % (sizes[digit] ?? 1);
      const moved = turned - (at[digit] ?? 0);
      at[digit] = turned;
      for (let index = 0; index < factors.length; index += 1)
        base[index] = (base[index] ?? 0) + moved * (strides[index]?.others[digit] ?? 0);
      if (turned !== 0) break;
    }
  }
  return { values, best };
}
