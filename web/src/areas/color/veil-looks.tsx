import { isHex } from '@garnish/core/color/srgb';
import { MODES, type Mode, type Veil } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { settingVeil, veilIn, type VeilLook } from '@garnish/core/system/veils';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { RoleSelect } from './role-select.tsx';

interface VeilLooksProps {
  readonly id: string;
  readonly veil: Veil;
}

/** In what color the text stands and how strong the veil is: once for both themes, or apart in each. */
export function VeilLooks({ id, veil }: VeilLooksProps) {
  const store = useStore();
  const themes = useSystem(({ decided }) => decided.derived.themes);
  const path = `/color/veils/items/${id}`;
  const isApart = veil.dark !== undefined;
  const shown = MODES.filter((mode) => modesOf(themes).includes(mode));
  const rows: readonly (readonly Mode[])[] = isApart ? shown.map((mode) => [mode]) : [MODES];
  const set = (modes: readonly Mode[], look: Partial<VeilLook>, label: string): void => {
    const patch = settingVeil(id, veil, modes, look);
    if (patch.length > 0) store.change(patch, label.slice(0, 120));
  };
  return (
    <>
      {rows.map((modes) => {
        const [mode = 'light'] = modes;
        const look = veilIn(veil, mode);
        const within = isApart ? ` in ${mode}` : '';
        return (
          <div
            key={mode}
            role="group"
            aria-label={isApart ? `In ${mode}` : 'In every theme'}
            className="mt-1 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.3fr)] items-start gap-x-3 @max-[26rem]:grid-cols-2"
          >
            <RoleSelect
              label={`text${within} in`}
              value={look.ink}
              onChange={(ink) => set(modes, { ink }, `text on ${veil.name}${within}`)}
            />
            <RoleSelect
              label={`veil${within} of`}
              value={look.color}
              onChange={(color) => set(modes, { color }, `veil of ${veil.name}${within}`)}
            >
              <option value="#000000">black</option>
              <option value="#ffffff">white</option>
              {isHex(look.color) && !['#000000', '#ffffff'].includes(look.color) && (
                <option value={look.color}>{look.color}</option>
              )}
            </RoleSelect>
            <DecidedNumber
              path={mode === 'dark' ? `${path}/dark/strength` : `${path}/strength`}
              name={`veil of ${veil.name}${within}`}
              label={`veil${within}, of 255`}
              value={look.strength}
              change={(strength) => settingVeil(id, veil, modes, { strength })}
              step={1}
              decimals={0}
              slider
            />
          </div>
        );
      })}
      {shown.length > 1 && (
        <p className="flex items-baseline gap-x-3">
          <span className="text-quiet">
            {isApart ? 'each theme has its own' : 'the same in light and dark'}
          </span>
          <button
            type="button"
            className="act"
            onClick={() =>
              isApart
                ? store.change(
                    [{ op: 'remove', path: `${path}/dark` }],
                    `veil of ${veil.name} the same in dark`,
                  )
                : store.change(
                    [{ op: 'add', path: `${path}/dark`, value: { strength: veil.strength } }],
                    `veil of ${veil.name} apart in dark`,
                  )
            }
          >
            {isApart ? 'The same in both' : 'Apart in dark'}
          </button>
        </p>
      )}
    </>
  );
}
