import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { bringIntoView } from './bring-into-view.ts';

const SHOWN_MS = 1800;
const FOCUS_AFTER_MS = 60;
const CONTROL = 'input:not([type="range"]), select, textarea, button, a[href]';

/**
 * Brings the decision that the address names (`?at=`) into view: the element whose `data-decision`
 * is that place, or the nearest place above it. It is marked for a moment.
 */
export function useDecisionTarget(): void {
  const [parameters] = useSearchParams();
  const at = parameters.get('at');
  useEffect(() => {
    if (at === null) return;
    const candidates = [...document.querySelectorAll<HTMLElement>('main [data-decision]')].filter(
      ({ dataset: { decision = '' } }) => at === decision || at.startsWith(`${decision}/`),
    );
    const target = candidates.sort(
      (one, other) =>
        (other.dataset['decision']?.length ?? 0) - (one.dataset['decision']?.length ?? 0),
    )[0];
    if (!target) return;
    const stop = bringIntoView(target, 'center');
    target.dataset['target'] = '';
    // Whoever came by keyboard goes on from here; a dialog that is closing gives its focus back first.
    const focusing = setTimeout(() => {
      const control = target.matches(CONTROL) ? target : target.querySelector<HTMLElement>(CONTROL);
      control?.focus({ preventScroll: true });
    }, FOCUS_AFTER_MS);
    const timer = setTimeout(() => delete target.dataset['target'], SHOWN_MS);
    return () => {
      stop();
      clearTimeout(timer);
      clearTimeout(focusing);
      delete target.dataset['target'];
    };
  }, [at]);
}
