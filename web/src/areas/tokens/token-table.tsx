import { fontShorthand, type PlainToken } from '@garnish/core/formats/plain-tokens';
import { countOfUses, tokenUse } from '@garnish/core/proof/token-uses';
import type { Derived } from '@garnish/core/derive/derived';
import type { Mode } from '@garnish/core/system/document';
import { propertyOf, type Token } from '@garnish/core/tokens/token';
import type { TokenOrder } from '@garnish/core/tokens/token-search';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { useModes } from '../../system/proof-theme.ts';
import type { TOKEN_COLUMNS } from '../../ui/preferences.ts';
import { Sample } from '../../ui/sample.tsx';

const ROW_PX = 26;
const PAGE = 10;

type Column = (typeof TOKEN_COLUMNS)[number];

/** How wide each column is; the name takes what is left, with the longest values. */
const WIDTHS: Readonly<Record<Column, string>> = {
  values: 'minmax(0,1fr)',
  'other theme': 'minmax(0,1fr)',
  type: '5.5rem',
  tier: '5rem',
  uses: '2.25rem',
  words: 'minmax(0,1.2fr)',
};

type Plain = ReadonlyMap<string, PlainToken>;

/** The value as it is read: as CSS, a text style as a font, or else as the open format writes it. */
export const valueText = (token: Token, plain: Plain, mode: Mode): string =>
  plain.get(token.id)?.values[mode].css ??
  (token.type === 'typography'
    ? fontShorthand(token, (id) => plain.get(id)?.values[mode].css)
    : undefined) ??
  JSON.stringify(token.values[mode].json);

interface TableProps {
  readonly tokens: readonly Token[];
  readonly plain: Plain;
  readonly derived: Pick<Derived, 'tokens' | 'rules'>;
  readonly columns: readonly Column[];
  readonly active: string | undefined;
  readonly chosen: ReadonlySet<string>;
  readonly onOpen: (id: string) => void;
  readonly onChoose: (chosen: ReadonlySet<string>) => void;
  readonly order: Order;
  readonly onOrder: (order: Order) => void;
}

/** What the rows are put in order by; nothing where they stand as in the sheet. */
export interface Order {
  readonly by?: TokenOrder;
  readonly isReversed?: boolean;
}

/** By what a column puts the rows in order. */
const ORDER_OF: Readonly<Partial<Record<Column, TokenOrder>>> = {
  values: 'value',
  type: 'type',
  tier: 'tier',
  uses: 'uses',
};

interface HeadProps {
  readonly name: string;
  readonly by: TokenOrder | undefined;
  readonly order: Order;
  readonly onOrder: (order: Order) => void;
  readonly atEnd?: boolean;
}

/** The head of a column: a click puts the rows in its order, another turns it round, a third leaves them as they were. */
function Head({ name, by, order, onOrder, atEnd = false }: HeadProps) {
  if (by === undefined) return <span className="truncate">{name}</span>;
  const isIt = order.by === by;
  const next: Order = !isIt ? { by } : order.isReversed === true ? {} : { by, isReversed: true };
  const says = !isIt ? '' : order.isReversed === true ? ' ↓' : ' ↑';
  return (
    <button
      type="button"
      className={`min-h-6 truncate hover:underline ${atEnd ? 'text-end' : 'text-start'} ${isIt ? 'font-semibold text-base-content' : ''}`}
      aria-label={`In order of ${by}${isIt ? (order.isReversed === true ? ', from the last' : ', from the first') : ''}`}
      aria-pressed={isIt}
      onClick={() => onOrder(next)}
    >
      {name}
      {says}
    </button>
  );
}

interface CellsProps {
  readonly token: Token;
  readonly plain: Plain;
  readonly columns: readonly Column[];
  readonly modes: readonly [Mode, ...Mode[]];
  readonly uses: number;
  readonly isChosen: boolean;
}

/** What stands in a row; drawn again only where it says something else. */
const Cells = memo(function Cells({ token, plain, columns, modes, uses, isChosen }: CellsProps) {
  const [first, second] = modes;
  const text = valueText(token, plain, first);
  const other = second === undefined ? text : valueText(token, plain, second);
  const isSame = other === text && columns.includes('values');
  const value = (said: string, hasSample: boolean) => (
    <span className="figures flex! min-w-0 items-center gap-1.5 text-xs" title={said}>
      <span className="grid h-4 w-4 shrink-0 place-items-center">
        {hasSample && <Sample token={token} css={said} />}
      </span>
      <span className="truncate">{said}</span>
    </span>
  );
  const cells: Readonly<Record<Column, React.ReactNode>> = {
    values: value(text, true),
    'other theme': value(other, true),
    type: <span className="truncate text-xs text-quiet">{token.type}</span>,
    tier: <span className="truncate text-xs text-quiet">{token.tier}</span>,
    uses: (
      <span className={`figures text-end text-xs ${uses === 0 ? 'text-quiet' : ''}`}>{uses}</span>
    ),
    words: <span className="truncate text-xs text-quiet">{token.description ?? ''}</span>,
  };
  return (
    <>
      <span
        data-box
        aria-hidden
        className={`grid h-4 w-4 place-items-center border text-xs leading-none ${isChosen ? 'border-primary bg-primary text-primary-content' : 'border-line-strong'}`}
      >
        {isChosen ? '✓' : ''}
      </span>
      <span
        className={`figures truncate text-xs ${token.deprecated === undefined ? '' : 'text-quiet line-through'}`}
        title={propertyOf(token)}
      >
        {token.id}
      </span>
      {columns.map((column) => {
        // What is the same in both themes stands once, over both columns.
        if (column === 'other theme' && isSame) return null;
        const isWide = column === 'values' && isSame && columns.includes('other theme');
        return (
          <span key={column} className={`min-w-0 *:block *:w-full ${isWide ? 'col-span-2' : ''}`}>
            {cells[column]}
          </span>
        );
      })}
    </>
  );
});

const HEADS: Readonly<Record<Column, string>> = {
  values: 'value',
  'other theme': 'other theme',
  type: 'type',
  tier: 'tier',
  uses: 'uses',
  words: 'what it is for',
};

/** All tokens that were found, few of them drawn: one is opened, several can be chosen, by pointer and by key. */
export function TokenTable(props: TableProps) {
  const { tokens, plain, derived, columns, active, chosen, onOpen, onChoose } = props;
  const { order, onOrder } = props;
  const modes = useModes();
  const scroller = useRef<HTMLDivElement>(null);
  /** Where a stretch of chosen ones begins. */
  const anchor = useRef<string>(undefined);
  const shown = modes.length === 1 ? columns.filter((one) => one !== 'other theme') : columns;
  const rows = useVirtualizer({
    count: tokens.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  const at = tokens.findIndex(({ id }) => id === active);
  /** The open one as keys know it: the next key may come before the address says so. */
  const here = useRef(active);
  useEffect(() => {
    here.current = active;
  }, [active]);
  useEffect(() => {
    if (at >= 0) rows.scrollToIndex(at, { align: 'auto' });
  }, [at, rows]);

  const toggle = (id: string): void => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    anchor.current = id;
    onChoose(next);
  };
  /** Everything from where the stretch began to here, beside what was chosen before. */
  const stretchTo = (id: string): void => {
    const from = tokens.findIndex((one) => one.id === (anchor.current ?? here.current));
    const to = tokens.findIndex((one) => one.id === id);
    if (to < 0) return;
    const [low, high] = from < 0 ? [to, to] : [Math.min(from, to), Math.max(from, to)];
    onChoose(new Set([...chosen, ...tokens.slice(low, high + 1).map((one) => one.id)]));
  };
  const go = (to: number, stretches: boolean): void => {
    const next = tokens[Math.min(tokens.length - 1, Math.max(0, to))];
    if (!next) return;
    if (stretches) {
      anchor.current ??= here.current ?? next.id;
      stretchTo(next.id);
    } else anchor.current = undefined;
    here.current = next.id;
    onOpen(next.id);
  };
  const press = (event: KeyboardEvent): void => {
    const { key, shiftKey } = event;
    const now = tokens.findIndex(({ id }) => id === here.current);
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: now + 1,
      ArrowUp: now < 0 ? 0 : now - 1,
      PageDown: now + PAGE,
      PageUp: now - PAGE,
      Home: 0,
      End: tokens.length - 1,
    };
    const to = Object.hasOwn(moves, key) ? moves[key] : undefined;
    if (to !== undefined) go(to, shiftKey);
    else if (key === ' ' && here.current !== undefined) toggle(here.current);
    else if (key === 'a' && (event.ctrlKey || event.metaKey))
      onChoose(new Set(tokens.map(({ id }) => id)));
    else if (key === 'Escape' && chosen.size > 0) onChoose(new Set());
    else return;
    event.preventDefault();
  };
  const click = (event: MouseEvent, id: string): void => {
    if (event.shiftKey) stretchTo(id);
    else if (event.ctrlKey || event.metaKey || (event.target as Element).closest('[data-box]'))
      toggle(id);
    else {
      anchor.current = id;
      here.current = id;
      onOpen(id);
    }
  };
  const grid = {
    gridTemplateColumns: `1rem minmax(0,1.3fr) ${shown.map((one) => WIDTHS[one]).join(' ')}`,
  };
  const place = 'grid items-center gap-x-3';
  return (
    <div className="mt-1">
      <div className={`${place} border-b border-line-strong pe-3 text-xs text-quiet`} style={grid}>
        <span />
        <Head name="token" by="name" order={order} onOrder={onOrder} />
        {shown.map((one) => (
          <Head
            key={one}
            name={
              (one === 'values' && modes.length > 1
                ? modes[0]
                : one === 'other theme'
                  ? modes[1]
                  : undefined) ?? HEADS[one]
            }
            by={ORDER_OF[one]}
            order={order}
            onOrder={onOrder}
            atEnd={one === 'uses'}
          />
        ))}
      </div>
      <div
        ref={scroller}
        role="listbox"
        tabIndex={0}
        aria-label="Tokens"
        aria-multiselectable
        aria-activedescendant={at < 0 ? undefined : `token-${at}`}
        className="max-h-[max(182px,round(down,33vh,26px))] overflow-y-auto"
        style={{ height: Math.max(1, tokens.length) * ROW_PX }}
        onKeyDown={press}
      >
        <div className="relative" style={{ height: rows.getTotalSize() }} role="presentation">
          {rows.getVirtualItems().map(({ index, start }) => {
            const token = tokens[index];
            if (!token) return null;
            const uses = countOfUses(tokenUse(derived, token.id));
            const isChosen = chosen.has(token.id);
            return (
              <div
                key={token.id}
                id={`token-${index}`}
                role="option"
                aria-selected={isChosen}
                aria-setsize={tokens.length}
                aria-posinset={index + 1}
                aria-label={`${token.id}: ${modes.map((mode) => valueText(token, plain, mode)).join(', ')}; used ${uses} times${token.deprecated === undefined ? '' : ', deprecated'}`}
                data-active={token.id === active || undefined}
                className={`${place} absolute inset-x-0 cursor-pointer border-b border-line pe-3 select-none hover:bg-base-200 data-active:bg-base-300`}
                style={{ ...grid, height: ROW_PX, transform: `translateY(${start}px)` }}
                onClick={(event) => click(event, token.id)}
              >
                <Cells
                  token={token}
                  plain={plain}
                  columns={shown}
                  modes={modes}
                  uses={uses}
                  isChosen={isChosen}
                />
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}
