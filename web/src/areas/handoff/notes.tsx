import { ASKED, NOTE_KINDS } from '@garnish/core/notes/note-schema';
import { elementAt } from '@garnish/core/notes/pin';
import { inOrder } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import { notesPath, threadsOf, writingNotes, type NoteRecord } from '../../api/notes.ts';
import { keepNotesSeen, notesSeen, useNotes } from '../../system/notes.ts';
import { showPage } from '../../system/shown-page.ts';
import { useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { NoteThread, WordsForm } from '../../ui/note-thread.tsx';

/** A page that was turned to takes a moment until it stands there, in ms. */
const TURN_MS = 400;

const STATES = ['open', 'resolved', 'all'] as const;

/** Leads the proof to where a note is pinned. */
function show(system: string, { page, pin }: NoteRecord): void {
  showPage(system, page);
  setTimeout(() => {
    const frame = document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]');
    const site = frame?.contentDocument?.querySelector('.site');
    if (site) elementAt(site, pin)?.scrollIntoView({ block: 'center' });
  }, TURN_MS);
}

interface AskProps {
  readonly system: string;
  readonly onAsked: () => Promise<unknown>;
}

/** A short question to a client, beside one of the pages. */
function AskClient({ system, onAsked }: AskProps) {
  const pages = useSystem((state) => state.decided.document.content.pages);
  const shown = inOrder(pages).filter(([, { isOff }]) => isOff !== true);
  const [wanted, setPage] = useState('');
  const page = shown.find(([id]) => id === wanted)?.[0] ?? shown[0]?.[0];
  if (page === undefined) return null;
  return (
    <details className="mb-2">
      <summary className="min-h-6 cursor-pointer text-quiet">Ask a client</summary>
      <label className="mt-1 block text-quiet">
        beside the page
        <select
          className="ms-2 border-b border-line-strong bg-transparent text-base-content"
          value={page}
          onChange={({ target }) => setPage(target.value)}
        >
          {shown.map(([id, { name }]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <WordsForm
        label="a short question, which is answered by yes, not yet or no"
        says="Ask"
        onSay={async (words) => {
          await writingNotes(notesPath(system)).add(crypto.randomUUID(), {
            words,
            kind: ASKED,
            page,
            pin: { at: `/content/pages/items/${page}`, up: 0, down: [], name: 'the page' },
          });
          await onAsked();
        }}
      />
    </details>
  );
}

/** What guests have asked and told, page by page. */
export function Notes() {
  const system = useSystem((state) => state.id);
  const pages = useSystem((state) => state.decided.document.content.pages);
  const path = notesPath(system);
  const known = useNotes(system);
  const [state, setState] = useState<(typeof STATES)[number]>('open');
  const [kind, setKind] = useState('');
  const [seenAt] = useState(() => notesSeen(system));
  const notes = known.data?.notes ?? [];
  const newest = notes
    .map(({ at }) => at)
    .toSorted((one, other) => one.localeCompare(other))
    .at(-1);
  useEffect(() => {
    if (newest !== undefined) keepNotesSeen(system, newest);
  }, [system, newest]);
  const threads = threadsOf(notes);
  const shown = threads.filter(
    ({ note }) =>
      (state === 'all' || note.isResolved === (state === 'resolved')) &&
      (kind === '' || note.kind === kind),
  );
  const error: unknown = known.error;
  return (
    <Section full title="Notes" aside={`${shown.length} of ${threads.length}`}>
      <div className="mb-1 flex flex-wrap gap-x-6">
        <Choice
          label="Which notes"
          options={STATES.map((value) => ({ value, name: value }))}
          value={state}
          onChange={setState}
        />
        <select
          aria-label="Kind of note"
          className="min-h-6 border-b border-line-strong bg-transparent"
          value={kind}
          onChange={({ target }) => setKind(target.value)}
        >
          <option value="">any kind</option>
          {NOTE_KINDS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </div>
      <AskClient system={system} onAsked={() => known.mutate()} />
      {error instanceof Error && (
        <p role="alert" className="text-error">
          {error.message}
        </p>
      )}
      {!known.data && !(error instanceof Error) && (
        <p className="text-quiet">Reading the notes …</p>
      )}
      {known.data && threads.length === 0 && (
        <p>None yet. Guests write them under a link that lets them.</p>
      )}
      {shown.map((thread) => {
        const { note } = thread;
        const name = pages.items[note.page]?.name;
        return (
          <NoteThread
            key={note.id}
            thread={thread}
            writing={writingNotes(path)}
            isOwner
            seenAt={seenAt}
            onWritten={() => known.mutate()}
            where={
              name === undefined ? (
                <span>{note.pin.name} on a page that is gone</span>
              ) : (
                <button type="button" className="act" onClick={() => show(system, note)}>
                  {note.pin.name} on {name}
                </button>
              )
            }
          />
        );
      })}
    </Section>
  );
}
