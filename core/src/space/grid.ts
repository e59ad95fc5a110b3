/** What may be known of a column grid; lengths in px, the margin on either side. */
export interface GridKnown {
  readonly container?: number | undefined;
  readonly columns?: number | undefined;
  readonly column?: number | undefined;
  readonly gutter?: number | undefined;
  readonly margin?: number | undefined;
}

/** A grid with nothing left open: columns, gutters and margins add up to the container. */
export interface SolvedGrid {
  readonly container: number;
  readonly columns: number;
  readonly column: number;
  readonly gutter: number;
  readonly marginStart: number;
  readonly marginEnd: number;
  /** The container is the screen and grows with it. */
  readonly fluid: boolean;
  /** What was computed, in the order in which it was. */
  readonly computed: readonly (keyof GridKnown)[];
}

export type GridAnswer =
  | { readonly ok: true; readonly grid: SolvedGrid }
  | { readonly ok: false; readonly field: keyof GridKnown; readonly message: string };

const no = (field: keyof GridKnown, message: string): GridAnswer => ({
  ok: false,
  field,
  message,
});

const px = (value: number): string => `${Number(value.toFixed(2))} px`;

/** Lengths that differ by less than this, in px, are the same. */
const SAME_PX = 1e-6;

export const MOST_COLUMNS = 24;

function outOfRange(known: GridKnown): GridAnswer | undefined {
  const { container, columns, column, gutter, margin } = known;
  if (columns !== undefined && (!Number.isInteger(columns) || columns < 1))
    return no('columns', 'A grid has whole columns, and one at least.');
  if (columns !== undefined && columns > MOST_COLUMNS)
    return no('columns', `A grid has ${MOST_COLUMNS} columns at most.`);
  if (container !== undefined && !(container > 0))
    return no('container', 'A container is wider than 0 px.');
  if (column !== undefined && !(column > 0)) return no('column', 'A column is wider than 0 px.');
  if (gutter !== undefined && !(gutter >= 0)) return no('gutter', 'A gutter is 0 px or wider.');
  if (margin !== undefined && !(margin >= 0)) return no('margin', 'A margin is 0 px or wider.');
  return undefined;
}

/** Only whole columns: as many as stand in the room, what is left over goes to the margins. */
function countColumns(
  container: number,
  column: number,
  gutter: number,
  margin: number,
): GridAnswer | number {
  const room = container - 2 * margin;
  const columns = Math.floor((room + gutter + SAME_PX) / (column + gutter));
  if (columns < 1)
    return no('column', `A column of ${px(column)} does not stand in ${px(Math.max(0, room))}.`);
  return Math.min(columns, MOST_COLUMNS);
}

/**
 * Computes what is not known of a column grid:
 * container = columns × column + (columns − 1) × gutter + both margins.
 *
 * What is left open beyond one quantity is taken so, until one is left to compute: no gutter where
 * none is given, no margin, and the screen as container. With `whole`, columns and gutters become
 * whole px and what is left over goes to the margins. What cannot be is answered with the field that
 * is to blame and a sentence; nothing is thrown.
 */
export function solveGrid(known: GridKnown, screenPx: number, whole = false): GridAnswer {
  const wrong = outOfRange(known);
  if (wrong) return wrong;
  if (known.columns === undefined && known.column === undefined)
    return no('columns', 'Give the number of columns, or how wide one is.');
  const computed: (keyof GridKnown)[] = [];
  const open = (): (keyof GridKnown)[] =>
    (['container', 'columns', 'column', 'gutter', 'margin'] as const).filter(
      (key) => here[key] === undefined,
    );
  let here: GridKnown = known;
  const usual: GridKnown = { gutter: 0, margin: 0, container: screenPx };
  for (const key of ['gutter', 'margin', 'container'] as const)
    if (open().length > 1 && here[key] === undefined) {
      // A gutter or a margin can be what is computed only when all else is given.
      here = { ...here, [key]: usual[key] };
      computed.push(key);
    }
  const fluid = computed.includes('container');
  let { container = 0, columns = 0, column = 0, gutter = 0, margin = 0 } = here;
  const [missing] = open();
  if (missing !== undefined) computed.push(missing);
  const inner = (): number => columns * column + (columns - 1) * gutter;
  if (missing === 'container') container = inner() + 2 * margin;
  else if (missing === 'columns') {
    const counted = countColumns(container, column, gutter, margin);
    if (typeof counted !== 'number') return counted;
    columns = counted;
  } else if (missing === 'column') {
    column = (container - 2 * margin - (columns - 1) * gutter) / columns;
    if (!(column > 0))
      return no(
        'gutter',
        `${columns - 1} gutters of ${px(gutter)} and two margins of ${px(margin)} are wider than the container, ${px(container)}.`,
      );
  } else if (missing === 'gutter') {
    if (columns === 1) gutter = 0;
    else gutter = (container - 2 * margin - columns * column) / (columns - 1);
    if (gutter < -SAME_PX)
      return no(
        'column',
        `${columns} columns of ${px(column)} are wider than the container without its margins, ${px(container - 2 * margin)}.`,
      );
    gutter = Math.max(0, gutter);
  } else if (missing === 'margin') {
    margin = (container - inner()) / 2;
    if (margin < -SAME_PX)
      return no(
        'container',
        `Columns and gutters take ${px(inner())}; the container has ${px(container)}.`,
      );
    margin = Math.max(0, margin);
  }
  if (whole) {
    column = Math.floor(column + SAME_PX);
    gutter = Math.floor(gutter + SAME_PX);
    if (missing === 'container') container = inner() + 2 * margin;
    if (column < 1) return no('columns', 'In whole px no column would be left.');
  }
  const rest = container - inner();
  const addsUp = Math.abs(rest - 2 * margin) < SAME_PX;
  if (missing === undefined && !whole && !addsUp)
    return no(
      'container',
      `These do not add up: columns, gutters and margins take ${px(inner() + 2 * margin)}, the container has ${px(container)}. Leave one of them open.`,
    );
  if (rest < -SAME_PX)
    return no(
      'container',
      `Columns and gutters take ${px(inner())}; the container has ${px(container)}.`,
    );
  const marginStart = addsUp ? margin : whole ? Math.floor(rest / 2) : rest / 2;
  return {
    ok: true,
    grid: {
      container,
      columns,
      column,
      gutter,
      marginStart,
      marginEnd: rest - marginStart,
      fluid,
      computed,
    },
  };
}

/** The width of neighboring columns with the gutters between them, in px. */
export const spanWidth = (
  { column, gutter }: Pick<SolvedGrid, 'column' | 'gutter'>,
  columns: number,
): number => columns * column + (columns - 1) * gutter;
