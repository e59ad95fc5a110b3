import type { FontFamily } from '@garnish/core/fonts/family';
import {
  EMPTY_FILTER,
  FIGURE_NAMES,
  figureOf,
  filterFamilies,
} from '@garnish/core/fonts/family-filter';
import type { Face } from '@garnish/core/system/document';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { useSystem } from '../../system/system-context.ts';
import { FaceName } from '../../ui/face-name.tsx';
import { useTryList } from '../../ui/use-try-list.ts';
import { choosing } from './choosing.ts';
import { Filters } from './filters.tsx';

const ROW_PX = 40;

interface FamilyListProps {
  readonly families: readonly FontFamily[];
  readonly face: Face;
}

/** Every family set in itself; moving through the list tries each in the proof. */
export function FamilyList({ families, face }: FamilyListProps) {
  const { decided } = useSystem();
  const { family: chosen, weight } = decided.document.fonts.roles[face];
  const [filter, setFilter] = useState(EMPTY_FILTER);
  const room = useRef<HTMLUListElement>(null);
  const shown = filterFamilies(families, filter);
  const candidates = shown.map((family) => ({
    id: family.id,
    patch:
      family.id === chosen.id && family.version === chosen.version
        ? undefined
        : choosing(face, family),
    label: `${face} face ${family.name}`,
  }));
  const list = useTryList(candidates, chosen.id);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => room.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
  });

  const activeAt = shown.findIndex(({ id }) => id === list.active);
  useEffect(() => {
    if (activeAt >= 0) rows.scrollToIndex(activeAt, { align: 'auto' });
  }, [activeAt, rows]);

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
        <ul
          ref={room}
          role="listbox"
          tabIndex={0}
          aria-label={`Families for the ${face} face`}
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
                  aria-selected={family.id === chosen.id}
                  aria-label={`${family.name}, ${family.category}`}
                  data-active={family.id === list.active || undefined}
                  className="absolute inset-x-0 flex h-10 cursor-pointer items-center gap-3 border-b border-line px-1.5 data-active:bg-base-300"
                  style={{ transform: `translateY(${start}px)` }}
                  onPointerEnter={() => list.point(candidate)}
                  onClick={() => list.take(candidate)}
                >
                  <span className="w-2 text-primary" aria-hidden>
                    {family.id === chosen.id ? '●' : ''}
                  </span>
                  <span className="min-w-0 grow truncate text-xl leading-10">
                    <FaceName family={family} weight={weight} />
                  </span>
                  <span className="figures text-xs text-quiet">{figureOf(family, filter)}</span>
                  <span className="w-12 text-end text-xs text-quiet">{family.category}</span>
                </div>
              );
            })}
          </li>
        </ul>
      )}
    </>
  );
}
