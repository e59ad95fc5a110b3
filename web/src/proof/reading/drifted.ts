import type { Drift, DriftPlace, DriftRow } from '@garnish/core/reading/drift';
import type { Box } from '@garnish/core/measures/geometry';
import { lasting } from '../drawing/dress.ts';
import { holdsOn } from '../elements.ts';
import type { Sight } from './look.ts';

/** How much of a page has drifted. */
export interface DriftedPage {
  /** The elements that wear a value that is near or foreign, of all that are shown. */
  readonly count: number;
  readonly of: number;
  /** How much of the page they cover, 0 to 1. */
  readonly area: number;
  /** The same of each value that is worn here, by its row. */
  readonly byRow: ReadonlyMap<DriftRow, number>;
}

/** Sides of the squares that areas are counted in, in px. */
const CELL_PX = 16;
/** Pages that are longer are counted as far as this, in squares. */
const MOST_ROWS = 4000;

/** Counts areas of a page without counting any part of it twice. */
class Cells {
  readonly #columns: number;
  readonly #rows: number;
  readonly #cells: Uint8Array;

  /** @param width and height of the page, in px */
  constructor(width: number, height: number) {
    this.#columns = Math.max(1, Math.ceil(width / CELL_PX));
    this.#rows = Math.min(MOST_ROWS, Math.max(1, Math.ceil(height / CELL_PX)));
    this.#cells = new Uint8Array(this.#columns * this.#rows);
  }

  add({ left, top, width, height }: Box): void {
    const within = (px: number, most: number): number =>
      Math.max(0, Math.min(most, Math.round(px / CELL_PX)));
    const from = within(left, this.#columns);
    // What is smaller than a square covers one all the same.
    const to = Math.max(from + 1, within(left + width, this.#columns));
    const above = within(top, this.#rows);
    const below = Math.max(above + 1, within(top + height, this.#rows));
    for (let row = above; row < Math.min(below, this.#rows); row += 1)
      this.#cells.fill(
        1,
        row * this.#columns + from,
        row * this.#columns + Math.min(to, this.#columns),
      );
  }

  /** How much of the page is covered, 0 to 1. */
  get share(): number {
    return this.#cells.reduce((sum, cell) => sum + cell, 0) / this.#cells.length;
  }
}

/** Finds what a rule is about, its moments left aside; each selector is asked once. */
function asking(document: Document): (place: DriftPlace) => readonly Element[] {
  const holds = holdsOn(document);
  const known = new Map<string, readonly Element[]>();
  return ({ selector, within }) => {
    if (!within.every((one) => !/^@(?:media|supports)/.test(one) || holds(one))) return [];
    const found = known.get(selector);
    if (found) return found;
    let elements: readonly Element[] = [];
    try {
      elements = [...document.querySelectorAll(lasting(selector))];
    } catch {
      // What no browser can be asked for stands on no page.
    }
    known.set(selector, elements);
    return elements;
  };
}

/** How much of a page wears values that are not those of the system. */
export function driftedOn(
  document: Document,
  sight: Sight,
  { rows }: Pick<Drift, 'rows'>,
): DriftedPage {
  const boxes = new Map(sight.map(([element, { box }]) => [element, box]));
  const right = Math.max(1, ...sight.map(([, { box }]) => box.left + box.width));
  const bottom = Math.max(1, ...sight.map(([, { box }]) => box.top + box.height));
  const whole = new Cells(right, bottom);
  const find = asking(document);
  const worn = new Set<Element>();
  const byRow = new Map<DriftRow, number>();
  for (const row of rows) {
    if (row.match === 'equal') continue;
    const shown = new Set(row.places.flatMap(find).filter((element) => boxes.has(element)));
    if (shown.size === 0) continue;
    const own = new Cells(right, bottom);
    for (const element of shown) {
      const box = boxes.get(element);
      if (!box) continue;
      own.add(box);
      whole.add(box);
      worn.add(element);
    }
    byRow.set(row, own.share);
  }
  return { count: worn.size, of: sight.length, area: whole.share, byRow };
}
