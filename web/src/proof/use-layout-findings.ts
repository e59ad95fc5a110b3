import type { Finding } from '@garnish/core/checks/finding';
import { useEffect } from 'react';
import { shownPageOf } from '../system/shown-page.ts';
import { useStore } from '../system/system-context.ts';
import type { View } from '../system/views.ts';
import { closeHiddenPage } from './hidden-page.ts';
import type { Judge } from './judge-pictures.ts';
import type { Measurer } from './measuring.ts';

/** So long nothing has to have changed before the page is measured, in ms. */
const SETTLE_MS = 600;
/** So long an area has that has just been opened, before what measures is fetched. */
const OPENING_MS = 2500;
/** So much later the pages that nobody looks at are measured, in ms. */
const OTHERS_MS = 5000;

/**
 * Measures the page as it is laid out, whenever its lengths or its words have changed and come to rest: at
 * the narrowest screen, at each breakpoint and at a wide one, in a frame that nobody sees. What is found
 * joins the other findings.
 */
export function useLayoutFindings(): void {
  const store = useStore();
  useEffect(() => {
    let measuring: Measurer | undefined;
    let judge: Judge | undefined;
    let callOff = (): void => undefined;
    let seen: View | undefined;
    let found: readonly Finding[] = [];
    const measure = async (decided: View, isCalledOff: () => boolean): Promise<void> => {
      // What measures is fetched when there is something to measure: nobody waits for it.
      const [{ judged, measurer }, { createJudge }, { checkPictures }] = await Promise.all([
        import('./measuring.ts'),
        import('./judge-pictures.ts'),
        import('@garnish/core/checks/measured-pictures'),
      ]);
      const own = (measuring ??= measurer());
      const look = async (only?: string): Promise<readonly Finding[] | undefined> =>
        judged(await own.pagesOf(decided, isCalledOff, only), decided, isCalledOff);
      // The page that is looked at comes first; of the others stands what was found last.
      const shown = shownPageOf(store.state().id, decided.document);
      const here = await look(shown);
      if (!here) return;
      const told = new Set(here.map(({ id }) => id));
      const others = found.filter(({ id, where }) => where.page !== shown && !told.has(id));
      store.found('layout', [...here, ...others]);
      const [{ measureAttention }, { measurePresence }] = await Promise.all([
        import('./measure-attention.ts'),
        import('./measure-presence.ts'),
      ]);
      const colors = await measurePresence(decided, shown, isCalledOff);
      if (colors) store.found('colors', colors);
      const attention = await measureAttention(decided, isCalledOff);
      if (attention) store.found('attention', attention);
      const pictures = await (judge ??= createJudge()).judged(decided, isCalledOff);
      if (pictures) store.found('pictures', checkPictures(pictures, decided.document));
      await new Promise((resolve) => setTimeout(resolve, OTHERS_MS));
      const all = isCalledOff() ? undefined : await look();
      if (!all) return;
      found = all;
      store.found('layout', all);
      const fits = await judged(await own.stressed(decided, isCalledOff), decided, isCalledOff);
      if (!fits) return;
      store.found('fits', fits);
      if (!isCalledOff()) store.measuredAll(decided.document);
    };
    const follow = (): void => {
      const { decided } = store.state();
      if (decided === seen) return;
      seen = decided;
      callOff();
      let isOff = false;
      const timer = setTimeout(
        // Where the server does not send it, the next change asks again.
        () => void measure(decided, () => isOff).catch(() => undefined),
        measuring ? SETTLE_MS : OPENING_MS,
      );
      callOff = () => {
        isOff = true;
        clearTimeout(timer);
      };
    };
    follow();
    const unsubscribe = store.subscribe(follow);
    return () => {
      unsubscribe();
      callOff();
      judge?.close();
      closeHiddenPage();
    };
  }, [store]);
}
