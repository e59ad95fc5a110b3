import { useEffect, useRef } from 'react';
import { useStore } from './system-context.ts';

/** Pointing has to rest so long before something is tried, so that passing over a list does nothing. */
export const HOVER_MS = 90;

/** Ways to try what an act would change, before it is done. */
export interface Trying {
  /** Tries an act once pointing rests on it. */
  readonly point: (act: () => void) => void;
  /** Tries an act at once. */
  readonly show: (act: () => void) => void;
  /** Does it. */
  readonly take: (act: () => void) => void;
  /** Leads back to what was there; tells whether something was tried. */
  readonly goBack: () => boolean;
}

/**
 * Trying, the one way it works everywhere: what is pointed at or reached by key is seen in the proof, Enter or a click
 * takes it, Escape or leaving goes back to what was there. An act is whatever changes the system; it is tried by doing
 * it with nothing decided.
 */
export function useTrying(): Trying {
  const store = useStore();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const isTrying = useRef(false);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (isTrying.current) store.tryOut(undefined);
    },
    [store],
  );
  const show = (act: () => void): void => {
    clearTimeout(timer.current);
    isTrying.current = true;
    store.rehearse(act);
  };
  return {
    show,
    point: (act) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => show(act), HOVER_MS);
    },
    take: (act) => {
      clearTimeout(timer.current);
      isTrying.current = false;
      // What is taken ends what is tried by itself, in one step; an act that changes nothing leaves it to be ended.
      act();
      store.tryOut(undefined);
    },
    goBack: () => {
      clearTimeout(timer.current);
      const was = isTrying.current;
      isTrying.current = false;
      if (was) store.tryOut(undefined);
      return was;
    },
  };
}

/** What a button takes on so that what it does is tried first. */
export const triedBy = (trying: Trying, act: () => void) => ({
  onPointerEnter: (): void => trying.point(act),
  onPointerLeave: (): void => {
    trying.goBack();
  },
  onFocus: (): void => trying.show(act),
  onBlur: (): void => {
    trying.goBack();
  },
  onClick: (): void => trying.take(act),
  onKeyDown: (event: { readonly key: string; readonly stopPropagation: () => void }): void => {
    // The first Escape goes back; only the next one closes what this stands in.
    if (event.key === 'Escape' && trying.goBack()) event.stopPropagation();
  },
});
