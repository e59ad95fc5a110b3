import { contentBreaks } from '@garnish/core/checks/content-breaks';
import type { GridRange } from '@garnish/core/derive/derived';
import { solveGrid, spanWidth, type GridKnown } from '@garnish/core/space/grid';
import type { GridRows } from '@garnish/core/system/grid-knowns';
import { forgetting } from '@garnish/core/system/breakpoints';
import { inOrder, NARROW_SCREEN_PX } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useState } from 'react';
import { heldWidth, setPreferences, usePreferences } from '../../ui/preferences.ts';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem, useSystemLater } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import type { SystemState } from '../../system/store.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Items } from '../../system/items.tsx';
import { px } from '../../ui/px.ts';
import { KnownField } from './known-field.tsx';

const PARTS = ['container', 'columns', 'column', 'gutter', 'margin'] as const;
const SAYS: Readonly<Record<(typeof PARTS)[number], string>> = {
  container: 'container',
  columns: 'columns',
  column: 'column',
  gutter: 'gutter',
  margin: 'margin',
};

/** What is known of the rows, which nothing is computed from. */
const ROWS = ['rowGap', 'row'] as const;
const ROW_SAYS: Readonly<Record<(typeof ROWS)[number], string>> = {
  rowGap: 'row gap',
  row: 'row, at least',
};
const ALL = [...PARTS, ...ROWS] as const;
type Part = (typeof ALL)[number];

const saysOf = (part: Part): string =>
  part === 'rowGap' || part === 'row' ? ROW_SAYS[part] : SAYS[part];

const computedOf = (part: Part, { grid, known }: GridRange): string => {
  if (part === 'rowGap') return String(known.rowGap ?? 0);
  if (part === 'row') return known.row === undefined ? 'as filled' : String(known.row);
  if (part === 'container' && grid.fluid) return 'screen';
  if (part === 'margin')
    return grid.marginStart === grid.marginEnd
      ? String(Number(grid.marginStart.toFixed(2)))
      : `${grid.marginStart} | ${grid.marginEnd}`;
  return String(Number(grid[part].toFixed(2)));
};

function Known() {
  const store = useStore();
  const decided = useDecided(['layout'], ['grid']);
  const { layout } = decided.document;
  const ranges = decided.derived.grid;
  const setting = (range: GridRange, part: Part, value: number | undefined): Patch => {
    const own: GridKnown & GridRows =
      range.id === undefined ? layout.grid.base : (layout.grid.at[range.id] ?? {});
    // What is undefined does not become JSON, and so is left open.
    const next = { ...own, [part]: value };
    const path = range.id === undefined ? '/layout/grid/base' : `/layout/grid/at/${range.id}`;
    const isThere = range.id === undefined || Object.hasOwn(layout.grid.at, range.id);
    return [{ op: isThere ? 'replace' : 'add', path, value: jsonOf(next) }];
  };
  /** Why a number would not do: what the grid itself says first, then what the document does. */
  const problemWith = (
    range: GridRange,
    part: Part,
    value: number | undefined,
  ): string | undefined => {
    const screenPx = Math.max(NARROW_SCREEN_PX, range.fromPx);
    const answer =
      value === undefined
        ? undefined
        : solveGrid({ ...range.known, [part]: value }, screenPx, layout.grid.whole);
    return answer?.ok === false ? answer.message : store.problemOf(setting(range, part, value));
  };
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <caption className="sr-only">What is known of the column grid, in px</caption>
        <thead>
          <tr className="text-quiet">
            <th className="text-start font-normal">px</th>
            {ranges.map(({ id, name, fromPx }) => (
              <th key={id ?? 'base'} className="px-2 text-end font-normal">
                {name} {fromPx > 0 && <span className="figures text-xs">{fromPx}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ALL.map((part) => (
            <tr key={part} className="border-t border-line">
              <th scope="row" className="pe-2 text-start font-semibold">
                {saysOf(part)}
              </th>
              {ranges.map((range) => {
                const own =
                  range.id === undefined ? layout.grid.base : (layout.grid.at[range.id] ?? {});
                return (
                  <td
                    key={range.id ?? 'base'}
                    className="w-24 px-2 align-top"
                    data-decision={
                      range.id === undefined
                        ? `/layout/grid/base/${part}`
                        : `/layout/grid/at/${range.id}/${part}`
                    }
                  >
                    <KnownField
                      label={`${saysOf(part)}, ${range.name}`}
                      known={own[part]}
                      computed={computedOf(part, range)}
                      decide={(value) =>
                        problemWith(range, part, value) ??
                        store.decide(
                          setting(range, part, value),
                          value === undefined
                            ? `${saysOf(part)} left open, ${range.name}`
                            : `${saysOf(part)}, ${range.name}`,
                        )
                      }
                    />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const DRAWN_WIDTH = 500;

/** The grid of a range in true proportions, on a screen a little wider than its container. */
function Drawn({ range }: { readonly range: GridRange }) {
  const { grid, name } = range;
  const screen = Math.max(grid.container, range.fromPx);
  const scale = DRAWN_WIDTH / screen;
  const start = (screen - grid.container) / 2 + grid.marginStart;
  return (
    <svg
      viewBox={`0 0 ${DRAWN_WIDTH} 34`}
      className="w-full"
      role="img"
      aria-label={`${name}: ${grid.columns} columns of ${px(grid.column)}`}
    >
      <rect width={DRAWN_WIDTH} height={34} className="fill-base-200" />
      <rect
        x={((screen - grid.container) / 2) * scale}
        width={grid.container * scale}
        height={34}
        className="fill-none stroke-line-strong"
        strokeDasharray="2 2"
      />
      {Array.from({ length: grid.columns }, (_, index) => (
        <rect
          key={index}
          x={(start + index * (grid.column + grid.gutter)) * scale}
          width={grid.column * scale}
          y={4}
          height={26}
          className="fill-base-300 stroke-line-strong"
          strokeWidth={0.5}
        />
      ))}
    </svg>
  );
}

function Spans() {
  const decided = useDecided([], ['grid']);
  const ranges = decided.derived.grid;
  const [at, setAt] = useState(ranges.length - 1);
  const range = ranges[Math.min(at, ranges.length - 1)];
  if (!range) return null;
  const { grid } = range;
  return (
    <div>
      <Choice
        label="Range whose spans are told"
        options={ranges.map(({ name }, index) => ({ value: String(index), name }))}
        value={String(Math.min(at, ranges.length - 1))}
        onChange={(value) => setAt(Number(value))}
      />
      <ol className="mt-1 grid grid-cols-6 gap-x-4" aria-label={`Spans, ${range.name}`}>
        {Array.from({ length: grid.columns }, (_, index) => {
          const width = Number(spanWidth(grid, index + 1).toFixed(2));
          return (
            <li key={index} className="flex items-baseline justify-between border-t border-line">
              <span className="text-quiet">{index + 1}</span>
              <Copy
                className="figures"
                text={`${width}px`}
                label={`Copy the width of ${index + 1} columns: ${width} px`}
              >
                {width}
              </Copy>
            </li>
          );
        })}
      </ol>
      {grid.fluid && (
        <p className="text-xs text-quiet">
          At a screen of {px(grid.container)}; the columns grow with it.
        </p>
      )}
    </div>
  );
}

const breaksOf = ({ decided: { document, derived } }: SystemState) =>
  contentBreaks(document, derived);

function Breakpoints() {
  const store = useStore();
  const { document } = useDecided(['layout', 'space']);
  const { breakpoints } = document.layout;
  const breaks = useSystemLater(breaksOf);
  const add = (widthPx: number): void => {
    const id = `width-${crypto.randomUUID().slice(0, 8)}`;
    const sorted = [
      ...inOrder(breakpoints).map(([one, { width }]) => [one, width] as const),
      [id, widthPx] as const,
    ].sort((one, other) => one[1] - other[1]);
    store.change(
      [
        {
          op: 'add',
          path: `/layout/breakpoints/items/${id}`,
          value: { name: `from ${widthPx}`, width: widthPx },
        },
        {
          op: 'replace',
          path: '/layout/breakpoints/order',
          value: sorted.map(([one]) => one),
        },
      ],
      `breakpoint at ${widthPx} px`,
    );
  };
  const last = inOrder(breakpoints).at(-1)?.[1].width ?? 480;
  return (
    <>
      <Items
        path="/layout/breakpoints"
        collection={breakpoints}
        what="breakpoint"
        columns="6rem minmax(0,1fr)"
        another={() => ({ name: `from ${last + 240}`, width: Math.min(4000, last + 240) })}
        along={(id) => forgetting(document, id)}
      >
        {(_, { name, width }, path) => (
          <>
            <DecidedNumber
              label={`Width of breakpoint ${name}`}
              hideLabel
              path={`${path}/width`}
              name={`breakpoint ${name}`}
              value={width}
              step={10}
              decimals={0}
              unit="px"
            />
            <button
              type="button"
              className="min-h-7 min-w-8 justify-self-end text-quiet hover:text-base-content hover:underline"
              onClick={() => setPreferences({ proofWidth: heldWidth(width) })}
            >
              see it
            </button>
          </>
        )}
      </Items>
      <h3 className="mt-3 font-semibold">Where the content breaks</h3>
      {breaks.length === 0 ? (
        <p className="text-quiet">Nowhere that has no breakpoint yet.</p>
      ) : (
        <ul aria-label="Where the content breaks">
          {breaks.map(({ widthPx, why }) => (
            <li key={widthPx} className="flex items-baseline gap-3 border-t border-line">
              <span className="figures w-16 text-end">{widthPx} px</span>
              <span className="min-w-0 grow text-quiet">{why}</span>
              <button
                type="button"
                className="act"
                aria-label={`Add a breakpoint at ${widthPx} px`}
                onClick={() => add(widthPx)}
              >
                Add
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** The column grid on every range of screens, and the widths at which it changes. */
export function GridView() {
  const store = useStore();
  const decided = useDecided(['layout'], ['grid']);
  const findings = useSystem((state) => state.findings);
  const { proofDrawn } = usePreferences();
  const { align, whole } = decided.document.layout.grid;
  return (
    <>
      <Section
        full
        title="Columns"
        aside="type what is known; what is empty is computed or holds on"
      >
        <Known />
        <Notes findings={findings} at={['/layout/grid']} />
        <div
          className="mt-2 flex flex-wrap items-center gap-x-6"
          data-decision="/layout/grid/align"
        >
          <TryChoice
            label="Where the grid stands"
            options={[
              { value: 'centered', name: 'centered' },
              { value: 'full', name: 'full width' },
            ]}
            value={align}
            onChange={(value) => {
              const patch: Patch = [{ op: 'replace', path: '/layout/grid/align', value }];
              store.change(patch, `grid ${value}`);
            }}
          />
          <label className="flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={whole}
              onChange={() =>
                store.change(
                  [{ op: 'replace', path: '/layout/grid/whole', value: !whole }],
                  whole ? 'fractions of px' : 'whole px',
                )
              }
            />
            whole px
          </label>
          <label className="flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={proofDrawn === 'grid'}
              onChange={() =>
                setPreferences({ proofDrawn: proofDrawn === 'grid' ? 'nothing' : 'grid' })
              }
            />
            drawn over the proof
          </label>
        </div>
        {align === 'full' && (
          <p className="text-xs text-quiet">
            Full width: the container is the screen, whatever is typed for it.
          </p>
        )}
        {whole && (
          <p className="text-xs text-quiet">
            Whole at the container’s width; what is left over goes to the margins.
          </p>
        )}
        <div className="mt-2 grid gap-2">
          {decided.derived.grid.map((range) => (
            <Drawn key={range.id ?? 'base'} range={range} />
          ))}
        </div>
      </Section>
      <Section full title="Spans" aside="width of neighboring columns, px">
        <Spans />
      </Section>
      <Section full title="Breakpoints" aside="from the narrowest up">
        <Breakpoints />
        <Notes findings={findings} at={['/layout/breakpoints']} />
      </Section>
    </>
  );
}
