import { judgedAll, ratioText, titleOf, type Judged } from '@garnish/core/checks/judge';
import { contrastTable } from '@garnish/core/color/contrast';
import { perceptualContrast } from '@garnish/core/color/perceptual';
import type { Hex } from '@garnish/core/color/srgb';
import type { Need } from '@garnish/core/derive/derived';
import { colorsIn } from '@garnish/core/derive/color/paint';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useDecided } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { ContrastDetail } from './contrast-detail.tsx';

const FILTERS = ['all', 'falls short', 'text', 'parts', 'exempt'] as const;
type Filter = (typeof FILTERS)[number];

const ROW_PX = 30;
const GRID =
  'grid grid-cols-[2.25rem_minmax(0,1fr)_3.1rem_3.1rem_2.4rem_3.4rem_2.6rem] items-center gap-x-1.5';

interface Row {
  readonly key: string;
  readonly title: string;
  readonly color: Hex;
  readonly on: Hex;
  readonly light: number | undefined;
  readonly dark: number | undefined;
  readonly needed: number;
  readonly passes: boolean;
  readonly level: string;
  readonly need?: Need;
}

/** What a ratio is enough for. Source: WCAG 2.2, 1.4.3, 1.4.6, 1.4.11. */
const levelOf = ({ need, large }: Judged, ratio: number): string => {
  if (need.kind === 'exempt') return 'exempt';
  if (need.kind !== 'text') return ratio >= 3 ? 'AA' : 'short';
  if (ratio >= (large ? 4.5 : 7)) return 'AAA';
  return ratio >= (large ? 3 : 4.5) ? 'AA' : 'short';
};

function fits(filter: Filter, need: Need, passes: boolean): boolean {
  if (filter === 'falls short') return !passes;
  if (filter === 'text') return need.kind === 'text';
  if (filter === 'parts') return need.kind === 'part' || need.kind === 'beside';
  return filter === 'all' || need.kind === 'exempt';
}

/** The rows of all pairs in use. */
function usedRows(judged: readonly Judged[], filter: Filter, mode: 'light' | 'dark'): Row[] {
  const byNeed = new Map<Need, Judged[]>();
  for (const one of judged) byNeed.set(one.need, [...(byNeed.get(one.need) ?? []), one]);
  return [...byNeed].flatMap(([need, both]): Row[] => {
    const passes = both.every((one) => one.passes);
    if (!fits(filter, need, passes)) return [];
    const least = Math.min(...both.map(({ ratio }) => ratio));
    const [first] = both;
    return [
      {
        key: need.id,
        title: titleOf(need),
        color: need.color.colors[mode],
        on: need.on.colors[mode],
        light: both.find((one) => one.mode === 'light')?.ratio,
        dark: both.find((one) => one.mode === 'dark')?.ratio,
        needed: need.needed,
        passes,
        level: first ? levelOf(first, least) : '',
        need,
      },
    ];
  });
}

/** Every color of the palette on every other: each ratio computed once. */
function everyRows(
  colors: readonly { readonly name: string; readonly hex: Hex }[],
  mode: 'light' | 'dark',
  onlyShort: boolean,
): Row[] {
  const ratios = contrastTable(colors.map(({ hex }) => hex));
  const rows: Row[] = [];
  colors.forEach((color, row) =>
    colors.forEach((on, column) => {
      const ratio = ratios[row * colors.length + column] ?? 1;
      if (row === column || (onlyShort && ratio >= 4.5)) return;
      rows.push({
        key: `${row} ${column}`,
        title: `${color.name} on ${on.name}`,
        color: color.hex,
        on: on.hex,
        light: mode === 'light' ? ratio : undefined,
        dark: mode === 'dark' ? ratio : undefined,
        needed: 0,
        passes: ratio >= 4.5,
        level: ratio >= 7 ? 'AAA' : ratio >= 4.5 ? 'AA' : ratio >= 3 ? 'large' : 'short',
      });
    }),
  );
  return rows;
}

const Ratio = ({
  ratio,
  short,
}: {
  readonly ratio: number | undefined;
  readonly short: boolean;
}) => (
  <span className={`figures text-end ${short ? 'font-bold text-error' : ''}`}>
    {ratio === undefined ? '' : ratioText(ratio)}
  </span>
);

/** A text as a text; what is no text, or not said to be one, as a bar of its color. */
const Sample = ({
  color,
  on,
  isText,
}: Pick<Row, 'color' | 'on'> & { readonly isText: boolean }) => (
  <span
    className="grid h-6 place-items-center text-sm font-semibold"
    style={{ background: on, color }}
    aria-hidden
  >
    {isText ? 'Ag' : <span className="h-2 w-5" style={{ background: color }} />}
  </span>
);

/** All pairs that are used, or every color on every color; one of them is looked at closely. */
export function ContrastTable() {
  const { derived } = useDecided([], ['needs', 'ramps', 'themes']);
  const mode = useProofTheme();
  const [filter, setFilter] = useState<Filter>('all');
  const [every, setEvery] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const scroller = useRef<HTMLDivElement>(null);
  const judged = judgedAll(derived);
  const rows = useMemo(() => {
    if (!every) return usedRows(judged, filter, mode);
    const colors = [...derived.ramps.values()].flatMap((ramp) =>
      colorsIn(ramp, mode).map((hex, index) => ({
        name: `${ramp.name} ${ramp.rungNames[index] ?? index + 1}`,
        hex,
      })),
    );
    return everyRows(colors, mode, filter === 'falls short');
  }, [derived, every, filter, judged, mode]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const short = new Set(judged.filter(({ passes }) => !passes).map(({ need }) => need)).size;
  const open = derived.needs.find(({ id }) => id === chosen);
  const move = (by: number): void => {
    const at = rows.findIndex(({ key }) => key === chosen);
    const next = Math.min(rows.length - 1, Math.max(0, at + by));
    setChosen(rows[next]?.key);
    virtual.scrollToIndex(next);
  };
  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-5">
        <Choice
          label="Which pairs"
          options={FILTERS.map((value) => ({
            value,
            name: value === 'falls short' && !every ? `falls short ${short}` : value,
          }))}
          value={filter}
          onChange={setFilter}
        />
        <label className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={every}
            onChange={() => setEvery(!every)}
          />
          every color on every color
        </label>
      </div>
      <div className={`${GRID} border-b border-line-strong pb-1 text-xs text-quiet`} aria-hidden>
        <span />
        <span>{rows.length} pairs</span>
        <span className="text-end">light</span>
        <span className="text-end">dark</span>
        <span className="text-end">needs</span>
        <span className="text-end" title="Perceptual contrast: a second opinion, no requirement">
          2nd op.
        </span>
        <span className="text-end">level</span>
      </div>
      <div
        ref={scroller}
        role="listbox"
        tabIndex={0}
        aria-label="Contrast of every pair"
        aria-activedescendant={chosen === undefined ? undefined : `pair-${chosen}`}
        className="max-h-[19rem] overflow-y-auto"
        style={{ height: Math.max(1, rows.length) * ROW_PX }}
        onKeyDown={(event) => {
          const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          move(by);
        }}
      >
        <div className="relative" style={{ height: virtual.getTotalSize() }} role="presentation">
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            const { key, title, color, on, light, dark, needed, level, passes } = row;
            const fails = (ratio: number | undefined): boolean =>
              ratio !== undefined && (every ? ratio < 4.5 : ratio < needed);
            return (
              <div
                key={key}
                id={`pair-${key}`}
                role="option"
                aria-selected={key === chosen}
                aria-setsize={rows.length}
                aria-posinset={index + 1}
                aria-label={`${title}: ${light === undefined ? '' : `${ratioText(light)} in light`} ${dark === undefined ? '' : `${ratioText(dark)} in dark`}, ${passes ? level : 'falls short'}`}
                className={`${GRID} absolute inset-x-0 cursor-pointer border-b border-line hover:bg-base-200 aria-selected:bg-base-200`}
                style={{ height: ROW_PX, transform: `translateY(${start}px)` }}
                onClick={() => setChosen(key === chosen ? undefined : key)}
              >
                <Sample color={color} on={on} isText={row.need?.kind === 'text'} />
                <span className="truncate">{title}</span>
                <Ratio ratio={light} short={fails(light)} />
                <Ratio ratio={dark} short={fails(dark)} />
                <span className="figures text-end text-quiet">{needed > 0 ? needed : ''}</span>
                <span className="figures text-end text-quiet">
                  {Math.round(perceptualContrast(color, on))}
                </span>
                <span
                  className={`text-end text-xs ${level === 'short' || !passes ? 'font-semibold text-error' : 'text-quiet'}`}
                >
                  {passes || every ? level : 'short'}
                </span>
              </div>
            );
          })}
        </div>
      </div>
      {rows.length === 0 && <p className="py-2 text-quiet">No pair is of that kind.</p>}
      <p className="mt-1 text-xs text-quiet">
        2nd op.: perceptual contrast, a second opinion that no standard asks for; its sign says
        whether the text is the darker one.
      </p>
      {open && <ContrastDetail need={open} onClose={() => setChosen(undefined)} />}
    </>
  );
}
