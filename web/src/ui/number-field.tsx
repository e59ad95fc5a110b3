import { useId, type KeyboardEvent } from 'react';
import { DraftProblem } from './draft-problem.tsx';
import { useGesture } from './gesture.ts';
import { readQuantity, unitsOf, type Units } from './quantity.ts';
import { useDraft } from './use-draft.ts';

interface NumberFieldLook {
  readonly label: string;
  readonly value: number;
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
}

export type NumberFieldProps = NumberFieldLook &
  (
    | {
        readonly onChange: (value: number, gesture: string) => void;
        readonly decide?: undefined;
      }
    | {
        readonly onChange?: undefined;
        /** Takes a number that is in range, and answers why it would not do, in words. */
        readonly decide: (value: number, gesture: string) => string | undefined;
      }
  );

/**
 * A number on a rule: typed, with units and arithmetic, moved by the arrow keys, or dragged on its
 * slider. While what is typed cannot be read, the last value stays in force and the field says why.
 */
export function NumberField(props: NumberFieldProps) {
  const { label, value, onChange, decide, min, max, step, unit = '', units = {}, note } = props;
  const { decimals = 3, slider = false, hideLabel = false } = props;
  const id = useId();
  const gesture = useGesture();
  const rounded = (number: number): number => Number(number.toFixed(decimals));
  const said = `${rounded(value)} ${unit}`.trim();

  const change = (number: number): string | undefined => {
    if (number === rounded(value)) return undefined;
    if (decide) return decide(number, gesture());
    onChange(number, gesture());
    return undefined;
  };
  const draft = useDraft({
    shown: String(rounded(value)),
    take(text) {
      const read = readQuantity(text, unitsOf(unit, units));
      if (!read.ok) return read.problem;
      if (read.value < min || read.value > max)
        return `Between ${rounded(min)} and ${rounded(max)} ${unit}`.trim() + '.';
      return change(rounded(read.value));
    },
  });
  /** Takes a number that was reached without typing. */
  const offer = (number: number): void =>
    draft.settle(change(rounded(Math.min(max, Math.max(min, number)))));

  const press = (event: KeyboardEvent<HTMLInputElement>): void => {
    draft.field.onKeyDown(event);
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
          {...draft.field}
          id={id}
          className="figures min-h-7 w-full min-w-0 bg-transparent text-end text-[0.9375rem] focus-visible:outline-offset-0"
          inputMode="decimal"
          autoComplete="off"
          role="spinbutton"
          aria-valuenow={rounded(value)}
          aria-valuemin={min}
          aria-valuemax={max}
          aria-valuetext={said}
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
      <DraftProblem draft={draft} stays={said} />
      {note !== undefined && draft.problem === undefined && (
        <p className="mt-1 text-xs text-quiet">{note}</p>
      )}
    </div>
  );
}
