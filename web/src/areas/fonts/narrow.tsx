import { FACE_INSTEAD, isOptionalFace } from '@garnish/core/system/faces';
import { jsonOf } from '@garnish/core/system/patch';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { Fact } from '../../findings/fact.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';
import type { Target } from './choosing.ts';

/** Where another pair begins, in px, until somebody says otherwise. */
const BELOW_PX = 600;

/** That the proof is too wide to show the pair for narrow screens, and the way to make it narrow. */
export function ShownFrom() {
  const decided = useDecided(['fonts']);
  const { proofWidth } = usePreferences();
  const below = decided.document.fonts.narrow?.below ?? 0;
  if (proofWidth < below) return null;
  return (
    <Fact>
      The proof is {proofWidth} px wide and shows the usual pair.{' '}
      <button
        type="button"
        className="min-h-6 underline underline-offset-2"
        onClick={() => setPreferences({ proofWidth: Math.min(below - 1, 375) })}
      >
        Make it narrow
      </button>
    </Fact>
  );
}

interface NarrowProps {
  readonly target: Target;
  readonly onChange: (target: Target) => void;
}

/** Whether narrow screens have a pair of their own, and which of the two is being chosen. */
export function Narrow({ target, onChange }: NarrowProps) {
  const store = useStore();
  const decided = useDecided(['fonts']);
  const { narrow, roles } = decided.document.fonts;
  const face = isOptionalFace(target.face) ? FACE_INSTEAD[target.face] : target.face;
  if (!narrow)
    return (
      <p className="mb-2 text-quiet" data-decision="/fonts/narrow">
        on every screen{' '}
        <button
          type="button"
          className="act ms-2"
          onClick={() => {
            const { heading, text } = roles;
            const value = jsonOf({ below: BELOW_PX, heading, text });
            if (
              store.change(
                [{ op: 'add', path: '/fonts/narrow', value }],
                'a pair for narrow screens',
              )
            )
              onChange({ face, narrow: true });
          }}
        >
          Another pair for narrow screens
        </button>
      </p>
    );
  return (
    <div
      className="mb-2 flex flex-wrap items-center gap-x-4 border-b border-line pb-2"
      data-decision="/fonts/narrow"
    >
      <Choice
        label="Screens"
        options={[
          { value: 'wide', name: 'wide screens' },
          { value: 'narrow', name: 'narrow ones' },
        ]}
        value={target.narrow ? 'narrow' : 'wide'}
        onChange={(screens) =>
          onChange(screens === 'narrow' ? { face, narrow: true } : { ...target, narrow: false })
        }
      />
      <div className="flex items-center gap-2">
        <span className="text-quiet" aria-hidden>
          below
        </span>
        <div className="w-20">
          <DecidedNumber
            path="/fonts/narrow/below"
            name="end of narrow screens"
            label="narrow screens end at"
            hideLabel
            value={narrow.below}
            step={10}
            decimals={0}
            unit="px"
            units={PX_UNITS}
          />
        </div>
      </div>
      <button
        type="button"
        className="act"
        onClick={() => {
          store.change([{ op: 'remove', path: '/fonts/narrow' }], 'the same pair on every screen');
          onChange({ ...target, narrow: false });
        }}
      >
        The same everywhere
      </button>
    </div>
  );
}
