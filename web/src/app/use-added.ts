import { useEffect } from 'react';
import { useStore } from '../system/system-context.ts';
import { announce } from '../ui/announce.tsx';
import { bringIntoView } from '../ui/bring-into-view.ts';

/** The place of an item that a change adds to a collection; undefined for any other change. */
const addedPlace = /^(.*\/items\/[^/]+)$/;

const CONTROL = 'input:not([type="range"]), select, textarea, button';

/** What is added by hand is brought into view and focused, and said to be there. */
export function useAdded(): void {
  const store = useStore();
  useEffect(
    () =>
      store.onChange(({ patch, label, kind }) => {
        if (kind !== 'change') return;
        const place = patch
          .filter(({ op, path }) => op === 'add' && addedPlace.test(path))
          .map(({ path }) => path)
          .sort((one, other) => one.length - other.length)[0];
        if (place === undefined) return;
        // The item is there after the next drawing.
        setTimeout(() => {
          const item = document.querySelector<HTMLElement>(
            `main [data-decision="${CSS.escape(place)}"]`,
          );
          if (!item) return;
          announce(`added: ${label}`);
          bringIntoView(item, 'nearest');
          const control = item.matches(CONTROL) ? item : item.querySelector<HTMLElement>(CONTROL);
          control?.focus({ preventScroll: true });
        });
      }),
    [store],
  );
}
