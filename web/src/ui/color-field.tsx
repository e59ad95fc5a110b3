import { parseColor } from '@garnish/core/color/parse-color';
import type { Hex } from '@garnish/core/color/srgb';
import { useId, useState } from 'react';
import { useGesture } from './gesture.ts';

interface ColorFieldProps {
  readonly label: string;
  readonly value: Hex;
  readonly onChange: (value: Hex, gesture: string) => void;
  readonly hideLabel?: boolean;
}

/** A color: typed as anything CSS accepts, or picked. What cannot be read leaves the last in force. */
export function ColorField({ label, value, onChange, hideLabel = false }: ColorFieldProps) {
  const id = useId();
  const gesture = useGesture();
  const [draft, setDraft] = useState<string>();
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean }>();

  const take = (text: string): void => {
    const read = parseColor(text);
    if (!read.ok) {
      setTold({ words: `${read.problem} ${value} stays in force.`, wrong: true });
      return;
    }
    setDraft(undefined);
    setTold(
      read.mapped
        ? { words: `Beyond sRGB; ${read.hex} is the nearest within it.`, wrong: false }
        : undefined,
    );
    if (read.hex !== value) onChange(read.hex, gesture());
  };

  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <div className="flex items-center gap-2 border-b border-line-strong focus-within:border-primary">
        <input
          type="color"
          className="h-6 w-6 shrink-0 cursor-pointer border border-line-strong"
          aria-label={`${label}, picker`}
          value={value}
          onChange={(event) => take(event.currentTarget.value)}
        />
        <input
          id={id}
          className="figures min-h-7 w-full min-w-0 bg-transparent text-[0.9375rem]"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={told?.wrong ?? false}
          aria-describedby={told ? `${id}-told` : undefined}
          value={draft ?? value}
          onChange={(event) => setDraft(event.currentTarget.value)}
          onBlur={(event) => draft !== undefined && take(event.currentTarget.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') take(event.currentTarget.value);
            if (event.key === 'Escape') {
              setDraft(undefined);
              setTold(undefined);
            }
          }}
        />
      </div>
      {told && (
        <p
          id={`${id}-told`}
          role="alert"
          className={`mt-1 text-xs ${told.wrong ? 'text-error' : 'text-quiet'}`}
        >
          {told.words}
        </p>
      )}
    </div>
  );
}
