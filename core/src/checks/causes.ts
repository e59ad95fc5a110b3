import type { StyleDocument } from '../system/document.ts';
import { causeIdOf, type Finding, type Repair } from './finding.ts';

/** What causes one finding or several, told once with its places. */
export interface Cause {
  readonly id: string;
  readonly severity: Finding['severity'];
  readonly area: Finding['area'];
  readonly title: string;
  /** Where it is seen, what is most serious first; one at least. */
  readonly places: readonly [Finding, ...Finding[]];
  /** What ends most of its places first. */
  readonly repairs: readonly Repair[];
}

/** More ways to end one thing help nobody. */
const MOST_WAYS = 12;

const repairsOf = ({ repair, ways = [] }: Finding): readonly Repair[] =>
  repair ? [repair, ...ways] : ways;

/** How many of some findings a repair ends, as far as that was tried; its own where it was not. */
export const endedBy = ({ ends }: Repair, places: readonly Pick<Finding, 'id'>[]): number =>
  ends === undefined ? 1 : places.filter(({ id }) => ends.includes(id)).length;

const seriousFirst = (one: Finding, other: Finding): number =>
  Number(other.severity === 'repair') - Number(one.severity === 'repair');

/** Repairs of all places, each once, what ends most of them first. */
function repairsOfAll(places: readonly Finding[]): readonly Repair[] {
  const unique = new Map(
    places.flatMap(repairsOf).map((repair) => [JSON.stringify(repair.patch), repair] as const),
  );
  return [...unique.values()]
    .map((repair) => ({ repair, ended: endedBy(repair, places) }))
    .toSorted((one, other) => other.ended - one.ended)
    .map(({ repair }) => repair)
    .slice(0, MOST_WAYS);
}

/** Findings by what causes them, in the order of the first of each; what is to be repaired comes first. */
export function causesOf(findings: readonly Finding[]): readonly Cause[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const id = causeIdOf(finding);
    const known = groups.get(id);
    if (known) known.push(finding);
    else groups.set(id, [finding]);
  }
  const causes = [...groups].flatMap(([id, group]): Cause[] => {
    const [first, ...others] = group.toSorted(seriousFirst);
    if (!first) return [];
    const places = [first, ...others] as const;
    return [
      {
        // A single one is known by its own name: it was before there were causes.
        id: others.length === 0 ? first.id : id,
        severity: first.severity,
        area: first.area,
        title: others.length === 0 ? first.title : (first.cause?.title ?? first.title),
        places,
        repairs: others.length === 0 ? repairsOf(first) : repairsOfAll(places),
      },
    ];
  });
  return [
    ...causes.filter(({ severity }) => severity === 'repair'),
    ...causes.filter(({ severity }) => severity === 'look'),
  ];
}

/** What findings can be told of: areas, pages and themes that some of them have, each once. */
export interface Filter {
  readonly area?: Finding['area'] | undefined;
  readonly page?: string | undefined;
  readonly mode?: 'light' | 'dark' | undefined;
}

/** Whether a finding is told under a filter: one of no certain page or theme is in all of them. */
export const isToldOf = ({ area, where }: Finding, filter: Filter): boolean =>
  (filter.area === undefined || area === filter.area) &&
  (filter.page === undefined || where.page === undefined || where.page === filter.page) &&
  (filter.mode === undefined || where.mode === undefined || where.mode === filter.mode);

/** The names under which something is accepted, as far as they are there: its own, and those of its places. */
export const acceptedAs = (
  { accepted }: Pick<StyleDocument, 'accepted'>,
  { id, places }: Cause,
): readonly string[] =>
  [...new Set([id, ...places.flatMap((place) => [place.id, causeIdOf(place)])])].filter((name) =>
    Object.hasOwn(accepted, name),
  );
