import { tokenHistory, type TokenStep } from '@garnish/core/derive/token-history';
import { useEffect, useRef, useState } from 'react';
import { get } from '../../api/client.ts';
import { changeList } from '../../api/resources.ts';
import { useModes } from '../../system/proof-theme.ts';
import { useStore } from '../../system/system-context.ts';
import { inBreaths } from '../../ui/in-breaths.ts';

/** So many of the last changes are gone back over. */
const BACK = 200;

const when = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' });

type Past =
  | { readonly kind: 'reading' }
  | { readonly kind: 'problem'; readonly words: string }
  | { readonly kind: 'known'; readonly steps: readonly TokenStep[]; readonly isAll: boolean };

const valueIn = (step: TokenStep['after'], modes: readonly ('light' | 'dark')[]): string =>
  step === undefined
    ? 'not there'
    : [...new Set(modes.map((mode) => step[mode]))].join(', in the other theme ');

/** What a token was before, and which changes made it what it is; looked for when asked. */
export function TokenPast({ id }: { readonly id: string }) {
  const store = useStore();
  const modes = useModes();
  const [past, setPast] = useState<Past>();
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const look = async (): Promise<void> => {
    running.current?.abort();
    const { signal } = (running.current = new AbortController());
    setPast({ kind: 'reading' });
    try {
      const { id: system, sequence, saving, decided } = store.state();
      if (saving !== 'saved') {
        setPast({
          kind: 'problem',
          words: 'Something is not saved yet. Open it again in a moment.',
        });
        return;
      }
      const all = await get(`/api/systems/${system}/changes?last=${BACK}`, changeList);
      const known = all.filter((change) => change.sequence <= sequence);
      const result = await inBreaths(
        tokenHistory(decided.document, known, id),
        () => signal.aborted,
      );
      if (result)
        setPast({
          kind: 'known',
          steps: result.steps,
          isAll: result.isWhole && known.length < BACK,
        });
    } catch (error) {
      if (!signal.aborted)
        setPast({
          kind: 'problem',
          words: error instanceof Error ? error.message : 'Its history cannot be read.',
        });
    }
  };
  return (
    <details
      className="mt-2"
      onToggle={({ currentTarget: { open } }) => {
        if (open) void look();
        else running.current?.abort();
      }}
    >
      <summary className="min-h-6 cursor-pointer text-quiet">Its history</summary>
      {past?.kind === 'reading' && <p className="text-quiet">Going back over what was changed …</p>}
      {past?.kind === 'problem' && (
        <p role="alert" className="text-error">
          {past.words}
        </p>
      )}
      {past?.kind === 'known' && (
        <>
          <ol aria-label="History of the token">
            {past.steps.map(({ label, at, before, after }) => (
              <li key={`${at} ${label}`} className="border-t border-line py-1">
                <span className="figures block text-xs break-words">
                  {valueIn(before, modes)} → {valueIn(after, modes)}
                </span>
                <span className="text-xs text-quiet">
                  {label}, <time dateTime={at}>{when.format(new Date(at))}</time>
                </span>
              </li>
            ))}
          </ol>
          <p className="text-xs text-quiet">
            {past.isAll
              ? past.steps.length === 0
                ? 'It is what it was from the beginning.'
                : 'Before that it was so from the beginning.'
              : `No more is known: the last ${BACK} changes were gone back over.`}
          </p>
        </>
      )}
    </details>
  );
}
