import type { KeyboardEvent } from 'react';
import { WORD } from '../ui/choice.tsx';
import { useTrying } from './use-trying.ts';

interface TryChoiceProps<Value extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly name: string }[];
  /** None is chosen where absent. */
  readonly value: Value | undefined;
  /** Decides it. */
  readonly onChange: (value: Value) => void;
}

/** Moves the focus along a row of buttons. */
function step(event: KeyboardEvent<HTMLElement>): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (by === undefined) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('button:not(:disabled)')];
  const at = all.findIndex((one) => one === event.target);
  if (at < 0) return;
  event.preventDefault();
  all[Math.min(all.length - 1, Math.max(0, at + by))]?.focus();
}

/** One of a few as a decision, as words in a row: pointing at one or reaching it by key tries it everywhere at once. */
export function TryChoice<Value extends string>(props: TryChoiceProps<Value>) {
  const { label, options, value, onChange } = props;
  const { point, show, take, goBack } = useTrying();
  const choose = (option: Value) => (): void => {
    if (option !== value) onChange(option);
  };
  return (
    <div
      role="group"
      aria-label={label}
      className="flex flex-wrap gap-x-3"
      onPointerLeave={() => goBack()}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && goBack()) event.stopPropagation();
        step(event);
      }}
    >
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          aria-pressed={option.value === value}
          className={WORD}
          onPointerEnter={() => point(choose(option.value))}
          onFocus={() => show(choose(option.value))}
          onBlur={() => goBack()}
          onClick={() => take(choose(option.value))}
        >
          {option.name}
        </button>
      ))}
    </div>
  );
}
