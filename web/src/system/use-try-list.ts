import type { Patch } from '@garnish/core/system/patch';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useStore } from './system-context.ts';

/** Pointing has to rest so long before something is tried, so that passing over a list does nothing. */
const HOVER_MS = 90;
const PAGE = 8;

export interface Candidate {
  readonly id: string;
  /** What taking it changes; nothing for what is chosen already. Asked for only when it is tried. */
  readonly patch: () => Patch | undefined;
  readonly label: string;
}

export interface TryList {
  readonly active: string | undefined;
  readonly point: (candidate: Candidate) => void;
  /** Tries a candidate at once. */
  readonly show: (candidate: Candidate) => void;
  readonly take: (candidate: Candidate) => void;
  readonly goBack: () => void;
  readonly press: (event: KeyboardEvent) => void;
}

/**
 * A list whose candidates are tried in the proof by moving through it: arrow keys or the pointer try,
 * Enter or a click takes, Escape or leaving goes back to what was there.
 */
export function useTryList(candidates: readonly Candidate[], chosen: string | undefined): TryList {
  const store = useStore();
  const [active, setActive] = useState<string>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  useEffect(
    () => () => {
      clearTimeout(timer.current);
      store.tryOut(undefined);
    },
    [store],
  );

  const tryOut = ({ id, patch }: Candidate): void => {
    setActive(id);
    store.tryOut(patch());
  };
  const goBack = (): void => {
    clearTimeout(timer.current);
    setActive(undefined);
    store.tryOut(undefined);
  };
  const take = ({ id, label, patch }: Candidate): void => {
    clearTimeout(timer.current);
    setActive(id);
    const change = patch();
    if (change) store.change(change, label);
    else store.tryOut(undefined);
  };
  const press = (event: KeyboardEvent): void => {
    const at = candidates.findIndex(({ id }) => id === (active ?? chosen));
    const last = candidates.length - 1;
    const to = {
      ArrowDown: Math.min(last, at + 1),
      ArrowUp: Math.max(0, at - 1),
      PageDown: Math.min(last, at + PAGE),
      PageUp: Math.max(0, at - PAGE),
      Home: 0,
      End: last,
    }[event.key];
    const next = to === undefined ? undefined : candidates[to];
    const current = candidates.find(({ id }) => id === active);
    if (next) tryOut(next);
    else if (event.key === 'Enter' && current) take(current);
    else if (event.key === 'Escape') goBack();
    else return;
    event.preventDefault();
  };
  return {
    active,
    point: (candidate) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => tryOut(candidate), HOVER_MS);
    },
    show: tryOut,
    take,
    goBack,
    press,
  };
}
