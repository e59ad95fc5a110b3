import { patchSchema, type Patch } from '@garnish/core/system/patch';
import * as z from 'zod/mini';
import type { Past } from './history.ts';

/** A change that the server has not acknowledged yet. */
export interface Pending extends Past {
  readonly id: string;
  readonly patch: Patch;
  /** The newest change this one knew of; the server looks at what others did after it. */
  readonly base: number;
}

const pendingChange = z.object({
  id: z.string(),
  author: z.string(),
  gesture: z.string(),
  kind: z.enum(['change', 'undo', 'redo']),
  label: z.string(),
  patch: patchSchema,
  inverse: patchSchema,
  base: z.number(),
  sequence: z.number(),
});

/** Keeps what is not saved in the browser, so that it survives a reload. */
export interface Unsaved {
  readonly load: () => readonly Pending[];
  /** Whether it could be kept: the room of a browser is limited. */
  readonly keep: (pending: readonly Pending[]) => boolean;
}

const keyOf = (id: string, author: string): string => `garnish-unsaved:${id}:${author}`;

const LOCK = 'garnish-window:';

/**
 * What one window has not saved of a system. Each window keeps its own, so that two do not take each
 * other's for theirs.
 */
export const unsavedOf = (id: string, author: string): Unsaved => ({
  load() {
    try {
      const read = z
        .array(pendingChange)
        .safeParse(JSON.parse(localStorage.getItem(keyOf(id, author)) ?? '[]'));
      return read.success ? read.data : [];
    } catch {
      return [];
    }
  },
  keep(pending) {
    try {
      if (pending.length === 0) localStorage.removeItem(keyOf(id, author));
      else localStorage.setItem(keyOf(id, author), JSON.stringify(pending));
      return true;
    } catch {
      return false;
    }
  },
});

/** Says that this window is open, for as long as it is. */
export function holdWindow(author: string): void {
  void navigator.locks.request(`${LOCK}${author}`, () => new Promise<never>(() => undefined));
}

/**
 * Takes over what windows that were closed have left unsaved of a system: it becomes this one's, in front
 * of its own. A change keeps its id, so that it arrives once, however often it is sent.
 */
export async function adoptUnsaved(id: string, author: string): Promise<void> {
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map(({ name }) => name));
  const prefix = keyOf(id, '');
  const left = Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .map((key) => key.slice(prefix.length))
    .filter((other) => other !== author && !open.has(`${LOCK}${other}`));
  if (left.length === 0) return;
  const own = unsavedOf(id, author);
  const all = left.flatMap((other) => unsavedOf(id, other).load());
  const kept = own.keep([...all.map((change) => ({ ...change, author })), ...own.load()]);
  if (kept) for (const other of left) unsavedOf(id, other).keep([]);
}
