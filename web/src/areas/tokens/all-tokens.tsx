import { plainTokens } from '@garnish/core/formats/plain-tokens';
import { countOfUses, tokenUse } from '@garnish/core/proof/token-uses';
import { searchTokens, sortTokens, type TokenQuery } from '@garnish/core/tokens/token-search';
import { TIERS } from '@garnish/core/tokens/token';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useDecidedLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { setPreferences, TOKEN_COLUMNS, usePreferences } from '../../ui/preferences.ts';
import { Toggles } from '../../ui/toggles.tsx';
import { PickAmong, useAmong } from './among.tsx';
import { CopyChosen } from './copy-chosen.tsx';
import { NewToken } from './new-token.tsx';
import { TokenDetail } from './token-detail.tsx';
import { TokenTable, type Order } from './token-table.tsx';

const EMPTY: TokenQuery = { words: '' };
const USES = ['used', 'unused'] as const;

interface PickProps {
  readonly label: string;
  readonly any: string;
  readonly options: readonly string[];
  readonly value: string | undefined;
  readonly onChange: (value: string | undefined) => void;
}

/** One of several to seek among, or any. */
function PickOne({ label, any, options, value, onChange }: PickProps) {
  return (
    <select
      aria-label={label}
      className="select w-auto min-w-0 flex-1"
      value={value ?? ''}
      onChange={({ currentTarget }) => onChange(currentTarget.value || undefined)}
    >
      <option value="">{any}</option>
      {options.map((option) => (
        <option key={option} value={option}>
          {option}
        </option>
      ))}
    </select>
  );
}

/** Every token in one table: sought, opened one by one, chosen and copied. */
export function AllTokens() {
  const { derived, document } = useDecidedLater(
    ['name', 'tokens'],
    ['tokens', 'groups', 'rules', 'tokenById', 'trailOf', 'themes'],
  );
  const { tokenColumns } = usePreferences();
  const [parameters, setParameters] = useSearchParams();
  const [query, setQuery] = useState(EMPTY);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set<string>());
  const [isMaking, setMaking] = useState(false);
  const makes = useRef<HTMLButtonElement>(null);
  const [needing, setNeeding] = useState('');
  const sought = useDeferredValue(query);
  const { tokens } = derived;
  const plain = useMemo(
    () => new Map(plainTokens(document, derived).tokens.map((token) => [token.id, token])),
    [document, derived],
  );
  const { ids: among, problem } = useAmong(needing);
  const [order, setOrder] = useState<Order>({});
  const shown = useMemo(() => {
    const usesOf = (id: string): number => countOfUses(tokenUse(derived, id));
    const found = searchTokens(tokens, { ...sought, among }, (id) => usesOf(id) > 0);
    return sortTokens(found, order.by, order.isReversed === true, usesOf);
  }, [tokens, sought, among, derived, order]);
  const types = useMemo(() => [...new Set(tokens.map(({ type }) => type))].toSorted(), [tokens]);
  const named = parameters.get('token') ?? undefined;
  const active = named !== undefined && derived.tokenById.has(named) ? named : undefined;
  const open = (id: string): void =>
    setParameters(
      (before) => {
        const next = new URLSearchParams(before);
        next.delete('at');
        next.set('token', id);
        return next;
      },
      { replace: true },
    );
  const kept = useMemo(
    () => [...chosen].filter((id) => derived.tokenById.has(id)),
    [chosen, derived],
  );
  return (
    <>
      <Section
        full
        title="All tokens"
        aside={
          <span className="flex items-baseline gap-x-4">
            {shown.length === tokens.length
              ? `${tokens.length}`
              : `${shown.length} of ${tokens.length}`}
            <button
              ref={makes}
              type="button"
              className="act"
              aria-expanded={isMaking}
              onClick={() => setMaking(!isMaking)}
            >
              New token
            </button>
          </span>
        }
      >
        {isMaking && (
          <NewToken
            onMade={(path) => {
              setMaking(false);
              open(path);
            }}
            onLeave={() => {
              setMaking(false);
              makes.current?.focus();
            }}
          />
        )}
        <input
          type="search"
          className="input w-full"
          placeholder="A name, 16px, #b5391a"
          aria-label="Part of a name or a value, a length, or a color for what is near it"
          value={query.words}
          onChange={({ currentTarget: { value } }) => setQuery({ ...query, words: value })}
        />
        <div className="relative mt-1 mb-2 flex gap-x-2">
          <PickOne
            label="Type"
            any="any type"
            options={types}
            value={query.type}
            onChange={(type) => setQuery({ ...query, type })}
          />
          <PickOne
            label="Tier"
            any="any tier"
            options={TIERS}
            value={query.tier}
            onChange={(tier) => setQuery({ ...query, tier: TIERS.find((one) => one === tier) })}
          />
          <PickOne
            label="Use"
            any="used or not"
            options={USES}
            value={query.use}
            onChange={(use) => setQuery({ ...query, use: USES.find((one) => one === use) })}
          />
          <PickAmong value={needing} onChange={setNeeding} />
          <details className="shrink-0">
            <summary className="min-h-7 cursor-pointer py-1">Columns</summary>
            <div className="absolute inset-x-0 top-full z-20 border border-line-strong bg-base-100 px-3 py-2">
              <Toggles
                label="Columns"
                options={TOKEN_COLUMNS}
                chosen={tokenColumns}
                onChange={(next) =>
                  setPreferences({
                    tokenColumns: TOKEN_COLUMNS.filter((one) => next.includes(one)),
                  })
                }
              />
            </div>
          </details>
        </div>
        {problem !== undefined && (
          <p role="alert" className="text-error">
            {problem}
          </p>
        )}
        <TokenTable
          tokens={shown}
          plain={plain}
          derived={derived}
          columns={tokenColumns}
          active={active}
          chosen={chosen}
          onOpen={open}
          onChoose={setChosen}
          order={order}
          onOrder={setOrder}
        />
        {shown.length === 0 && (
          <p className="py-2 text-quiet">
            No token answers to that.{' '}
            <button
              type="button"
              className="act"
              onClick={() => {
                setQuery(EMPTY);
                setNeeding('');
              }}
            >
              Show all
            </button>
          </p>
        )}
      </Section>
      {kept.length > 0 && <CopyChosen ids={kept} onClear={() => setChosen(new Set())} />}
      {active !== undefined && (
        <TokenDetail id={active} plain={plain} derived={derived} onOpen={open} />
      )}
      {active === undefined && kept.length === 0 && shown.length > 0 && (
        <p className="px-4 pt-3 text-quiet">
          Arrow keys open one after the other. Space, or a click on its box, chooses a token to be
          copied; Shift goes on to another; Ctrl A chooses all that are shown.
        </p>
      )}
    </>
  );
}
