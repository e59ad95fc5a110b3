import { readDocument } from '@garnish/core/system/upgrade';
import { useEffect, useState, type ReactNode } from 'react';
import { ApiError, get, Unreachable } from '../api/client.ts';
import { changeList, openedSystem, personRecord } from '../api/resources.ts';
import { Message } from '../ui/message.tsx';
import { workerTrier } from './repair-trier.ts';
import { createSystemStore, type SystemStore } from './store.ts';
import { useHolding } from './use-holding.ts';
import { SystemContext } from './system-context.ts';
import { adoptUnsaved, holdWindow, unsavedOf } from './unsaved.ts';

const WINDOW = 'garnish-window';

let here: Promise<string> | undefined;

/** This window: kept over a reload; a duplicated tab, which begins with the same, is one of its own. */
async function nameWindow(): Promise<string> {
  const known = sessionStorage.getItem(WINDOW) ?? crypto.randomUUID();
  const name = (await holdWindow(known)) ? known : crypto.randomUUID();
  if (name !== known) await holdWindow(name);
  sessionStorage.setItem(WINDOW, name);
  return name;
}

interface Failure {
  readonly title: string;
  readonly detail: string;
  /** Whether it is tried again by itself. */
  readonly again?: boolean;
}

type Loaded = { readonly store: SystemStore } | { readonly failure: Failure };

/** A server that does not answer is asked again after so long. */
const AGAIN_MS = 1500;

async function load(id: string): Promise<Loaded> {
  try {
    const [system, changes, { person }, window] = await Promise.all([
      get(`/api/systems/${encodeURIComponent(id)}`, openedSystem),
      get(`/api/systems/${encodeURIComponent(id)}/changes?last=200`, changeList),
      get('/api/person', personRecord),
      (here ??= nameWindow()),
    ]);
    const read = readDocument(system.document);
    if (!read.ok)
      return {
        failure: {
          title: 'This system cannot be shown',
          detail: read.problems[0]?.message ?? 'It was written by another version.',
        },
      };
    const { sequence } = system;
    // Where the browser keeps nothing, there is nothing to take over.
    await adoptUnsaved(id, window).catch(() => undefined);
    const past = changes.filter((change) => change.sequence <= sequence);
    return {
      store: createSystemStore(
        id,
        { document: read.document, sequence },
        past,
        { person, window },
        {
          makeTrier: workerTrier,
          unsaved: unsavedOf(id, window),
        },
      ),
    };
  } catch (error) {
    if (error instanceof ApiError)
      return { failure: { title: error.problem.title, detail: error.problem.detail } };
    const why = error instanceof Unreachable ? error.why : 'the server does not answer';
    return {
      failure: {
        title: why.charAt(0).toUpperCase() + why.slice(1),
        detail:
          'Everything that was saved is kept. It is tried again every moment, and opens by itself.',
        again: true,
      },
    };
  }
}

/** Numbers that are moved are tried until they are taken. */
function Held() {
  useHolding();
  return null;
}

/** Opens a system by its id, and shows what is inside once it is there. */
export function OpenSystem({
  id,
  children,
}: {
  readonly id: string;
  readonly children: ReactNode;
}) {
  const [loaded, setLoaded] = useState<Loaded>();
  useEffect(() => {
    let open: SystemStore | undefined;
    let gone = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    const tryIt = async (): Promise<void> => {
      const result = await load(id);
      if (gone) return;
      if ('store' in result) {
        open = result.store;
        open.open();
      } else if (result.failure.again) again = setTimeout(() => void tryIt(), AGAIN_MS);
      setLoaded(result);
    };
    void tryIt();
    return () => {
      gone = true;
      clearTimeout(again);
      open?.close();
    };
  }, [id]);
  if (!loaded) return <Message title="Opening …" quiet />;
  if ('failure' in loaded)
    return <Message title={loaded.failure.title} detail={loaded.failure.detail} back />;
  return (
    <SystemContext value={loaded.store}>
      <Held />
      {children}
    </SystemContext>
  );
}
