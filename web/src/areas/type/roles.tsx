import { weightsOf } from '@garnish/core/fonts/family';
import {
  FACES,
  FOLLOWED_PARTS,
  HIGHEST_PLACE,
  inOrder,
  LOWEST_PLACE,
} from '@garnish/core/system/document';
import { faceFor } from '@garnish/core/system/faces';
import { addingTextRole } from '@garnish/core/system/type-changes';
import { fluidCss, fluidPx } from '@garnish/core/type/fluid';
import { placeName } from '@garnish/core/type/scale';
import { useState } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { Copy } from '../../ui/copy.tsx';
import { useSearched } from '../../ui/use-searched.tsx';
import { RoleEditor } from './role-editor.tsx';

/** Elements that never change, so that React need not look at them at every movement of a slider. */
const PLACE_OPTIONS = Array.from({ length: HIGHEST_PLACE - LOWEST_PLACE + 1 }, (_, index) => {
  const place = HIGHEST_PLACE - index;
  return (
    <option key={place} value={place}>
      {placeName(place)}
    </option>
  );
});
const FACE_OPTIONS = FACES.map((face) => <option key={face}>{face}</option>);

/** What a role may decide beside its face, place and weight. */
const OWN = FOLLOWED_PARTS.filter(
  (part) => part !== 'face' && part !== 'place' && part !== 'weight',
);

const COLUMNS = 'grid-cols-3';

/** Each text role: its face, its place on the scale, its weight, and what comes of them. */
export function Roles() {
  const store = useStore();
  const { proofWidth } = usePreferences();
  const [open, setOpen] = useState<string>();
  const decided = useDecidedLater(['fonts', 'type'], ['styles']);
  const { fonts, type } = decided.document;
  const { found, field } = useSearched(inOrder(type.roles), ([, { name }]) => name);
  const set = (id: string, part: string, value: string | number, name: string): void => {
    store.change(
      [{ op: 'add', path: `/type/roles/items/${id}/${part}`, value }],
      `${part} of ${name}`,
    );
  };
  const add = (): void => {
    const id = crypto.randomUUID();
    const taken = store.change(addingTextRole(type, id), 'a text role');
    if (taken) setOpen(id);
  };
  return (
    <div>
      {field}
      <div
        className="flex justify-between border-b border-line-strong text-xs text-quiet"
        aria-hidden
      >
        <span>role: face, place, weight</span>
        <span>now, px</span>
      </div>
      {found.map(([id, role]) => {
        const style = decided.derived.styles.get(id);
        if (!style) return null;
        const { family, weight: faceWeight } = faceFor(fonts, role.face).choice;
        const weights = weightsOf(family);
        const options = [...new Set([...weights, ...(role.weight ? [role.weight] : [])])].sort(
          (one, other) => one - other,
        );
        const css = fluidCss(style.size);
        const { follows } = role;
        const own = follows
          ? follows.but.length
          : OWN.filter((part) => role[part] !== undefined).length;
        return (
          <div
            key={id}
            role="group"
            aria-label={`Text role ${role.name}`}
            data-decision={`/type/roles/items/${id}`}
            className="border-b border-line py-1"
          >
            <div className="flex items-baseline gap-x-3">
              <button
                type="button"
                className="flex min-h-6 max-w-[60%] shrink-0 items-baseline gap-1.5 text-start"
                aria-expanded={open === id}
                aria-label={`Everything about ${role.name}`}
                onClick={() => setOpen(open === id ? undefined : id)}
              >
                <span className="w-2 shrink-0 text-xs text-quiet" aria-hidden>
                  {open === id ? '−' : '+'}
                </span>
                <span className="truncate font-semibold">{role.name}</span>
                {follows && (
                  <span className="shrink-0 text-xs text-quiet">
                    as {decided.document.type.roles.items[follows.of]?.name ?? follows.of}
                  </span>
                )}
                {own > 0 && (
                  <span
                    className="figures shrink-0 text-xs text-primary"
                    title={`${own} that do not follow ${follows ? 'it' : 'the scale'}`}
                  >
                    {own} own
                  </span>
                )}
              </button>
              <Copy
                className="figures min-w-0 flex-1 basis-0 truncate text-end text-xs text-quiet"
                text={css}
                label={`Copy the size of ${role.name}`}
              >
                {css}
              </Copy>
              <Copy
                className="figures ms-auto shrink-0"
                text={`${Number(fluidPx(style.size, proofWidth).toFixed(2))}px`}
                label={`Copy the size of ${role.name} now`}
              >
                {fluidPx(style.size, proofWidth).toFixed(1)}
              </Copy>
            </div>
            <div className={`grid ${COLUMNS} items-center gap-x-3 ps-3.5`}>
              <TrySelect
                aria-label={`Face of ${role.name}`}
                className="select w-full"
                value={role.face}
                onChange={(event) => set(id, 'face', event.currentTarget.value, role.name)}
              >
                {FACE_OPTIONS}
              </TrySelect>
              <TrySelect
                aria-label={`Place of ${role.name}`}
                className="select w-full"
                value={role.place}
                onChange={(event) => set(id, 'place', Number(event.currentTarget.value), role.name)}
              >
                {PLACE_OPTIONS}
              </TrySelect>
              <TrySelect
                aria-label={`Weight of ${role.name}`}
                className={`figures select w-full ${role.weight === undefined ? 'text-quiet' : 'font-semibold'}`}
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
              </TrySelect>
            </div>
            {open === id && <RoleEditor id={id} role={role} style={style} />}
          </div>
        );
      })}
      <button type="button" className="act mt-1" onClick={add}>
        Another role
      </button>
    </div>
  );
}
