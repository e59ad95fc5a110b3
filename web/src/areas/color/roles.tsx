import { useModes } from '../../system/proof-theme.ts';
import { FAMILY_PARTS } from '@garnish/core/system/color-roles';
import { adding } from '@garnish/core/system/collection';
import { FAMILIES } from '@garnish/core/system/families';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { Plus } from 'lucide-react';
import { useDecided, useStore } from '../../system/system-context.ts';
import { useSearched } from '../../ui/use-searched.tsx';
import { paintName } from './paint-name.ts';
import { RoleChooser } from './role-chooser.tsx';

export interface OpenRole {
  readonly id: string;
  readonly mode: Mode;
}

interface GroupProps {
  readonly open: OpenRole | undefined;
  readonly onOpen: (role: OpenRole | undefined) => void;
}

interface CellProps extends GroupProps {
  readonly id: string;
  /** What is written below it; nothing where a heading says it. */
  readonly name?: string;
}

/** One role: light beside dark, each opens what it can be painted in. */
function Cell({ id, name, open, onOpen }: CellProps) {
  const decided = useDecided(['color'], ['colors', 'ramps']);
  const modes = useModes();
  const role = decided.document.color.roles.items[id];
  const derived = decided.derived.colors.get(id);
  if (!role || !derived) return <span />;
  const rampName = (ramp: string): string => decided.derived.ramps.get(ramp)?.name ?? ramp;
  return (
    <div className="min-w-0" data-decision={`/color/roles/items/${id}`}>
      <div className="flex h-7">
        {modes.map((mode) => {
          const hex = derived.colors[mode];
          const said = paintName(role[mode], derived.painted[mode], rampName);
          return (
            <button
              key={mode}
              type="button"
              aria-expanded={open?.id === id && open.mode === mode}
              aria-label={`${role.name} in ${mode}, ${said}`}
              title={`${role.name} in ${mode}: ${said}, ${hex}`}
              className="relative min-w-6 grow border border-line aria-expanded:outline-2 aria-expanded:outline-offset-1 aria-expanded:outline-primary"
              style={{ background: hex }}
              onClick={() =>
                onOpen(open?.id === id && open.mode === mode ? undefined : { id, mode })
              }
            >
              {role[mode].kind !== 'near' && (
                <span
                  aria-hidden
                  className="absolute end-0.5 bottom-0.5 h-1 w-1 bg-white outline-1 outline-black"
                />
              )}
            </button>
          );
        })}
      </div>
      {name !== undefined && <p className="truncate">{name}</p>}
    </div>
  );
}

const isOfFamily = (id: string): boolean =>
  FAMILIES.some((family) => id === family || id.startsWith(`${family}-`));

const Chooser = ({ open, onOpen, among }: GroupProps & { readonly among: readonly string[] }) =>
  open && among.includes(open.id) ? (
    <RoleChooser key={`${open.id} ${open.mode}`} role={open} onClose={() => onOpen(undefined)} />
  ) : null;

/** Surfaces, texts, lines, links, illustrations and roles of one's own. */
export function PlainRoles({ open, onOpen }: GroupProps) {
  const store = useStore();
  const decided = useDecided(['color']);
  const modes = useModes();
  const { roles } = decided.document.color;
  const { found: plain, field } = useSearched(
    inOrder(roles).filter(([id]) => !isOfFamily(id)),
    ([, { name }]) => name,
  );
  const add = (): void => {
    const id = `role-${crypto.randomUUID().slice(0, 8)}`;
    const gray = { kind: 'near', ramp: 'neutral', rung: 8 };
    const name = `role ${roles.order.length + 1}`;
    store.change(
      adding('/color/roles', roles, id, { name, light: gray, dark: gray }),
      'another color role',
    );
    onOpen({ id, mode: modes[0] });
  };
  return (
    <>
      {field}
      <div className="grid grid-cols-5 gap-x-3 gap-y-3">
        {plain.map(([id, { name }]) => (
          <Cell key={id} id={id} name={name} open={open} onOpen={onOpen} />
        ))}
      </div>
      <Chooser open={open} onOpen={onOpen} among={plain.map(([id]) => id)} />
      <button type="button" className="act mt-2 gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another role
      </button>
    </>
  );
}

/** The vivid colors, one a row, with all that belongs to each. */
export function VividRoles({ open, onOpen }: GroupProps) {
  const decided = useDecided(['color']);
  const { roles } = decided.document.color;
  const families = FAMILIES.filter((id) => Object.hasOwn(roles.items, id));
  const parts = FAMILY_PARTS.filter((part) =>
    families.some((id) => Object.hasOwn(roles.items, `${id}-${part}`)),
  );
  const among = families.flatMap((id) => [id, ...parts.map((part) => `${id}-${part}`)]);
  if (families.length === 0)
    return <p className="text-quiet">This system has no vivid colors yet.</p>;
  return (
    <>
      <div className="grid overflow-x-auto grid-cols-[4.5rem_repeat(7,minmax(3.1rem,1fr))] items-center gap-x-1.5 gap-y-1.5">
        <span />
        {['itself', ...parts].map((part) => (
          <span key={part} className="truncate text-xs text-quiet">
            {part}
          </span>
        ))}
        {families.map((id) => (
          <div key={id} className="contents">
            <span className="truncate">{roles.items[id]?.name}</span>
            {[id, ...parts.map((part) => `${id}-${part}`)].map((role) => (
              <Cell key={role} id={role} open={open} onOpen={onOpen} />
            ))}
          </div>
        ))}
      </div>
      <Chooser open={open} onOpen={onOpen} among={among} />
    </>
  );
}
