import { valueAt } from '@garnish/core/system/patch';
import { useEffect } from 'react';
import { useStore } from '../system/system-context.ts';

const LABEL_LENGTH = 60;

/** The element of the site's words that an event is about; the frame has a realm of its own. */
const wordsOf = (target: EventTarget | null): HTMLElement | undefined =>
  (target as Partial<Element> | null)?.closest?.<HTMLElement>('[data-content]') ?? undefined;

/** Takes in what is written in a page or a part of one: when the words are left or with Enter; Escape goes back. */
export function useWriting(page: Document | HTMLElement | undefined, editing: boolean): void {
  const store = useStore();
  useEffect(() => {
    if (!page || !editing) return;
    const stored = (path: string): string => {
      const words = valueAt(store.state().decided.document, path);
      return typeof words === 'string' ? words : '';
    };
    const take = (event: Event): void => {
      const element = wordsOf(event.target);
      const path = element?.dataset['content'];
      if (!element || path === undefined) return;
      const before = stored(path);
      const words = element.textContent.replaceAll(/\s+/g, ' ').trim();
      const taken =
        words === before ||
        store.change(
          [{ op: 'replace', path, value: words }],
          `words: ${words || 'none'}`.slice(0, LABEL_LENGTH),
        );
      if (!taken) element.textContent = before;
    };
    const press = (event: Event): void => {
      if (!('key' in event)) return;
      const element = wordsOf(event.target);
      const path = element?.dataset['content'];
      if (!element || path === undefined) return;
      if (event.key === 'Escape') element.textContent = stored(path);
      if (event.key !== 'Enter' && event.key !== 'Escape') return;
      event.preventDefault();
      element.blur();
    };
    page.addEventListener('focusout', take);
    page.addEventListener('keydown', press);
    return () => {
      page.removeEventListener('focusout', take);
      page.removeEventListener('keydown', press);
    };
  }, [page, editing, store]);
}
