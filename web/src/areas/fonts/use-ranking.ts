import type { FontFamily } from '@garnish/core/fonts/family';
import type { Held, PairingBrief } from '@garnish/core/fonts/pairing';
import { useEffect, useRef, useState } from 'react';
import type { RankAnswer, RankRequest } from './rank-worker.ts';

/** The ranking of all pairs, or of all trios beside what is held, computed in a worker; the last one stays until the next is there. */
export function useRanking(
  families: readonly FontFamily[],
  brief: PairingBrief,
  held: Held,
  trios: boolean,
): RankAnswer | undefined {
  const worker = useRef<Worker>(undefined);
  const ticket = useRef(0);
  const [answer, setAnswer] = useState<RankAnswer>();

  useEffect(() => {
    const own = new Worker(new URL('./rank-worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<RankAnswer>) => {
      if (data.ticket === ticket.current) setAnswer(data);
    };
    worker.current = own;
    return () => own.terminate();
  }, []);

  const { mood, needs, languages, budgetKb } = brief;
  const { heading, text, label } = held;
  useEffect(() => {
    ticket.current += 1;
    const request: RankRequest = {
      ticket: ticket.current,
      families,
      brief: { mood, needs, languages, budgetKb },
      held: { heading, text, label },
      trios,
    };
    worker.current?.postMessage(request);
  }, [families, mood, needs, languages, budgetKb, heading, text, label, trios]);
  return answer;
}
