import {
  freeGroup,
  INCOMING,
  type Incoming,
  type IncomingState,
} from '@garnish/core/formats/incoming';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Choice } from '../../ui/choice.tsx';

const ROW_PX = 26;
const PAGE = 10;

const SAYS: Readonly<Record<IncomingState, string>> = {
  new: 'new',
  changed: 'changed',
  same: 'same as before',
  conflict: 'in the way',
};

interface IncomingProps {
  readonly incoming: readonly Incoming[];
  /** What the file is called. */
  readonly name: string;
  readonly onTake: (chosen: ReadonlySet<string>, group: string) => void;
  readonly onLeave: () => void;
}

/** The tokens of a file before they come in: what each would be, and which of them are taken. */
export function IncomingTokens({ incoming, name, onTake, onLeave }: IncomingProps) {
  const counts = new Map(
    INCOMING.map((state) => [state, incoming.filter((one) => one.state === state).length]),
  );
  const states = INCOMING.filter((state) => (counts.get(state) ?? 0) > 0);
  const [shown, setShown] = useState<IncomingState | 'all'>('all');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        incoming
          .filter(({ state }) => state === 'new' || state === 'changed')
          .map(({ item }) => item.path),
      ),
  );
  const [at, setAt] = useState(0);
  const scroller = useRef<HTMLDivElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const rows = shown === 'all' ? incoming : incoming.filter(({ state }) => state === shown);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  const group = freeGroup(
    incoming.map(({ item }) => item),
    'theirs',
  );
  const moved = incoming.filter(
    ({ item, state }) => state === 'conflict' && chosen.has(item.path),
  ).length;
  const toggle = (path: string): void => {
    const next = new Set(chosen);
    if (!next.delete(path)) next.add(path);
    setChosen(next);
  };
  const chooseShown = (isChosen: boolean): void => {
    const next = new Set(chosen);
    for (const { item } of rows)
      if (isChosen) next.add(item.path);
      else next.delete(item.path);
    setChosen(next);
  };
  const press = (event: KeyboardEvent): void => {
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      PageDown: at + PAGE,
      PageUp: at - PAGE,
      Home: 0,
      End: rows.length - 1,
    };
    const to = Object.hasOwn(moves, event.key) ? moves[event.key] : undefined;
    const here = rows[at];
    if (to !== undefined) {
      const next = Math.min(rows.length - 1, Math.max(0, to));
      setAt(next);
      virtual.scrollToIndex(next, { align: 'auto' });
    } else if (event.key === ' ' && here) toggle(here.item.path);
    else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) chooseShown(true);
    else return;
    event.preventDefault();
  };
  const grid = 'grid grid-cols-[1rem_minmax(0,1.2fr)_minmax(0,1.2fr)_5.5rem] items-center gap-x-2';
  return (
    <section aria-label={`Tokens to take from ${name}`}>
      <h3 ref={heading} tabIndex={-1} className="font-semibold break-words">
        {incoming.length} {incoming.length === 1 ? 'token' : 'tokens'} in {name}
      </h3>
      <p className="text-quiet">Nothing is taken yet.</p>
      <Choice
        label="Which tokens are shown"
        options={[
          { value: 'all' as const, name: `all ${incoming.length}` },
          ...states.map((state) => ({
            value: state,
            name: `${SAYS[state]} ${counts.get(state) ?? 0}`,
          })),
        ]}
        value={shown}
        onChange={(next) => {
          setShown(next);
          setAt(0);
        }}
      />
      <div
        ref={scroller}
        role="listbox"
        tabIndex={0}
        aria-label={`Tokens of ${name}`}
        aria-multiselectable
        aria-activedescendant={`incoming-${at}`}
        className="mt-1 max-h-72 overflow-y-auto border-t border-line-strong"
        style={{ height: Math.max(1, rows.length) * ROW_PX }}
        onKeyDown={press}
      >
        <div className="relative" style={{ height: virtual.getTotalSize() }} role="presentation">
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            const { item, state, now, next, reason } = row;
            const isChosen = chosen.has(item.path);
            const values =
              now === undefined || now === next
                ? next
                : state === 'conflict'
                  ? `${next}, here ${now}`
                  : `${now} → ${next}`;
            const said = [values, reason, item.description].filter(Boolean).join('; ');
            return (
              <div
                key={item.path}
                id={`incoming-${index}`}
                role="option"
                aria-selected={isChosen}
                aria-setsize={rows.length}
                aria-posinset={index + 1}
                aria-label={`${item.path}, ${SAYS[state]}: ${said}`}
                title={said}
                data-active={index === at || undefined}
                className={`${grid} absolute inset-x-0 cursor-pointer border-b border-line select-none hover:bg-base-200 data-active:bg-base-300`}
                style={{ height: ROW_PX, transform: `translateY(${start}px)` }}
                onClick={() => {
                  setAt(index);
                  toggle(item.path);
                }}
              >
                <span
                  aria-hidden
                  className={`grid h-4 w-4 place-items-center border text-xs leading-none ${isChosen ? 'border-primary bg-primary text-primary-content' : 'border-line-strong'}`}
                >
                  {isChosen ? '✓' : ''}
                </span>
                <span className="figures truncate text-xs">
                  {isChosen && state === 'conflict' ? `${group}.${item.path}` : item.path}
                </span>
                <span className="figures truncate text-xs">{values}</span>
                <span
                  className={`truncate text-xs ${state === 'conflict' ? 'text-warning' : 'text-quiet'}`}
                >
                  {SAYS[state]}
                </span>
              </div>
            );
          })}
        </div>
      </div>
      {moved > 0 && (
        <p className="mt-1 text-xs text-quiet">
          The system has {moved === 1 ? 'one of these' : `${moved} of these`} itself: from the file{' '}
          {moved === 1 ? 'it comes' : 'they come'} in below <span className="figures">{group}</span>
          .
        </p>
      )}
      <p className="mt-1 flex flex-wrap gap-x-4">
        <button
          type="button"
          className="act"
          disabled={chosen.size === 0}
          onClick={() => onTake(chosen, group)}
        >
          Take {chosen.size} {chosen.size === 1 ? 'token' : 'tokens'}
        </button>
        <button type="button" className="act" onClick={() => chooseShown(true)}>
          Choose all shown
        </button>
        <button type="button" className="act" onClick={() => chooseShown(false)}>
          None of them
        </button>
        <button type="button" className="act" onClick={onLeave}>
          Leave the file
        </button>
      </p>
    </section>
  );
}
