import { FONT_REASONS, reasonName } from '@garnish/core/system/document';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Toggles } from '../../ui/toggles.tsx';
import { WordsField } from '../../ui/words-field.tsx';

/** Why these faces: kept with the decision, for whoever comes after. */
export function Reasons() {
  const store = useStore();
  const decided = useDecided(['fonts']);
  const { because, note } = decided.document.fonts.reasons;
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
      <div className="mt-2">
        <WordsField
          label="in your own words"
          value={note}
          onChange={(value) =>
            store.change(
              [{ op: 'replace', path: '/fonts/reasons/note', value }],
              'note on the faces',
            )
          }
        />
      </div>
    </div>
  );
}
