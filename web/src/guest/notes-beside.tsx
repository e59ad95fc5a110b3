import { GUEST_KINDS, LONGEST_WRITER, type NoteKind } from '@garnish/core/notes/note-schema';
import { elementAt, pinOf } from '@garnish/core/notes/pin';
import { useId, useState } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { guestPath } from '../api/links.ts';
import { noteList, threadsOf, writingNotes, type Thread } from '../api/notes.ts';
import { announce } from '../ui/announce.tsx';
import { NoteThread, WordsForm } from '../ui/note-thread.tsx';
import { nameOf } from '../proof/chosen.ts';

const NAME = 'garnish-guest-name';

export const keptName = (): string => {
  try {
    return localStorage.getItem(NAME) ?? '';
  } catch {
    return ''; // nothing is kept here
  }
};

export function keepName(name: string): void {
  try {
    localStorage.setItem(NAME, name);
  } catch {
    // Nothing is kept here: it is asked for again the next time.
  }
}

/** The notes of what an address opens; read again whenever the state is another, and when something was written. */
export function useNotes(address: string) {
  const known = useSWR(`${guestPath(address)}/notes`, (path: string) => get(path, noteList));
  return { threads: threadsOf(known.data?.notes ?? []), reread: () => known.mutate() };
}

interface NotesProps {
  readonly address: string;
  readonly page: string;
  readonly site: Element | undefined;
  readonly chosen: Element | undefined;
  readonly threads: readonly Thread[];
  readonly mayWrite: boolean;
  readonly reread: () => Promise<unknown>;
  readonly onChoose: (element: Element) => void;
}

/** What was asked and told on this page, and a place to ask of what is chosen. */
export function NotesBeside(props: NotesProps) {
  const { address, page, site, chosen, threads, mayWrite, reread, onChoose } = props;
  const [writer, setWriter] = useState(keptName);
  const [kind, setKind] = useState<NoteKind>('question');
  const [isAll, setAll] = useState(false);
  const ids = { writer: useId(), kind: useId() };
  const own = threads.filter(({ note }) => note.page === page);
  const shown = own.filter(({ note }) => isAll || !note.isResolved);
  const resolved = own.length - own.filter(({ note }) => !note.isResolved).length;
  const name = writer.trim();
  const writing =
    mayWrite && name !== '' ? writingNotes(`${guestPath(address)}/notes`, name) : undefined;
  if (own.length === 0 && !mayWrite) return null;
  return (
    <section aria-label="Notes" className="mt-4 min-w-0">
      <div className="flex items-baseline justify-between gap-x-3">
        <h2 className="font-semibold">Notes</h2>
        {resolved > 0 && (
          <button
            type="button"
            className="min-h-6 text-quiet hover:underline"
            aria-pressed={isAll}
            onClick={() => setAll(!isAll)}
          >
            {isAll ? 'open only' : `${resolved} resolved`}
          </button>
        )}
      </div>
      {mayWrite && (
        <div className="mb-1">
          <label htmlFor={ids.writer} className="block text-quiet">
            your name
          </label>
          <input
            id={ids.writer}
            className="w-full border-b border-line-strong bg-transparent leading-7"
            value={writer}
            maxLength={LONGEST_WRITER}
            autoComplete="nickname"
            onChange={({ target }) => setWriter(target.value)}
            onBlur={() => keepName(name)}
          />
        </div>
      )}
      {mayWrite && !chosen && (
        <p className="text-quiet">Choose something on the page to ask about it.</p>
      )}
      {mayWrite && chosen && name === '' && (
        <p className="text-quiet">Say your name first, to ask about it.</p>
      )}
      {writing && chosen && site && (
        <>
          <label htmlFor={ids.kind} className="block text-quiet">
            about {nameOf(chosen)}, a
          </label>
          <select
            id={ids.kind}
            className="min-h-7 w-full border-b border-line-strong bg-transparent"
            value={kind}
            onChange={({ target }) =>
              setKind(GUEST_KINDS.find((one) => one === target.value) ?? 'question')
            }
          >
            {GUEST_KINDS.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
          <WordsForm
            label="in your words"
            says="Send"
            onSay={async (words) => {
              keepName(name);
              const pin = pinOf(site, chosen, nameOf(chosen));
              await writing.add(crypto.randomUUID(), { words, kind, page, pin });
              announce('The note is sent');
              await reread();
            }}
          />
        </>
      )}
      {shown.map((thread) => {
        const element = site && elementAt(site, thread.note.pin);
        return (
          <NoteThread
            key={thread.note.id}
            thread={thread}
            writing={writing}
            isOwner={false}
            onWritten={reread}
            where={
              element ? (
                <button
                  type="button"
                  className="act"
                  onClick={() => {
                    element.scrollIntoView({ block: 'center' });
                    onChoose(element);
                  }}
                >
                  {thread.note.pin.name}
                </button>
              ) : (
                <span>{thread.note.pin.name}, which is gone</span>
              )
            }
          />
        );
      })}
    </section>
  );
}
