import { followsReader, takenSize } from '@garnish/core/reading/size-taken';
import { jsonOf } from '@garnish/core/system/patch';
import { useId, useState } from 'react';
import { useDecided, useStore } from '../../system/system-context.ts';
import type { RolePartProps } from './use-role-change.ts';

/** A size that stands in CSS already, typed or pasted: taken apart into what it is at the anchors. */
export function AsCss({ id, role }: RolePartProps) {
  const store = useStore();
  const { type } = useDecided(['type']).document;
  const [text, setText] = useState('');
  const [told, setTold] = useState<{ readonly words: string; readonly isWrong: boolean }>();
  const field = useId();
  const take = (): void => {
    const result = takenSize(text, type);
    if ('problem' in result) {
      setTold({ words: result.problem, isWrong: true });
      return;
    }
    const why = store.decide(
      [{ op: 'add', path: `/type/roles/items/${id}/sizes`, value: jsonOf(result.sizes) }],
      `size of ${role.name} from CSS`,
    );
    if (why !== undefined) {
      setTold({ words: `${why} Nothing was changed.`, isWrong: true });
      return;
    }
    const { off } = result;
    const words = [
      `Taken: ${Object.values(result.sizes).join(' to ')} px at the anchors.`,
      ...(off
        ? [
            `Between them it is up to ${off.px} px off, most at ${off.atPx} px: it bends where no anchor is.`,
          ]
        : []),
      ...(followsReader(text)
        ? []
        : ['As it stood it did not follow the reader’s font size; now it does.']),
    ].join(' ');
    setTold({ words, isWrong: false });
    setText('');
  };
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <label htmlFor={field} className="text-xs text-quiet">
        size of {role.name} as CSS, typed or pasted
      </label>
      <span className="flex items-baseline gap-x-3">
        <input
          id={field}
          className="figures input min-w-0 grow"
          placeholder="clamp(1rem, 0.8rem + 1vi, 1.5rem)"
          value={text}
          maxLength={2000}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={told?.isWrong === true}
          onChange={({ currentTarget }) => {
            setText(currentTarget.value);
            setTold(undefined);
          }}
        />
        <button className="act" disabled={text.trim() === ''}>
          Take it apart
        </button>
      </span>
      {told && (
        <p
          role={told.isWrong ? 'alert' : 'status'}
          className={`text-xs ${told.isWrong ? 'text-error' : 'text-quiet'}`}
        >
          {told.words}
        </p>
      )}
    </form>
  );
}
