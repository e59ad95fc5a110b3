import type { Difference } from '@garnish/core/releases/difference';
import { kindReasons } from '@garnish/core/releases/numbers';
import type { Mode } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { guestChanges, guestPath } from '../api/links.ts';
import { Dialog } from '../ui/dialog.tsx';
import { Differences } from '../ui/differences.tsx';

const keyOf = (address: string): string => `garnish-guest-seen-${address}`;

/** The change that this browser saw last of what an address opens; nothing where it was never here. */
function seenBefore(address: string): number | undefined {
  try {
    const kept = localStorage.getItem(keyOf(address));
    return kept !== null && /^\d+$/.test(kept) ? Number(kept) : undefined;
  } catch {
    return undefined; // nothing is kept here
  }
}

function keepSeen(address: string, sequence: number): void {
  try {
    localStorage.setItem(keyOf(address), String(sequence));
  } catch {
    // Nothing is kept here: each visit is the first.
  }
}

const countOf = ({ tokens }: Difference): number =>
  tokens.added.length + tokens.removed.length + tokens.renamed.length + tokens.changed.length;

interface SinceProps {
  readonly address: string;
  readonly sequence: number;
  readonly modes: readonly [Mode, ...Mode[]];
}

/** What changed since this browser was here last; nothing on a first visit, and where nothing did. */
export function SinceYouWereHere({ address, sequence, modes }: SinceProps) {
  const [since] = useState(() => seenBefore(address));
  const [isOpen, setOpen] = useState(false);
  useEffect(() => keepSeen(address, sequence), [address, sequence]);
  const { data } = useSWR(
    since === undefined || since >= sequence
      ? null
      : [`${guestPath(address)}/changes?since=${since}`, sequence],
    ([path]) => get(path, guestChanges),
    { keepPreviousData: true },
  );
  const difference = data?.difference;
  if (data?.isKnown === false)
    return <p className="text-quiet">More has changed since you were here than can be told.</p>;
  if (!difference || kindReasons(difference).length === 0) return null;
  const count = countOf(difference);
  return (
    <>
      <button type="button" className="act" onClick={() => setOpen(true)}>
        {count === 0
          ? 'Changed since you were here'
          : `${count} ${count === 1 ? 'change' : 'changes'} since you were here`}
      </button>
      {isOpen && (
        <Dialog title="Since you were here" wide onClose={() => setOpen(false)}>
          <ul aria-label="What changed" className="flex flex-wrap gap-x-4 text-quiet">
            {kindReasons(difference).map(({ what }) => (
              <li key={what}>{what}</li>
            ))}
          </ul>
          <div className="-mx-4 max-h-[70svh] overflow-auto" tabIndex={0}>
            <Differences difference={difference} modes={modes} />
          </div>
          <button type="button" className="btn mt-3" onClick={() => setOpen(false)}>
            Close
          </button>
        </Dialog>
      )}
    </>
  );
}
