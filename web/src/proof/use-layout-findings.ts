import { checkPages } from '@garnish/core/checks/page/page-checks';
import type { MeasuredPage } from '@garnish/core/checks/page/measured-page';
import { REFLOW_PX } from '@garnish/core/checks/page/reflow';
import { inOrder } from '@garnish/core/system/document';
import { useEffect, useSyncExternalStore } from 'react';
import { useStore, useSystem } from '../system/system-context.ts';
import { openHiddenPage, type HiddenPage } from './hidden-page.ts';
import { breathe, measureLayout } from './measure-layout.ts';

/** So long nothing has to have changed before the page is measured, in ms. */
const SETTLE_MS = 600;
const WIDE_PX = 1440;

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
const tell = (measured: LastMeasured): void => {
  last = measured;
  listeners.forEach((listener) => listener());
};
export const useLastMeasured = (): LastMeasured | undefined =>
  useSyncExternalStore(subscribe, () => last);

/**
 * Measures the page as it is laid out, whenever the system has changed and come to rest: at the
 * narrowest screen, at each breakpoint and at a wide one, in a frame that nobody sees. What is found
 * joins the other findings.
 */
export function useLayoutFindings(): void {
  const store = useStore();
  const { decided } = useSystem();
  useEffect(() => {
    let isOff = false;
    const measure = async (): Promise<void> => {
      const page = await openHiddenPage(decided);
      if (!page) return;
      try {
        await measureIn(page);
      } finally {
        page.remove();
      }
    };
    const measureIn = async (page: HiddenPage): Promise<void> => {
      const widths = [
        ...new Set([
          REFLOW_PX,
          ...inOrder(decided.document.layout.breakpoints).map(([, { width }]) => width),
          WIDE_PX,
        ]),
      ].sort((one, other) => one - other);
      const pages: MeasuredPage[] = [];
      let ms = 0;
      for (const width of widths) {
        await page.resize(width);
        const started = performance.now();
        const measured = await measureLayout(page.document, () => isOff);
        if (!measured) return;
        ms += performance.now() - started;
        pages.push(measured);
      }
      const checks = checkPages(pages, decided.document, decided.derived);
      let step = checks.next();
      while (!step.done) {
        await breathe();
        if (isOff) return;
        step = checks.next();
      }
      store.found('layout', step.value);
      tell({ elements: pages.at(-1)?.boxes.length ?? 0, widths, ms });
    };
    const timer = setTimeout(() => void measure(), SETTLE_MS);
    return () => {
      isOff = true;
      clearTimeout(timer);
    };
  }, [store, decided]);
}
