import { ICON_KINDS } from '@garnish/core/icons/kinds';
import type { Patch } from '@garnish/core/system/patch';
import { namingIcon, ownSign } from '@garnish/core/system/icons';
import { useState } from 'react';
import { useStore } from '../../../system/system-context.ts';
import { useTryList, type Candidate } from '../../../system/use-try-list.ts';
import { Choice } from '../../../ui/choice.tsx';
import type { FoundIcon, Query, StyleOfSet } from './found-icons.ts';
import { IconGrid, keyOf } from './icon-grid.tsx';
import { useFoundIcons } from './use-found-icons.ts';

const KINDS = [
  { value: '', name: 'all' },
  ...ICON_KINDS.map((kind) => ({ value: kind, name: kind })),
];

interface IconFinderProps {
  /** What the icon that is taken is for; a new one where absent. */
  readonly target: { readonly id: string; readonly name: string } | undefined;
  readonly styles: readonly StyleOfSet[];
  readonly query: Query;
  readonly onQuery: (query: Query) => void;
}

const ofSet = (styles: readonly StyleOfSet[], set: string): StyleOfSet | undefined =>
  styles.find((one) => one.set === set);

/** Every shipped icon by words, kind, set and likeness; what is pointed at is tried on the site. */
export function IconFinder({ target, styles, query, onQuery }: IconFinderProps) {
  const store = useStore();
  const found = useFoundIcons(query);
  const [reached, setReached] = useState<FoundIcon>();
  const [newId] = useState(() => `icon-${crypto.randomUUID().slice(0, 8)}`);
  const [lastTaken, setLastTaken] = useState('');
  // What is called as a sign of ours stands for it.
  const idOf = ({ plain }: FoundIcon): string =>
    target?.id ?? (ownSign(plain) ? plain : `${newId}-${plain}`.slice(0, 60));
  const candidateOf = (icon: FoundIcon): Candidate => ({
    id: keyOf(icon),
    label: `icon ${target?.name ?? icon.plain}`.slice(0, 120),
    patch: (): Patch => {
      const set = ofSet(styles, icon.set);
      return namingIcon(store.state().decided.document, idOf(icon), {
        name: target?.name ?? icon.plain.replaceAll('-', ' '),
        drawing: icon.drawing,
        measures: icon.measures,
        from: {
          set: set?.name ?? icon.set,
          icon: icon.name,
          author: set?.author ?? icon.set,
          license: set?.license.spdx ?? '',
        },
      });
    },
  });
  const list = useTryList([], undefined);
  const taking = {
    ...list,
    take: (candidate: Candidate) => {
      list.take(candidate);
      setLastTaken(candidate.id);
    },
  };
  const sets = [...new Map(styles.map((one) => [one.set, one.name]))];
  return (
    <div>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <label className="min-w-40 grow">
          <span className="block text-quiet">by a word</span>
          <input
            type="search"
            className="input w-full"
            placeholder="phone, ticket, harbor"
            value={query.words}
            maxLength={80}
            onChange={({ currentTarget: { value } }) => onQuery({ ...query, words: value })}
          />
        </label>
        <label>
          <span className="block text-quiet">from</span>
          <select
            className="select w-44"
            value={query.from}
            onChange={({ currentTarget: { value } }) => onQuery({ ...query, from: value })}
          >
            <option value="">every set</option>
            {sets.map(([id, name]) => (
              <optgroup key={id} label={name}>
                {styles
                  .filter(({ set }) => set === id)
                  .map(({ style }) => (
                    <option key={style} value={`${id}/${style}`}>
                      {name}, {style}
                    </option>
                  ))}
              </optgroup>
            ))}
          </select>
        </label>
        <div>
          <span className="block text-quiet">drawn</span>
          <Choice
            label="How icons are drawn"
            options={KINDS}
            value={query.kind}
            onChange={(kind) => onQuery({ ...query, kind })}
          />
        </div>
      </div>
      <div className="mt-2 flex min-h-6 items-baseline justify-between gap-x-4 border-b border-line-strong text-xs text-quiet">
        <span className="figures shrink-0" aria-live="polite">
          {found.total === undefined ? '…' : found.total.toLocaleString('en-US')} icons
        </span>
        {query.like && (
          <button
            type="button"
            className="act min-w-0 truncate"
            onClick={() => onQuery({ ...query, like: undefined })}
          >
            likest to {query.like.name} first: order by words again
          </button>
        )}
        <span className="min-w-0 truncate text-end" data-reached>
          {reached
            ? `${reached.name} · ${ofSet(styles, reached.set)?.name ?? reached.set}, ${reached.style}`
            : lastTaken === ''
              ? target
                ? `pointing tries it as “${target.name}”`
                : 'pointing tries one, a click takes it'
              : ''}
        </span>
      </div>
      {found.problem !== undefined && (
        <p className="py-2 text-error">
          {found.problem}{' '}
          <button type="button" className="act" onClick={found.again}>
            Ask again
          </button>
        </p>
      )}
      {found.total === 0 ? (
        <p className="py-4 text-quiet">
          No icon is called so.{' '}
          <button
            type="button"
            className="act"
            onClick={() => onQuery({ words: '', kind: '', from: '', like: undefined })}
          >
            Show all
          </button>
        </p>
      ) : (
        <IconGrid
          key={`${query.words} ${query.kind} ${query.from} ${query.like?.name ?? ''}`}
          found={found}
          candidateOf={candidateOf}
          list={taking}
          onReach={setReached}
          label={target ? `Icons for ${target.name}` : 'Icons'}
        />
      )}
    </div>
  );
}
