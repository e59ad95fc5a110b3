import { useEffect, type RefObject } from 'react';
import { useNavigate } from 'react-router';
import { decisionAddress } from '../findings/address.ts';
import { useStore } from '../system/system-context.ts';
import { decisionOf } from './elements.ts';

/** An element of a frame is of another window, and no instance of this one’s class. */
export const elementOf = (target: EventTarget | null): Element | undefined =>
  target === null || !('matches' in target) ? undefined : (target as Element);

/** A key with Ctrl or Command in the page, as if it were pressed in the window. */
function forward(event: KeyboardEvent): void {
  const { key, code, ctrlKey, metaKey, shiftKey, altKey } = event;
  if (!ctrlKey && !metaKey) return;
  // While words are typed on the page, their field goes back.
  if (elementOf(event.target)?.closest('[contenteditable]')) return;
  document.dispatchEvent(
    new KeyboardEvent('keydown', { key, code, ctrlKey, metaKey, shiftKey, altKey, bubbles: true }),
  );
}

/** What opens and closes something of the page does so here too. */
const OPENING = '[popovertarget], summary';

/**
 * Leads from the page in a frame to decisions by a click: to that of the layer that was stepped out to, or else of
 * what is clicked. No link of the page goes anywhere.
 */
export function usePointing(
  page: Document | undefined,
  editing: boolean,
  layer: RefObject<Element | undefined>,
): void {
  const navigate = useNavigate();
  const store = useStore();
  useEffect(() => {
    if (!page) return;
    const click = (event: Event): void => {
      const target = elementOf(event.target);
      if (!editing && target?.closest(OPENING)) return;
      event.preventDefault();
      if (editing || !target) return;
      const chosen = layer.current?.contains(target) ? layer.current : target;
      const decision = decisionOf(chosen, store.state().shown.derived);
      if (decision !== undefined) void navigate(decisionAddress(decision));
    };
    page.addEventListener('click', click);
    page.addEventListener('keydown', forward);
    return () => {
      page.removeEventListener('click', click);
      page.removeEventListener('keydown', forward);
    };
  }, [page, navigate, editing, store, layer]);
}
