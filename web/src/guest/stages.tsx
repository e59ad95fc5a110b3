import { STAGES, type HandedWords, type Stage } from '@garnish/core/system/handed-over';

/** How far something is; nothing where nobody said. */
export const StageWord = ({ words: { stage } }: { readonly words: HandedWords }) =>
  stage === undefined ? null : (
    <span
      className={`text-xs font-normal ${stage === 'in work' ? 'text-warning' : stage === 'built' ? 'text-primary' : 'text-quiet'}`}
    >
      {stage}
    </span>
  );

interface StageFilterProps {
  readonly stage: Stage | undefined;
  readonly onStage: (stage: Stage | undefined) => void;
}

/** Only what is so far. */
export const StageFilter = ({ stage, onStage }: StageFilterProps) => (
  <select
    aria-label="State"
    className="min-h-6 border-b border-line-strong bg-transparent text-xs"
    value={stage ?? ''}
    onChange={({ target }) => onStage(STAGES.find((one) => one === target.value))}
  >
    <option value="">any state</option>
    {STAGES.map((one) => (
      <option key={one}>{one}</option>
    ))}
  </select>
);

/** The group and the tags of something. */
export function TagLine({ words: { group, tags = [] } }: { readonly words: HandedWords }) {
  const all = [...(group === undefined ? [] : [group]), ...tags];
  return all.length === 0 ? null : <p className="mt-3 text-quiet">{all.join(', ')}</p>;
}
