import { useDecided } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { px } from '../../ui/px.ts';

/** One of the steps, or what was there before. */
export function StepPick({
  label,
  value,
  inheritedName,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly inheritedName?: string;
  readonly onChange: (value: string) => void;
}) {
  const decided = useDecided([], ['steps']);
  return (
    <TrySelect
      aria-label={label}
      className={`select w-full ${value === '' ? 'text-quiet italic' : ''}`}
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
    >
      {inheritedName !== undefined && <option value="">{inheritedName}</option>}
      {[...decided.derived.steps.values()].map((step) => (
        <option key={step.id} value={step.id}>
          {step.name}, {px(step.px)}
        </option>
      ))}
    </TrySelect>
  );
}
