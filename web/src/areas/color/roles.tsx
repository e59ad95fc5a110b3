import type { Hex } from '@garnish/core/color/srgb';
import { rungOf } from '@garnish/core/derive/color';
import { inOrder, MODES, type Mode, type Paint } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { useEffect } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';
import { ColorField } from '../../ui/color-field.tsx';

export interface OpenRole {
  readonly id: string;
  readonly mode: Mode;
}

const painting = (id: string, mode: Mode, paint: Paint): Patch => [
  { op: 'replace', path: `/color/roles/items/${id}/${mode}`, value: { ...paint } },
];

const paintName = (paint: Paint, rampName: (id: string) => string): string => {
  if (paint.kind === 'own') return paint.value;
  return paint.kind === 'source'
    ? `${rampName(paint.source)} itself`
    : `${rampName(paint.ramp)} ${paint.rung}`;
};

interface ChooserProps {
  readonly role: OpenRole;
  readonly name: string;
  readonly paint: Paint;
  readonly hex: Hex;
  readonly onClose: () => void;
}

/** All rungs of all ramps; pointing or arrow keys try one in the proof. */
function Chooser({ role: { id, mode }, name, paint, hex, onClose }: ChooserProps) {
  const store = useStore();
  const { decided } = useSystem();
  useEffect(() => () => store.tryOut(undefined), [store]);
  const chosen = rungOf(paint, decided.derived.ramps);
  const take = (next: Paint, gesture?: string): void => {
    store.change(painting(id, mode, next), `${name} in ${mode}`, gesture ? { gesture } : {});
  };
  return (
    <div
      className="col-span-full border-y border-line-strong bg-base-200 px-2 py-2"
      role="group"
      aria-label={`${name} in ${mode}`}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
      onPointerLeave={() => store.tryOut(undefined)}
    >
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <p className="font-semibold">
          {name} in {mode}
        </p>
        <button type="button" className="act" onClick={onClose}>
          Done
        </button>
      </div>
      {[...decided.derived.ramps.values()].map((ramp) => (
        <div key={ramp.id} className="mb-1 grid grid-cols-[4rem_1fr] items-center gap-2">
          <span className="truncate text-quiet">{ramp.name}</span>
          <span className="flex">
            {ramp.colors.map((color, index) => {
              const isSource = index === ramp.seat;
              const next: Paint = isSource
                ? { kind: 'source', source: ramp.id }
                : { kind: 'rung', ramp: ramp.id, rung: index + 1 };
              const isChosen = chosen?.ramp.id === ramp.id && chosen.rung === index + 1;
              return (
                <button
                  key={index}
                  type="button"
                  aria-label={`${ramp.name} ${isSource ? 'itself' : index + 1}, ${color}`}
                  aria-pressed={isChosen}
                  title={`${ramp.name} ${index + 1}  ${color}`}
                  className="h-7 min-w-0 grow aria-pressed:outline-2 aria-pressed:-outline-offset-4 aria-pressed:outline-white focus-visible:z-10"
                  style={{ background: color }}
                  onPointerEnter={() => store.tryOut(painting(id, mode, next))}
                  onFocus={() => store.tryOut(painting(id, mode, next))}
                  onClick={() => take(next)}
                />
              );
            })}
          </span>
        </div>
      ))}
      <div className="mt-2 w-40">
        <ColorField
          key={hex}
          label="a color of its own"
          value={hex}
          onChange={(value, gesture) => take({ kind: 'own', value }, gesture)}
        />
      </div>
    </div>
  );
}

interface ColorRolesProps {
  readonly open: OpenRole | undefined;
  readonly onOpen: (role: OpenRole | undefined) => void;
}

/** What each color does, in light and in dark. */
export function ColorRoles({ open, onOpen }: ColorRolesProps) {
  const { decided } = useSystem();
  const { ramps, colors } = decided.derived;
  const rampName = (id: string): string => ramps.get(id)?.name ?? id;
  const roles = inOrder(decided.document.color.roles);
  const openRole = open && decided.document.color.roles.items[open.id];
  const openHex = open && colors.get(open.id)?.colors[open.mode];
  return (
    <div className="grid grid-cols-4 gap-x-3 gap-y-3">
      {roles.map(([id, role]) => (
        <div key={id} className="min-w-0" data-decision={`/color/roles/items/${id}`}>
          <div className="flex h-7">
            {MODES.map((mode) => {
              const hex = colors.get(id)?.colors[mode] ?? '#808080';
              return (
                <button
                  key={mode}
                  type="button"
                  aria-expanded={open?.id === id && open.mode === mode}
                  aria-label={`${role.name} in ${mode}, ${paintName(role[mode], rampName)}`}
                  title={`${role.name} in ${mode}: ${paintName(role[mode], rampName)}, ${hex}`}
                  className="grow border border-line aria-expanded:outline-2 aria-expanded:outline-offset-1 aria-expanded:outline-primary"
                  style={{ background: hex }}
                  onClick={() =>
                    onOpen(open?.id === id && open.mode === mode ? undefined : { id, mode })
                  }
                />
              );
            })}
          </div>
          <p className="truncate">{role.name}</p>
        </div>
      ))}
      {open && openRole && openHex && (
        <Chooser
          key={`${open.id} ${open.mode}`}
          role={open}
          name={openRole.name}
          paint={openRole[open.mode]}
          hex={openHex}
          onClose={() => onOpen(undefined)}
        />
      )}
    </div>
  );
}
