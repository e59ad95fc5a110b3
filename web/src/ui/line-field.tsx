import { useDraft } from './use-draft.ts';

interface LineFieldProps {
  readonly placeholder: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Its name, where no label stands around it. */
  readonly label?: string;
  readonly className?: string;
  readonly longest?: number;
}

/** A line of words, taken with Enter or when the field is left. */
export function LineField(props: LineFieldProps) {
  const { placeholder, value, onChange, label, className = 'input w-full', longest = 200 } = props;
  const { field } = useDraft({
    shown: value,
    take(text) {
      if (text !== value) onChange(text);
      return undefined;
    },
  });
  return (
    <input
      {...field}
      className={className}
      aria-label={label}
      maxLength={longest}
      placeholder={placeholder}
    />
  );
}
