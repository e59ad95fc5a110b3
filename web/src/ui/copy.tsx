import { useEffect, useRef, useState, type ReactNode } from 'react';
import { announce } from './announce.tsx';

interface CopyProps {
  /** What goes to the clipboard. */
  readonly text: string;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label?: string;
}

const SAID_MS = 1200;

/** A value that is copied by a click, and says so. */
export function Copy({ text, children, className = '', label }: CopyProps) {
  const [said, setSaid] = useState<'copied' | 'not allowed'>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const copy = (): void => {
    navigator.clipboard
      .writeText(text)
      .then(() => {
        setSaid('copied');
        announce(`copied ${text}`);
      })
      .catch(() => {
        setSaid('not allowed');
        announce('copying is not allowed');
      })
      .finally(() => {
        clearTimeout(timer.current);
        timer.current = setTimeout(() => setSaid(undefined), SAID_MS);
      });
  };
  return (
    <button
      type="button"
      className={`relative min-h-6 min-w-6 text-start hover:underline hover:underline-offset-2 ${className}`}
      onClick={copy}
      title={`Copy ${text}`}
      {...(label !== undefined && { 'aria-label': label })}
    >
      {children}
      {said !== undefined && (
        <span
          aria-hidden
          className="absolute end-0 top-0 bg-base-content px-1 font-sans text-xs text-base-100"
        >
          {said}
        </span>
      )}
    </button>
  );
}
