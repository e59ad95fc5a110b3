import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cheapest, type Pull } from './cheapest.ts';

/** What some ways cost together. */
const sumOf = (
  costs: readonly (readonly number[])[],
  pulls: readonly Pull[],
  ways: readonly number[],
): number =>
  costs.reduce((sum, own, place) => sum + (own[ways[place] ?? 0] ?? 0), 0) +
  pulls.reduce((sum, { one, other, cost }) => sum + cost(ways[one] ?? 0, ways[other] ?? 0), 0);

/** Every combination, the long way round. */
function least(costs: readonly (readonly number[])[], pulls: readonly Pull[]): number {
  const search = (ways: readonly number[]): number => {
    const own = costs[ways.length];
    return own === undefined
      ? sumOf(costs, pulls, ways)
      : Math.min(...own.map((_, way) => search([...ways, way])));
  };
  return search([]);
}

/** Choices whose wishes cost least alone, and what some of them cost together. */
const problems = (choices: number, most: number, links: number) => {
  const table = fc.array(fc.integer({ min: 0, max: 9 }), {
    minLength: most * most,
    maxLength: most * most,
  });
  return fc
    .tuple(
      fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: most }), {
        minLength: choices,
        maxLength: choices,
      }),
      fc.array(fc.tuple(fc.nat(choices - 1), fc.nat(choices - 1), table), { maxLength: links }),
    )
    .map(([costs, tied]) => ({
      costs: costs.map((own) => own.toSorted((one, other) => one - other)),
      pulls: tied.map(([one, other, values]): Pull => ({
        one,
        other,
        cost: (first, second) => values[first * most + second] ?? 0,
      })),
    }));
};

const choicesOf = (costs: readonly (readonly number[])[]): { costs: readonly number[] }[] =>
  costs.map((own) => ({ costs: own }));

test('no other combination costs less, whatever pulls on what', () => {
  fc.assert(
    fc.property(problems(5, 4, 9), ({ costs, pulls }) => {
      expect(sumOf(costs, pulls, cheapest(choicesOf(costs), pulls))).toBe(least(costs, pulls));
    }),
    { numRuns: 300 },
  );
});

test('where too much pulls on too much, what is found costs no more than the wishes, nor with another leaf', () => {
  const [choices, ways] = [9, 16];
  const places = Array.from({ length: choices }, (_, place) => place);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 - 1 }), fc.nat(choices), (seed, leaves) => {
      const costs = [...places, ...places.slice(0, leaves)].map(() =>
        Array.from({ length: ways }, (_, way) => way),
      );
      // A number for each pair of ways that looks drawn: every one pulls on every other, leaves on two of them.
      const cost = (one: number, other: number) => (first: number, second: number) =>
        ((seed ^
          Math.imul(one * 31 + other, 0x9e3779b1) ^
          Math.imul(first * 17 + second, 0x85ebca6b)) >>>
          7) %
        10;
      const pulls: Pull[] = [
        ...places.flatMap((one) =>
          places.slice(one + 1).map((other) => ({ one, other, cost: cost(one, other) })),
        ),
        ...places.slice(0, leaves).flatMap((place) =>
          [place, (place + 4) % choices].map((other) => ({
            one: choices + place,
            other,
            cost: cost(choices + place, other),
          })),
        ),
      ];
      const found = cheapest(choicesOf(costs), pulls);
      const sum = sumOf(costs, pulls, found);
      expect(sum).toBeLessThanOrEqual(
        sumOf(
          costs,
          pulls,
          costs.map(() => 0),
        ),
      );
      // Leaves never keep their wishes for the size of a table, so that none does better alone.
      for (const leaf of places.slice(0, leaves).map((place) => choices + place))
        for (const way of costs[leaf] ?? [])
          expect(sum).toBeLessThanOrEqual(sumOf(costs, pulls, found.with(leaf, way)));
    }),
    { numRuns: 20 },
  );
});
