import type { Patch } from '@garnish/core/system/patch';
import { useState, type KeyboardEvent } from 'react';
import { useStore } from './system-context.ts';
import { useTrying } from './use-trying.ts';

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
  const trying = useTrying();
  const acting =
    ({ label, patch }: Candidate) =>
    (): void => {
      const change = patch();
      if (change) store.change(change, label);
    };
  const tryOut = (candidate: Candidate): void => {
    setActive(candidate.id);
    trying.show(acting(candidate));
  };
  const goBack = (): void => {
    setActive(undefined);
    trying.goBack();
  };
  const take = (candidate: Candidate): void => {
    setActive(candidate.id);
    trying.take(acting(candidate));
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
    point: (candidate) =>
      trying.point(() => {
        setActive(candidate.id);
        acting(candidate)();
      }),
    show: tryOut,
    take,
    goBack,
    press,
  };
}
