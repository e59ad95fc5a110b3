import { sizeWords } from '../measures/geometry.ts';
import type { Outline, Thing } from './scene.ts';

/** A width from which what stands in a thing is in another number of rows. */
export interface Break {
  readonly name: string;
  /** The least width with as many rows as from here on, in px of the component. */
  readonly atPx: number;
  readonly below: number;
  readonly from: number;
}

/** In how many rows things stand: those that share height are in one. */
export function rowsOf({ inside }: Pick<Thing, 'inside'>): number {
  const boxes = inside
    .filter(({ width, height }) => width > 0 && height > 0)
    .toSorted((one, other) => one.top - other.top);
  let rows = 0;
  let end = -Infinity;
  for (const { top, height } of boxes) {
    if (top >= end - 0.5) rows += 1;
    end = Math.max(end, top + height);
  }
  return rows;
}

/** Widths that differ by less are the same, in px. */
const SAME_PX = 0.5;

const rowWords = (rows: number): string => (rows === 1 ? 'one row' : `${rows} rows`);

/** What a component does as it gets wider, in sentences. */
export function behaviorOf(
  scenes: readonly Outline[],
  breaks: readonly Break[],
): readonly string[] {
  const [narrow] = scenes;
  const wide = scenes.at(-1);
  if (!narrow || !wide || narrow === wide) return [];
  const after = new Map(wide.things.map((thing) => [thing.place, thing]));
  const grows = new Set<string>();
  const keeps = new Map<string, number>();
  for (const { place, name, box } of narrow.things) {
    const there = after.get(place)?.box;
    if (!there || box.width === 0) continue;
    if (there.width - box.width > SAME_PX) grows.add(name);
    else if (Math.abs(there.width - box.width) <= SAME_PX) keeps.set(name, box.width);
  }
  const kept = [...keeps].filter(([name]) => !grows.has(name));
  return [
    ...(grows.size > 0 ? [`Grows with what it stands in: ${[...grows].join(', ')}.`] : []),
    ...(kept.length > 0
      ? [`Keeps its width: ${kept.map(([name, px]) => `${name} (${sizeWords(px)})`).join(', ')}.`]
      : []),
    ...breaks.map(
      ({ name, atPx, below, from }) =>
        `What stands in ${name} is in ${rowWords(below)} below ${sizeWords(atPx)} px, in ${rowWords(from)} from there.`,
    ),
  ];
}
