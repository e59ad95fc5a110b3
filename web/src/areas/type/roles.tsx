import { weightsOf } from '@garnish/core/fonts/family';
import { FACES, inOrder } from '@garnish/core/system/document';
import { faceFor } from '@garnish/core/system/faces';
import { fluidCss, fluidPx } from '@garnish/core/type/fluid';
import { placeName } from '@garnish/core/type/scale';
import { memo } from 'react';
import { usePreferences } from '../../app/preferences.ts';
import { useStore } from '../../system/system-context.ts';
import type { View } from '../../system/store.ts';
import { Copy } from '../../ui/copy.tsx';

const PLACES = Array.from({ length: 21 }, (_, index) => 14 - index);

/** Elements that never change, so that React need not look at them at every movement of a slider. */
const PLACE_OPTIONS = PLACES.map((place) => (
  <option key={place} value={place}>
    {placeName(place)}
  </option>
));
const FACE_OPTIONS = FACES.map((face) => <option key={face}>{face}</option>);

/** Each text role: its face, its place on the scale, its weight, and what comes of them. */
export const Roles = memo(function Roles({ view: decided }: { readonly view: View }) {
  const store = useStore();
  const { proofWidth } = usePreferences();
  const { fonts, type } = decided.document;
  const set = (id: string, part: string, value: string | number, name: string): void => {
    store.change(
      [{ op: 'add', path: `/type/roles/items/${id}/${part}`, value }],
      `${part} of ${name}`,
    );
  };
  return (
    <div>
      <div
        className="grid grid-cols-[minmax(0,1fr)_4.5rem_5rem_4.5rem_3.25rem] gap-x-2 border-b border-line-strong text-xs text-quiet"
        aria-hidden
      >
        <span>role</span>
        <span>face</span>
        <span>place</span>
        <span>weight</span>
        <span className="text-end">now, px</span>
      </div>
      {inOrder(type.roles).map(([id, role]) => {
        const style = decided.derived.styles.get(id);
        if (!style) return null;
        const { family, weight: faceWeight } = faceFor(fonts, role.face).choice;
        const weights = weightsOf(family);
        const options = [...new Set([...weights, ...(role.weight ? [role.weight] : [])])].sort(
          (one, other) => one - other,
        );
        const css = fluidCss(style.size);
        return (
          <div
            key={id}
            role="group"
            aria-label={`Text role ${role.name}`}
            data-decision={`/type/roles/items/${id}`}
            className="border-b border-line py-1"
          >
            <div className="grid grid-cols-[minmax(0,1fr)_4.5rem_5rem_4.5rem_3.25rem] items-center gap-x-2">
              <span className="truncate font-semibold">{role.name}</span>
              <select
                aria-label={`Face of ${role.name}`}
                className="select"
                value={role.face}
                onChange={(event) => set(id, 'face', event.currentTarget.value, role.name)}
              >
                {FACE_OPTIONS}
              </select>
              <select
                aria-label={`Place of ${role.name}`}
                className="select"
                value={role.place}
                onChange={(event) => set(id, 'place', Number(event.currentTarget.value), role.name)}
              >
                {PLACE_OPTIONS}
              </select>
              <select
                aria-label={`Weight of ${role.name}`}
                className={`figures select ${role.weight === undefined ? 'text-quiet' : 'font-semibold'}`}
                value={role.weight ?? ''}
                onChange={(event) => {
                  const { value } = event.currentTarget;
                  if (value !== '') set(id, 'weight', Number(value), role.name);
                  else
                    store.change(
                      [{ op: 'remove', path: `/type/roles/items/${id}/weight` }],
                      `weight of ${role.name} from its face`,
                    );
                }}
              >
                <option value="">{faceWeight}</option>
                {options.map((weight) => (
                  <option key={weight} value={weight}>
                    {weight} own
                  </option>
                ))}
              </select>
              <Copy
                className="figures justify-self-end"
                text={`${Number(fluidPx(style.size, proofWidth).toFixed(2))}px`}
                label={`Copy the size of ${role.name} now`}
              >
                {fluidPx(style.size, proofWidth).toFixed(1)}
              </Copy>
            </div>
            <Copy
              className="figures block w-full truncate text-xs text-quiet"
              text={css}
              label={`Copy the size of ${role.name}`}
            >
              {css}
            </Copy>
          </div>
        );
      })}
    </div>
  );
});
