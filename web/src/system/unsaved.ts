import { patchSchema, type Patch } from '@garnish/core/system/patch';
import * as z from 'zod/mini';
import type { Past } from './history.ts';

/** A place that somebody was asked about, and up to which change the answer holds. */
export interface Settled {
  readonly path: string;
  readonly sequence: number;
}

/** A change that the server has not acknowledged yet. */
export interface Pending extends Past {
  readonly id: string;
  /** The window it was made in. */
  readonly window: string;
  readonly patch: Patch;
  /** The newest change this one knew of; the server looks at what others did after it. */
  readonly base: number;
  readonly settled: readonly Settled[];
}

const pendingChange = z.object({
  id: z.string(),
  author: z.string(),
  window: z.string(),
  gesture: z.string(),
  kind: z.enum(['change', 'undo', 'redo']),
  label: z.string(),
  patch: patchSchema,
  inverse: patchSchema,
  base: z.number(),
  settled: z.array(z.object({ path: z.string(), sequence: z.number() })),
  sequence: z.number(),
});

/** Keeps what is not saved in the browser, so that it survives a reload. */
export interface Unsaved {
  readonly load: () => readonly Pending[];
  /** Whether it could be kept: the room of a browser is limited. */
  readonly keep: (pending: readonly Pending[]) => boolean;
}

const keyOf = (id: string, window: string): string => `garnish-unsaved:${id}:${window}`;

const LOCK = 'garnish-window:';

/**
 * What one window has not saved of a system. Each window keeps its own, so that two do not take each
 * other's for theirs.
 */
export const unsavedOf = (id: string, window: string): Unsaved => ({
  load() {
    try {
      const read = z
        .array(pendingChange)
        .safeParse(JSON.parse(localStorage.getItem(keyOf(id, window)) ?? '[]'));
      return read.success ? read.data : [];
    } catch {
      return [];
    }
  },
  keep(pending) {
    try {
      if (pending.length === 0) localStorage.removeItem(keyOf(id, window));
      else localStorage.setItem(keyOf(id, window), JSON.stringify(pending));
      return true;
    } catch {
      return false;
    }
  },
});

/**
 * Says that a window is open, for as long as it is. False where another window says so of the same: a tab
 * that was duplicated begins as a copy of the one it came from.
 */
export const holdWindow = (window: string): Promise<boolean> =>
  new Promise((resolve) => {
    navigator.locks
      .request(`${LOCK}${window}`, { ifAvailable: true }, (lock) => {
        resolve(lock !== null);
        return lock === null ? undefined : new Promise<never>(() => undefined);
      })
      .catch(() => resolve(true));
  });

/**
 * Takes over what windows that were closed have left unsaved of a system: it stands in front of this
 * one's own. A change keeps its id and its window: it arrives once, however often it is sent, and what this
 * window has done meanwhile is judged against it.
 */
export async function adoptUnsaved(id: string, window: string): Promise<void> {
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map(({ name }) => name));
  const prefix = keyOf(id, '');
  const left = Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .map((key) => key.slice(prefix.length))
    .filter((other) => other !== window && !open.has(`${LOCK}${other}`));
  if (left.length === 0) return;
  const own = unsavedOf(id, window);
  const all = left.flatMap((other) => unsavedOf(id, other).load());
  const kept = own.keep([...all, ...own.load()]);
  if (kept) for (const other of left) unsavedOf(id, other).keep([]);
}
