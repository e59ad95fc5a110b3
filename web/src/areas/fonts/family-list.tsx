import type { FontFamily } from '@garnish/core/fonts/family';
import {
  EMPTY_FILTER,
  FIGURE_NAMES,
  figureOf,
  filterFamilies,
  type FamilyFilter,
} from '@garnish/core/fonts/family-filter';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { useDecided } from '../../system/system-context.ts';
import { FaceName } from '../../ui/face-name.tsx';
import { useTryList, type Candidate } from '../../system/use-try-list.ts';
import { choiceAt, choosing, nameOf, type Target } from './choosing.ts';
import { Filters } from './filters.tsx';

const ROW_PX = 40;
/** A row that is passed faster than this does not ask for its file. */
const STANDS_MS = 120;

interface FamilyListProps {
  readonly families: readonly FontFamily[];
  readonly target: Target;
}

interface RowsProps {
  readonly shown: readonly FontFamily[];
  readonly candidates: readonly Candidate[];
  readonly filter: FamilyFilter;
  readonly label: string;
  readonly chosen: string | undefined;
  readonly weight: number;
}

/** The rows in view, and few beside them. They scroll without anything around them being drawn anew. */
function Rows({ shown, candidates, filter, label, chosen, weight }: RowsProps) {
  const room = useRef<HTMLUListElement>(null);
  const list = useTryList(candidates, chosen);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => room.current,
    estimateSize: () => ROW_PX,
    overscan: 4,
  });

  const activeAt = shown.findIndex(({ id }) => id === list.active);
  useEffect(() => {
    if (activeAt >= 0) rows.scrollToIndex(activeAt, { align: 'auto' });
  }, [activeAt, rows]);

  return (
    <ul
      ref={room}
      role="listbox"
      tabIndex={0}
      aria-label={label}
      aria-activedescendant={list.active && `family-${list.active}`}
      className="h-[25rem] overflow-y-auto"
      onKeyDown={list.press}
      onPointerLeave={list.goBack}
      onBlur={list.goBack}
    >
      <li role="presentation" style={{ height: rows.getTotalSize() }} className="relative">
        {rows.getVirtualItems().map(({ index, start }) => {
          const family = shown[index];
          const candidate = candidates[index];
          if (!family || !candidate) return null;
          return (
            <div
              key={family.id}
              id={`family-${family.id}`}
              role="option"
              aria-selected={family.id === chosen}
              aria-setsize={shown.length}
              aria-posinset={index + 1}
              aria-label={`${family.name}, ${family.category}`}
              data-active={family.id === list.active || undefined}
              className="absolute inset-x-0 flex h-10 cursor-pointer items-center gap-3 border-b border-line px-1.5 [contain:strict] data-active:bg-base-300"
              style={{ transform: `translateY(${start}px)` }}
              onPointerEnter={() => list.point(candidate)}
              onClick={() => list.take(candidate)}
            >
              <Row family={family} filter={filter} chosen={family.id === chosen} weight={weight} />
            </div>
          );
        })}
      </li>
    </ul>
  );
}

interface RowProps {
  readonly family: FontFamily;
  readonly filter: FamilyFilter;
  readonly chosen: boolean;
  readonly weight: number;
}

const Row = memo(function Row({ family, filter, chosen, weight }: RowProps) {
  return (
    <>
      <span className="w-2 text-primary" aria-hidden>
        {chosen ? '●' : ''}
      </span>
      <span className="min-w-0 grow truncate text-xl leading-10">
        <FaceName family={family} weight={weight} waitMs={STANDS_MS} />
      </span>
      <span className="figures text-xs text-quiet">{figureOf(family, filter)}</span>
      <span className="w-12 text-end text-xs text-quiet">{family.category}</span>
    </>
  );
});

/** Every family set in itself; moving through the list tries each in the proof. */
export function FamilyList({ families, target }: FamilyListProps) {
  const decided = useDecided(['fonts', 'type']);
  const { fonts } = decided.document;
  const choice = choiceAt(fonts, target);
  const chosen = choice?.family;
  const [filter, setFilter] = useState<FamilyFilter>(
    // What code is told apart by: letters of equal width.
    target.face === 'code' ? { ...EMPTY_FILTER, category: 'mono' } : EMPTY_FILTER,
  );
  const shown = useMemo(() => filterFamilies(families, filter), [families, filter]);
  const candidates = shown.map((family) => ({
    id: family.id,
    patch: () =>
      family.id === chosen?.id && family.version === chosen.version
        ? undefined
        : choosing(decided.document, target, family),
    label: `${nameOf(target)} ${family.name}`,
  }));

  return (
    <>
      <Filters filter={filter} onChange={(change) => setFilter({ ...filter, ...change })} />
      <div className="flex gap-3 border-b border-line-strong px-1.5 text-xs text-quiet" aria-hidden>
        <span className="grow">
          {shown.length} of {families.length}
        </span>
        <span>{FIGURE_NAMES[filter.order]}</span>
        <span className="w-12 text-end">kind</span>
      </div>
      {shown.length === 0 ? (
        <p className="py-4 text-quiet">
          No family is like this.{' '}
          <button type="button" className="act" onClick={() => setFilter(EMPTY_FILTER)}>
            Show all
          </button>
        </p>
      ) : (
        <Rows
          shown={shown}
          candidates={candidates}
          filter={filter}
          label={`Families for the ${nameOf(target)}`}
          chosen={chosen?.id}
          weight={choice?.weight ?? (target.face === 'code' ? 400 : 600)}
        />
      )}
    </>
  );
}
