import { useSyncExternalStore } from 'react';

let words = '';
let clear: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const CLEAR_MS = 4000;

function put(next: string): void {
  words = next;
  listeners.forEach((listener) => listener());
}

/** Says something to whoever does not see it. */
export function announce(text: string): void {
  // The same words twice are two events: a sign that is not spoken tells them apart.
  put(text === words ? `${text}\u200b` : text);
  clearTimeout(clear);
  clear = setTimeout(() => put(''), CLEAR_MS);
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The one place from which things are said. */
export function Announcer() {
  return (
    <div className="sr-only" aria-live="polite" data-announcer>
      {useSyncExternalStore(subscribe, () => words)}
    </div>
  );
}
