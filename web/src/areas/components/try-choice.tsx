import { useTryList } from '../../system/use-try-list.ts';

interface TryChoiceProps {
  readonly label: string;
  /** What is changed, in words. */
  readonly says: string;
  readonly values: readonly string[];
  readonly value: string;
  readonly path: string;
}

/**
 * One of a few, as words in a row: pointing at one or reaching it by key tries it everywhere at once, a click or
 * Enter takes it, leaving it goes back.
 */
export function TryChoice({ label, says, values, value, path }: TryChoiceProps) {
  const candidates = values.map((one) => ({
    id: one,
    label: `${says} ${one}`,
    patch: () => (one === value ? undefined : [{ op: 'replace' as const, path, value: one }]),
  }));
  const list = useTryList(candidates, value);
  return (
    <div
      role="group"
      aria-label={label}
      className="flex flex-wrap gap-x-3"
      onMouseLeave={list.goBack}
    >
      {candidates.map((candidate) => (
        <button
          key={candidate.id}
          type="button"
          aria-pressed={candidate.id === value}
          className="min-h-6 min-w-6 text-quiet hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content aria-pressed:underline aria-pressed:underline-offset-4"
          onMouseEnter={() => list.point(candidate)}
          onFocus={() => list.show(candidate)}
          onBlur={list.goBack}
          onClick={() => list.take(candidate)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') list.goBack();
          }}
        >
          {candidate.id}
        </button>
      ))}
    </div>
  );
}
