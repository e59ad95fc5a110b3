import { Suspense, useEffect, useState, type MouseEvent } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Outlet, useLocation } from 'react-router';
import { Proof } from '../proof/proof.tsx';
import { useDecided, useStore, useSystem } from '../system/system-context.ts';
import { Copy } from '../ui/copy.tsx';
import { Message } from '../ui/message.tsx';
import { lazyPart, useServerSilent } from '../ui/patient.ts';
import { isTyping } from '../ui/typing.ts';
import { usePreferences } from '../ui/preferences.ts';
import { Strip } from './strip.tsx';
import { TopBar } from './top-bar.tsx';
import { useAdded } from './use-added.ts';

const Find = lazyPart(() => import('./find.tsx'));
const ConflictDialog = lazyPart(() => import('./conflict-dialog.tsx'));

/** Says that an area is waited for; what is open stays until it has come. */
function AreaWaits() {
  return useServerSilent() ? (
    <p role="alert" className="bg-error px-4 py-1 text-error-content">
      The server does not answer, so this area cannot be opened yet. It is tried again every moment;
      what you changed is kept.
    </p>
  ) : null;
}

/** The address stays: it names what is open. */
function skip(event: MouseEvent): void {
  event.preventDefault();
  document.getElementById('bench')?.focus();
}

/** In every control; only where words are typed and not yet taken it is the field that goes back. */
const ANYWHERE_BUT_TYPING = {
  preventDefault: true,
  enableOnFormTags: true,
  enableOnContentEditable: true,
  ignoreEventWhen: isTyping,
  // Heard on the way down: lists keep keys that pass through them to themselves.
  eventListenerOptions: { capture: true },
} as const;

/** The open system: bar, strip, bench and proof. */
export function Shell() {
  const store = useStore();
  const conflict = useSystem((state) => state.conflict);
  const decided = useDecided(['name']);
  const deleted = useSystem((state) => state.deleted);
  const refused = useSystem((state) => state.refused);
  const { wide } = usePreferences();
  const [finding, setFinding] = useState(false);
  const { name } = decided.document;

  useEffect(() => {
    document.title = `${name} · Garnish`;
    return () => {
      document.title = 'Garnish';
    };
  }, [name]);
  useHotkeys('mod+k', () => setFinding(true), {
    preventDefault: true,
    enableOnFormTags: true,
    eventListenerOptions: { capture: true },
  });
  useHotkeys('mod+z', store.undo, ANYWHERE_BUT_TYPING);
  useHotkeys('mod+shift+z, mod+y', store.redo, ANYWHERE_BUT_TYPING);
  useAdded();
  const { pathname } = useLocation();
  // What was refused in one area is no news in the next; what was typed stays until somebody closes it.
  useEffect(() => {
    if (store.state().refused?.kept === undefined) store.dismiss();
  }, [store, pathname]);

  if (deleted)
    return (
      <Message
        title={`${name} was deleted`}
        detail="It was deleted in another window. It can be brought back there."
        back
      />
    );
  return (
    <div className="flex min-h-screen flex-col sm:h-screen">
      <a href="#bench" className="skip" onClick={skip}>
        Skip to the bench
      </a>
      <TopBar onFind={() => setFinding(true)} />
      <Strip />
      <AreaWaits />
      {refused !== undefined && (
        <div role="alert" className="flex items-center gap-3 bg-error px-4 py-1 text-error-content">
          <span>
            {refused.kept === undefined ? 'Nothing was changed: ' : 'This could not be saved: '}
            {refused.why}
          </span>
          {refused.kept !== undefined && (
            <Copy className="underline" text={refused.kept}>
              Copy what was changed
            </Copy>
          )}
          <button type="button" className="min-h-6 underline" onClick={store.dismiss}>
            Close
          </button>
        </div>
      )}
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <main
          id="bench"
          tabIndex={0}
          aria-label="Bench"
          className={`bg-base-100 sm:min-h-0 sm:flex-1 sm:overflow-y-auto lg:w-[32.75rem] lg:flex-none min-[105rem]:w-[44rem] ${wide ? 'hidden' : ''}`}
        >
          <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
            <Outlet />
          </Suspense>
        </main>
        <Proof />
      </div>
      {conflict && (
        <Suspense>
          <ConflictDialog conflict={conflict} />
        </Suspense>
      )}
      {finding && (
        <Suspense>
          <Find onClose={() => setFinding(false)} />
        </Suspense>
      )}
    </div>
  );
}
