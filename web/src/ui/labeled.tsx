import { useId, type ReactNode } from 'react';

/** How a control of a form stands under its label: on a line, as wide as there is room. */
export const ON_A_LINE = 'min-h-7 w-full border-b border-line-strong bg-transparent';

interface LabeledProps {
  readonly label: string;
  /** The control, by the id that its label names. */
  readonly children: (id: string) => ReactNode;
  readonly className?: string;
}

/** A control under what it is called. */
export function Labeled({ label, children, className = 'mb-3' }: LabeledProps) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      {children(id)}
    </div>
  );
}
