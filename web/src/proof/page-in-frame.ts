import { useSyncExternalStore } from 'react';

/** The proof's document while there is one, for whatever measures it. */
let current: Document | undefined;
const listeners = new Set<() => void>();

export function setPageInFrame(page: Document | undefined): void {
  current = page;
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const usePageInFrame = (): Document | undefined =>
  useSyncExternalStore(subscribe, () => current);
