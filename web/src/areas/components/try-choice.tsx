import { WORD } from '../../ui/choice.tsx';
import { useTryList } from '../../system/use-try-list.ts';

interface TryChoiceProps {
  readonly label: string;
  /** What is changed, in words. */
  readonly says: string;
  readonly options: readonly { readonly value: string; readonly name: string }[];
  readonly value: string;
  readonly path: string;
  /** Whether it may be left open: it is added where it does not stand yet. */
  readonly isOpen?: boolean;
}

/**
 * One of a few, as words in a row: pointing at one or reaching it by key tries it everywhere at once, a click or
 * Enter takes it, leaving it goes back.
 */
export function TryChoice({ label, says, options, value, path, isOpen = false }: TryChoiceProps) {
  const candidates = options.map(({ value: one, name }) => ({
    id: one,
    name,
    label: `${says} ${name}`,
    patch: () =>
      one === value
        ? undefined
        : [{ op: isOpen ? ('add' as const) : ('replace' as const), path, value: one }],
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
          className={WORD}
          onMouseEnter={() => list.point(candidate)}
          onFocus={() => list.show(candidate)}
          onBlur={list.goBack}
          onClick={() => list.take(candidate)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') list.goBack();
          }}
        >
          {candidate.name}
        </button>
      ))}
    </div>
  );
}
