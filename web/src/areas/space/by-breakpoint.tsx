import { inherited } from '@garnish/core/space/inherited';
import { without } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import { useDecided, useStore } from '../../system/system-context.ts';
import { StepPick } from './step-pick.tsx';

/** Every role on every breakpoint: what is set stands dark, what is inherited quiet. */
export function ByBreakpoint() {
  const store = useStore();
  const decided = useDecided(['layout', 'space'], ['steps']);
  const { layout, space } = decided.document;
  const breakpoints = inOrder(layout.breakpoints);
  const rows = inOrder(space.roles).filter(
    ([, { value }]) => value.kind === 'step' || value.kind === 'stepped',
  );
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <caption className="sr-only">Space roles by breakpoint</caption>
        <thead>
          <tr className="text-start text-quiet">
            <th className="pe-3 text-start font-normal">role</th>
            <th className="pe-3 text-start font-normal">smallest</th>
            {breakpoints.map(([id, { name, width }]) => (
              <th key={id} className="pe-3 text-start font-normal">
                {name} <span className="figures text-xs">{width}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([id, { name, value }]) => {
            if (value.kind !== 'step' && value.kind !== 'stepped') return null;
            const path = `/space/roles/items/${id}/value`;
            const flows = value.kind === 'step' && Object.keys(value.at ?? {}).length > 0;
            const at = value.kind === 'stepped' ? value.at : {};
            const all = inherited(
              value.step,
              at,
              breakpoints.map(([one]) => one),
            );
            return (
              <tr key={id} className="border-t border-line">
                <th scope="row" className="pe-3 text-start font-semibold">
                  {name}
                </th>
                <td className="w-28 pe-3">
                  {flows ? (
                    <span className="text-quiet">flows</span>
                  ) : (
                    <StepPick
                      label={`${name} on the smallest screen`}
                      value={value.step}
                      onChange={(next) =>
                        store.change(
                          [{ op: 'replace', path: `${path}/step`, value: next }],
                          `${name} on the smallest screen`,
                        )
                      }
                    />
                  )}
                </td>
                {all.map(({ id: breakpoint, isSet }, index) => {
                  const before = index === 0 ? value.step : (all[index - 1]?.value ?? value.step);
                  const words = `${name} from ${breakpoints[index]?.[1].name ?? breakpoint}`;
                  return (
                    <td key={breakpoint} className="w-28 pe-3">
                      {flows ? null : (
                        <StepPick
                          label={words}
                          value={isSet ? (at[breakpoint] ?? '') : ''}
                          inheritedName={`${decided.derived.steps.get(before)?.name ?? before}, inherited`}
                          onChange={(next) => {
                            const others = without(at, breakpoint);
                            const set = next === '' ? others : { ...others, [breakpoint]: next };
                            store.change(
                              [
                                {
                                  op: 'replace',
                                  path,
                                  value: jsonOf({ kind: 'stepped', step: value.step, at: set }),
                                },
                              ],
                              words,
                            );
                          }}
                        />
                      )}
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
