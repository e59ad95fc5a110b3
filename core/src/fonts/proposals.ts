import { seeded } from '../seeded.ts';

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
