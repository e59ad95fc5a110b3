import { useId, useState } from 'react';
import { readQuantity, PX_UNITS } from '../../ui/quantity.ts';

interface KnownFieldProps {
  readonly label: string;
  /** What is known; nothing where it is computed. */
  readonly known: number | undefined;
  /** What it comes out as. */
  readonly computed: string;
  /** Why a number would not do. */
  readonly check: (value: number | undefined) => string | undefined;
  readonly onChange: (value: number | undefined) => void;
}

/** A number that may be left open: what is computed instead stands in it quietly. */
export function KnownField({ label, known, computed, check, onChange }: KnownFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const take = (text: string): void => {
    const read = text.trim() === '' ? undefined : readQuantity(text, PX_UNITS);
    const told =
      read && !read.ok ? read.problem : check(read?.ok ? Number(read.value.toFixed(4)) : undefined);
    setProblem(told);
    if (told !== undefined) return;
    setDraft(undefined);
    const next = read?.ok ? Number(read.value.toFixed(4)) : undefined;
    if (next !== known) onChange(next);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="sr-only">
        {label}
      </label>
      <input
        id={id}
        className={`figures min-h-7 w-full min-w-0 border-b bg-transparent text-end text-[0.9375rem] placeholder:text-quiet placeholder:italic ${known === undefined ? 'border-line' : 'border-line-strong'}`}
        inputMode="decimal"
        autoComplete="off"
        placeholder={computed}
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : `${id}-problem`}
        value={draft ?? (known === undefined ? '' : String(known))}
        onChange={(event) => setDraft(event.currentTarget.value)}
        onFocus={(event) => event.currentTarget.select()}
        onBlur={(event) => draft !== undefined && take(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take(event.currentTarget.value);
          if (event.key === 'Escape') {
            setDraft(undefined);
            setProblem(undefined);
          }
        }}
      />
      {problem !== undefined && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-xs text-error">
          {problem} {known === undefined ? computed : known} stays in force.
        </p>
      )}
    </div>
  );
}
