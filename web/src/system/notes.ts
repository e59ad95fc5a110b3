import { useEffect, useSyncExternalStore } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { noteList, notesPath } from '../api/notes.ts';
import { onNews } from './news.ts';

/** What guests have written of a system; it follows whatever is written anywhere. */
export function useNotes(system: string) {
  const known = useSWR(notesPath(system), (path: string) => get(path, noteList));
  const { mutate } = known;
  useEffect(() => onNews(() => void mutate()), [mutate]);
  return known;
}

const key = (system: string): string => `garnish-notes-seen-${system}`;
const listeners = new Set<() => void>();

/** Until when the notes of a system were seen in this browser; empty where none was, or nothing is kept here. */
export function notesSeen(system: string): string {
  try {
    return localStorage.getItem(key(system)) ?? '';
  } catch {
    return '';
  }
}

export function keepNotesSeen(system: string, at: string): void {
  try {
    if (localStorage.getItem(key(system)) === at) return;
    localStorage.setItem(key(system), at);
  } catch {
    return; // nothing is kept here
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** How many notes of others wait unread. */
export function useUnreadNotes(system: string): number {
  const { data } = useNotes(system);
  const seen = useSyncExternalStore(subscribe, () => notesSeen(system));
  return (data?.notes ?? []).filter(
    ({ at, isMine, isResolved }) => !isMine && !isResolved && at > seen,
  ).length;
}
