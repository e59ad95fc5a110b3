import { useState, type MouseEvent, type ReactNode } from 'react';
import { announce } from './announce.tsx';

/** So many lines are shown; all are copied. */
const MOST_SHOWN = 400;

interface LinesProps {
  /** The same list as long as the text is the same. */
  readonly lines: readonly string[];
  /** What is copied of some of them. */
  readonly textOf?: (from: number, to: number) => string;
  readonly label: string;
  readonly className?: string;
  /** What else can be done with it. */
  readonly children?: ReactNode;
}

/** Text that is copied: all of it, or the lines that are chosen. */
export function Lines({ lines, textOf, label, className = 'max-h-56', children }: LinesProps) {
  const [said, setSaid] = useState<{ readonly of: readonly string[]; readonly words: string }>();
  /** The lines that are meant, from one to another; all where none is. */
  const [stretch, setStretch] = useState<{
    readonly of: readonly string[];
    readonly from: number;
    readonly to: number;
  }>();
  const some = stretch?.of === lines ? stretch : undefined;
  const [low, high] = some
    ? [Math.min(some.from, some.to), Math.max(some.from, some.to)]
    : [0, lines.length - 1];
  const pick = ({ shiftKey }: MouseEvent, at: number): void => {
    const isAlone = some !== undefined && some.from === at && some.to === at;
    setSaid(undefined);
    if (isAlone && !shiftKey) setStretch(undefined);
    else setStretch({ of: lines, from: shiftKey ? (some?.from ?? 0) : at, to: at });
  };
  const copy = (): void => {
    navigator.clipboard
      .writeText(textOf?.(low, high) ?? lines.slice(low, high + 1).join('\n'))
      .then(() => {
        setSaid({ of: lines, words: 'copied' });
        announce(`copied ${high - low + 1} lines`);
      })
      .catch(() => setSaid({ of: lines, words: 'The browser does not allow copying.' }));
  };
  const all = lines.length === 1 ? '1 line' : `${lines.length} lines`;
  return (
    <>
      <div
        role="group"
        aria-label={label}
        className={`figures mt-1 overflow-auto border border-line bg-base-200 py-1 text-xs ${className}`}
      >
        {lines.slice(0, MOST_SHOWN).map((line, at) =>
          line.trim() === '' ? (
            // oxlint-disable-next-line react/no-array-index-key
            <span key={at} className="block h-3" />
          ) : (
            <button
              // A line stands once at its place.
              // oxlint-disable-next-line react/no-array-index-key
              key={`${at} ${line}`}
              type="button"
              aria-pressed={some !== undefined && at >= low && at <= high}
              className="block min-h-6 w-full px-2 text-start whitespace-pre-wrap break-words hover:bg-base-300 aria-pressed:bg-base-300 aria-pressed:shadow-[inset_3px_0_0_var(--color-primary)]"
              onClick={(event) => pick(event, at)}
            >
              {line}
            </button>
          ),
        )}
        {lines.length > MOST_SHOWN && (
          <p className="px-2 text-quiet">and {lines.length - MOST_SHOWN} more lines</p>
        )}
      </div>
      <p className="flex flex-wrap items-center gap-x-3">
        {children}
        <button type="button" className="act" onClick={copy}>
          Copy {some ? `${high - low + 1} of ${all}` : all}
        </button>
        <span aria-hidden className="text-xs text-quiet">
          {said?.of === lines
            ? said.words
            : lines.length > 1
              ? 'a click takes one line, with Shift to there'
              : ''}
        </span>
      </p>
    </>
  );
}
