import type { ReactNode } from 'react';

interface OwnProps {
  /** What the value is called; a field inside has the same name. */
  readonly name: string;
  readonly own: boolean;
  /** What it is again when it is cleared. */
  readonly back?: string;
  readonly onClear: () => void;
  readonly children: ReactNode;
}

/** A value that follows from the scale until it is set; what is set says so and can be let go. */
export function Own({ name, own, back = 'automatic', onClear, children }: OwnProps) {
  return (
    <div className="min-w-0">
      <span className="flex h-6 items-center justify-between gap-1 text-xs">
        <span className={own ? 'font-semibold' : 'text-quiet'}>{name}</span>
        {own && (
          <button
            type="button"
            className="min-h-6 text-quiet underline underline-offset-2 hover:text-base-content"
            aria-label={`${name} ${back} again`}
            onClick={onClear}
          >
            {back}
          </button>
        )}
      </span>
      {children}
    </div>
  );
}
