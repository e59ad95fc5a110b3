import { useId, useState, type ComponentProps } from 'react';

const LONGEST = 80;

interface NameDraft {
  /** What the input needs: value, events, and that it was refused. */
  readonly input: ComponentProps<'input'>;
  /** Why the name was refused, to stand beside the field. */
  readonly problem: string | undefined;
}

/** A name being written: taken when the field is left or with Enter; an empty one is refused. */
export function useNameDraft(value: string, onChange: (value: string) => void): NameDraft {
  const [draft, setDraft] = useState<string>();
  const [isRefused, setRefused] = useState(false);
  const take = (): void => {
    if (draft === undefined) return;
    const next = draft.trim();
    setRefused(next === '');
    if (next !== '' && next !== value) onChange(next);
    setDraft(undefined);
  };
  return {
    problem: isRefused ? `A name needs a letter or a sign. It stays “${value}”.` : undefined,
    input: {
      maxLength: LONGEST,
      value: draft ?? value,
      'aria-invalid': isRefused,
      onChange: (event) => setDraft(event.currentTarget.value),
      onBlur: take,
      onKeyDown: (event) => {
        if (event.key === 'Enter') take();
        if (event.key !== 'Escape') return;
        setDraft(undefined);
        setRefused(false);
      },
    },
  };
}

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly hideLabel?: boolean;
}

/** The name of something, with what is wrong with it below. */
export function NameField({ label, value, onChange, hideLabel = false }: NameFieldProps) {
  const id = useId();
  const { input, problem } = useNameDraft(value, onChange);
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <input
        id={id}
        className="input w-full font-semibold text-ellipsis"
        aria-describedby={problem === undefined ? undefined : `${id}-problem`}
        {...input}
      />
      {problem !== undefined && (
        <p id={`${id}-problem`} className="mt-1 text-xs text-error" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
