import { colorsIn } from '@garnish/core/derive/color/paint';
import { removing } from '@garnish/core/system/collection';
import { MODES, type Mode, type Paint } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useEffect, useRef, useState } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { bringIntoView } from '../../ui/bring-into-view.ts';
import { OnDisplay } from './on-display.tsx';
import { ColorField } from '../../ui/color-field.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { Copy } from '../../ui/copy.tsx';
import { useTrying } from '../../system/use-trying.ts';
import { RoleSelect } from './role-select.tsx';

interface RoleChooserProps {
  readonly role: { readonly id: string; readonly mode: Mode };
  readonly onClose: () => void;
}

const USUAL = /^(page|surface|raised|text|quiet|faint|line|line-strong|link|visited|focus)$/;

/** What a role is painted in: a wish or a held rung, a source itself, a color of its own, or a share. */
export function RoleChooser({ role: { id, mode }, onClose }: RoleChooserProps) {
  const store = useStore();
  const decided = useDecided(['color'], ['colors', 'ramps']);
  const [both, setBoth] = useState(false);
  const trying = useTrying();
  const group = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // It opens below what opened it, often below the window too; focus goes back there when it closes.
    const opener = document.activeElement;
    const stop = group.current ? bringIntoView(group.current, 'nearest') : undefined;
    return () => {
      stop?.();
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus();
    };
  }, []);
  const { color } = decided.document;
  const role = color.roles.items[id];
  const derived = decided.derived.colors.get(id);
  if (!role || !derived) return null;
  const { name } = role;
  const paint = role[mode];
  const { hex, ramp: chosenRamp, rung: chosenRung, transparent } = derived.painted[mode];
  const modes = both ? MODES : [mode];
  const painting = (next: Paint): Patch =>
    modes.map((one) => ({
      op: 'replace',
      path: `/color/roles/items/${id}/${one}`,
      value: jsonOf(next),
    }));
  const take = (next: Paint, gesture?: string): void => {
    store.change(painting(next), `${name} in ${modes.join(' and ')}`, gesture ? { gesture } : {});
  };
  const others = color.roles.order.filter(
    (other) => other !== id && color.roles.items[other]?.[mode].kind !== 'share',
  );
  const used =
    color.texts.order.some((use) => {
      const item = color.texts.items[use];
      return item?.color === id || item?.on === id;
    }) || USUAL.test(id);
  const remove = (): void => {
    store.change(removing('/color/roles', color.roles, id), `without ${name}`);
    onClose();
  };
  const share: Extract<Paint, { kind: 'share' }> =
    paint.kind === 'share'
      ? paint
      : { kind: 'share', of: 'text', over: 'page', share: 0.2, form: 'transparent' };
  const canShare = ['text', 'page'].every(
    (one) => Object.hasOwn(color.roles.items, one) && one !== id,
  );
  return (
    <div
      ref={group}
      className="my-2 border-y border-line-strong bg-base-200 px-2 py-2"
      role="group"
      aria-label={`${name} in ${mode}`}
      onKeyDown={(event) => {
        // The first Escape leads back to what was there.
        if (event.key === 'Escape' && !trying.goBack()) onClose();
      }}
      onPointerLeave={() => trying.goBack()}
    >
      <div className="mb-2 flex items-center gap-3">
        <div className="w-36">
          <NameField
            label={`Name of ${name}`}
            hideLabel
            value={name}
            onChange={(next) =>
              store.change(
                [{ op: 'replace', path: `/color/roles/items/${id}/name`, value: next }],
                `color role ${next}`,
              )
            }
          />
        </div>
        <Copy text={hex} className="figures">
          {hex}
        </Copy>
        <label className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={both}
            onChange={() => setBoth(!both)}
          />
          both themes
        </label>
        <span className="grow" />
        {paint.kind === 'rung' && (
          <button
            type="button"
            className="act"
            title="The nearest rung at which everything reads"
            onClick={() => take({ ...paint, kind: 'near' })}
          >
            Make it automatic
          </button>
        )}
        <button type="button" className="act" onClick={onClose}>
          Done
        </button>
      </div>
      {[...decided.derived.ramps.values()].map((ramp) => (
        <div key={ramp.id} className="mb-1 grid grid-cols-[4.5rem_1fr] items-center gap-2">
          <span className="truncate text-quiet">{ramp.name}</span>
          <span className="flex">
            {colorsIn(ramp, mode).map((rungColor, index) => {
              const isSource = index === ramp.seat;
              const next: Paint = isSource
                ? { kind: 'source', source: ramp.id }
                : { kind: 'rung', ramp: ramp.id, rung: index + 1 };
              const isChosen = chosenRamp?.id === ramp.id && chosenRung === index + 1;
              const called = ramp.rungNames[index] ?? String(index + 1);
              return (
                <button
                  key={index}
                  type="button"
                  aria-label={`${ramp.name} ${isSource ? 'itself' : called}, ${rungColor}`}
                  aria-pressed={isChosen}
                  title={`${ramp.name} ${called}  ${rungColor}`}
                  className="h-7 min-w-0 grow aria-pressed:outline-2 aria-pressed:-outline-offset-4 aria-pressed:outline-white focus-visible:z-10"
                  style={{ background: rungColor }}
                  onPointerEnter={() => trying.point(() => take(next))}
                  onFocus={() => trying.show(() => take(next))}
                  onBlur={() => trying.goBack()}
                  onClick={() => trying.take(() => take(next))}
                />
              );
            })}
          </span>
        </div>
      ))}
      <div className="mt-2 grid grid-cols-[10rem_minmax(0,1fr)] gap-x-5">
        <ColorField
          key={hex}
          label="a color of its own"
          value={hex}
          wide={paint.kind === 'own' ? paint.wide : undefined}
          onChange={(value, gesture, wide) =>
            take({ kind: 'own', value, ...(wide !== undefined && { wide }) }, gesture)
          }
        >
          <OnDisplay name={name} hex={hex} onSnap={(value) => take({ kind: 'own', value })} />
        </ColorField>
        {paint.kind === 'share' ? (
          <div>
            <div className="grid grid-cols-[4rem_minmax(0,1fr)_minmax(0,1fr)] items-end gap-x-2">
              <DecidedNumber
                path={`/color/roles/items/${id}/${mode}/share`}
                name={`${name} in ${modes.join(' and ')}`}
                value={share.share}
                factor={0.01}
                change={(value) => painting({ ...share, share: value })}
                label="so much"
                step={1}
                decimals={1}
                unit="%"
              />
              {(['of', 'over'] as const).map((end) => (
                <RoleSelect
                  key={end}
                  label={end}
                  value={share[end]}
                  among={others}
                  onChange={(next) => take({ ...share, [end]: next })}
                />
              ))}
            </div>
            <p className="mt-1 flex flex-wrap items-center gap-x-3 text-xs">
              <TryChoice
                label="How it is emitted"
                options={[
                  { value: 'transparent', name: 'transparent' },
                  { value: 'flat', name: 'flat' },
                ]}
                value={share.form}
                onChange={(form) => take({ ...share, form })}
              />
              <span className="figures text-quiet">
                {transparent ? `${transparent.css}, flat ${hex}` : hex}
              </span>
            </p>
          </div>
        ) : (
          <p className="self-end">
            {canShare && (
              <button type="button" className="act" onClick={() => take(share)}>
                A share of the ink over the page
              </button>
            )}
          </p>
        )}
      </div>
      {!used && (
        <button type="button" className="act mt-1 text-xs" onClick={remove}>
          Remove {name}
        </button>
      )}
    </div>
  );
}
