import { useId, useState } from 'react';

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly hideLabel?: boolean;
}

/** A name: taken when the field is left or with Enter; an empty one leaves the old. */
export function NameField({ label, value, onChange, hideLabel = false }: NameFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const take = (): void => {
    const next = draft?.trim();
    if (next && next !== value) onChange(next);
    setDraft(undefined);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <input
        id={id}
        className="input w-full font-semibold text-ellipsis"
        maxLength={80}
        value={draft ?? value}
        onChange={(event) => setDraft(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          if (event.key === 'Escape') setDraft(undefined);
        }}
      />
    </div>
  );
}
