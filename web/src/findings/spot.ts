import type { Finding } from '@garnish/core/checks/finding';
import { useSyncExternalStore } from 'react';
import { heldWidth, setPreferences } from '../ui/preferences.ts';

/** What the proof was last asked to show; a new object for each time it was asked. */
export interface Spot {
  readonly selector: string;
}

let current: Spot | undefined;
const listeners = new Set<() => void>();

const set = (spot: Spot | undefined): void => {
  current = spot;
  listeners.forEach((listener) => listener());
};

/** Brings the proof to the spot that a finding speaks of, in the theme and width where it shows. */
export function showInProof({ where }: Finding): void {
  setPreferences({
    ...(where.mode && { proofTheme: where.mode }),
    ...(where.widthPx !== undefined && {
      proofWidth: heldWidth(where.widthPx),
    }),
  });
  set({ selector: where.selector });
}

/** Brings the proof to an element. */
export const showPlace = (selector: string): void => set({ selector });

export const clearSpot = (): void => set(undefined);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useSpot = (): Spot | undefined => useSyncExternalStore(subscribe, () => current);
