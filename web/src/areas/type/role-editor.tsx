import type { TextStyle } from '@garnish/core/derive/derived';
import { inOrder } from '@garnish/core/system/document';
import { removingTextRole } from '@garnish/core/system/type-changes';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { Own } from './own.tsx';
import { AsCss } from './as-css.tsx';
import { Follows } from './follows.tsx';
import { RoleFlow } from './role-flow.tsx';
import { RoleNumbers } from './role-numbers.tsx';
import { RoleSetting } from './role-setting.tsx';
import type { RolePartProps } from './use-role-change.ts';

interface RoleEditorProps extends RolePartProps {
  readonly style: TextStyle;
}

/** Everything that a role can decide for itself; each value stands apart from the scale until let go. */
export function RoleEditor({ id, role, style }: RoleEditorProps) {
  const store = useStore();
  const { color } = useDecided(['color']).document;
  const path = `/type/roles/items/${id}`;
  const onPage = inOrder(color.texts).find(
    ([, use]) => use.text === id && use.part === 'words' && use.on === 'page',
  );
  return (
    <div className="mb-2 border-s-2 border-line-strong ps-3 pt-1" data-decision={path}>
      <Follows id={id} role={role} />
      <div className="grid grid-cols-3 gap-x-4 gap-y-1">
        <RoleNumbers id={id} role={role} style={style} />
        <RoleSetting id={id} role={role} />
        <RoleFlow id={id} role={role} />
        {onPage && (
          <Own name="color on page" own={false} onClear={() => undefined}>
            <TrySelect
              aria-label={`color of ${role.name} on page`}
              className="select w-full"
              value={onPage[1].color}
              onChange={(event) =>
                store.change(
                  [
                    {
                      op: 'replace',
                      path: `/color/texts/items/${onPage[0]}/color`,
                      value: event.currentTarget.value,
                    },
                  ],
                  `color of ${role.name} on page`,
                )
              }
            >
              {inOrder(color.roles).map(([key, { name }]) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </TrySelect>
          </Own>
        )}
      </div>
      <AsCss id={id} role={role} />
      <div className="mt-2 flex items-baseline gap-4">
        <div className="w-40">
          <NameField
            label={`Name of ${role.name}`}
            value={role.name}
            onChange={(value) =>
              store.change([{ op: 'replace', path: `${path}/name`, value }], `name of ${role.name}`)
            }
          />
        </div>
        <button
          type="button"
          className="min-h-6 text-quiet underline underline-offset-2 hover:text-base-content"
          onClick={() =>
            store.change(
              removingTextRole(store.state().decided.document, id),
              `no text role ${role.name}`,
            )
          }
        >
          Take the role out
        </button>
      </div>
    </div>
  );
}
