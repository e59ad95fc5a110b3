import { inOrder, type StyleDocument } from './document.ts';
import type { Patch } from './patch.ts';

/** What is decided at a breakpoint, taken back: before the breakpoint itself goes. */
export const forgetting = ({ layout, space }: StyleDocument, id: string): Patch => [
  ...(id in layout.grid.at ? [{ op: 'remove', path: `/layout/grid/at/${id}` } as const] : []),
  ...inOrder(space.roles).flatMap(([role, own]) =>
    (['value', 'block'] as const).flatMap((side) => {
      const length = own[side];
      return length?.kind === 'stepped' && id in length.at
        ? [{ op: 'remove', path: `/space/roles/items/${role}/${side}/at/${id}` } as const]
        : [];
    }),
  ),
];
