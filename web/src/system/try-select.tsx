import type { ReactNode, SyntheticEvent } from 'react';
import { useTrying } from './use-trying.ts';

/** What the handler of a choice is told. */
interface Chosen {
  readonly currentTarget: { readonly value: string };
}

interface TrySelectProps {
  readonly value: string | number;
  /** Decides it. */
  readonly onChange: (event: Chosen) => void;
  readonly children: ReactNode;
  readonly className?: string;
  readonly id?: string;
  readonly disabled?: boolean | undefined;
  readonly 'aria-label'?: string;
  readonly 'data-decision'?: string;
}

/**
 * A list of options as a decision: while it is open, what is pointed at or reached by key is tried everywhere at once.
 * Where a browser draws the open list itself, options are taken without being tried.
 */
export function TrySelect({ value, onChange, children, className = '', ...rest }: TrySelectProps) {
  const { point, show, take, goBack } = useTrying();
  /** What the option under an event would decide; nothing where it is what is chosen, or cannot be. */
  const optionAt = ({ target }: SyntheticEvent): HTMLOptionElement | undefined =>
    target instanceof HTMLOptionElement && !target.disabled ? target : undefined;
  const choosing =
    ({ value: wanted }: HTMLOptionElement) =>
    (): void => {
      if (wanted !== String(value)) onChange({ currentTarget: { value: wanted } });
    };
  return (
    <select
      {...rest}
      className={`${className} trying`}
      value={value}
      onChange={({ currentTarget }) => take(() => onChange({ currentTarget }))}
      onPointerOver={(event) => {
        const option = optionAt(event);
        if (option) point(choosing(option));
        else goBack();
      }}
      onPointerLeave={() => goBack()}
      onFocus={(event) => {
        const option = optionAt(event);
        if (option) show(choosing(option));
        else goBack();
      }}
      onBlur={() => goBack()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') goBack();
      }}
    >
      {children}
    </select>
  );
}
