import { sideKey, sidesOf, SPACES_AND_SIDES } from '@garnish/core/components/spaces';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { light } from './lit.ts';
import { usePreferences } from '../ui/preferences.ts';
import { px } from '../ui/px.ts';
import { DecidedNumber } from '../system/decided-number.tsx';
import { useDecided, useStore } from '../system/system-context.ts';
import { TrySelect } from '../system/try-select.tsx';

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

interface SpacePartRowProps {
  /** A space of a component, or one side of it that is decided by itself. */
  readonly id: string;
}

/** One space of a component, or one side of it: the role, step or length that it takes. */
function SpaceRow({ id }: SpacePartRowProps) {
  const store = useStore();
  const decided = useDecided(['space'], ['spaces', 'steps']);
  const { proofWidth } = usePreferences();
  const { document, derived } = decided;
  const part = SPACES_AND_SIDES.get(id);
  const { parts } = document.space;
  const own = Object.hasOwn(parts, id) ? parts[id] : undefined;
  if (!part) return null;
  const { side } = part;
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
  const lit = sidesOf(part.of).map((one) => sideKey(part.of, one));
  // Sides that are not decided by themselves yet; one that is has a line of its own.
  const free = sidesOf(id).filter((one) => !Object.hasOwn(parts, sideKey(id, one)));
  return (
    <li
      data-decision={path}
      className="grid grid-cols-[minmax(0,1fr)_11rem_5rem] items-center gap-x-3 border-t border-line"
      onPointerEnter={() => light(side ? [id] : [id, `${id}-inline`, `${id}-block`, ...lit])}
      onPointerLeave={() => light([])}
    >
      <span className={`truncate ${own ? 'font-semibold' : ''} ${side ? 'ps-4' : ''}`} title={id}>
        {side ? side.says : part.says}
      </span>
      <TrySelect
        aria-label={`Space ${part.says}`}
        className={`select w-full ${own ? '' : 'text-quiet'}`}
        value={keyOf(own)}
        onChange={({ currentTarget: { value } }) => {
          const [kind, name = ''] = value.split(' ');
          const apart = free.find(({ end }) => value === `side ${end}`);
          if (apart)
            store.change(
              [{ op: 'add', path: `${path}-${apart.end}`, value: sideFrom(own, part.role) }],
              `space ${part.says}, ${apart.says}`,
            );
          else if (value === '') set(undefined);
          else if (kind === 'px') set({ px: Math.round(now) });
          else set(kind === 'role' ? { role: name } : { step: name });
        }}
      >
        <option value="">
          {side ? 'as the other sides' : `${usual?.name ?? 'nothing'}, as usual`}
        </option>
        <optgroup label="roles">
          {inOrder(document.space.roles)
            .filter(([one, { use }]) => (side !== undefined || one !== part.role) && use !== 'pull')
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
        {free.length > 0 && (
          <optgroup label="one side by itself">
            {free.map(({ end, says }) => (
              <option key={end} value={`side ${end}`}>
                {says}
              </option>
            ))}
          </optgroup>
        )}
      </TrySelect>
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

/** What a side begins with: what the whole space takes. */
const sideFrom = (own: Part | undefined, role: string): Part => ({ ...(own ?? { role }) });

/** One space of a component, with a line for each side that is decided by itself. */
export function SpacePartRow({ id }: SpacePartRowProps) {
  const { parts } = useDecided(['space']).document.space;
  return (
    <>
      <SpaceRow id={id} />
      {sidesOf(id)
        .map((side) => sideKey(id, side))
        .filter((key) => Object.hasOwn(parts, key))
        .map((key) => (
          <SpaceRow key={key} id={key} />
        ))}
    </>
  );
}
