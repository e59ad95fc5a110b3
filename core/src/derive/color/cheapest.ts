/** Something that can be chosen in several ways, each at its own cost; the first is the wish. */
export interface Choice {
  readonly costs: readonly number[];
}

/** What two choices cost together, by the number of the way that each is chosen in. */
export interface Pull {
  readonly one: string;
  readonly other: string;
  readonly cost: (one: number, other: number) => number;
}

/** A cost that depends on some choices: a value for every combination of their ways. */
interface Factor {
  readonly over: readonly string[];
  readonly values: Float64Array;
}

/** Larger tables are not made: one of the choices in them keeps its wish instead. */
const MOST_VALUES = 300_000;

const keyOf = (one: string, other: string): string => `${one}\u0000${other}`;

/** The sets of choices that pull on each other, directly or through others. */
function components(ids: readonly string[], pulls: readonly Pull[]): Set<string>[] {
  const next = new Map(ids.map((id) => [id, new Set<string>()]));
  for (const { one, other } of pulls) {
    next.get(one)?.add(other);
    next.get(other)?.add(one);
  }
  const seen = new Set<string>();
  return ids.flatMap((start) => {
    if (seen.has(start)) return [];
    const found = new Set([start]);
    // A set is gone through to its end, what joins meanwhile included.
    for (const id of found) for (const other of next.get(id) ?? []) found.add(other);
    for (const id of found) seen.add(id);
    return [found];
  });
}

/** The place of a combination in the values of a factor. */
const placeOf = (
  { over }: Factor,
  at: ReadonlyMap<string, number>,
  size: (id: string) => number,
): number => over.reduce((place, id) => place * size(id) + (at.get(id) ?? 0), 0);

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
export function cheapest(
  choices: ReadonlyMap<string, Choice>,
  pulls: readonly Pull[],
): ReadonlyMap<string, number> {
  const isOpen = (id: string): boolean => (choices.get(id)?.costs.length ?? 1) > 1;
  const ways = new Map([...choices.keys()].map((id) => [id, 0]));
  const wayOf = (id: string): number => ways.get(id) ?? 0;
  const inside = new Set<string>();
  for (;;) {
    const before = inside.size;
    for (const { one, other, cost } of pulls)
      if (cost(wayOf(one), wayOf(other)) > 0) {
        if (isOpen(one)) inside.add(one);
        if (isOpen(other)) inside.add(other);
      }
    if (inside.size === before) return ways;
    const own = pulls.filter(
      ({ one, other }) =>
        (inside.has(one) && (inside.has(other) || !isOpen(other))) ||
        (inside.has(other) && !isOpen(one)),
    );
    const between = own.filter(({ one, other }) => inside.has(one) && inside.has(other));
    for (const ids of components([...inside], between)) {
      const mine = own.filter(({ one, other }) => ids.has(one) || ids.has(other));
      for (const [id, way] of eliminate([...ids], choices, mine)) ways.set(id, way);
    }
  }
}

/** The cheapest ways of some choices; others that pull on them have one way only. */
function eliminate(
  ids: readonly string[],
  choices: ReadonlyMap<string, Choice>,
  pulls: readonly Pull[],
): Map<string, number> {
  const frozen = new Set<string>();
  const isFree = (id: string): boolean => free.has(id);
  const free = new Set(ids);
  const size = (id: string): number => (frozen.has(id) ? 1 : (choices.get(id)?.costs.length ?? 1));
  const alone = new Map(
    ids.map((id) => [id, Float64Array.from(choices.get(id)?.costs ?? [0])] as const),
  );
  let factors: Factor[] = [];
  const joint = new Map<string, Pull[]>();
  for (const pull of pulls) {
    const { one, other, cost } = pull;
    if (isFree(one) && isFree(other)) {
      const key = keyOf(one, other);
      joint.set(key, [...(joint.get(key) ?? []), pull]);
    } else {
      const id = isFree(one) ? one : other;
      const costs = alone.get(id) ?? new Float64Array();
      for (let way = 0; way < costs.length; way += 1)
        costs[way] = (costs[way] ?? 0) + (id === one ? cost(way, 0) : cost(0, way));
    }
  }
  for (const own of joint.values()) {
    const [first] = own;
    if (!first) continue;
    const { one, other } = first;
    const [rows, columns] = [size(one), size(other)];
    const values = new Float64Array(rows * columns);
    for (const { cost } of own)
      for (let a = 0; a < rows; a += 1)
        for (let b = 0; b < columns; b += 1)
          values[a * columns + b] = (values[a * columns + b] ?? 0) + cost(a, b);
    factors.push({ over: [one, other], values });
  }
  const order: { id: string; over: readonly string[]; best: Uint8Array }[] = [];
  const left = new Set(ids);
  const neighborsOf = (id: string): string[] => {
    const found = new Set(factors.filter(({ over }) => over.includes(id)).flatMap((f) => f.over));
    found.delete(id);
    return [...found];
  };
  while (left.size > 0) {
    const ranked = [...left].map((id) => {
      const over = neighborsOf(id);
      return { id, over, values: over.reduce((product, other) => product * size(other), 1) };
    });
    const next = ranked.reduce((one, other) => (other.values < one.values ? other : one));
    if (next.values * size(next.id) > MOST_VALUES) {
      const widest = ranked.reduce((one, other) =>
        other.over.length > one.over.length ? other : one,
      );
      factors = factors.map((factor) => atWish(factor, widest.id, size));
      frozen.add(widest.id);
      const first = alone.get(widest.id)?.[0] ?? 0;
      alone.set(widest.id, Float64Array.of(first));
      continue;
    }
    const { id, over } = next;
    const own = factors.filter((factor) => factor.over.includes(id));
    const { values, best } = bestOf(id, over, own, alone.get(id) ?? new Float64Array(1), size);
    factors = factors.filter((factor) => !factor.over.includes(id));
    if (over.length > 0) factors.push({ over, values });
    order.push({ id, over, best });
    left.delete(id);
  }
  const chosen = new Map<string, number>();
  for (const { id, over, best } of order.reverse())
    chosen.set(id, best[placeOf({ over, values: new Float64Array() }, chosen, size)] ?? 0);
  return chosen;
}

/** A factor in which one of its choices keeps its first way. */
function atWish(factor: Factor, id: string, size: (id: string) => number): Factor {
  const index = factor.over.indexOf(id);
  if (index < 0) return factor;
  const inner = factor.over.slice(index + 1).reduce((product, other) => product * size(other), 1);
  const block = inner * size(id);
  const outer = factor.values.length / block;
  const values = new Float64Array(outer * inner);
  for (let a = 0; a < outer; a += 1)
    for (let b = 0; b < inner; b += 1) values[a * inner + b] = factor.values[a * block + b] ?? 0;
  return { over: factor.over, values };
}

/** For every combination of the neighbors the best way of a choice, and what it costs. */
function bestOf(
  id: string,
  over: readonly string[],
  factors: readonly Factor[],
  alone: Float64Array,
  size: (id: string) => number,
): { readonly values: Float64Array; readonly best: Uint8Array } {
  const sizes = over.map(size);
  const total = sizes.reduce((product, one) => product * one, 1);
  const ways = size(id);
  const values = new Float64Array(total).fill(Infinity);
  const best = new Uint8Array(total);
  // How far a step of each neighbor, and of the choice itself, leads in the values of each factor.
  const strides = factors.map(({ over: inside }) => {
    const stride = new Map<string, number>();
    let product = 1;
    for (const other of [...inside].reverse()) {
      stride.set(other, product);
      product *= size(other);
    }
    return { own: stride.get(id) ?? 0, others: over.map((other) => stride.get(other) ?? 0) };
  });
  const at = sizes.map(() => 0);
  const base = factors.map(() => 0);
  const tables = factors.map((factor, index) => ({
    values: factor.values,
    own: strides[index]?.own ?? 0,
  }));
  const sums = new Float64Array(ways);
  for (let place = 0; place < total; place += 1) {
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
        best[place] = way;
      }
    }
    values[place] = least;
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
