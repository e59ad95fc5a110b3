import { jsonOf } from '@garnish/core/system/patch';
import { keptPair, type KeptPair } from '@garnish/core/system/keeper';
import { X } from 'lucide-react';
import { useState } from 'react';
import useSWR from 'swr';
import * as z from 'zod/mini';
import { get, send } from '../../api/client.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { FaceName } from '../../ui/face-name.tsx';
import { LineField } from '../../ui/line-field.tsx';
import { choosingAll } from './choosing.ts';
import { Compare, pairName } from './compare.tsx';
import { KEEPERS } from './use-keeping.ts';

const MOST_COMPARED = 4;

const keeperList = z.array(
  z.object({ id: z.string(), pair: keptPair, note: z.string(), origin: z.string() }),
);
type Keeper = z.infer<typeof keeperList>[number];

interface RowProps {
  readonly keeper: Keeper;
  readonly compared: boolean;
  readonly full: boolean;
  readonly onCompare: () => void;
  readonly onNote: (note: string) => void;
  readonly onTake: () => void;
  readonly onLetGo: () => void;
}

function Row({ keeper, compared, full, onCompare, onNote, onTake, onLetGo }: RowProps) {
  const { note, origin, pair } = keeper;
  const name = pairName(pair);
  return (
    <li className="border-b border-line py-1.5">
      <div className="flex items-center gap-3">
        <label className="flex min-h-6 min-w-6 items-center">
          <span className="sr-only">Compare {name}</span>
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={compared}
            disabled={!compared && full}
            onChange={onCompare}
          />
        </label>
        <span className="min-w-0 grow">
          <span className="block truncate text-lg leading-tight">
            <FaceName family={pair.heading} weight={700} />
          </span>
          <span className="block truncate">
            <FaceName family={pair.text} weight={400} />
            {pair.label && (
              <>
                <span className="text-quiet" aria-hidden>
                  {' · '}
                </span>
                <FaceName family={pair.label} weight={600} />
              </>
            )}
          </span>
        </span>
        <button type="button" className="act" onClick={onTake} aria-label={`Take ${name}`}>
          Take
        </button>
        <button
          type="button"
          className="grid min-h-6 min-w-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove ${name}`}
          onClick={onLetGo}
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      <div className="ms-9 flex items-baseline gap-2 text-xs">
        <LineField
          label={`Note on ${name}`}
          className="min-h-6 min-w-0 grow bg-transparent"
          placeholder="a note"
          longest={500}
          value={note}
          onChange={onNote}
        />
        <span className="shrink-0 text-quiet">from {origin}</span>
      </div>
    </li>
  );
}

/** Pairs set aside, across all systems: searched, compared side by side, taken. */
export function SetAside() {
  const store = useStore();
  const decided = useDecided(['fonts', 'name', 'type']);
  const { fonts, name } = decided.document;
  const { data, error, mutate } = useSWR<Keeper[], Error>(
    KEEPERS,
    (path: string) => get(path, keeperList),
    { dedupingInterval: 0 },
  );
  const [sought, setSought] = useState('');
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [comparing, setComparing] = useState(false);
  const [problem, setProblem] = useState<string>();
  const { heading, text, label } = fonts.roles;
  const current: KeptPair = {
    heading: heading.family,
    text: text.family,
    ...(label && { label: label.family }),
  };

  const act = (work: Promise<unknown>): void => {
    setProblem(undefined);
    work
      .then(() => mutate())
      .catch((reason: unknown) => {
        setProblem(reason instanceof Error ? reason.message : 'That did not work.');
      });
  };
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = (data ?? []).filter(({ note, origin, pair }) =>
    words.every((word) => `${note} ${origin} ${pairName(pair)}`.toLowerCase().includes(word)),
  );
  const known = new Map((data ?? []).map((keeper) => [keeper.id, keeper.pair]));
  const chosen = compared.flatMap((id) => known.get(id) ?? []);
  return (
    <>
      <p className="mb-2 flex flex-wrap items-center gap-x-4">
        <button
          type="button"
          className="act"
          onClick={() =>
            act(send('POST', KEEPERS, { pair: jsonOf(current), note: '', origin: name }))
          }
        >
          Set the present pair aside
        </button>
        <button
          type="button"
          className="act"
          disabled={chosen.length === 0}
          onClick={() => setComparing(true)}
        >
          Compare with the present
        </button>
      </p>
      {(problem ?? error) !== undefined && (
        <p role="alert" className="text-error">
          {problem ?? error?.message}
        </p>
      )}
      {data && data.length > 0 && (
        <input
          type="search"
          className="input mb-1 w-full"
          placeholder="A face, a note or a system"
          aria-label="Search what was set aside"
          value={sought}
          onChange={(event) => setSought(event.currentTarget.value)}
        />
      )}
      {!data && !error && <p className="text-quiet">Reading …</p>}
      {data?.length === 0 && (
        <p className="py-3 text-quiet">
          Nothing is set aside. A pair that is kept here can be compared and taken in every system.
        </p>
      )}
      {data && data.length > 0 && shown.length === 0 && (
        <p className="py-3 text-quiet">Nothing that was set aside is called so.</p>
      )}
      <ul aria-label="Set aside">
        {shown.map((keeper) => (
          <Row
            key={keeper.id}
            keeper={keeper}
            compared={compared.includes(keeper.id)}
            full={chosen.length >= MOST_COMPARED - 1}
            onCompare={() =>
              setCompared(
                compared.includes(keeper.id)
                  ? compared.filter((id) => id !== keeper.id)
                  : [...compared, keeper.id],
              )
            }
            onNote={(note) => act(send('POST', `${KEEPERS}/${keeper.id}/note`, { note }))}
            onTake={() =>
              store.change(choosingAll(decided.document, keeper.pair), pairName(keeper.pair))
            }
            onLetGo={() => act(send('DELETE', `${KEEPERS}/${keeper.id}`))}
          />
        ))}
      </ul>
      {comparing && <Compare pairs={[current, ...chosen]} onClose={() => setComparing(false)} />}
    </>
  );
}
