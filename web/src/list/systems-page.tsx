import { useState } from 'react';
import useSWR from 'swr';
import * as z from 'zod/mini';
import { Link, useNavigate } from 'react-router';
import { get, send } from '../api/client.ts';
import { systemList, systemSummary, type SystemSummary } from '../api/resources.ts';
import { setPreferences, usePreferences } from '../app/preferences.ts';
import { Choice } from '../ui/choice.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Portrait } from './portrait.tsx';
import { RenameDialog } from './rename-dialog.tsx';

const ADDRESS = '/api/systems';

const unreadableList = z.array(z.object({ id: z.string(), name: z.string() }));
type Unreadable = z.infer<typeof unreadableList>[number];

const waits = ({ repair, look }: SystemSummary['findings']): string => {
  if (repair === 0 && look === 0) return 'nothing to repair';
  return [repair > 0 && `${repair} to repair`, look > 0 && `${look} to look at`]
    .filter(Boolean)
    .join(', ');
};

function NewSystem({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const make = (name: string): void => {
    if (name === '') {
      setProblem('Give it a name first.');
      return;
    }
    setBusy(true);
    send('POST', ADDRESS, { name })
      .then((answer) => navigate(`/systems/${systemSummary.parse(answer).id}/brief`))
      .catch((error: unknown) => {
        setBusy(false);
        setProblem(error instanceof Error ? error.message : 'It could not be made.');
      });
  };
  return (
    <Dialog title="A new system" onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const name = new FormData(event.currentTarget).get('name');
          make(typeof name === 'string' ? name.trim() : '');
        }}
      >
        <label className="block text-quiet" htmlFor="new-name">
          Name of the site
        </label>
        <input id="new-name" name="name" className="input w-full" maxLength={80} autoFocus />
        {problem !== undefined && (
          <p role="alert" className="mt-1 text-error">
            {problem}
          </p>
        )}
        <p className="mt-4 flex gap-2">
          <button className="btn btn-primary" disabled={busy}>
            Make it
          </button>
          <button type="button" className="btn" onClick={onClose}>
            Not now
          </button>
        </p>
      </form>
    </Dialog>
  );
}

const ORDERS = ['last changed', 'name', 'most to repair'] as const;
type Order = (typeof ORDERS)[number];

/** So few are seen at a glance: nobody searches or orders them. */
const MOST_UNSORTED = 2;

const COMPARE: Readonly<Record<Order, (one: SystemSummary, other: SystemSummary) => number>> = {
  'last changed': (one, other) => other.updatedAt.localeCompare(one.updatedAt),
  name: (one, other) => one.name.localeCompare(other.name, 'en', { numeric: true }),
  'most to repair': (one, other) =>
    other.findings.repair - one.findings.repair || other.findings.look - one.findings.look,
};

/** The systems whose name or description holds what is sought, in an order. */
function listOf(all: readonly SystemSummary[], sought: string, order: Order): SystemSummary[] {
  const words = sought.trim().toLowerCase();
  return all
    .filter(({ name, description }) => `${name} ${description}`.toLowerCase().includes(words))
    .sort(COMPARE[order]);
}

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
        options={ORDERS.map((one) => ({ value: one, name: one }))}
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
  const { id, name, description, findings, updatedAt } = system;
  return (
    <li className="grid gap-x-6 gap-y-3 border-t border-line py-5 md:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="min-w-0">
        <h2 className="text-xl font-semibold break-words">
          <Link to={`/systems/${id}/fonts`} className="hover:underline hover:underline-offset-4">
            {name}
          </Link>
        </h2>
        <p className="mt-1 max-w-prose text-quiet">{description || 'No description yet.'}</p>
        <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
          <span className={findings.repair > 0 ? 'text-error' : 'text-quiet'}>
            {waits(findings)}
          </span>
          <time className="text-quiet" dateTime={updatedAt}>
            changed {DATE.format(new Date(updatedAt))}
          </time>
        </p>
        <p className="mt-1 flex flex-wrap items-center gap-x-4">
          {(
            [
              ['Rename', onRename],
              ['Duplicate', onDuplicate],
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
      <Link to={`/systems/${id}/fonts`} tabIndex={-1} aria-hidden>
        <Portrait {...system.portrait} name={name} />
      </Link>
    </li>
  );
}

/** All systems, each with a small live picture of what it is. */
export function SystemsPage() {
  const { data, error, mutate } = useSWR<SystemSummary[], Error>(
    ADDRESS,
    (path: string) => get(path, systemList),
    // Whoever comes back from a system expects to see what was just done to it.
    { dedupingInterval: 0 },
  );
  const { data: unreadable } = useSWR<readonly Unreadable[], Error>(
    data ? `${ADDRESS}/unreadable` : null,
    (path: string) => get(path, unreadableList),
  );
  const { look } = usePreferences();
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<Order>('last changed');
  const [making, setMaking] = useState(false);
  const [renaming, setRenaming] = useState<SystemSummary>();
  const [deleted, setDeleted] = useState<SystemSummary>();
  const [problem, setProblem] = useState<string>();

  const listed = listOf(data ?? [], sought, order);

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
      {unreadable?.map(({ id, name }) => (
        <p key={id} role="alert" className="mb-4 border-s-[3px] border-warning ps-3 text-warning">
          {name} cannot be read by this version of Garnish. It is kept as it is; the server’s log
          says what is wrong with it.
        </p>
      ))}
      {!data && !error && (
        <p aria-busy className="text-quiet">
          Reading the list …
        </p>
      )}
      {data?.length === 0 && (
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
      {data && data.length > MOST_UNSORTED && (
        <ListTools sought={sought} order={order} onSeek={setSought} onOrder={setOrder} />
      )}
      {data && data.length > 0 && listed.length === 0 && (
        <p className="border-t border-line py-6 text-quiet">No system is called so.</p>
      )}
      {data && data.length > 0 && (
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
      {making && <NewSystem onClose={() => setMaking(false)} />}
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
