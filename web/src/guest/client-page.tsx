import { CLIENT_ANSWERS, LONGEST_NOTE, LONGEST_WRITER } from '@garnish/core/notes/note-schema';
import { sitePage } from '@garnish/core/proof/site';
import { inOrder } from '@garnish/core/system/document';
import { Suspense, useId, useLayoutEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { useSearchParams } from 'react-router';
import { guestPath } from '../api/links.ts';
import { writingNotes, type Thread } from '../api/notes.ts';
import { framedSheets, type FramedSheets } from '../proof/framed-sheets.ts';
import { renderNode } from '../proof/render.tsx';
import { announce } from '../ui/announce.tsx';
import { WORD } from '../ui/choice.tsx';
import { lazyPart } from '../ui/patient.ts';
import { keepName, keptName, useNotes } from './notes-beside.tsx';
import type { GuestView } from './use-guest.ts';
import { useKeptList } from './use-kept-list.ts';

const KeptPageShown = lazyPart(() => import('./kept-page.tsx'));

interface AskedProps {
  readonly thread: Thread;
  readonly name: string;
  readonly address: string;
  readonly onAnswered: () => Promise<unknown>;
}

/** A question with what was answered: by a click, and a sentence where one has something to say. */
function Asked({ thread: { note, answers }, name, address, onAnswered }: AskedProps) {
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const [isSending, setSending] = useState(false);
  const id = useId();
  const answer = async (choice: string): Promise<void> => {
    setSending(true);
    setProblem(undefined);
    try {
      const said = words.trim();
      await writingNotes(`${guestPath(address)}/notes`, name).add(crypto.randomUUID(), {
        answers: note.id,
        words: said === '' ? `${choice}.` : `${choice}. ${said}`,
      });
      setWords('');
      announce(`answered: ${choice}`);
      await onAnswered();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be sent.');
    } finally {
      setSending(false);
    }
  };
  return (
    <li className="border-t border-line py-3 first:border-t-0">
      <h2 className="font-semibold break-words">{note.words}</h2>
      {answers.length > 0 && (
        <ul aria-label="Answers" className="mt-1">
          {answers.map((one) => (
            <li key={one.id} className="break-words">
              <span className="text-quiet">{one.isMine ? 'you' : one.writer}: </span>
              {one.words}
            </li>
          ))}
        </ul>
      )}
      {!note.isResolved && (
        <div className="mt-2">
          <label htmlFor={id} className="block text-quiet">
            a sentence, if you like
          </label>
          <input
            id={id}
            className="w-full border-b border-line-strong bg-transparent leading-7"
            value={words}
            maxLength={LONGEST_NOTE - 20}
            autoComplete="off"
            onChange={({ target }) => setWords(target.value)}
          />
          <div role="group" aria-label={`Answer to ${note.words}`} className="mt-1 flex gap-x-4">
            {CLIENT_ANSWERS.map((choice) => (
              <button
                key={choice}
                type="button"
                className="act"
                disabled={name === '' || isSending}
                onClick={() => void answer(choice)}
              >
                {choice}
              </button>
            ))}
          </div>
          {problem !== undefined && (
            <p role="alert" className="text-error">
              {problem}
            </p>
          )}
        </div>
      )}
      {note.isResolved && <p className="mt-1 text-quiet">settled</p>}
    </li>
  );
}

interface FrameProps {
  readonly view: GuestView;
  readonly page: string;
}

/** A page of the site, as it will be; its links lead nowhere. */
function PageFrame({ view: { document, derived, sheet }, page }: FrameProps) {
  const [stage, setStage] = useState<FramedSheets>();
  const node = useMemo(() => sitePage(document, derived, page), [document, derived, page]);
  useLayoutEffect(() => {
    if (!stage) return undefined;
    stage.exported.show(sheet);
    stage.arrangement.replaceSync('html { overflow-x: clip; }');
    const stay = (event: Event): void => {
      if ((event.target as Element | null)?.closest('a')) event.preventDefault();
    };
    stage.document.addEventListener('click', stay);
    return () => stage.document.removeEventListener('click', stay);
  }, [stage, sheet]);
  // Another page begins at its top.
  useLayoutEffect(() => {
    stage?.document.defaultView?.scrollTo(0, 0);
  }, [stage, page]);
  return (
    <>
      <iframe
        src="/proof/"
        title={`Page ${document.content.pages.items[page]?.name ?? ''}`}
        className="block h-full w-full border-0"
        onLoad={(event) => setStage(framedSheets(event.currentTarget))}
      />
      {stage && createPortal(renderNode(node, false), stage.document.body)}
    </>
  );
}

interface ClientProps {
  readonly address: string;
  readonly view: GuestView;
  readonly isInTouch: boolean;
}

/** What a client sees: the pages, as large as the window, and what is asked of them beside. */
export default function ClientPage({ address, view, isInTouch }: ClientProps) {
  const { document } = view;
  const [parameters, setParameters] = useSearchParams();
  const pages = inOrder(document.content.pages);
  const keptPages = useKeptList(address, view);
  const kept = keptPages.find(({ id }) => id === parameters.get('page'))?.id;
  const page = pages.find(([id]) => id === parameters.get('page'))?.[0] ?? pages[0]?.[0];
  const [writer, setWriter] = useState(keptName);
  const id = useId();
  const name = writer.trim();
  const { threads, reread } = useNotes(address);
  const waiting = (of: string): number =>
    threads.filter(({ note, answers }) => note.page === of && answers.length === 0).length;
  const asked = threads.filter(({ note }) => kept === undefined && note.page === page);
  return (
    <div className="flex h-svh flex-col">
      <header className="flex flex-wrap items-baseline gap-x-6 border-b border-line px-4 pt-1.5">
        <h1 className="font-semibold break-words">{document.name}</h1>
        <nav aria-label="Pages" className="flex gap-x-4 overflow-x-auto">
          {pages.map(([key, own]) => (
            <button
              key={key}
              type="button"
              aria-pressed={key === page && kept === undefined}
              className={`${WORD} shrink-0`}
              onClick={() => setParameters({ page: key })}
            >
              {own.name}{' '}
              {waiting(key) > 0 && (
                <span className="figures text-xs text-warning">
                  {waiting(key)}
                  <span className="sr-only"> asked</span>
                </span>
              )}
            </button>
          ))}
          {keptPages.map(({ id: key, name: called }) => (
            <button
              key={key}
              type="button"
              aria-pressed={key === kept}
              className={`${WORD} shrink-0`}
              onClick={() => setParameters({ page: key })}
            >
              {called}
            </button>
          ))}
        </nav>
        {!isInTouch && (
          <p role="status" className="text-error">
            out of touch: what is shown may be old; trying again
          </p>
        )}
      </header>
      <main className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[minmax(0,1fr)_auto] md:grid-cols-[minmax(0,1fr)_18rem] md:grid-rows-1">
        {kept !== undefined ? (
          <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
            <KeptPageShown key={kept} address={address} id={kept} view={view} theme="light" />
          </Suspense>
        ) : page === undefined ? (
          <p />
        ) : (
          <PageFrame view={view} page={page} />
        )}
        <aside
          aria-label="Asked of you"
          className="overflow-auto border-line px-4 py-3 max-md:max-h-[45svh] max-md:border-t md:border-s"
        >
          {asked.length === 0 ? (
            <p className="text-quiet">Nothing is asked of this page.</p>
          ) : (
            <>
              <label htmlFor={id} className="block text-quiet">
                your name
              </label>
              <input
                id={id}
                className="mb-2 w-full border-b border-line-strong bg-transparent leading-7"
                value={writer}
                maxLength={LONGEST_WRITER}
                autoComplete="nickname"
                onChange={({ target }) => setWriter(target.value)}
                onBlur={() => keepName(name)}
              />
              {name === '' && <p className="text-quiet">Say your name first, to answer.</p>}
              <ul>
                {asked.map((thread) => (
                  <Asked
                    key={thread.note.id}
                    thread={thread}
                    name={name}
                    address={address}
                    onAnswered={reread}
                  />
                ))}
              </ul>
            </>
          )}
        </aside>
      </main>
    </div>
  );
}
