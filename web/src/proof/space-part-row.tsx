import { SPACE_PARTS } from '@garnish/core/components/spaces';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { light } from './lit.ts';
import { usePreferences } from '../ui/preferences.ts';
import { px } from '../ui/px.ts';
import { DecidedNumber } from '../system/decided-number.tsx';
import { useDecided, useStore } from '../system/system-context.ts';

type Part = StyleDocument['space']['parts'][string];

/** A choice as the value of an option, and back. */
const keyOf = (part: Part | undefined): string =>
  part === undefined
    ? ''
    : 'role' in part
      ? `role ${part.role}`
      : 'step' in part
        ? `step ${part.step}`
        : 'px';

/** One space of a component: the role, step or length that it takes. */
export function SpacePartRow({ id }: { readonly id: string }) {
  const store = useStore();
  const decided = useDecided(['space'], ['spaces', 'steps']);
  const { proofWidth } = usePreferences();
  const { document, derived } = decided;
  const part = SPACE_PARTS[id];
  const own = document.space.parts[id];
  if (!part) return null;
  const usual = derived.spaces.get(part.role);
  const path = `/space/parts/${id}`;
  const set = (value: Part | undefined): void => {
    const patch: Patch =
      value === undefined
        ? own === undefined
          ? []
          : [{ op: 'remove', path }]
        : [{ op: own === undefined ? 'add' : 'replace', path, value: { ...value } }];
    if (patch.length > 0) store.change(patch, `space ${part.says}`);
  };
  const role = own === undefined ? usual : 'role' in own ? derived.spaces.get(own.role) : undefined;
  const step = own !== undefined && 'step' in own ? derived.steps.get(own.step) : undefined;
  const now =
    own !== undefined && 'px' in own
      ? own.px
      : (step?.px ?? role?.inline.px({ widthPx: proofWidth }) ?? 0);
  return (
    <li
      data-decision={path}
      className="grid grid-cols-[minmax(0,1fr)_11rem_5rem] items-center gap-x-3 border-t border-line"
      onPointerEnter={() => light([id, `${id}-inline`, `${id}-block`])}
      onPointerLeave={() => light([])}
    >
      <span className={`truncate ${own ? 'font-semibold' : ''}`} title={id}>
        {part.says}
      </span>
      <select
        aria-label={`Space ${part.says}`}
        className={`select w-full ${own ? '' : 'text-quiet'}`}
        value={keyOf(own)}
        onChange={({ currentTarget: { value } }) => {
          const [kind, name = ''] = value.split(' ');
          if (value === '') set(undefined);
          else if (kind === 'px') set({ px: Math.round(now) });
          else set(kind === 'role' ? { role: name } : { step: name });
        }}
      >
        <option value="">{usual?.name ?? 'nothing'}, as usual</option>
        <optgroup label="roles">
          {inOrder(document.space.roles)
            .filter(([one, { use }]) => one !== part.role && use !== 'pull')
            .map(([one, { name }]) => (
              <option key={one} value={`role ${one}`}>
                {name}
              </option>
            ))}
        </optgroup>
        <optgroup label="steps">
          {[...derived.steps.values()].map((one) => (
            <option key={one.id} value={`step ${one.id}`}>
              step {one.name}, {px(one.px)}
            </option>
          ))}
        </optgroup>
        <option value="px">a length of its own</option>
      </select>
      {own !== undefined && 'px' in own ? (
        <DecidedNumber
          path={`${path}/px`}
          name={`space ${part.says}`}
          label={`Length ${part.says}`}
          hideLabel
          value={own.px}
          step={1}
          unit="px"
        />
      ) : (
        <span className="figures text-end text-quiet">
          {role?.inline.follows === 'text' ? (role.inline.value.css ?? '') : px(now)}
        </span>
      )}
    </li>
  );
}
