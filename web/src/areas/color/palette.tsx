import { differenceOf } from '@garnish/core/color/difference';
import { NO_SHIFT, type Shift } from '@garnish/core/color/shift';
import { nearDuplicates, shiftPatch } from '@garnish/core/derive/color/palette';
import { inOrder } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import { heldSources, isLocked, lockedIn, locking } from '@garnish/core/system/locks';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { NumberField } from '../../ui/number-field.tsx';

const PARTS = [
  { part: 'hue', unit: '°', min: -180, max: 180, step: 5, times: 1 },
  { part: 'lightness', unit: '%', min: -40, max: 40, step: 1, times: 100 },
  { part: 'chroma', unit: '%', min: 0, max: 200, step: 5, times: 100 },
  { part: 'warmth', unit: '%', min: -100, max: 100, step: 5, times: 100 },
] as const;

/** Moves every color at once, seen in the proof before it is taken; what is locked stays. */
export function ShiftPalette() {
  const store = useStore();
  const decided = useDecided(['brief', 'color']);
  const { brief, color } = decided.document;
  const [shift, setShift] = useState<Shift>(NO_SHIFT);
  const locks = useSystem((state) => lockedIn(state.decided.document));
  const placeOf = (id: string): string => `/color/sources/items/${id}`;
  const lockedAmong = (places: readonly string[]): ReadonlySet<string> =>
    new Set([
      ...color.sources.order.filter((id) => isLocked(places, placeOf(id))),
      ...color.roles.order.filter((id) => isLocked(places, `/color/roles/items/${id}`)),
      // What a role that is locked is taken from stays too.
      ...heldSources({ brief: { ...brief, locked: places }, color }),
    ]);
  const locked = lockedAmong(locks);
  useEffect(() => () => store.tryOut(undefined), [store]);
  const show = (next: Shift, kept = locked): void => {
    setShift(next);
    const patch = shiftPatch(color, next, kept);
    store.tryOut(patch.length > 0 ? patch : undefined);
  };
  const patch = shiftPatch(color, shift, locked);
  return (
    <div>
      <div className="grid grid-cols-4 gap-x-3">
        {PARTS.map(({ part, unit, min, max, step, times }) => (
          <NumberField
            key={part}
            label={part}
            value={Math.round(shift[part] * times)}
            min={min}
            max={max}
            step={step}
            decimals={0}
            unit={unit}
            slider
            onChange={(value) => show({ ...shift, [part]: value / times })}
          />
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-4">
        <span className="text-quiet">Locked</span>
        {inOrder(color.sources).map(([id, { name }]) => (
          <label key={id} className="flex min-h-6 items-center gap-1">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={locked.has(id)}
              onChange={() => {
                const { document } = store.state().decided;
                store.change(
                  locking(document, placeOf(id), !locked.has(id)),
                  `${name} ${locked.has(id) ? 'open again' : 'locked'}`,
                );
                show(shift, lockedAmong(lockedIn(store.state().decided.document)));
              }}
            />
            {name}
          </label>
        ))}
      </div>
      <p className="mt-1 flex gap-x-4">
        <button
          type="button"
          className="act"
          disabled={patch.length === 0}
          onClick={() => {
            store.change(patch, 'shift of the palette');
            show(NO_SHIFT);
          }}
        >
          Take it
        </button>
        <button
          type="button"
          className="min-h-6 text-quiet hover:text-base-content hover:underline disabled:opacity-40"
          disabled={shift === NO_SHIFT}
          onClick={() => show(NO_SHIFT)}
        >
          Back to what was there
        </button>
      </p>
    </div>
  );
}

/** Colors that were decided apart and are nearly the same, each with the way to make them one. */
export function NearDuplicates() {
  const store = useStore();
  const decided = useDecided(['color']);
  const [hundredths, setHundredths] = useState(4);
  const found = nearDuplicates(decided.document.color, hundredths / 100);
  return (
    <div>
      <div className="flex items-end gap-3">
        <div className="w-24">
          <NumberField
            label="nearer than"
            value={hundredths / 100}
            min={0.005}
            max={0.2}
            step={0.01}
            decimals={3}
            onChange={(value) => setHundredths(value * 100)}
          />
        </div>
        <span className="pb-1 text-xs text-quiet">in OKLab; 0.02 is hardly seen</span>
      </div>
      {found.length === 0 ? (
        <p className="py-2 text-quiet">No two colors are so near to each other.</p>
      ) : (
        <ul aria-label="Colors that are nearly the same">
          {found.map(({ kept, merged, distance, patch }) => (
            <li
              key={`${kept.name} ${merged.name}`}
              className="flex items-center gap-3 border-b border-line py-1"
            >
              <span className="flex h-5 w-10 shrink-0" aria-hidden>
                {[merged, kept].map(({ name, value }) => (
                  <span key={name} className="grow" style={{ background: value }} />
                ))}
              </span>
              <span className="min-w-0 grow truncate">
                {merged.name} and {kept.name}
              </span>
              <span
                className="figures text-xs text-quiet"
                title={`In OKLab; ${differenceOf(merged.value, kept.value).toFixed(1)} in CIEDE2000`}
              >
                {distance.toFixed(3)}
              </span>
              <button
                type="button"
                className="act"
                onClick={() => store.change(patch, `${merged.name} becomes ${kept.name}`)}
              >
                Make it {kept.name}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
