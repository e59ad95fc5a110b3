import { useEffect } from 'react';
import type { HeldBy } from './sync.ts';
import { useStore } from './system-context.ts';

/** Keys that move a number, on whatever holds one. */
const MOVING: ReadonlySet<string> = new Set([
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'],
  ...['PageUp', 'PageDown', 'Home', 'End'],
]);
const MODIFIERS: ReadonlySet<string> = new Set(['Shift', 'Alt', 'Control', 'Meta']);
const NUMBERS = 'input[type="range"], [role="slider"], [role="spinbutton"], [data-moved-by-keys]';

/**
 * Trying, for everything that is moved: fields with arrow keys, sliders, handles in drawings, boxes, pickers. What
 * moves is seen everywhere; releasing the pointer takes it, with keys Enter or leaving does, and Escape leads back to
 * what was there before it was moved. It is one step of undo, and nothing of it is sent before. Listened to in one
 * place, before whoever moves it hears of it: none of them knows.
 */
export function useHolding(): void {
  const store = useStore();
  useEffect(() => {
    let by: HeldBy | undefined;
    const hold = (next: HeldBy): void => {
      by = next;
      store.hold(next);
    };
    const release = (): void => {
      by = undefined;
      store.takeHeld();
    };
    const press = (event: PointerEvent): void => {
      // Another button opens a menu, and may never be heard of again.
      if (!(event.button > 0)) hold('pointer');
    };
    const leave = (): void => {
      // A pointer that takes hold of something takes the focus from something else.
      if (by === 'keys') release();
    };
    const key = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') {
        if (!store.dropHeld()) return;
        // The first Escape goes back; only the next one closes what it stands in.
        event.preventDefault();
        event.stopImmediatePropagation();
        return;
      }
      // Whoever goes on by keys has released the pointer, heard of or not; modifiers alone belong to a drag.
      if (event.key === 'Enter' || (by === 'pointer' && !MODIFIERS.has(event.key))) release();
      if (MOVING.has(event.key) && event.target instanceof Element && event.target.matches(NUMBERS))
        hold('keys');
    };
    const heard = new AbortController();
    const hear = { capture: true, signal: heard.signal };
    addEventListener('pointerdown', press, hear);
    addEventListener('pointerup', release, hear);
    addEventListener('pointercancel', release, hear);
    addEventListener('keydown', key, hear);
    // Leaving a field takes what was written in it too, which it does itself.
    addEventListener('focusout', leave, hear);
    addEventListener('pagehide', release, hear);
    return () => heard.abort();
  }, [store]);
}
