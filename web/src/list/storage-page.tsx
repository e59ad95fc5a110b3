import { useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import * as z from 'zod/mini';
import { ApiError, get, send, sendForm } from '../api/client.ts';
import { Dialog } from '../ui/dialog.tsx';
import { FileDrop } from '../ui/file-drop.tsx';

const stored = z.object({
  id: z.string(),
  name: z.string(),
  bytes: z.number(),
  usedBy: z.array(z.string()),
});
type Stored = z.infer<typeof stored>;

const storage = z.object({
  systems: z.object({ count: z.number(), bytes: z.number() }),
  limit: z.number(),
  families: z.array(stored),
  pictures: z.array(stored),
  deleted: z.array(z.object({ id: z.string(), name: z.string(), bytes: z.number() })),
});
type Storage = z.infer<typeof storage>;

const restored = z.object({
  systems: z.number(),
  changes: z.number(),
  keepers: z.number(),
  families: z.number(),
  pictures: z.number(),
  same: z.number(),
});

/** Room in the unit that reads best, of 1000 as disks are sold. */
const room = (bytes: number): string =>
  bytes >= 1e9
    ? `${(bytes / 1e9).toFixed(2)} GB`
    : bytes >= 1e6
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${Math.ceil(bytes / 1000)} kB`;

const sum = (all: readonly { readonly bytes: number }[]): number =>
  all.reduce((total, { bytes }) => total + bytes, 0);

const plural = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

interface ThingsProps {
  readonly title: string;
  readonly aside: string;
  readonly empty: string;
  readonly things: readonly {
    readonly id: string;
    readonly name: string;
    readonly bytes: number;
  }[];
  readonly note?: (id: string) => string | undefined;
  readonly acts: (
    id: string,
    name: string,
  ) => readonly (readonly [word: string, act: () => void])[];
}

/** Things that take room, one a line, with what can be done about each. */
function Things({ title, aside, empty, things, note, acts }: ThingsProps) {
  return (
    <section aria-label={title} className="mb-8">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="font-semibold">{title}</h2>
        <span className="text-quiet">{aside}</span>
      </div>
      {things.length === 0 ? (
        <p className="border-t border-line py-2 text-quiet">{empty}</p>
      ) : (
        <ul>
          {things.map(({ id, name, bytes }) => (
            <li
              key={id}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 border-t border-line py-1 sm:grid-cols-[minmax(0,1fr)_6rem_minmax(0,14rem)]"
            >
              <span className="min-w-0">
                <span className="block truncate">{name}</span>
                {note?.(id) !== undefined && (
                  <span className="block truncate text-xs text-quiet">{note(id)}</span>
                )}
              </span>
              <span className="figures text-end">{room(bytes)}</span>
              <span className="col-span-2 flex flex-wrap justify-end gap-x-4 sm:col-span-1">
                {acts(id, name).map(([word, act]) => (
                  <button
                    key={word}
                    type="button"
                    className="min-h-6 min-w-6 text-quiet hover:text-base-content hover:underline"
                    aria-label={`${word}: ${name}`}
                    onClick={act}
                  >
                    {word}
                  </button>
                ))}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

interface Question {
  readonly title: string;
  readonly words: string;
  readonly verb: string;
  readonly act: () => void;
}

const usedWords =
  (all: readonly Stored[]) =>
  (id: string): string | undefined => {
    const { usedBy = [] } = all.find((one) => one.id === id) ?? {};
    return usedBy.length === 0 ? 'not used' : `used in ${usedBy.join(', ')}`;
  };

/** What is stored and what it takes, out and in again as one archive, and ways to make room. */
export default function StoragePage() {
  const { data, error, mutate } = useSWR<Storage, Error>('/api/storage', (path: string) =>
    get(path, storage),
  );
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean }>();
  const [busy, setBusy] = useState(false);
  const [question, setQuestion] = useState<Question>();

  const wrong = (reason: unknown): void =>
    setTold({
      words: reason instanceof Error ? reason.message : 'That did not work.',
      wrong: true,
    });
  const act = (work: Promise<unknown>, words: string): void => {
    setTold(undefined);
    setQuestion(undefined);
    work
      .then(() => mutate())
      .then(() => setTold({ words, wrong: false }))
      .catch(wrong);
  };
  const ask = (name: string, path: string): void =>
    setQuestion({
      title: `Delete ${name} for good?`,
      words: 'It cannot be brought back, but from an archive that holds it.',
      verb: 'Delete it for good',
      act: () => act(send('DELETE', path), `${name} is deleted for good.`),
    });
  const restore = async (file: File, replace: boolean): Promise<void> => {
    setTold(undefined);
    setQuestion(undefined);
    setBusy(true);
    const form = new FormData();
    form.append('archive', file);
    try {
      const answer = await sendForm(`/api/restore?replace=${replace ? 'yes' : 'no'}`, form);
      const { systems, changes, families, pictures, same } = restored.parse(answer);
      await mutate();
      setTold({
        words: `Brought back ${plural(systems, 'system')} with ${plural(changes, 'change')}, ${plural(families, 'family', 'families')} and ${plural(pictures, 'picture')}; ${same} were here already.`,
        wrong: false,
      });
    } catch (reason) {
      if (reason instanceof ApiError && reason.problem.type === '/problems/archive-differs')
        setQuestion({
          title: 'Some of it is here already, and differs',
          words: reason.problem.detail,
          verb: 'Replace them with the archive’s',
          act: () => void restore(file, true),
        });
      else wrong(reason);
    } finally {
      setBusy(false);
    }
  };

  return (
    <main className="mx-auto min-h-screen max-w-4xl bg-base-100 px-8 pt-8 pb-24 sm:border-x sm:border-line">
      <p>
        <Link className="act" to="/">
          All systems
        </Link>
      </p>
      <h1 className="mt-2 mb-6 text-xl font-semibold">Storage and backup</h1>
      {(told ?? error) !== undefined && (
        <p
          role={told?.wrong === false ? 'status' : 'alert'}
          className={`mb-4 border-s-[3px] ps-3 ${told?.wrong === false ? 'border-primary' : 'border-error text-error'}`}
        >
          {told?.words ?? error?.message}
        </p>
      )}
      <section aria-label="Backup" className="mb-8">
        <h2 className="font-semibold">Backup</h2>
        <div className="border-t border-line pt-2">
          <p className="mb-2 max-w-prose text-quiet">
            One archive holds every system with its whole history, what was set aside, own fonts and
            pictures, each with a checksum. It comes back here or into another Garnish, all of it or
            nothing.
          </p>
          <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
            <a className="btn btn-primary" href="/api/backup" download>
              Export everything
            </a>
            <FileDrop
              name="Restore"
              label={busy ? 'Bringing it back …' : 'Import an archive'}
              accept=".zip,application/zip"
              className="py-1"
              onFiles={([file]) => {
                if (file && !busy) void restore(file, false);
              }}
            />
          </div>
        </div>
      </section>
      {!data && !error && (
        <p aria-busy className="text-quiet">
          Reading what is stored …
        </p>
      )}
      {data && (
        <>
          <p className="mb-6">
            {plural(data.systems.count, 'system')} and their history take {room(data.systems.bytes)}
            ; fonts and pictures {room(sum(data.families) + sum(data.pictures))} of the{' '}
            {room(data.limit)} that they may take together.
          </p>
          <Things
            title="Own fonts"
            aside={room(sum(data.families))}
            empty="None. Families that are imported under Fonts stand here."
            things={data.families}
            note={usedWords(data.families)}
            acts={(id, name) => [['Delete for good', () => ask(name, `/api/fonts/own/${id}`)]]}
          />
          <Things
            title="Pictures"
            aside={room(sum(data.pictures))}
            empty="None. Pictures that are imported under Color stand here."
            things={data.pictures}
            note={usedWords(data.pictures)}
            acts={(id, name) => [['Delete for good', () => ask(name, `/api/pictures/${id}`)]]}
          />
          <Things
            title="Deleted systems"
            aside={room(sum(data.deleted))}
            empty="None. Systems that are deleted are kept here until they are deleted for good."
            things={data.deleted}
            acts={(id, name) => [
              [
                'Bring back',
                () =>
                  act(send('POST', `/api/systems/${id}/restore`), `${name} is back in the list.`),
              ],
              ['Delete for good', () => ask(name, `/api/systems/${id}/for-good`)],
            ]}
          />
        </>
      )}
      {question && (
        <Dialog title={question.title} onClose={() => setQuestion(undefined)}>
          <p className="text-quiet">{question.words}</p>
          <p className="mt-4 flex flex-wrap gap-2">
            <button type="button" className="btn btn-primary" onClick={question.act}>
              {question.verb}
            </button>
            <button type="button" className="btn" onClick={() => setQuestion(undefined)}>
              Not now
            </button>
          </p>
        </Dialog>
      )}
    </main>
  );
}
