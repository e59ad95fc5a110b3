import { useId } from 'react';
import { DraftProblem } from '../../ui/draft-problem.tsx';
import { readQuantity, PX_UNITS } from '../../ui/quantity.ts';
import { useDraft } from '../../ui/use-draft.ts';

interface KnownFieldProps {
  readonly label: string;
  /** What is known; nothing where it is computed. */
  readonly known: number | undefined;
  /** What it comes out as. */
  readonly computed: string;
  /** Takes a number, or nothing, and answers why it would not do. */
  readonly decide: (value: number | undefined) => string | undefined;
}

/** A number that may be left open: what is computed instead stands in it quietly. */
export function KnownField({ label, known, computed, decide }: KnownFieldProps) {
  const id = useId();
  const shown = known === undefined ? '' : String(known);
  const draft = useDraft({
    shown,
    take(text) {
      const read = text.trim() === '' ? undefined : readQuantity(text, PX_UNITS);
      if (read && !read.ok) return read.problem;
      const next = read && Number(read.value.toFixed(4));
      return next === known ? undefined : decide(next);
    },
  });
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="sr-only">
        {label}
      </label>
      <input
        {...draft.field}
        id={id}
        className={`figures min-h-7 w-full min-w-0 border-b bg-transparent text-end text-[0.9375rem] placeholder:text-quiet placeholder:italic ${known === undefined ? 'border-line' : 'border-line-strong'}`}
        inputMode="decimal"
        autoComplete="off"
        placeholder={computed}
        onFocus={(event) => event.currentTarget.select()}
      />
      <DraftProblem draft={draft} stays={known === undefined ? computed : shown} />
    </div>
  );
}
