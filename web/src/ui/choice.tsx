interface ChoiceProps<Value extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly name: string }[];
  /** None is chosen where absent. */
  readonly value: Value | undefined;
  readonly onChange: (value: Value) => void;
}

/** How a word looks that is chosen among others in a row. */
export const WORD =
  'min-h-6 min-w-6 text-quiet hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content aria-pressed:underline aria-pressed:underline-offset-4';

/** One of a few, as words in a row; the chosen one is underlined and bold. */
export function Choice<Value extends string>(props: ChoiceProps<Value>) {
  const { label, options, value, onChange } = props;
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-x-3">
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          aria-pressed={option.value === value}
          className={WORD}
          onClick={() => onChange(option.value)}
        >
          {option.name}
        </button>
      ))}
    </div>
  );
}
