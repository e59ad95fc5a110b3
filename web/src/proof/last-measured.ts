import { useSyncExternalStore } from 'react';

/** What was measured last, for whoever tells of it. */
export interface LastMeasured {
  readonly elements: number;
  readonly widths: readonly number[];
  readonly ms: number;
}

let last: LastMeasured | undefined;
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
/** Tells what was measured. */
export const tell = (measured: LastMeasured): void => {
  last = measured;
  listeners.forEach((listener) => listener());
};
export const useLastMeasured = (): LastMeasured | undefined =>
  useSyncExternalStore(subscribe, () => last);
