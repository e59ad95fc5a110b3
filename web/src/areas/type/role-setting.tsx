import { ALIGNMENTS, FIGURES, LETTER_CASES } from '@garnish/core/system/document';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { Own } from './own.tsx';
import { useRoleChange, type RolePartProps } from './use-role-change.ts';

/** How a role is set: its style, case, figures and alignment, and the space after it. */
export function RoleSetting({ id, role }: RolePartProps) {
  const { space } = useDecided(['space']).document;
  const { path, set, clear, owns, back } = useRoleChange(id, role);
  const store = useStore();
  const selects = [
    ['style', 'style', role.style, ['italic'], 'upright'],
    ['case', 'case', role.case, LETTER_CASES, 'as written'],
    ['figures', 'figures', role.figures, FIGURES, 'usual'],
    ['align', 'alignment', role.align, ALIGNMENTS, 'start'],
    ['after', 'space after', role.after, space.steps.order, 'none'],
  ] as const;
  return (
    <>
      {selects.map(([part, name, value, options, automatic]) => (
        <Own key={part} name={name} own={owns(part)} back={back} onClear={() => clear(part)}>
          <TrySelect
            aria-label={`${name} of ${role.name}`}
            className="select w-full"
            value={value ?? ''}
            onChange={({ currentTarget: { value: chosen } }) =>
              chosen === ''
                ? store.change([{ op: 'remove', path: `${path}/${part}` }], `${part} automatic`)
                : set(part, chosen)
            }
          >
            <option value="">{automatic}</option>
            {options.map((option) => (
              <option key={option} value={option}>
                {part === 'after' ? space.steps.items[option]?.name : option}
              </option>
            ))}
          </TrySelect>
        </Own>
      ))}
    </>
  );
}
