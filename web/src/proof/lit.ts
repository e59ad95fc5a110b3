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

const LIT = 'data-lit';

/** Marks some elements and no others. */
export function mark(page: Document, elements: readonly Element[]): void {
  const lit = new Set(elements);
  for (const element of page.querySelectorAll(`[${LIT}]`))
    if (!lit.has(element)) element.removeAttribute(LIT);
  for (const element of lit) element.setAttribute(LIT, '');
}

/** How they are marked: striped, so that the mark is seen on any color. */
export const LIT_RULE = `[${LIT}] { outline: 3px dashed #111; outline-offset: 1px; box-shadow: 0 0 0 4px #fff; }`;
