interface TogglesProps<Value extends string> {
  readonly label: string;
  readonly options: readonly Value[];
  readonly chosen: readonly Value[];
  readonly onChange: (chosen: readonly Value[]) => void;
  /** What an option is called, where its value is not a word. */
  readonly nameOf?: (value: Value) => string;
  /** At least and at most so many. */
  readonly least?: number;
  readonly most?: number;
}

/** Several of a few, as words that are ticked. */
export function Toggles<Value extends string>(props: TogglesProps<Value>) {
  const {
    label,
    options,
    chosen,
    onChange,
    nameOf = (value: Value): string => value,
    least = 0,
    most,
  } = props;
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-x-4 gap-y-0.5">
      {options.map((option) => {
        const on = chosen.includes(option);
        const fixed = on ? chosen.length <= least : most !== undefined && chosen.length >= most;
        return (
          <label
            key={option}
            className={`flex min-h-6 items-center gap-1.5 ${fixed ? 'text-quiet' : ''}`}
          >
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={on}
              disabled={fixed}
              onChange={() =>
                onChange(on ? chosen.filter((other) => other !== option) : [...chosen, option])
              }
            />
            {nameOf(option)}
          </label>
        );
      })}
    </div>
  );
}
