import { readNumber, type KindReason } from '@garnish/core/releases/numbers';
import { MOST_RELEASE_WORDS } from '@garnish/core/releases/schema';
import { useId, useState } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import { get, send } from '../../api/client.ts';
import { releaseList, releaseProposal, releaseRecord, releasesPath } from '../../api/releases.ts';
import { useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { Labeled, ON_A_LINE } from '../../ui/labeled.tsx';
import { Section } from '../../ui/bench.tsx';
import { WhatChanged } from './what-changed.tsx';

const SAYS: Readonly<Record<KindReason['kind'], string>> = {
  major: 'what others have built has to be changed',
  minor: 'what others have built stays right, and there is more',
  patch: 'what others have built stays right, and looks otherwise',
};

/** Why the number is what it is: what changed most, and what else. */
function Reasons({ reasons }: { readonly reasons: readonly KindReason[] }) {
  const [first] = reasons;
  if (!first) return null;
  return (
    <div className="mb-3">
      <p>
        <span className="font-semibold">{first.kind}</span>: {SAYS[first.kind]}
      </p>
      <ul aria-label="Why this number" className="text-quiet">
        {reasons.map(({ kind, what }) => (
          <li key={what}>
            {what} <span className="text-xs">{kind}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface FormProps {
  readonly last: string | undefined;
  readonly proposed: string;
  readonly reasons: readonly KindReason[];
  readonly onMade: (number: string) => void;
}

/** A number, a few words, and the release is made. */
function ReleaseForm({ last, proposed, reasons, onMade }: FormProps) {
  const system = useSystem((state) => state.id);
  const sequence = useSystem((state) => state.sequence);
  const [own, setOwn] = useState<string>();
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const [isMaking, setMaking] = useState(false);
  const problemId = useId();
  const number = own ?? proposed;
  const isNumber = readNumber(number.trim()) !== undefined;
  const make = async (): Promise<void> => {
    setMaking(true);
    setProblem(undefined);
    try {
      const made = releaseRecord.parse(
        await send('POST', releasesPath(system), { number: number.trim(), words, base: sequence }),
      );
      setOwn(undefined);
      setWords('');
      announce(`Released ${made.number} with ${made.files.length} files`);
      onMade(made.number);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be released.');
    } finally {
      setMaking(false);
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (isNumber && !isMaking) void make();
      }}
    >
      <Reasons reasons={reasons} />
      <div className="flex flex-wrap items-start gap-x-6">
        <Labeled label="number">
          {(id) => (
            <input
              id={id}
              className="figures w-28 border-b border-line-strong bg-transparent text-xl leading-8"
              value={number}
              autoComplete="off"
              spellCheck={false}
              aria-invalid={!isNumber || undefined}
              aria-describedby={problemId}
              onChange={({ target }) => setOwn(target.value)}
            />
          )}
        </Labeled>
        <Labeled label="what it brings, in words" className="mb-3 min-w-0 grow basis-64">
          {(id) => (
            <textarea
              id={id}
              className={`block ${ON_A_LINE}`}
              rows={2}
              maxLength={MOST_RELEASE_WORDS}
              value={words}
              onChange={({ target }) => setWords(target.value)}
            />
          )}
        </Labeled>
      </div>
      <p id={problemId} role={problem === undefined ? undefined : 'alert'} className="text-error">
        {problem ??
          (isNumber ? '' : 'A number is three whole numbers with points between, such as 1.4.2.')}
      </p>
      <button
        type="submit"
        className="btn btn-primary"
        disabled={!isNumber || isMaking}
        aria-busy={isMaking}
      >
        {isMaking ? 'Writing all files …' : `Release ${number.trim()}`}
      </button>
      <p className="mt-1 text-xs text-quiet">
        {last === undefined
          ? 'Every file is kept as it is now, byte for byte, at an address that stays.'
          : `After ${last}. Every file is kept as it is now; a release is never altered.`}
      </p>
    </form>
  );
}

/** What changed since the last release, and the number that the next one should have. */
export function NextRelease() {
  const system = useSystem((state) => state.id);
  const sequence = useSystem((state) => state.sequence);
  const isSaved = useSystem((state) => state.saving === 'saved');
  const path = releasesPath(system);
  const { mutate } = useSWRConfig();
  const all = useSWR(path, (address: string) => get(address, releaseList));
  const last = all.data?.releases[0];
  const proposal = useSWR(
    isSaved && all.data ? [`${path}/next`, sequence, last?.number] : null,
    ([address]) => get(address, releaseProposal),
    { keepPreviousData: true },
  );
  const [made, setMade] = useState<string>();
  const error: unknown = all.error ?? proposal.error;
  const failed = error instanceof Error ? error.message : undefined;
  const isFresh =
    made !== undefined && made === last?.number && proposal.data?.number === undefined;
  return (
    <>
      <Section
        full
        title="Next release"
        aside={last ? `after ${last.number}` : 'nothing was released yet'}
      >
        {failed !== undefined && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        {failed === undefined && !proposal.data && (
          <p className="text-quiet">
            {isSaved ? 'Looking at what changed …' : 'Waiting until everything is saved …'}
          </p>
        )}
        {proposal.data?.number === undefined && proposal.data && last && (
          <p>
            {isFresh && `${last.number} was made, with ${last.files.length} files. `}
            Nothing changed since {last.number}.
          </p>
        )}
        {proposal.data?.number !== undefined && (
          <ReleaseForm
            last={last?.number}
            proposed={proposal.data.number}
            reasons={proposal.data.reasons}
            onMade={(number) => {
              setMade(number);
              void mutate(path);
            }}
          />
        )}
      </Section>
      {last && proposal.data?.number !== undefined && isSaved && (
        <WhatChanged system={system} from={last.number} to="now" sequence={sequence} />
      )}
    </>
  );
}
