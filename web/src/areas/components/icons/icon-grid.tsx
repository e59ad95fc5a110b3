import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Candidate, TryList } from '../../../system/use-try-list.ts';
import { IconDrawn } from '../../../ui/icon-drawn.tsx';
import type { FoundIcon } from './found-icons.ts';
import type { Found } from './use-found-icons.ts';

const CELL_PX = 44;
const HIGH_PX = 264;
const ICON_PX = 22;

export const keyOf = ({ set, name }: Pick<FoundIcon, 'set' | 'name'>): string => `${set}:${name}`;

interface IconGridProps {
  readonly found: Found;
  readonly candidateOf: (icon: FoundIcon) => Candidate;
  readonly list: TryList;
  /** The icon that is pointed at or reached by key. */
  readonly onReach: (icon: FoundIcon | undefined) => void;
  readonly label: string;
}

/** What was found as a grid that is drawn where it is looked at: arrows and pointing try, Enter and clicks take. */
export function IconGrid({ found, candidateOf, list, onReach, label }: IconGridProps) {
  const room = useRef<HTMLDivElement>(null);
  const [columns, setColumns] = useState(10);
  const [active, setActive] = useState(-1);
  const total = found.total ?? 0;
  useEffect(() => {
    const element = room.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const width = entry?.contentRect.width ?? 0;
      setColumns(Math.max(1, Math.floor(width / CELL_PX)));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const rows = useVirtualizer({
    count: Math.ceil(total / columns),
    getScrollElement: () => room.current,
    estimateSize: () => CELL_PX,
    overscan: 2,
    initialRect: { width: CELL_PX, height: HIGH_PX },
  });
  const shown = rows.getVirtualItems();
  const from = (shown[0]?.index ?? 0) * columns;
  const to = Math.min(total, ((shown.at(-1)?.index ?? 0) + 1) * columns) - 1;
  useEffect(() => {
    if (total > 0) found.need(from, to);
  });

  const reach = (index: number): void => {
    const next = Math.max(0, Math.min(total - 1, index));
    setActive(next);
    rows.scrollToIndex(Math.floor(next / columns), { align: 'auto' });
    const icon = found.at(next);
    onReach(icon);
    if (icon) list.show(candidateOf(icon));
  };
  const goBack = (): void => {
    list.goBack();
    setActive(-1);
    onReach(undefined);
  };
  const press = (event: KeyboardEvent): void => {
    const page = Math.floor(HIGH_PX / CELL_PX) * columns;
    const by = {
      ArrowRight: 1,
      ArrowLeft: -1,
      ArrowDown: active < 0 ? 1 : columns,
      ArrowUp: -columns,
      PageDown: page,
      PageUp: -page,
      Home: -total,
      End: total,
    }[event.key];
    const icon = active < 0 ? undefined : found.at(active);
    if (by !== undefined) reach(active + by);
    else if (event.key === 'Enter' && icon) list.take(candidateOf(icon));
    else if (event.key === 'Escape' && active >= 0) goBack();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div
      ref={room}
      role="listbox"
      tabIndex={0}
      aria-label={label}
      aria-activedescendant={active >= 0 ? `icon-found-${active}` : undefined}
      className="overflow-y-auto outline-offset-[-2px]"
      style={{ height: HIGH_PX }}
      onKeyDown={press}
      onPointerLeave={goBack}
      onBlur={goBack}
    >
      <div role="presentation" className="relative" style={{ height: rows.getTotalSize() }}>
        {shown.map(({ index: row, start }) => (
          <div
            key={row}
            role="presentation"
            className="absolute inset-x-0 flex"
            style={{ transform: `translateY(${start}px)`, height: CELL_PX }}
          >
            {Array.from({ length: columns }, (_, column) => {
              const index = row * columns + column;
              const icon = found.at(index);
              if (index >= total) return null;
              if (!icon)
                return <span key={column} style={{ width: CELL_PX }} role="presentation" />;
              return (
                <div
                  key={column}
                  id={`icon-found-${index}`}
                  role="option"
                  aria-selected={index === active}
                  aria-setsize={total}
                  aria-posinset={index + 1}
                  aria-label={`${icon.plain.replaceAll('-', ' ')}, ${icon.style}, ${icon.set}`}
                  data-active={index === active || undefined}
                  className="grid cursor-pointer place-items-center data-active:bg-base-300"
                  style={{ width: CELL_PX, height: CELL_PX }}
                  onPointerEnter={() => {
                    setActive(index);
                    onReach(icon);
                    list.point(candidateOf(icon));
                  }}
                  onClick={() => list.take(candidateOf(icon))}
                >
                  <IconDrawn drawing={icon.drawing} px={ICON_PX} />
                </div>
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}
