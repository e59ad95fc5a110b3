import { LONGEST_WORDS } from '@garnish/core/system/schema-parts';
import { useId } from 'react';
import { useDraft } from './use-draft.ts';

interface WordsFieldProps {
  readonly label: string;
  readonly hint?: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A few sentences, taken when the field is left. */
export function WordsField({ label, hint, value, onChange }: WordsFieldProps) {
  const id = useId();
  const { field } = useDraft({
    shown: value,
    long: true,
    take(text) {
      if (text !== value) onChange(text);
      return undefined;
    },
  });
  return (
    <div className="mb-3">
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      <textarea
        {...field}
        id={id}
        className="block w-full border-b border-line-strong bg-transparent"
        rows={2}
        maxLength={LONGEST_WORDS}
        placeholder={hint}
      />
    </div>
  );
}
