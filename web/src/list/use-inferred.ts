import { facesFrom } from '@garnish/core/reading/faces-read';
import { rolesSeen } from '@garnish/core/reading/roles-seen';
import { runningSize, type SeenElement } from '@garnish/core/reading/seen';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import type { FontFamily } from '@garnish/core/fonts/family';
import type { Proposal } from '@garnish/core/reading/proposal';
import { useEffect, useMemo, useRef, useState } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { familyList } from '../api/resources.ts';
import { openSight } from '../proof/reading/look.ts';
import { announce } from '../ui/announce.tsx';
import type { InferAnswer, InferQuestion } from './infer-worker.ts';

/** As wide a page is looked at for what it shows, in px. */
const LOOKED_AT_PX = 1280;
/** And for the size of its running text, beside the screens that its sizes flow between. */
const SCREENS_PX: readonly number[] = [360, 1440];

const NONE: readonly FontFamily[] = [];

/** What a page shows beyond its sheets. */
interface Seen {
  readonly elements: readonly SeenElement[];
  readonly roles: readonly Proposal[];
  readonly running: NonNullable<InferQuestion['running']>;
}

type Found = Extract<InferAnswer, { kind: 'found' }>;

/** The screens on which the size of running text decides something. */
const screensOf = ({ inferred }: Found): readonly number[] => {
  const flow = inferred.proposals.find(({ id }) => id === 'flow');
  const widths = (flow?.patch ?? []).flatMap((one) =>
    'value' in one && typeof one.value === 'number' ? [one.value] : [],
  );
  return widths.length === 2 ? widths : SCREENS_PX;
};

/** No more pages of a site are looked at: the others say the same. */
const MOST_PAGES = 4;

/**
 * Looks at pages where nobody sees them: at each for what it shows, at the first for its running text on other screens.
 */
async function lookAt(
  pages: readonly ShownPage[],
  screens: readonly number[],
  signal: AbortSignal,
): Promise<Seen | undefined> {
  const elements: SeenElement[] = [];
  const running: (readonly [number, number])[] = [];
  for (const [index, page] of pages.slice(0, MOST_PAGES).entries()) {
    const open = await openSight(page, LOOKED_AT_PX, signal);
    if (!open) return undefined;
    try {
      elements.push(...open.sight.map(([, one]) => one));
      for (const px of index === 0 ? screens : []) {
        const sight = await open.at(px);
        const size = sight && runningSize(sight.map(([, one]) => one));
        if (size !== undefined) running.push([px, size]);
      }
    } finally {
      open.close();
    }
  }
  return { elements, roles: rolesSeen(elements), running };
}

/** Reads files beside the window, and looks at the pages among them. */
export function useInferred() {
  const worker = useRef<Worker>(undefined);
  const [answer, setAnswer] = useState<InferAnswer>();
  const [seen, setSeen] = useState<Seen>();
  const [first, setFirst] = useState<{
    readonly pages: readonly ShownPage[];
    readonly screens: readonly number[];
  }>();
  const { data: catalogue = NONE } = useSWR('/api/fonts', (path: string) => get(path, familyList));
  const faces = useMemo(() => (seen ? facesFrom(seen.elements, catalogue) : []), [seen, catalogue]);
  const running = useRef<Seen['running']>([]);
  // What the page shows is looked at once; joined colors change nothing of it.
  useEffect(() => {
    if (!first) return undefined;
    const over = new AbortController();
    lookAt(first.pages, first.screens, over.signal)
      .then((next) => {
        if (!next || over.signal.aborted) return;
        setSeen(next);
        running.current = next.running;
        worker.current?.postMessage({ apart: [], running: next.running } satisfies InferQuestion);
      })
      // What its sheets say is proposed all the same.
      .catch(() => undefined);
    return () => over.abort();
  }, [first]);
  useEffect(() => () => worker.current?.terminate(), []);
  const forget = (): void => {
    worker.current?.terminate();
    running.current = [];
    setSeen(undefined);
    setFirst(undefined);
  };
  const read = (files: readonly File[]): void => {
    forget();
    worker.current = new Worker(new URL('infer-worker.ts', import.meta.url), { type: 'module' });
    worker.current.onmessage = ({ data }: MessageEvent<InferAnswer>) => {
      setAnswer(data);
      if (data.kind !== 'found') return;
      const { pages = [] } = data;
      if (pages.length > 0) setFirst({ pages, screens: screensOf(data) });
      announce('what was found can be chosen');
    };
    worker.current.onerror = () =>
      setAnswer({ kind: 'problem', words: 'It could not be read here.' });
    worker.current.postMessage({ files, apart: [] } satisfies InferQuestion);
  };
  return {
    answer,
    /** What the page shows, once it was looked at; nothing where there is no page. */
    seen,
    /** The first of the pages that were looked at. */
    page: first?.pages[0],
    faces,
    catalogue,
    read,
    /** Joins colors otherwise. */
    keepApart: (apart: readonly string[]): void =>
      worker.current?.postMessage({ apart, running: running.current } satisfies InferQuestion),
    stop: (): void => {
      forget();
      setAnswer(undefined);
    },
  };
}
