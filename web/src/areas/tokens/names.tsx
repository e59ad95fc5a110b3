import {
  nameChanges,
  tokenNamesOf,
  type NameChange,
  type NameClash,
} from '@garnish/core/formats/token-naming';
import { inOrder, JOINTS } from '@garnish/core/system/document';
import {
  keepingProblem,
  namingIn,
  namingPatch,
  withNaming,
  withoutFormer,
  type SheetChoices as Choices,
  type TierNaming,
  type TokenNaming,
} from '@garnish/core/system/sheet-naming';
import { TIERS, type Tier } from '@garnish/core/tokens/token';
import { useId, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { Section } from '../../ui/bench.tsx';
import { SheetChoices } from './sheet-choices.tsx';

/** So many names are shown before and after; more are counted. */
const MOST_SHOWN = 300;

const count = (number: number, one: string, many: string): string =>
  `${number.toLocaleString('en-US')} ${number === 1 ? one : many}`;

interface TierProps {
  readonly tier: Tier;
  readonly naming: TierNaming;
  readonly example: string;
  readonly onChange: (naming: TierNaming) => void;
}

/** How the tokens of one tier are called. */
function TierRow({ tier, naming, example, onChange }: TierProps) {
  return (
    <tr className="border-t border-line">
      <th scope="row" className="py-1 pe-3 text-start align-baseline font-normal">
        {tier}
        <span className="figures block text-xs break-all text-quiet">{example}</span>
      </th>
      <td className="py-1 pe-2 align-baseline">
        <input
          className="input w-full"
          aria-label={`Prefix of ${tier} tokens`}
          placeholder="none"
          maxLength={40}
          value={naming.prefix ?? ''}
          onChange={({ currentTarget: { value } }) => {
            const { prefix: _prefix, ...others } = naming;
            onChange(value === '' ? others : { ...others, prefix: value });
          }}
        />
      </td>
      <td className="py-1 pe-2 align-baseline">
        <select
          className="select w-full min-w-0"
          aria-label={`Place of the group in ${tier} tokens`}
          value={naming.groupLast === true ? 'last' : 'first'}
          onChange={({ currentTarget: { value } }) => {
            const { groupLast: _group, ...others } = naming;
            onChange(value === 'last' ? { ...others, groupLast: true } : others);
          }}
        >
          <option value="first">first</option>
          <option value="last">last</option>
        </select>
      </td>
      <td className="py-1 align-baseline">
        <select
          className="select figures w-full min-w-0"
          aria-label={`Sign between the parts of ${tier} tokens`}
          value={naming.joint ?? '-'}
          onChange={({ currentTarget: { value } }) => {
            const { joint: _joint, ...others } = naming;
            const joint = JOINTS.find((one) => one === value);
            onChange(joint === undefined ? others : { ...others, joint });
          }}
        >
          <option value="-">-</option>
          {JOINTS.map((joint) => (
            <option key={joint} value={joint}>
              {joint}
            </option>
          ))}
        </select>
      </td>
    </tr>
  );
}

/** Names before and after, and those that cannot be. */
function Preview({
  changes,
  clashes,
}: {
  readonly changes: readonly NameChange[];
  readonly clashes: readonly NameClash[];
}) {
  return (
    <>
      {clashes.length > 0 && (
        <div role="alert" className="mt-2 text-error">
          {count(clashes.length, 'token cannot', 'tokens cannot')} be called so:
          <ul className="figures text-xs">
            {clashes.slice(0, 5).map(({ id, wanted, reason }) => (
              <li key={id} className="break-words">
                {id} as {wanted}: {reason}
              </li>
            ))}
            {clashes.length > 5 && <li>and {clashes.length - 5} more</li>}
          </ul>
        </div>
      )}
      {changes.length > 0 && (
        <div
          className="mt-2 max-h-72 overflow-auto border-y border-line"
          role="region"
          aria-label="Names before and after"
          // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- a region that scrolls is reached by keyboard
          tabIndex={0}
        >
          <table className="figures w-full table-fixed text-xs">
            <thead>
              <tr className="text-quiet">
                <th className="text-start font-normal">now</th>
                <th className="text-start font-normal">then</th>
              </tr>
            </thead>
            <tbody>
              {changes.slice(0, MOST_SHOWN).map(({ id, before, after }) => (
                <tr key={id} className="border-t border-line">
                  <td className="py-0.5 pe-2 break-all">{before}</td>
                  <td className="py-0.5 break-all">{after}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {changes.length > MOST_SHOWN && (
            <p className="py-1 text-xs text-quiet">
              and {count(changes.length - MOST_SHOWN, 'other', 'others')}
            </p>
          )}
        </div>
      )}
    </>
  );
}

/** What names of another time were, in a few words. */
const wordsOf = ({ properties, tiers = {}, called }: TokenNaming): string =>
  [
    properties === undefined ? 'no prefix' : `--${properties}-`,
    ...Object.entries(tiers).map(([tier, { prefix, groupLast, joint } = {}]) =>
      [
        tier,
        prefix === undefined ? undefined : `“${prefix}”`,
        groupLast === true ? 'group last' : undefined,
        joint,
      ]
        .filter((part) => part !== undefined)
        .join(' '),
    ),
    ...(called ? [count(called.order.length, 'name of its own', 'names of their own')] : []),
  ].join('; ');

/** Names from before that stay. */
function FormerNames({ sheet }: { readonly sheet: Choices }) {
  const store = useStore();
  const former = sheet.former ? inOrder(sheet.former) : [];
  if (former.length === 0) return null;
  return (
    <div className="mt-3" data-decision="/tokens/sheet/former">
      <h3 className="text-quiet">Names from before that stay, deprecated</h3>
      <ul aria-label="Names from before">
        {former.map(([id, naming]) => (
          <li key={id} className="flex items-baseline justify-between gap-3 border-t border-line">
            <span className="figures text-xs">{wordsOf(naming)}</span>
            <button
              type="button"
              className="act"
              onClick={() =>
                store.change(withoutFormer(sheet, id), `names from before go: ${wordsOf(naming)}`)
              }
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** How tokens are called outside, decided once for each tier, seen before it is taken. */
function TokenNames() {
  const store = useStore();
  const { document, derived } = useDecidedLater(['tokens'], ['groups', 'rules', 'tokens']);
  const { sheet } = document.tokens;
  const [draft, setDraft] = useState<TokenNaming>();
  const [keeps, setKeeps] = useState(true);
  const field = useId();
  const now = useMemo(() => namingIn(sheet), [sheet]);
  const next = draft ?? now;
  const patch = useMemo(() => namingPatch(sheet, next), [sheet, next]);
  const problem = patch.length === 0 ? undefined : store.problemOf(patch);
  const { changes, clashes } = useMemo(() => {
    if (patch.length === 0 || problem !== undefined) return { changes: [], clashes: [] };
    return nameChanges(sheet, withNaming(sheet, next), derived);
  }, [patch, problem, sheet, next, derived]);
  const names = useMemo(
    () => tokenNamesOf(problem === undefined ? next : now, derived).tokens,
    [problem, next, now, derived],
  );
  const exampleOf = (tier: Tier): string => {
    const token = derived.tokens.find((one) => one.tier === tier && one.path.length > 1);
    return (token && names.get(token.id)?.property) ?? '';
  };
  const tooMany = keeps ? keepingProblem(sheet) : undefined;
  const isTaken = patch.length > 0 && problem === undefined && clashes.length === 0;
  const take = (): void => {
    if (!isTaken || tooMany !== undefined) return;
    const kept = keeps ? `names-${crypto.randomUUID().slice(0, 8)}` : undefined;
    const label = `${count(changes.length, 'token is', 'tokens are')} called otherwise`;
    if (!store.change(namingPatch(sheet, next, kept), label)) return;
    setDraft(undefined);
    announce(label);
  };
  return (
    <div data-decision="/tokens/sheet">
      <div className="grid grid-cols-[10rem_minmax(0,1fr)] items-baseline gap-x-3">
        <label htmlFor={field} className="text-quiet">
          Prefix of custom properties
        </label>
        <input
          id={field}
          className="input w-full"
          placeholder="none"
          maxLength={40}
          value={next.properties ?? ''}
          onChange={({ currentTarget: { value } }) => {
            const { properties: _properties, ...others } = next;
            setDraft(value === '' ? others : { ...others, properties: value });
          }}
          onKeyDown={({ key }) => {
            if (key === 'Enter') take();
            if (key === 'Escape') setDraft(undefined);
          }}
        />
      </div>
      <table className="mt-2 w-full table-fixed">
        <thead>
          <tr className="text-xs text-quiet">
            <th className="w-[30%] text-start font-normal">tier</th>
            <th className="text-start font-normal">prefix</th>
            <th className="w-18 text-start font-normal">group</th>
            <th className="w-16 text-start font-normal">between</th>
          </tr>
        </thead>
        <tbody>
          {TIERS.map((tier) => (
            <TierRow
              key={tier}
              tier={tier}
              naming={next.tiers?.[tier] ?? {}}
              example={exampleOf(tier)}
              onChange={(own) => setDraft({ ...next, tiers: { ...next.tiers, [tier]: own } })}
            />
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-xs text-quiet">
        Steps are called by size words or numbers in{' '}
        <Link className="underline underline-offset-2" to="../space">
          Space
        </Link>
        , rungs in{' '}
        <Link className="underline underline-offset-2" to="../color">
          Color
        </Link>
        . Tokens from elsewhere keep the names they came with.
      </p>
      {problem !== undefined && (
        <p role="alert" className="mt-1 text-error">
          {problem}
        </p>
      )}
      <Preview changes={changes} clashes={clashes} />
      {patch.length > 0 && (
        <>
          <label className="mt-2 flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={keeps}
              onChange={() => setKeeps(!keeps)}
            />
            names from before stay, deprecated
          </label>
          {tooMany !== undefined && <p className="text-error">{tooMany}</p>}
        </>
      )}
      <div className="mt-1 flex items-center gap-x-4">
        <button
          type="button"
          className="btn aria-disabled:opacity-50"
          aria-disabled={!isTaken}
          onClick={take}
        >
          Take these names
        </button>
        {draft && (
          <button type="button" className="act" onClick={() => setDraft(undefined)}>
            Leave them as they are
          </button>
        )}
        <span role="status" className="text-quiet">
          {problem !== undefined
            ? ''
            : changes.length === 0
              ? 'no name changes'
              : count(changes.length, 'name changes', 'names change')}
        </span>
      </div>
      {sheet && <FormerNames sheet={sheet} />}
    </div>
  );
}

/** Names of tokens, seen before they change; and how the sheet is written. */
export function Names() {
  return (
    <>
      <Section full title="Names of tokens" aside="outside: in the sheet and in every file">
        <TokenNames />
      </Section>
      <Section full title="Style sheet" aside="its classes, its layer">
        <SheetChoices />
      </Section>
    </>
  );
}
