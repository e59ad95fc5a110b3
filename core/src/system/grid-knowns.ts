import type { GridKnown } from '../space/grid.ts';
import { inOrder, type Layout } from './document.ts';

/** What is known of the rows of a grid, in px: what is between them, and how high one is at least. */
export interface GridRows {
  readonly rowGap?: number | undefined;
  readonly row?: number | undefined;
}

/** What is known of the grid from a screen width up. */
export interface KnownRange {
  /** The breakpoint's id; none on the smallest screen. */
  readonly id?: string;
  readonly name: string;
  readonly fromPx: number;
  readonly known: GridKnown & GridRows;
}

/** What is known of the grid in each range: what is not decided anew holds on from below. */
export function gridKnowns({ breakpoints, grid }: Layout): readonly KnownRange[] {
  const held = ({ container, ...known }: GridKnown & GridRows): GridKnown & GridRows =>
    grid.align === 'full' || container === undefined ? known : { ...known, container };
  let here = held(grid.base);
  return [
    { name: 'smallest', fromPx: 0, known: here },
    ...inOrder(breakpoints).map(([id, { name, width }]) => {
      here = { ...here, ...held(grid.at[id] ?? {}) };
      return { id, name, fromPx: width, known: here };
    }),
  ];
}
