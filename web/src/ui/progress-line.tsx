interface ProgressProps {
  /** What goes on, for whoever does not see it. */
  readonly label: string;
  readonly done: number;
  readonly of: number;
  readonly words: string;
  readonly onCancel: () => void;
}

/** How far something has come that takes its time, and a way to call it off. */
export function ProgressLine({ label, done, of, words, onCancel }: ProgressProps) {
  return (
    <div className="flex items-center gap-x-3" role="status">
      <progress aria-label={label} className="h-1 w-32 accent-primary" max={of} value={done} />
      <span className="text-quiet">{words}</span>
      <button type="button" className="act" onClick={onCancel}>
        Cancel
      </button>
    </div>
  );
}
