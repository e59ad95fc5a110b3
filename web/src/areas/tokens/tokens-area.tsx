import { useModes } from '../../system/proof-theme.ts';
import { DOWNLOADS } from '@garnish/core/formats/formats';
import { namedProperty } from '@garnish/core/formats/naming';
import { utilityRules } from '@garnish/core/formats/utilities';
import { TIERS, propertyOf, type Token, type TokenValue } from '@garnish/core/tokens/token';
import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { decisionAddress } from '../../findings/address.ts';
import { Fact } from '../../findings/fact.tsx';
import { useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { bringIntoView } from '../../ui/bring-into-view.ts';
import { Copy } from '../../ui/copy.tsx';
import { SheetChoices } from './sheet-choices.tsx';
import { ImportTokens } from './import-tokens.tsx';

const TIER_SAYS = {
  primitive: 'the raw values',
  semantic: 'what each value does',
  component: 'where it is used',
} as const;

const valueText = ({ css, json }: TokenValue): string => css ?? JSON.stringify(json);

function Value({ value, label, type }: { value: TokenValue; label: string; type: string }) {
  const text = valueText(value);
  return (
    <Copy
      className="figures flex min-w-0 items-center gap-1.5 text-xs"
      text={text}
      label={`Copy ${label}: ${text}`}
    >
      {type === 'color' && (
        <span
          aria-hidden
          className="h-3 w-3 shrink-0 border border-line"
          style={{ background: text }}
        />
      )}
      <span className="truncate">{text}</span>
    </Copy>
  );
}

function TrailOf({ token }: { readonly token: Token }) {
  const trailOf = useSystem((state) => state.decided.derived.trailOf);
  const { decisions = [], steps = [] } = trailOf(token.id) ?? {};
  return (
    <div className="col-span-full pb-2 text-xs">
      <ul>
        {token.values.light.reference !== undefined && (
          <li>
            <span className="text-quiet">from </span>
            <Link
              className="figures underline underline-offset-2"
              to={`?token=${encodeURIComponent(token.values.light.reference)}`}
            >
              {token.values.light.reference}
            </Link>
            {token.values.dark.reference !== undefined &&
              token.values.dark.reference !== token.values.light.reference && (
                <>
                  <span className="text-quiet">, in dark from </span>
                  <Link
                    className="figures underline underline-offset-2"
                    to={`?token=${encodeURIComponent(token.values.dark.reference)}`}
                  >
                    {token.values.dark.reference}
                  </Link>
                </>
              )}
          </li>
        )}
        {decisions.map(({ path, label, value }) => (
          <li key={path}>
            <Link className="underline underline-offset-2" to={`../${decisionAddress(path)}`}>
              {label}
            </Link>{' '}
            <span className="figures">{value}</span>
          </li>
        ))}
      </ul>
      {steps.map((step) => (
        <p key={step} className="figures text-quiet">
          {step}
        </p>
      ))}
    </div>
  );
}

interface RowProps {
  readonly token: Token;
  readonly open: boolean;
  readonly onToggle: () => void;
}

function Row({ token, open, onToggle }: RowProps) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    return open && row.current ? bringIntoView(row.current, 'nearest') : undefined;
  }, [open]);
  const naming = useSystem((state) => state.decided.document.tokens.sheet);
  const taken = `var(${namedProperty(propertyOf(token), naming)})`;
  const [first, second = first] = useModes();
  const [light, dark] = [token.values[first], token.values[second]];
  const same = valueText(light) === valueText(dark);
  return (
    <li
      ref={row}
      className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-3 border-t border-line [content-visibility:auto] [contain-intrinsic-size:auto_1.75rem]"
    >
      <span className="flex min-w-0 items-center gap-1">
        <button
          type="button"
          aria-expanded={open}
          aria-label={`Why ${token.id} has this value`}
          className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
          onClick={onToggle}
        >
          {open ? '−' : '+'}
        </button>
        <Copy className="figures min-w-0 truncate text-xs" text={taken} label={`Copy ${taken}`}>
          {token.path.slice(1).join('.') || token.id}
        </Copy>
      </span>
      <span className={`grid min-w-0 gap-x-2 ${same ? '' : 'grid-cols-2'}`}>
        <Value
          value={light}
          label={same ? token.id : `${token.id} in ${first}`}
          type={token.type}
        />
        {!same && <Value value={dark} label={`${token.id} in ${second}`} type={token.type} />}
      </span>
      {open && <TrailOf token={token} />}
    </li>
  );
}

/** Groups in the order in which they come, by the first part of the path. */
function grouped(tokens: readonly Token[]): (readonly [string, readonly Token[]])[] {
  const groups = new Map<string, Token[]>();
  for (const token of tokens) {
    const name = token.path.length > 2 ? token.path.slice(0, 2).join('.') : (token.path[0] ?? '');
    const group = groups.get(name);
    if (group) group.push(token);
    else groups.set(name, [token]);
  }
  return [...groups];
}

/** Everything derived, in three tiers, with the way each value came about. */
export default function TokensArea() {
  const all = useSystem((state) => state.decided.derived.tokens);
  const noUtilities = useSystem(
    ({ decided }) => utilityRules(decided.document, decided.derived).length === 0,
  );
  const id = useSystem((state) => state.id);
  const [parameters, setParameters] = useSearchParams();
  const [sought, setSought] = useState('');
  const open = parameters.get('token');
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const tokens = all.filter((token) =>
    words.every((word) =>
      `${token.id} ${valueText(token.values.light)}`.toLowerCase().includes(word),
    ),
  );
  return (
    <Bench title="Tokens">
      <Section title="Export" notes={<ImportTokens />}>
        <ul className="grid gap-0.5">
          {DOWNLOADS.map(({ file, about }) => (
            <li key={file} className="flex flex-wrap items-baseline gap-x-3">
              {file === 'utilities.css' && noUtilities ? (
                <>
                  <span className="figures min-h-6 text-quiet">{file}</span>
                  <span className="text-xs text-quiet">
                    empty: no step has classes yet; choose them in{' '}
                    <Link
                      className="underline underline-offset-2"
                      to={`../${decisionAddress('/space/utilities')}`}
                    >
                      Space, Classes
                    </Link>
                  </span>
                </>
              ) : (
                <>
                  <a className="act figures" href={`/api/systems/${id}/export/${file}`} download>
                    {file}
                  </a>
                  <span className="text-xs text-quiet">{about}</span>
                </>
              )}
            </li>
          ))}
        </ul>
      </Section>
      <Section title="Names in the sheet" aside="what they begin with, the layer">
        <SheetChoices />
      </Section>
      <Section title="Find a token" aside={`${tokens.length} of ${all.length}`}>
        <input
          type="search"
          className="input w-full"
          placeholder="Part of a name or a value"
          aria-label="Part of a name or a value"
          value={sought}
          onChange={(event) => setSought(event.currentTarget.value)}
        />
        {tokens.length === 0 && <p className="py-4 text-quiet">No token is called so.</p>}
      </Section>
      {TIERS.map((tier) => {
        const own = tokens.filter((token) => token.tier === tier);
        if (own.length === 0) return null;
        return (
          <Section
            key={tier}
            title={`${tier[0]?.toUpperCase() ?? ''}${tier.slice(1)}`}
            aside={TIER_SAYS[tier]}
            notes={
              tier === 'primitive' && (
                <Fact>
                  A click on a name or a value copies it. The plus tells where it comes from.
                </Fact>
              )
            }
          >
            {grouped(own).map(([name, group]) => (
              <div key={name} className="mb-3">
                <h3 className="figures text-xs text-quiet">{name}</h3>
                <ul>
                  {group.map((token) => (
                    <Row
                      key={token.id}
                      token={token}
                      open={open === token.id}
                      onToggle={() =>
                        setParameters(open === token.id ? {} : { token: token.id }, {
                          replace: true,
                        })
                      }
                    />
                  ))}
                </ul>
              </div>
            ))}
          </Section>
        );
      })}
    </Bench>
  );
}
