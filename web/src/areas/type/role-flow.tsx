import { LENGTHS } from '@garnish/core/type/fluid';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { LineField } from '../../ui/line-field.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';
import { Own } from './own.tsx';
import { useRoleChange, type RolePartProps } from './use-role-change.ts';
import { TrySelect } from '../../system/try-select.tsx';

/** A heading that is held to few lines is not to become smaller than this, until somebody says so. */
const LEAST_FIT_PX = 18;

/** In how few lines a role fits, what it flows with, and the unit that it is written in. */
export function RoleFlow({ id, role }: RolePartProps) {
  const { path, said, set, clear, owns, back } = useRoleChange(id, role);
  return (
    <>
      <Own name="lines at most" own={owns('fit')} back={back} onClear={() => clear('fit')}>
        <DecidedNumber
          path={`${path}/fit/lines`}
          name={said('fit')}
          min={role.fit ? undefined : 0}
          change={(lines) => [
            {
              op: 'add',
              path: `${path}/fit`,
              value: { least: LEAST_FIT_PX, ...role.fit, lines },
            },
          ]}
          label={`lines of ${role.name} at most`}
          hideLabel
          value={role.fit?.lines ?? 0}
          step={1}
          decimals={0}
          unit={role.fit ? 'lines' : 'any'}
        />
      </Own>
      {role.fit && (
        <Own name="but never under" own={false} onClear={() => undefined}>
          <DecidedNumber
            path={`${path}/fit/least`}
            name={said('fit')}
            label={`least size of ${role.name}`}
            hideLabel
            value={role.fit.least}
            step={1}
            unit="px"
            units={PX_UNITS}
          />
        </Own>
      )}
      <Own name="flows with" own={owns('container')} back={back} onClear={() => clear('container')}>
        <TrySelect
          aria-label={`What ${role.name} flows with`}
          className="select w-full"
          value={role.container ? 'container' : 'screen'}
          onChange={(event) =>
            event.currentTarget.value === 'container'
              ? set('container', { from: 240, to: 640 })
              : clear('container')
          }
        >
          <option value="screen">the screen</option>
          <option value="container">its container</option>
        </TrySelect>
      </Own>
      {role.container &&
        (['from', 'to'] as const).map((end) => (
          <Own key={end} name={`container ${end}`} own={false} onClear={() => undefined}>
            <DecidedNumber
              path={`${path}/container/${end}`}
              name={said('container')}
              label={`container of ${role.name} ${end}`}
              hideLabel
              value={role.container?.[end] ?? 0}
              step={10}
              decimals={0}
              unit="px"
              units={PX_UNITS}
            />
          </Own>
        ))}
      <Own name="written in" own={owns('unit')} back={back} onClear={() => clear('unit')}>
        <TrySelect
          aria-label={`Unit of ${role.name}`}
          className="select w-full"
          value={role.unit?.length ?? 'rem'}
          onChange={(event) => {
            const { value } = event.currentTarget;
            if (value === 'rem') clear('unit');
            else set('unit', { because: '', ...role.unit, length: value });
          }}
        >
          {LENGTHS.map((length) => (
            <option key={length}>{length}</option>
          ))}
        </TrySelect>
      </Own>
      {role.unit && (
        <label className="col-span-2">
          <span className="text-xs text-quiet">because</span>
          <LineField
            placeholder="why it does not follow the reader"
            value={role.unit.because}
            onChange={(because) => set('unit', { length: role.unit?.length ?? 'px', because })}
          />
        </label>
      )}
    </>
  );
}
