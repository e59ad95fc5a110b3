import { solveGrid, type SolvedGrid } from '../../space/grid.ts';
import { NARROW_SCREEN_PX, type Layout } from '../../system/document.ts';
import { gridKnowns } from '../../system/grid-knowns.ts';
import { everyMode, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { DerivedLength, GridRange, LengthFrom, Rule } from '../derived.ts';
import { breakpointsJson, remValue } from './lengths.ts';

/** The grid in every range; one that cannot be is left out, and never comes through validation. */
export const deriveGrid = (layout: Layout): readonly GridRange[] =>
  gridKnowns(layout).flatMap((range) => {
    const screenPx = Math.max(NARROW_SCREEN_PX, range.fromPx);
    const answer = solveGrid(range.known, screenPx, layout.grid.whole);
    return answer.ok ? [{ ...range, grid: answer.grid }] : [];
  });

/** The grid as a browser lays it out on a screen: the container no wider than that. */
export function gridAt(
  ranges: readonly GridRange[],
  widthPx: number,
  rootPx: number = ROOT_PX,
): SolvedGrid | undefined {
  const range = ranges.findLast(({ fromPx }) => widthPx >= fromPx);
  if (!range) return undefined;
  const scale = rootPx / ROOT_PX;
  const { grid } = range;
  const container = grid.fluid ? widthPx : Math.min(widthPx, grid.container * scale);
  const gutter = grid.gutter * scale;
  const marginStart = grid.marginStart * scale;
  const marginEnd = grid.marginEnd * scale;
  const room = container - marginStart - marginEnd - (grid.columns - 1) * gutter;
  return {
    ...grid,
    container,
    gutter,
    marginStart,
    marginEnd,
    column: Math.max(0, room / grid.columns),
  };
}

/** The room that the page's content has on a screen, in px. */
export function contentPx(ranges: readonly GridRange[], widthPx: number): number {
  const grid = gridAt(ranges, widthPx);
  return grid ? Math.max(0, grid.container - grid.marginStart - grid.marginEnd) : widthPx;
}

type Part = 'columns' | 'gutter' | 'margin' | 'margin-end' | 'container' | 'row-gap' | 'row';

const partValue = (part: Part, { grid, known: said }: GridRange, root: number): TokenValue => {
  if (part === 'columns') return { json: grid.columns, css: String(grid.columns) };
  if (part === 'container' && grid.fluid)
    return { ...remValue(grid.container, root), css: '100%', extension: { share: 100 } };
  const px = {
    gutter: grid.gutter,
    margin: grid.marginStart,
    'margin-end': grid.marginEnd,
    container: grid.container,
    'row-gap': said.rowGap ?? 0,
    row: said.row ?? 0,
  }[part];
  return remValue(px, root);
};

/** Lengths that were found: tokens, roles and rules ask for the same few of one grid. */
const known = new WeakMap<readonly GridRange[], Map<string, DerivedLength>>();

/** What a part of the grid is on the smallest screen, and where it changes. */
export function gridLength(ranges: readonly GridRange[], part: Part, root: number): DerivedLength {
  const own = known.get(ranges) ?? new Map<string, DerivedLength>();
  known.set(ranges, own);
  const key = `${part} ${root}`;
  const length = own.get(key) ?? lengthOf(ranges, part, root);
  own.set(key, length);
  return length;
}

function lengthOf(ranges: readonly GridRange[], part: Part, root: number): DerivedLength {
  const [first, ...rest] = ranges;
  const none: TokenValue = { json: 0, css: '0' };
  let before = first ? partValue(part, first, root) : none;
  const value = before;
  const from = rest.flatMap((range): LengthFrom[] => {
    const next = partValue(part, range, root);
    if (next.css === before.css) return [];
    before = next;
    return [{ fromPx: range.fromPx, value: next }];
  });
  return {
    value: {
      ...value,
      ...(from.length > 0 && {
        extension: {
          ...breakpointsJson(from),
          // The container of a grid that grows with the screen is all of it.
          ...(part === 'container' && first?.grid.fluid && { share: 100 }),
        },
      }),
    },
    from,
    px: ({ widthPx, rootPx }) => {
      const grid = gridAt(ranges, widthPx, rootPx);
      return part === 'gutter' ? (grid?.gutter ?? 0) : (grid?.marginStart ?? 0);
    },
    bends: from.map(({ fromPx }) => fromPx),
    follows: from.length > 0 ? 'screen' : 'nothing',
  };
}

const hasEnd = (ranges: readonly GridRange[]): boolean =>
  ranges.some(({ grid }) => grid.marginEnd !== grid.marginStart);

const partsOf = (ranges: readonly GridRange[]): readonly Part[] => [
  'container',
  'columns',
  'gutter',
  'margin',
  ...(hasEnd(ranges) ? (['margin-end'] as const) : []),
  ...rowPartsOf(ranges),
];

/** What rows have that was decided for any screen. */
const rowPartsOf = (ranges: readonly GridRange[]): readonly ('row-gap' | 'row')[] => [
  ...(ranges.some(({ known: { rowGap } }) => rowGap !== undefined) ? (['row-gap'] as const) : []),
  ...(ranges.some(({ known: { row } }) => row !== undefined) ? (['row'] as const) : []),
];

export const deriveGridTokens = (ranges: readonly GridRange[], root: number): MadeToken[] =>
  partsOf(ranges).map((part): MadeToken => ({
    id: `grid.${part}`,
    path: ['grid', part],
    tier: 'primitive',
    type: part === 'columns' ? 'number' : 'dimension',
    values: everyMode(gridLength(ranges, part, root).value),
    trail: () => ({
      decisions: ranges.map(({ id, name, fromPx }) => ({
        path: id === undefined ? '/layout/grid/base' : `/layout/grid/at/${id}`,
        label: `grid ${id === undefined ? 'on the smallest screen' : `from ${name}`}`,
        value: `${fromPx} px and up`,
      })),
      steps: ranges.map(({ name, grid, known: { row, rowGap } }) =>
        part === 'row' || part === 'row-gap'
          ? `${name}: rows ${row === undefined ? 'as high as what is in them' : `of ${px(row)} or more`}, ${px(rowGap ?? 0)} apart`
          : `${name}: ${grid.columns} × ${px(grid.column)} + ${grid.columns - 1} × ${px(grid.gutter)} + margins of ${px(grid.marginStart)} and ${px(grid.marginEnd)} = ${px(grid.container)}${grid.fluid ? ', and grows with the screen' : ''}`,
      ),
    }),
  }));

const px = (value: number): string => `${Number(value.toFixed(2))} px`;

/** What the parts of the grid become from breakpoints up, for the rules of those. */
export const gridFrom = (
  ranges: readonly GridRange[],
  root: number,
): readonly (readonly [property: string, from: LengthFrom])[] =>
  partsOf(ranges).flatMap((part) =>
    gridLength(ranges, part, root).from.map((from) => [`--grid-${part}`, from] as const),
  );

/**
 * The classes of the grid: a frame that holds the page, the columns, and spans of them, which never
 * ask for more columns than there are; spans that begin at a breakpoint carry its name.
 */
export function deriveGridRules(
  ranges: readonly GridRange[],
  slugOf: ReadonlyMap<string, string>,
): Rule[] {
  const most = Math.max(1, ...ranges.map(({ grid }) => grid.columns));
  const spans = (suffix: string, within?: string): Rule[] =>
    Array.from({ length: most }, (_, index) => ({
      selector: `.span-${index + 1}${suffix}`,
      ...(within !== undefined && { within }),
      declarations: [['grid-column', `span min(${index + 1}, var(--grid-columns))`]],
    }));
  return [
    {
      selector: '.grid-frame',
      declarations: [
        ['box-sizing', 'border-box'],
        ['inline-size', '100%'],
        ['max-inline-size', 'var(--grid-container)'],
        ['margin-inline', 'auto'],
        [
          'padding-inline',
          hasEnd(ranges) ? 'var(--grid-margin) var(--grid-margin-end)' : 'var(--grid-margin)',
        ],
      ],
    },
    {
      selector: '.grid',
      declarations: [
        ['display', 'grid'],
        ['grid-template-columns', 'repeat(var(--grid-columns), minmax(0, 1fr))'],
        ['column-gap', 'var(--grid-gutter)'],
        ...rowPartsOf(ranges).map((part) =>
          part === 'row'
            ? (['grid-auto-rows', 'minmax(var(--grid-row), auto)'] as const)
            : (['row-gap', 'var(--grid-row-gap)'] as const),
        ),
      ],
    },
    ...spans(''),
    ...ranges.flatMap(({ id, fromPx }) =>
      id === undefined
        ? []
        : spans(`-from-${slugOf.get(id) ?? id}`, `@media (width >= ${fromPx}px)`),
    ),
  ];
}
