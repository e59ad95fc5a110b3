import type { Derived } from '@garnish/core/derive/derived';
import { namedProperty, namingOf } from '@garnish/core/formats/naming';
import type { PlainToken } from '@garnish/core/formats/plain-tokens';
import { allNeeding, neededBy, type Needing } from '@garnish/core/proof/needed';
import { tokenUse, withTakers } from '@garnish/core/proof/token-uses';
import { useState } from 'react';
import { propertyOf } from '@garnish/core/tokens/token';
import { Link } from 'react-router';
import { decisionAddress } from '../../findings/address.ts';
import { useModes } from '../../system/proof-theme.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { CustomToken } from './custom-token.tsx';
import { OwnName } from './own-name.tsx';
import { Sample } from '../../ui/sample.tsx';
import { TokenLinks } from './token-links.tsx';
import { TokenPast } from './token-past.tsx';
import { TokenWords } from './token-words.tsx';
import { valueText } from './token-table.tsx';

/** So many rules stand open. */
const SHORT = 6;
const MOST_TOLD = 200;

interface DetailProps {
  readonly id: string;
  readonly plain: ReadonlyMap<string, PlainToken>;
  readonly derived: Pick<Derived, 'tokens' | 'groups' | 'rules' | 'tokenById' | 'trailOf'>;
  readonly onOpen: (id: string) => void;
}

/** The pages and components that a token is needed by, itself or through what takes it; looked for when asked. */
function WhereNeeded({ id }: { readonly id: string }) {
  const store = useStore();
  const [found, setFound] = useState<readonly Needing[]>();
  const look = (): void => {
    const { document, derived } = store.state().decided;
    const takers = new Set(withTakers(derived, id));
    setFound(
      allNeeding(document).filter((one) =>
        neededBy(one, document, derived).some((other) => takers.has(other)),
      ),
    );
  };
  return (
    <details className="mt-2" onToggle={(event) => event.currentTarget.open && look()}>
      <summary className="min-h-6 cursor-pointer text-quiet">Where it is needed</summary>
      {found && (
        <dl aria-label="Needed by" className="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3">
          {(['page', 'component'] as const).map((kind) => {
            const names = found.filter((one) => one.kind === kind).map(({ name }) => name);
            return (
              <div key={kind} className="contents">
                <dt className="text-xs text-quiet">{kind}s</dt>
                <dd>{names.length === 0 ? 'none' : names.join(', ')}</dd>
              </div>
            );
          })}
        </dl>
      )}
    </details>
  );
}

/** One token: its values in full, how each came about, what it takes and what takes it. */
export function TokenDetail({ id, plain, derived, onOpen }: DetailProps) {
  const modes = useModes();
  const sheet = useSystem((state) => state.decided.document.tokens.sheet);
  const token = derived.tokenById.get(id);
  if (!token) return null;
  const { decisions = [], steps = [] } = derived.trailOf(id) ?? {};
  const use = tokenUse(derived, id);
  const isCustom = decisions.some(({ path }) => path.startsWith('/tokens/custom/'));
  const property = namedProperty(propertyOf(token), namingOf(sheet, derived));
  const taken = `var(${property})`;
  const texts = modes.map((mode) => valueText(token, plain, mode));
  const isSame = texts.every((text) => text === texts[0]);
  return (
    <Section
      full
      title={id}
      aside={
        <>
          {token.type}, {token.tier}
        </>
      }
    >
      <Copy className="figures text-xs break-all" text={taken} label={`Copy ${taken}`}>
        {taken}
      </Copy>
      {token.description !== undefined && !isCustom && (
        <p className="max-w-prose">{token.description}</p>
      )}
      {token.deprecated !== undefined && (
        <p className="text-warning">
          Deprecated{token.deprecated === true ? '' : `: ${token.deprecated}`}
        </p>
      )}
      <dl className="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4">
        {modes.slice(0, isSame ? 1 : undefined).map((mode, at) => {
          const text = texts[at] ?? '';
          return (
            <div key={mode} className="contents">
              <dt className="py-1 text-xs text-quiet">{isSame ? 'value' : mode}</dt>
              <dd className="flex items-center gap-2">
                <Sample token={token} css={text} />
                <Copy
                  className="figures text-xs break-words"
                  text={text}
                  label={`Copy ${isSame ? id : `${id} in ${mode}`}: ${text}`}
                >
                  {text}
                </Copy>
              </dd>
            </div>
          );
        })}
        {decisions.length > 0 && !isCustom && (
          <>
            <dt className="py-1 text-xs text-quiet">decided</dt>
            <dd className="py-0.5">
              <ul>
                {decisions.map(({ path, label, value }) => (
                  <li key={path}>
                    <Link
                      className="underline underline-offset-2"
                      to={`../${decisionAddress(path)}`}
                    >
                      {label}
                    </Link>{' '}
                    <span className="figures text-xs">{value}</span>
                  </li>
                ))}
              </ul>
            </dd>
          </>
        )}
        {steps.length > 0 && (
          <>
            <dt className="py-1 text-xs text-quiet">computed</dt>
            <dd className="py-1">
              <ol className="figures text-xs">
                {steps.map((step) => (
                  <li key={step} className="break-words">
                    {step}
                  </li>
                ))}
              </ol>
            </dd>
          </>
        )}
      </dl>
      <TokenLinks id={id} use={use} derived={derived} plain={plain} onOpen={onOpen} />
      {isCustom ? (
        <CustomToken key={id} path={id} derived={derived} onOpen={onOpen} />
      ) : (
        <OwnName key={id} id={id} derived={derived} />
      )}
      <TokenWords key={`words ${id}`} id={id} own={token.description} isOwn={!isCustom} />
      <TokenPast key={`past ${id}`} id={id} />
      <WhereNeeded key={`needed ${id}`} id={id} />
      {use.rules.length > 0 && (
        <details className="mt-2" open={use.rules.length <= SHORT}>
          <summary className="min-h-6 text-quiet">
            {use.rules.length} {use.rules.length === 1 ? 'rule takes' : 'rules take'} it
          </summary>
          <ul className="figures text-xs">
            {use.rules.slice(0, MOST_TOLD).map((rule) => (
              <li key={rule} className="break-words">
                {rule}
              </li>
            ))}
            {use.rules.length > MOST_TOLD && <li>and {use.rules.length - MOST_TOLD} more</li>}
          </ul>
        </details>
      )}
    </Section>
  );
}
