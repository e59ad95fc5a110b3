import { lazy, useSyncExternalStore, type ComponentType } from 'react';

const AGAIN_MS = 1500;

let silent = 0;
const listeners = new Set<() => void>();

function count(by: 1 | -1): void {
  silent += by;
  listeners.forEach((listener) => listener());
}

const rest = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, AGAIN_MS));

/** Whether the server answers again. */
const answers = (): Promise<boolean> =>
  fetch('/', { cache: 'no-store' }).then(
    ({ ok }) => ok,
    () => false,
  );

const RELOADED = 'garnish-reloaded';
const SELDOM_MS = 20_000;

/** Loading anew helps once; where it does not, it is not done again and again. */
function mayReload(): boolean {
  const last = Number(sessionStorage.getItem(RELOADED) ?? 0);
  if (Date.now() - last < SELDOM_MS) return false;
  sessionStorage.setItem(RELOADED, String(Date.now()));
  return true;
}

/**
 * Loads a module; while the server is silent it is asked again and again, and what is open stays. A
 * browser remembers modules that failed, those that a module needs too: where one does not come although
 * the server answers, the page is loaded anew at the address that is open, with all that was not saved.
 */
async function patient<Module>(load: () => Promise<Module>): Promise<Module> {
  let waiting = false;
  for (;;) {
    try {
      const found = await load();
      if (waiting) count(-1);
      return found;
    } catch (error) {
      if (waiting && (await answers())) {
        // It is not the server, then: where loading anew has not helped, the fault is told as what it is.
        count(-1);
        if (!mayReload()) throw error;
        location.reload();
        return new Promise(() => undefined);
      }
      if (!waiting) count(1);
      waiting = true;
      await rest();
    }
  }
}

/** A part of the application that comes when it is needed, however long the server takes. */
export const lazyPart = <Props extends object>(
  load: () => Promise<{ readonly default: ComponentType<Props> }>,
) => lazy(() => patient(load));

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether a part of the application is waited for because the server is silent. */
export const useServerSilent = (): boolean => useSyncExternalStore(subscribe, () => silent > 0);
