import { Suspense, useDeferredValue, useState } from 'react';
import useSWR from 'swr';
import { Link } from 'react-router';
import { get, send } from '../api/client.ts';
import { systemPage, type SystemPage, type SystemSummary } from '../api/resources.ts';
import { lazyPart } from '../ui/patient.ts';
import { setPreferences, usePreferences } from '../ui/preferences.ts';
import { Choice } from '../ui/choice.tsx';
import { Portrait } from './portrait.tsx';
import { RenameDialog } from './rename-dialog.tsx';

/** Comes when a system is to be made. */
const NewSystem = lazyPart(() => import('./new-system.tsx'));

const ADDRESS = '/api/systems';

const waits = ({ repair, look, isMeasured }: NonNullable<SystemSummary['findings']>): string =>
  [
    repair === 0 && look === 0 && 'nothing to repair',
    repair > 0 && `${repair} to repair`,
    look > 0 && `${look} to look at`,
    !isMeasured && 'pages not measured yet',
  ]
    .filter(Boolean)
    .join(', ');

const ORDERS = [
  ['changed', 'last changed'],
  ['name', 'name'],
  ['repair', 'most to repair'],
] as const;
type Order = (typeof ORDERS)[number][0];

/** So few are seen at a glance: nobody searches or orders them. */
const MOST_UNSORTED = 2;

/** So many are shown at first, and so many more each time. */
const PAGE = 50;

/** What is asked of the server: a part of the list, in an order. */
const addressOf = (search: string, order: Order, limit: number): string =>
  `${ADDRESS}?${new URLSearchParams({ search: search.trim(), order, limit: String(limit) }).toString()}`;

interface ListToolsProps {
  readonly sought: string;
  readonly order: Order;
  readonly onSeek: (words: string) => void;
  readonly onOrder: (order: Order) => void;
}

function ListTools({ sought, order, onSeek, onOrder }: ListToolsProps) {
  return (
    <p className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <input
        type="search"
        className="input min-w-40 grow"
        aria-label="Part of a name or a description"
        placeholder="Part of a name or a description"
        value={sought}
        onChange={(event) => onSeek(event.currentTarget.value)}
      />
      <Choice
        label="Order of the systems"
        options={ORDERS.map(([value, name]) => ({ value, name }))}
        value={order}
        onChange={onOrder}
      />
    </p>
  );
}

const DATE = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

interface RowProps {
  readonly system: SystemSummary;
  readonly onRename: () => void;
  readonly onDuplicate: () => void;
  readonly onDelete: () => void;
}

function Row({ system, onRename, onDuplicate, onDelete }: RowProps) {
  const { id, name, description, findings, portrait, problem, updatedAt } = system;
  return (
    <li className="grid gap-x-6 gap-y-3 border-t border-line py-5 md:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="min-w-0">
        <h2 className="text-xl font-semibold break-words">
          {problem === undefined ? (
            <Link to={`/systems/${id}/fonts`} className="hover:underline hover:underline-offset-4">
              {name}
            </Link>
          ) : (
            name
          )}
        </h2>
        {problem === undefined ? (
          <p className="mt-1 max-w-prose text-quiet">{description || 'No description yet.'}</p>
        ) : (
          <p
            role="alert"
            className="mt-1 max-w-prose border-s-[3px] border-warning ps-3 text-warning"
          >
            It cannot be read by this version of Garnish, and is kept as it is: {problem}.
          </p>
        )}
        <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
          {findings && (
            <span className={findings.repair > 0 ? 'text-error' : 'text-quiet'}>
              {waits(findings)}
            </span>
          )}
          <time className="text-quiet" dateTime={updatedAt}>
            changed {DATE.format(new Date(updatedAt))}
          </time>
        </p>
        <p className="mt-1 flex flex-wrap items-center gap-x-4">
          {problem !== undefined && (
            <a
              className="min-h-6 text-quiet hover:text-base-content hover:underline"
              href={`${ADDRESS}/${id}/stored`}
              download
            >
              Export it as it is stored
            </a>
          )}
          {(
            [
              ...(problem === undefined
                ? ([
                    ['Rename', onRename],
                    ['Duplicate', onDuplicate],
                  ] as const)
                : []),
              ['Delete', onDelete],
            ] as const
          ).map(([word, act]) => (
            <button
              key={word}
              type="button"
              className="min-h-6 text-quiet hover:text-base-content hover:underline"
              onClick={act}
              aria-label={`${word} ${name}`}
            >
              {word}
            </button>
          ))}
        </p>
      </div>
      {portrait && (
        <Link to={`/systems/${id}/fonts`} tabIndex={-1} aria-hidden>
          <Portrait {...portrait} name={name} />
        </Link>
      )}
    </li>
  );
}

/** All systems, each with a small live picture of what it is. */
export default function SystemsPage() {
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<Order>('changed');
  const [limit, setLimit] = useState(PAGE);
  const search = useDeferredValue(sought);
  const { data, error, mutate } = useSWR<SystemPage, Error>(
    addressOf(search, order, limit),
    (path: string) => get(path, systemPage),
    // Whoever comes back from a system expects to see what was just done to it; what was found stays
    // until more is.
    { dedupingInterval: 0, keepPreviousData: true },
  );
  const { look } = usePreferences();
  const [making, setMaking] = useState(false);
  const [renaming, setRenaming] = useState<SystemSummary>();
  const [deleted, setDeleted] = useState<SystemSummary>();
  const [problem, setProblem] = useState<string>();

  const { systems: listed = [], total = 0 } = data ?? {};
  const isSought = search.trim() !== '';

  const act = (work: Promise<unknown>, then?: () => void): void => {
    setProblem(undefined);
    work
      .then(() => mutate())
      .then(then)
      .catch((reason: unknown) => {
        setProblem(reason instanceof Error ? reason.message : 'That did not work.');
      });
  };

  return (
    <main className="mx-auto min-h-screen max-w-5xl bg-base-100 px-8 pt-8 pb-24 sm:border-x sm:border-line">
      <header className="mb-8 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="flex items-center gap-2 text-xl font-semibold">
          <img src="/mark.svg" alt="" className="h-5 w-5" />
          Garnish
        </h1>
        <p className="grow text-quiet">
          Decide once, see it on real content, hand over what was seen.
        </p>
        <button
          type="button"
          className="min-h-6 text-quiet hover:text-base-content hover:underline"
          onClick={() => setPreferences({ look: look === 'day' ? 'night' : 'day' })}
        >
          {look === 'day' ? 'Dark interface' : 'Light interface'}
        </button>
        <button type="button" className="btn btn-primary" onClick={() => setMaking(true)}>
          New system
        </button>
      </header>
      {deleted && (
        <p
          role="status"
          className="mb-4 flex items-center gap-3 border-s-[3px] border-primary ps-3"
        >
          <span className="min-w-0 break-words">{deleted.name} is deleted.</span>
          <button
            type="button"
            className="act"
            onClick={() =>
              act(send('POST', `${ADDRESS}/${deleted.id}/restore`), () => setDeleted(undefined))
            }
          >
            Bring it back
          </button>
        </p>
      )}
      {(problem ?? error) !== undefined && (
        <p role="alert" className="mb-4 border-s-[3px] border-error ps-3 text-error">
          {problem ?? error?.message}
        </p>
      )}
      {!data && !error && (
        <p aria-busy className="text-quiet">
          Reading the list …
        </p>
      )}
      {data && total === 0 && !isSought && (
        <div className="border-t border-line py-12">
          <p className="text-lg font-semibold">No system yet</p>
          <p className="mt-1 mb-4 text-quiet">
            A system holds the fonts, sizes, colors and spaces of one site. Begin with its name.
          </p>
          <button type="button" className="btn btn-primary" onClick={() => setMaking(true)}>
            Make the first one
          </button>
        </div>
      )}
      {(total > MOST_UNSORTED || isSought || sought !== '') && (
        <ListTools sought={sought} order={order} onSeek={setSought} onOrder={setOrder} />
      )}
      {data && isSought && listed.length === 0 && (
        <p className="border-t border-line py-6 text-quiet">No system is called so.</p>
      )}
      {listed.length > 0 && (
        <ul>
          {listed.map((system) => (
            <Row
              key={system.id}
              system={system}
              onRename={() => setRenaming(system)}
              onDuplicate={() => act(send('POST', `${ADDRESS}/${system.id}/duplicate`))}
              onDelete={() =>
                act(send('DELETE', `${ADDRESS}/${system.id}`), () => setDeleted(system))
              }
            />
          ))}
        </ul>
      )}
      {total > listed.length && (
        <p className="flex flex-wrap items-center gap-4 border-t border-line py-4">
          <button type="button" className="act" onClick={() => setLimit(limit + PAGE)}>
            Show {Math.min(PAGE, total - listed.length)} more
          </button>
          <span className="text-quiet">
            {listed.length} of {total}
          </span>
        </p>
      )}
      <p className="border-t border-line pt-4">
        <Link to="/storage" className="text-quiet hover:text-base-content hover:underline">
          Storage and backup
        </Link>
      </p>
      {making && (
        <Suspense>
          <NewSystem onClose={() => setMaking(false)} />
        </Suspense>
      )}
      {renaming && (
        <RenameDialog
          system={renaming}
          onClose={() => {
            setRenaming(undefined);
            void mutate();
          }}
        />
      )}
    </main>
  );
}
