import type { TextRole } from '@garnish/core/system/document';
import type { Json } from '@garnish/core/system/patch';
import { useStore } from '../../system/system-context.ts';

interface RoleChange {
  /** Where the role stands in the document. */
  readonly path: string;
  /** How a change of one of its parts is called. */
  readonly said: (part: keyof TextRole) => string;
  readonly set: (part: keyof TextRole, value: Json) => void;
  /** Lets a part follow from the scale again; `sizes/wide` is a part of a part. */
  readonly clear: (part: string) => void;
}

/** What changes the parts of a text role. */
export function useRoleChange(id: string, { name }: TextRole): RoleChange {
  const store = useStore();
  const path = `/type/roles/items/${id}`;
  const said = (part: keyof TextRole): string => `${part} of ${name}`;
  return {
    path,
    said,
    set: (part, value) => store.change([{ op: 'add', path: `${path}/${part}`, value }], said(part)),
    clear: (part) =>
      store.change([{ op: 'remove', path: `${path}/${part}` }], `${part} of ${name} automatic`),
  };
}

export interface RolePartProps {
  readonly id: string;
  readonly role: TextRole;
}
