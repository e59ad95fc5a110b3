import type { DerivedSpace } from '@garnish/core/derive/derived';
import { tokenOf } from '@garnish/core/derive/space/space';
import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, type SpaceRole } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import { SPACE_USES, type SpaceUse } from '@garnish/core/system/space-schema';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { Curves } from '../../charts/curves.tsx';
import { Notes } from '../../findings/note.tsx';
import { useDecided, useShown, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { useSearched } from '../../ui/use-searched.tsx';
import { ByBreakpoint } from './by-breakpoint.tsx';
import { px } from '../../ui/px.ts';
import { KINDS, Length } from './length.tsx';

const USE_SAYS: Readonly<Record<SpaceUse, string>> = {
  inset: 'inside an edge',
  gap: 'between things',
  margin: 'beside the page',
  size: 'how large',
  pull: 'pulled out',
};

function RoleDetail({ id, role }: { readonly id: string; readonly role: SpaceRole }) {
  const store = useStore();
  const decided = useDecided(['space']);
  const path = `/space/roles/items/${id}`;
  const { space } = decided.document;
  const leanedOn = inOrder(space.roles).some(
    ([, other]) => other.value.kind === 'minus' && other.value.of === id,
  );
  const placed = Object.values(space.parts).some((part) => 'role' in part && part.role === id);
  return (
    <div className="grid gap-3 bg-base-200 px-3 py-2">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
        <div className="w-32">
          <NameField
            label={`Name of ${role.name}`}
            hideLabel
            value={role.name}
            onChange={(value) =>
              store.change([{ op: 'replace', path: `${path}/name`, value }], `role ${value}`)
            }
          />
        </div>
        <label>
          <span className="sr-only">Use of {role.name}</span>
          <select
            className="select w-36"
            value={role.use}
            onChange={(event) =>
              store.change(
                [{ op: 'replace', path: `${path}/use`, value: event.currentTarget.value }],
                `use of ${role.name}`,
              )
            }
          >
            {SPACE_USES.map((use) => (
              <option key={use} value={use}>
                {use}: {USE_SAYS[use]}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-7 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={role.block !== undefined}
            onChange={() =>
              store.change(
                [
                  role.block
                    ? { op: 'remove', path: `${path}/block` }
                    : { op: 'add', path: `${path}/block`, value: jsonOf(role.value) },
                ],
                role.block ? `${role.name}: all sides alike` : `${role.name}: sides apart`,
              )
            }
          />
          above and below apart
        </label>
        {!leanedOn && !placed && (
          <button
            type="button"
            className="min-h-7 text-quiet hover:text-base-content hover:underline"
            onClick={() =>
              store.change(removing('/space/roles', space.roles, id), `without role ${role.name}`)
            }
          >
            Remove
          </button>
        )}
      </div>
      <Length
        path={`${path}/value`}
        name={role.block ? `${role.name} at the sides` : role.name}
        use={role.use}
        length={role.value}
      />
      {role.block && (
        <Length
          path={`${path}/block`}
          name={`${role.name} above and below`}
          use={role.use}
          length={role.block}
        />
      )}
    </div>
  );
}

/** What a role is at the width of the proof, short. */
function Figures({
  space,
  side,
}: {
  readonly space: DerivedSpace;
  readonly side: 'inline' | 'block';
}) {
  const { proofWidth } = usePreferences();
  const length = space[side];
  const css = length.value.css ?? '';
  const said = length.follows === 'text' ? css : px(length.px({ widthPx: proofWidth }));
  return (
    <Copy
      className="figures text-end"
      text={`var(--${tokenOf(space, side).replace('.', '-')})`}
      label={`Copy ${space.name}${space.apart ? ` ${side}` : ''}: ${said}`}
    >
      {said}
    </Copy>
  );
}

function Roles() {
  const store = useStore();
  const decided = useDecided(['space'], ['spaces']);
  const [open, setOpen] = useState<string>();
  const { roles } = decided.document.space;
  const { spaces } = decided.derived;
  const { found, field } = useSearched(inOrder(roles), ([, { name }]) => name);
  const groups = SPACE_USES.map(
    (use) => [use, found.filter(([, role]) => role.use === use)] as const,
  ).filter(([, of]) => of.length > 0);
  return (
    <div>
      {field}
      {groups.map(([use, of]) => (
        <section
          key={use}
          aria-label={use}
          className="grid grid-cols-[6rem_minmax(0,1fr)] border-t @max-[26rem]:grid-cols-1 border-line"
        >
          <div className="py-1.5">
            <h3 className="font-semibold">{use}</h3>
            <p className="text-xs text-quiet">{USE_SAYS[use]}</p>
          </div>
          <ul>
            {of.map(([id, role]) => {
              const space = spaces.get(id);
              return (
                <li
                  key={id}
                  data-decision={`/space/roles/items/${id}`}
                  className="border-b border-line last:border-0"
                >
                  <div className="grid grid-cols-[minmax(0,1fr)_7.5rem_9rem] items-center gap-x-3 @max-[26rem]:grid-cols-2">
                    <button
                      type="button"
                      aria-expanded={open === id}
                      className="min-h-7 truncate text-start hover:underline aria-expanded:font-semibold"
                      onClick={() => setOpen(open === id ? undefined : id)}
                    >
                      {role.name}
                    </button>
                    <span className="truncate text-xs text-quiet">
                      {KINDS[role.value.kind]}
                      {space && space.inline.follows === 'screen' && role.value.kind === 'step'
                        ? ', flowing'
                        : ''}
                    </span>
                    {space && (
                      <span className="flex justify-end gap-x-3">
                        {space.apart && <Figures space={space} side="block" />}
                        <Figures space={space} side="inline" />
                      </span>
                    )}
                  </div>
                  {open === id && <RoleDetail id={id} role={role} />}
                </li>
              );
            })}
          </ul>
        </section>
      ))}
      <button
        type="button"
        className="act mt-1 gap-1"
        onClick={() => {
          const id = `role-${crypto.randomUUID().slice(0, 8)}`;
          const step = decided.document.space.steps.order[0] ?? '';
          const role: SpaceRole = {
            name: `role ${roles.order.length + 1}`,
            use: 'gap',
            value: { kind: 'step', step },
          };
          if (store.change(adding('/space/roles', roles, id, role), 'another space role'))
            setOpen(id);
        }}
      >
        <Plus size={13} aria-hidden /> Another role
      </button>
    </div>
  );
}

/** Roles over the screen width: those that change with it. */
function Flowing() {
  const shown = useShown([], ['spaces']);
  const curves = [...shown.derived.spaces.values()]
    .flatMap((space) =>
      (space.apart ? (['inline', 'block'] as const) : (['inline'] as const)).map((side) => ({
        id: `${space.id}-${side}`,
        names: [space.apart ? `${space.name} ${side}` : space.name],
        bends: space[side].bends,
        at: (widthPx: number) => space[side].px({ widthPx }),
        jumps: space[side].fluid === undefined && space[side].follows === 'screen',
        follows: space[side].follows,
        use: space.use,
      })),
    )
    .filter(
      ({ follows, use }) => (follows === 'screen' || follows === 'container') && use !== 'pull',
    )
    .sort((one, other) => one.at(2560) - other.at(2560));
  return curves.length === 0 ? (
    <p className="text-quiet">
      No role changes with the screen yet. Open one, and give it another step at the next width.
    </p>
  ) : (
    <>
      <Curves label="Space over the screen width" curves={curves} height={200} least={0} />
      {curves.some(({ follows }) => follows === 'container') && (
        <p className="text-xs text-quiet">
          What shrinks with its container is drawn as if that were the screen.
        </p>
      )}
    </>
  );
}

/** What space does: which step each role takes, where it flows, shrinks or changes. */
export function RolesView() {
  const findings = useSystem((state) => state.findings);
  const { proofWidth } = usePreferences();
  return (
    <>
      <Section full title="Roles" aside={`what each is at ${proofWidth} px`}>
        <Roles />
        <div className="pt-2">
          <Notes findings={findings} at={['/space/roles']} />
        </div>
      </Section>
      <Section full title="Space over screen width" aside="px">
        <Flowing />
      </Section>
      <Section full title="By breakpoint" aside="smallest first; what is not set is inherited">
        <ByBreakpoint />
      </Section>
    </>
  );
}
