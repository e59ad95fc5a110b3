import type { FollowedPart, TextRole } from '@garnish/core/system/document';
import type { Json } from '@garnish/core/system/patch';
import { useDecided, useStore } from '../../system/system-context.ts';

interface RoleChange {
  /** Where the role stands in the document. */
  readonly path: string;
  /** How a change of one of its parts is called. */
  readonly said: (part: keyof TextRole) => string;
  readonly set: (part: keyof TextRole, value: Json) => void;
  /** Lets a part follow again, from the scale or from another role; `sizes/wide` is a part of a part. */
  readonly clear: (part: string) => void;
  /** Whether a part departs from what it would follow from. */
  readonly owns: (part: FollowedPart) => boolean;
  /** What a part is again when it is cleared: as the role that is followed, or automatic. */
  readonly back: string;
}

/** What changes the parts of a text role. */
export function useRoleChange(id: string, role: TextRole): RoleChange {
  const { name, follows } = role;
  const store = useStore();
  const { roles } = useDecided(['type']).document.type;
  const path = `/type/roles/items/${id}`;
  const back = follows ? `as ${roles.items[follows.of]?.name ?? follows.of}` : 'automatic';
  const said = (part: keyof TextRole): string => `${part} of ${name}`;
  return {
    path,
    said,
    set: (part, value) => store.change([{ op: 'add', path: `${path}/${part}`, value }], said(part)),
    clear: (part) => {
      const whole = part.split('/')[0] ?? part;
      const but = follows?.but.filter((one) => one !== whole);
      // What is not its own there follows already; taken away, it is automatic by itself.
      if (but && but.length < (follows?.but.length ?? 0))
        store.change(
          [{ op: 'replace', path: `${path}/follows/but`, value: but }],
          `${part} of ${name} ${back}`,
        );
      else
        store.change([{ op: 'remove', path: `${path}/${part}` }], `${part} of ${name} automatic`);
    },
    owns: (part) => (follows ? follows.but.includes(part) : role[part] !== undefined),
    back,
  };
}

export interface RolePartProps {
  readonly id: string;
  readonly role: TextRole;
}
