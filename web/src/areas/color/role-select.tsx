import { inOrder } from '@garnish/core/system/document';
import type { ReactNode } from 'react';
import { useSystem } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';

interface RoleSelectProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (role: string) => void;
  /** Shown as a line of text among others, without a label of its own. */
  readonly bare?: boolean;
  readonly className?: string;
  readonly disabled?: boolean;
  /** Which roles can be chosen; all where nothing is said. */
  readonly among?: readonly string[];
  /** What else can be chosen, before the roles. */
  readonly children?: ReactNode;
}

/** One of the color roles, as a decision. */
export function RoleSelect(props: RoleSelectProps) {
  const { label, value, onChange, bare = false, className = '', disabled, among, children } = props;
  const roles = useSystem(({ decided }) => decided.document.color.roles);
  const select = (
    <TrySelect
      className={`select ${bare ? 'bare' : 'w-full'} ${className}`}
      {...(bare && { 'aria-label': label })}
      value={value}
      disabled={disabled}
      onChange={(event) => onChange(event.currentTarget.value)}
    >
      {children}
      {inOrder(roles)
        .filter(([id]) => among?.includes(id) ?? true)
        .map(([id, { name }]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
    </TrySelect>
  );
  if (bare) return select;
  return (
    <label className="min-w-0">
      <span className="block text-quiet">{label}</span>
      {select}
    </label>
  );
}
