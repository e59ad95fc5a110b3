import type { ShownPage } from '@garnish/core/reading/shown-page';
import { wardrobeOf } from '@garnish/core/worn/proposed';
import { useEffect, useRef, useState } from 'react';
import { keepingPages } from '../../api/keeping-pages.ts';
import { useKeptPages } from '../../system/kept-pages.ts';
import { keptPage, showPage } from '../../system/shown-page.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { keptFrom } from './keep-page.ts';

/** Makes a page that was read a page of the proof, where it wears what the system says. */
export function KeepButton({ page }: { readonly page: ShownPage }) {
  const store = useStore();
  const system = useSystem((state) => state.id);
  const { mutate } = useKeptPages(system);
  const [state, setState] = useState<'idle' | 'keeping'>('idle');
  const [problem, setProblem] = useState<string>();
  const off = useRef<AbortController>(undefined);
  useEffect(() => () => off.current?.abort(), []);
  const keep = async (): Promise<void> => {
    const stop = new AbortController();
    off.current = stop;
    setState('keeping');
    setProblem(undefined);
    try {
      const { document, derived } = store.state().shown;
      const kept = await keptFrom(page, wardrobeOf(document, derived), stop.signal);
      if (!kept) {
        if (!stop.signal.aborted) setProblem('This browser lets nobody read such a page.');
        return;
      }
      const id = crypto.randomUUID();
      await keepingPages(system).add(id, kept);
      await mutate();
      showPage(system, keptPage(id));
      announce('the page stands in the proof');
    } catch (reason) {
      setProblem(reason instanceof Error ? reason.message : 'It could not be kept.');
    } finally {
      setState('idle');
    }
  };
  return (
    <>
      <button
        type="button"
        className="act"
        aria-disabled={state === 'keeping'}
        title="It stands in the list of pages over the proof, in the looks of this system. It is kept with the system, and part of no export and no link."
        onClick={() => {
          if (state === 'idle') void keep();
        }}
      >
        {state === 'keeping' ? 'Looking at its things …' : 'Prove the system on it'}
      </button>
      {problem !== undefined && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
    </>
  );
}
