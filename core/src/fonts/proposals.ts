/** A number from 0 up to 1 for each call, the same sequence for the same seed (mulberry32). */
function seeded(seed: string): () => number {
  let state = 0;
  for (const sign of seed) state = (Math.imul(state, 31) + (sign.codePointAt(0) ?? 0)) | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/**
 * The order in which the first `count` of a ranking are proposed: better ranks tend to come earlier,
 * so that one proposal after another is worth a look without being the list read out. The same seed
 * gives the same order, so that a proposal can be stepped back to. Each rank comes once.
 * Source: Efraimidis and Spirakis 2006, weighted sampling without replacement; the weight of a rank
 * (1 over rank + 3, the best being 0) is ours.
 */
export function proposalOrder(count: number, seed: string): readonly number[] {
  const random = seeded(seed);
  return Array.from({ length: count }, (_, rank) => ({
    rank,
    key: Math.log(random()) * (rank + 3),
  }))
    .sort((one, other) => other.key - one.key)
    .map(({ rank }) => rank);
}
