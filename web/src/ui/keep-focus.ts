const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex="-1"])';

const isShown = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** The first or the last control within an element, itself included. */
function controlIn(element: Element, from: 'start' | 'end'): HTMLElement | undefined {
  const all = [element, ...element.querySelectorAll(FOCUSABLE)].filter(
    (one): one is HTMLElement => one instanceof HTMLElement && one.matches(FOCUSABLE),
  );
  return (from === 'start' ? all : all.reverse()).find(isShown);
}

/** Where an element stood: its parents from the nearest outward, and what was beside each. */
type Place = readonly {
  readonly parent: Element;
  readonly next: readonly Element[];
  readonly previous: readonly Element[];
}[];

function placeOf(element: Element): Place {
  const place: { parent: Element; next: Element[]; previous: Element[] }[] = [];
  for (let here = element; here.parentElement; here = here.parentElement) {
    const siblings = [...here.parentElement.children];
    const at = siblings.indexOf(here);
    place.push({
      parent: here.parentElement,
      next: siblings.slice(at + 1),
      previous: siblings.slice(0, at).reverse(),
    });
    if (here.parentElement.matches('main, dialog, body')) break;
  }
  return place;
}

/** The control that comes after what is gone, or before it, or the nearest that is left around it. */
function nearest(place: Place): HTMLElement | undefined {
  for (const { parent, next, previous } of place) {
    for (const one of next) {
      const control = one.isConnected ? controlIn(one, 'start') : undefined;
      if (control) return control;
    }
    for (const one of previous) {
      const control = one.isConnected ? controlIn(one, 'end') : undefined;
      if (control) return control;
    }
    if (parent.isConnected && parent instanceof HTMLElement && parent.matches('[tabindex]'))
      return parent;
  }
  return undefined;
}

/**
 * Where the focused control goes away (an item was removed, a finding was repaired, a chooser was
 * closed), focus goes on to the control beside it, never to the beginning of the page.
 */
export function keepFocus(): () => void {
  let last: { readonly element: Element; readonly place: Place } | undefined;
  const remember = ({ target }: FocusEvent): void => {
    if (target instanceof Element && target !== document.body)
      last = { element: target, place: placeOf(target) };
  };
  const check = (): void => {
    const { activeElement } = document;
    if (!last || last.element.isConnected) return;
    const { place } = last;
    if (activeElement && activeElement !== document.body) return;
    last = undefined;
    nearest(place)?.focus({ preventScroll: true });
  };
  const observer = new MutationObserver(check);
  observer.observe(document.body, { childList: true, subtree: true });
  document.addEventListener('focusin', remember);
  return () => {
    observer.disconnect();
    document.removeEventListener('focusin', remember);
  };
}
