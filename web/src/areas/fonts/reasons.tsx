import { FONT_REASONS, reasonName } from '@garnish/core/system/document';
import { useState } from 'react';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Toggles } from '../../ui/toggles.tsx';

/** Why these faces: kept with the decision, for whoever comes after. */
export function Reasons() {
  const store = useStore();
  const decided = useDecided(['fonts']);
  const { because, note } = decided.document.fonts.reasons;
  const [draft, setDraft] = useState<string>();
  return (
    <div data-decision="/fonts/reasons">
      <Toggles
        label="Reasons for these faces"
        options={FONT_REASONS}
        nameOf={reasonName}
        chosen={because}
        onChange={(next) =>
          store.change(
            [{ op: 'replace', path: '/fonts/reasons/because', value: [...next] }],
            'reasons for the faces',
          )
        }
      />
      <label className="mt-2 block">
        <span className="text-quiet">in your own words</span>
        <textarea
          className="mt-0.5 block w-full border-b border-line-strong bg-transparent"
          rows={2}
          maxLength={2000}
          value={draft ?? note}
          onChange={(event) => setDraft(event.currentTarget.value)}
          onBlur={() => {
            if (draft !== undefined && draft !== note)
              store.change(
                [{ op: 'replace', path: '/fonts/reasons/note', value: draft }],
                'note on the faces',
              );
            setDraft(undefined);
          }}
        />
      </label>
    </div>
  );
}
