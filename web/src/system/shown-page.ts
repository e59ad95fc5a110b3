import type { StyleDocument } from '@garnish/core/system/document';
import { firstPage } from '@garnish/core/proof/site';
import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { useSyncExternalStore } from 'react';
import { useStore, useSystem } from './system-context.ts';

/** The page that the proof shows of each system; the first one where none was chosen. */
const chosen = new Map<string, string>();
const listeners = new Set<() => void>();

/** Before the id of a page that was read from outside: no page of the site has such an id. */
const KEPT = 'kept:';

/** How such a page is chosen. */
export const keptPage = (id: string): string => KEPT + id;

/** Turns the proof of a system to a page; to the first one where there is none of that name. */
export function showPage(system: string, page: string): void {
  if (chosen.get(system) === page) return;
  chosen.set(system, page);
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The page of a system that the proof shows: one that there is, or the sheet of parts. */
export function shownPageOf(system: string, document: StyleDocument): string {
  const page = chosen.get(system);
  if (page === SHEET_OF_PARTS) return page;
  return page !== undefined && Object.hasOwn(document.content.pages.items, page)
    ? page
    : firstPage(document);
}

/** The page that the proof shows, as it turns. */
export function useShownPage(): string {
  const store = useStore();
  useSyncExternalStore(subscribe, () => chosen.get(store.state().id));
  return useSystem(({ id, shown: { document } }) => shownPageOf(id, document));
}

/** The kept page that the proof shows, by its id; nothing where it shows one of the site. */
export function useShownKeptPage(): string | undefined {
  const store = useStore();
  const page = useSyncExternalStore(subscribe, () => chosen.get(store.state().id));
  return page?.startsWith(KEPT) === true ? page.slice(KEPT.length) : undefined;
}
