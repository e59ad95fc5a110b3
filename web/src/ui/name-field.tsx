import { LONGEST_NAME } from '@garnish/core/system/schema-parts';
import { useId } from 'react';
import { DraftProblem } from './draft-problem.tsx';
import { useDraft, type Draft } from './use-draft.ts';

/** A name being written: an empty one is refused. */
export const useNameDraft = (value: string, onChange: (value: string) => void): Draft =>
  useDraft({
    shown: value,
    goesBack: true,
    take(text) {
      const next = text.trim();
      if (next === '') return `A name needs a letter or a sign. It stays “${value}”.`;
      if (next !== value) onChange(next);
      return undefined;
    },
  });

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly hideLabel?: boolean;
}

/** The name of something, with what is wrong with it below. */
export function NameField({ label, value, onChange, hideLabel = false }: NameFieldProps) {
  const id = useId();
  const draft = useNameDraft(value, onChange);
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <input
        {...draft.field}
        id={id}
        maxLength={LONGEST_NAME}
        className="input w-full font-semibold text-ellipsis"
      />
      <DraftProblem draft={draft} />
    </div>
  );
}
