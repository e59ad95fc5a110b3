import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { NameField } from '../../ui/name-field.tsx';

const AT = '/components/narrow';

/** Whether the navigation is behind a button on narrow screens, and from which width on. */
export function NarrowNavigation() {
  const store = useStore();
  const { narrow } = useDecided(['components']).document.components;
  return (
    <div data-decision={AT} className="grid gap-y-2">
      <label className="flex min-h-7 items-center gap-x-2">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={narrow !== undefined}
          onChange={() =>
            store.change(
              narrow
                ? [{ op: 'remove', path: AT }]
                : [{ op: 'add', path: AT, value: { below: 720, open: 'Menu', close: 'Close' } }],
              narrow ? 'navigation in a row everywhere' : 'navigation behind a button',
            )
          }
        />
        behind a button on narrow screens
      </label>
      {narrow && (
        <>
          <div className="grid min-h-8 grid-cols-[7rem_minmax(0,1fr)] items-center border-b border-line">
            <span className="text-quiet">its action</span>
            <TryChoice
              label="What becomes of the action of the header"
              options={[
                { value: 'stays', name: 'stays beside the button' },
                { value: 'inside', name: 'goes into the navigation' },
              ]}
              value={narrow.action ?? 'stays'}
              onChange={(value) => {
                if (value === (narrow.action ?? 'stays')) return;
                store.change(
                  [
                    {
                      op: narrow.action === undefined ? 'add' : 'replace',
                      path: `${AT}/action`,
                      value,
                    },
                  ],
                  value === 'inside'
                    ? 'action goes into the navigation'
                    : 'action stays in the header',
                );
              }}
            />
          </div>
          <div className="grid grid-cols-3 gap-x-6 @max-[26rem]:grid-cols-1">
            <DecidedNumber
              label="below"
              path={`${AT}/below`}
              name="width of the narrow navigation"
              value={narrow.below}
              step={10}
              unit="px"
            />
            {(['open', 'close'] as const).map((which) => (
              <NameField
                key={which}
                label={which === 'open' ? 'opens with' : 'closes with'}
                value={narrow[which]}
                onChange={(value) =>
                  store.change(
                    [{ op: 'replace', path: `${AT}/${which}`, value }],
                    `word that ${which}s the navigation`,
                  )
                }
              />
            ))}
          </div>
        </>
      )}
    </div>
  );
}
