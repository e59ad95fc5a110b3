import { proposalOrder } from '@garnish/core/fonts/proposals';
import { useState } from 'react';
import type { Candidate, TryList } from '../../system/use-try-list.ts';

interface ProposalsProps {
  readonly candidates: readonly Candidate[];
  /** What the order hangs on: the same faces and brief give the same proposals. */
  readonly seed: string;
  readonly list: TryList;
}

/** One proposal after another, seen in the proof; each can be stepped back to. */
export function Proposals({ candidates, seed, list }: ProposalsProps) {
  const [at, setAt] = useState(-1);
  const order = proposalOrder(candidates.length, seed);
  const go = (to: number): void => {
    const candidate = candidates[order[to] ?? -1];
    setAt(Math.max(-1, to));
    if (candidate) list.show(candidate);
    else list.goBack();
  };
  const current = candidates[order[at] ?? -1];
  return (
    <div
      role="group"
      aria-label="Proposals"
      className="mb-2 flex flex-wrap items-center gap-x-4 border-y border-line py-1"
    >
      <button
        type="button"
        className="act"
        disabled={at + 1 >= order.length}
        onClick={() => go(at + 1)}
      >
        {at < 0 ? 'Propose one' : 'Another'}
      </button>
      {current && (
        <>
          <button
            type="button"
            className="min-h-6 text-quiet hover:text-base-content hover:underline"
            onClick={() => go(at - 1)}
          >
            {at === 0 ? 'Back to what was there' : 'The one before'}
          </button>
          <button type="button" className="act" onClick={() => list.take(current)}>
            Take it
          </button>
          <span className="figures grow text-end text-xs text-quiet" role="status">
            {at + 1} of {order.length}: {current.label}
          </span>
        </>
      )}
    </div>
  );
}
