import { Choice } from '../../ui/choice.tsx';
import { BECOMES, type Becomes } from './become.ts';

interface BecomesProps {
  readonly value: Becomes;
  readonly onChange: (value: Becomes) => void;
}

/** What a color becomes that is pointed at, and taken. */
export const BecomesChoice = ({ value, onChange }: BecomesProps) => (
  <div className="flex flex-wrap items-baseline gap-x-3">
    <span className="text-quiet">a color becomes</span>
    <Choice
      label="What a color becomes"
      options={BECOMES.map((one) => ({ value: one, name: one }))}
      value={value}
      onChange={onChange}
    />
  </div>
);
