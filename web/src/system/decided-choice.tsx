import { useStore } from './system-context.ts';
import { TrySelect } from './try-select.tsx';

interface DecidedChoiceProps {
  readonly label: string;
  readonly path: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, name: string])[];
  /** How the change is called. */
  readonly name?: string;
  readonly className?: string;
  readonly hideLabel?: boolean;
}

/** One of several, as one decision. */
export function DecidedChoice({
  label,
  path,
  value,
  options,
  name,
  className = '',
  hideLabel,
}: DecidedChoiceProps) {
  const store = useStore();
  return (
    <label className={`block min-w-0 ${className}`} data-decision={path}>
      <span className={hideLabel === true ? 'sr-only' : 'block text-quiet'}>{label}</span>
      <TrySelect
        className="select w-full"
        value={value}
        onChange={(event) =>
          store.change([{ op: 'replace', path, value: event.currentTarget.value }], name ?? label)
        }
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </TrySelect>
    </label>
  );
}
