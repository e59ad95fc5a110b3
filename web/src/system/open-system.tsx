import { readDocument } from '@garnish/core/system/upgrade';
import { useEffect, useState, type ReactNode } from 'react';
import { ApiError, get } from '../api/client.ts';
import { changeList, openedSystem } from '../api/resources.ts';
import { Message } from '../ui/message.tsx';
import { workerTrier } from './repair-trier.ts';
import { createSystemStore, type SystemStore } from './store.ts';
import { SystemContext } from './system-context.ts';
import { adoptUnsaved, holdWindow, unsavedOf } from './unsaved.ts';

const AUTHOR = 'garnish-author';

let held = false;

/** Who changes things from this window: undo takes back one's own changes only. */
function author(): string {
  const known = sessionStorage.getItem(AUTHOR) ?? crypto.randomUUID();
  sessionStorage.setItem(AUTHOR, known);
  if (!held) holdWindow(known);
  held = true;
  return known;
}

type Loaded =
  | { readonly store: SystemStore }
  | { readonly failure: { readonly title: string; readonly detail: string } };

async function load(id: string): Promise<Loaded> {
  try {
    const [system, changes] = await Promise.all([
      get(`/api/systems/${encodeURIComponent(id)}`, openedSystem),
      get(`/api/systems/${encodeURIComponent(id)}/changes?last=200`, changeList),
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
    const me = author();
    // Where the browser keeps nothing, there is nothing to take over.
    await adoptUnsaved(id, me).catch(() => undefined);
    const past = changes.filter((change) => change.sequence <= sequence);
    return {
      store: createSystemStore(id, { document: read.document, sequence }, past, me, {
        makeTrier: workerTrier,
        unsaved: unsavedOf(id, me),
      }),
    };
  } catch (error) {
    if (error instanceof ApiError)
      return {
        failure: {
          title: 'There is no such system',
          detail: 'It may have been deleted, or the address is incomplete.',
        },
      };
    return {
      failure: {
        title: 'The server does not answer',
        detail: 'Everything that was saved is kept. Start the server, then load this page again.',
      },
    };
  }
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
    void load(id).then((result) => {
      if (gone) return;
      if ('store' in result) {
        open = result.store;
        open.open();
      }
      setLoaded(result);
    });
    return () => {
      gone = true;
      open?.close();
    };
  }, [id]);
  if (!loaded) return <Message title="Opening …" quiet />;
  if ('failure' in loaded) return <Message {...loaded.failure} back />;
  return <SystemContext value={loaded.store}>{children}</SystemContext>;
}
