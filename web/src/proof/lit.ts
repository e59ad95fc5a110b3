import { useSyncExternalStore } from 'react';

/** The tokens that are marked wherever they make something in the proof. */
let current: readonly string[] = [];
const listeners = new Set<() => void>();

export function light(tokens: readonly string[]): void {
  current = tokens;
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useLit = (): readonly string[] => useSyncExternalStore(subscribe, () => current);

/** The elements that are made of any of these tokens. */
export const litSelector = (tokens: readonly string[]): string =>
  tokens.map((token) => `[data-uses~="${CSS.escape(token)}"]`).join(', ');

/** How they are marked: striped, so that the mark is seen on any color. */
export const litRule = (tokens: readonly string[]): string =>
  tokens.length === 0
    ? ''
    : `:is(${litSelector(tokens)}) { outline: 3px dashed #111; outline-offset: 1px; box-shadow: 0 0 0 4px #fff; }`;
