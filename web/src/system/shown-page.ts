import { firstPage } from '@garnish/core/proof/site';
import { useSyncExternalStore } from 'react';
import { useStore, useSystem } from './system-context.ts';

/** The page that the proof shows of each system; the first one where none was chosen. */
const chosen = new Map<string, string>();
const listeners = new Set<() => void>();

/** Turns the proof of a system to a page. */
export function showPage(system: string, page: string): void {
  if (chosen.get(system) === page) return;
  chosen.set(system, page);
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The page that the proof shows: one that there is. */
export function useShownPage(): string {
  const store = useStore();
  const page = useSyncExternalStore(subscribe, () => chosen.get(store.state().id));
  return useSystem(({ shown: { document } }) => {
    const own = page === undefined ? undefined : document.content.pages.items[page];
    return own && page !== undefined ? page : firstPage(document);
  });
}
