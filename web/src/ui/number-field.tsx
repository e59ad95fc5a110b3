import { useId, useState, type KeyboardEvent } from 'react';
import { useGesture } from './gesture.ts';
import { readQuantity, unitsOf, type Units } from './quantity.ts';

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number, gesture: string) => void;
  readonly min: number;
  readonly max: number;
  /** What an arrow key adds; ten times with Shift, a tenth with Alt. */
  readonly step: number;
  readonly decimals?: number;
  readonly unit?: string;
  readonly units?: Units;
  readonly slider?: boolean;
  readonly hideLabel?: boolean;
  readonly note?: string;
  /** Why a number that is in range would not do, in words. */
  readonly check?: (value: number) => string | undefined;
}

/**
 * A number on a rule: typed, with units and arithmetic, moved by the arrow keys, or dragged on its
 * slider. While what is typed cannot be read, the last value stays in force and the field says why.
 */
export function NumberField(props: NumberFieldProps) {
  const { label, value, onChange, min, max, step, unit = '', units = {}, note, check } = props;
  const { decimals = 3, slider = false, hideLabel = false } = props;
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const gesture = useGesture();
  const rounded = (number: number): number => Number(number.toFixed(decimals));
  const held = (number: number): number => rounded(Math.min(max, Math.max(min, number)));

  const take = (text: string): void => {
    const read = readQuantity(text, unitsOf(unit, units));
    const told = !read.ok
      ? read.problem
      : read.value < min || read.value > max
        ? `Between ${min} and ${max} ${unit}`.trim() + '.'
        : check?.(rounded(read.value));
    setProblem(told);
    if (told === undefined && read.ok) {
      setDraft(undefined);
      const next = rounded(read.value);
      if (next !== rounded(value)) onChange(next, gesture());
    }
  };

  /** Takes a number that was reached without typing, where nothing speaks against it. */
  const offer = (number: number): void => {
    const next = held(number);
    const told = check?.(next);
    setDraft(undefined);
    setProblem(told);
    if (told === undefined) onChange(next, gesture());
  };

  const press = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') take(event.currentTarget.value);
    if (event.key === 'Escape') {
      setDraft(undefined);
      setProblem(undefined);
    }
    const sign = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (sign === 0) return;
    event.preventDefault();
    const size = event.shiftKey ? step * 10 : event.altKey ? step / 10 : step;
    offer(value + sign * size);
  };

  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <div className="flex items-baseline gap-1.5 border-b border-line-strong focus-within:border-primary">
        <input
          id={id}
          className="figures min-h-7 w-full min-w-0 bg-transparent text-end text-[0.9375rem] focus-visible:outline-offset-0"
          inputMode="decimal"
          autoComplete="off"
          role="spinbutton"
          aria-valuenow={rounded(value)}
          aria-valuemin={min}
          aria-valuemax={max}
          aria-valuetext={`${rounded(value)} ${unit}`.trim()}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : `${id}-problem`}
          value={draft ?? String(rounded(value))}
          onChange={(event) => setDraft(event.currentTarget.value)}
          onBlur={(event) => draft !== undefined && take(event.currentTarget.value)}
          onFocus={(event) => event.currentTarget.select()}
          onKeyDown={press}
        />
        {unit !== '' && <span className="text-xs text-quiet">{unit}</span>}
      </div>
      {slider && (
        <input
          type="range"
          className="range"
          aria-label={`${label}, slider`}
          min={min}
          max={max}
          step={step}
          value={value}
          onChange={(event) => offer(event.currentTarget.valueAsNumber)}
        />
      )}
      {problem !== undefined && (
        <p id={`${id}-problem`} className="mt-1 text-xs text-error" role="alert">
          {problem} {rounded(value)} {unit} stays in force.
        </p>
      )}
      {note !== undefined && problem === undefined && (
        <p className="mt-1 text-xs text-quiet">{note}</p>
      )}
    </div>
  );
}
