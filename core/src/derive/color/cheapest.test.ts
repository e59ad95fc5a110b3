import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cheapest, type Pull } from './cheapest.ts';

const NAMES = ['a', 'b', 'c', 'd', 'e'] as const;

/** Every combination, the long way round. */
function least(costs: readonly (readonly number[])[], pulls: readonly Pull[]): number {
  const place = new Map<string, number>();
  const at = (id: string): number => place.get(id) ?? 0;
  const search = (index: number): number => {
    const name = NAMES[index];
    const own = costs[index];
    if (name === undefined || own === undefined)
      return pulls.reduce((sum, { one, other, cost }) => sum + cost(at(one), at(other)), 0);
    return Math.min(
      ...own.map((cost, way) => {
        place.set(name, way);
        return cost + search(index + 1);
      }),
    );
  };
  return search(0);
}

test('no other combination costs less, whatever pulls on what', () => {
  const table = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 16, maxLength: 16 });
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 4 }), {
        minLength: 5,
        maxLength: 5,
      }),
      fc.array(fc.tuple(fc.nat(4), fc.nat(4), table), { maxLength: 9 }),
      (costs, links) => {
        const sorted = costs.map((own) => own.toSorted((one, other) => one - other));
        const pulls: Pull[] = links
          .filter(([one, other]) => one !== other)
          .map(([one, other, values]) => ({
            one: NAMES[one] ?? 'a',
            other: NAMES[other] ?? 'b',
            cost: (first, second) => values[first * 4 + second] ?? 0,
          }));
        const choices = new Map(sorted.map((own, index) => [NAMES[index] ?? '', { costs: own }]));
        const chosen = cheapest(choices, pulls);
        const found =
          sorted.reduce(
            (sum, own, index) => sum + (own[chosen.get(NAMES[index] ?? '') ?? 0] ?? 0),
            0,
          ) +
          pulls.reduce(
            (sum, { one, other, cost }) => sum + cost(chosen.get(one) ?? 0, chosen.get(other) ?? 0),
            0,
          );
        expect(found).toBe(least(sorted, pulls));
      },
    ),
    { numRuns: 200 },
  );
});
