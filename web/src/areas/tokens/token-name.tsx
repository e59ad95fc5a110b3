import { useId, useState } from 'react';
import { DraftProblem } from '../../ui/draft-problem.tsx';
import { useDraft } from '../../ui/use-draft.ts';

interface TokenNameProps {
  readonly label: string;
  readonly name: string;
  /** Takes another name, and answers why it would not do, in words. */
  readonly take: (name: string, keepsOld: boolean) => string | undefined;
}

/** How a token is called; the name from before can stay. */
export function TokenName({ label, name, take }: TokenNameProps) {
  const [keepsOld, setKeepsOld] = useState(true);
  const field = useId();
  const draft = useDraft({
    shown: name,
    goesBack: true,
    take: (text) => (text.trim() === name ? undefined : take(text.trim(), keepsOld)),
  });
  return (
    <>
      <label htmlFor={field} className="block text-quiet">
        {label}
      </label>
      <input {...draft.field} id={field} maxLength={200} className="input figures w-full" />
      <DraftProblem draft={draft} />
      <label className="flex min-h-6 items-center gap-1.5">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={keepsOld}
          onChange={() => setKeepsOld(!keepsOld)}
        />
        the old name stays, deprecated
      </label>
    </>
  );
}
