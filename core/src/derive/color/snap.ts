import { nearestOf } from '../../image/displays.ts';
import type { Hex } from '../../color/srgb.ts';
import { leavingLocked } from '../../system/locks.ts';
import { inOrder, MODES, type StyleDocument } from '../../system/document.ts';
import type { Operation, Patch } from '../../system/patch.ts';
import type { Derived } from '../derived.ts';

/**
 * The change that paints every role, in both themes, in the nearest color of a display that shows only some: near in
 * OKLab, as `nearestOf` has it. A role that has such a color already, and one that is locked, stays as it is painted; a
 * share of another role becomes flat where the display cannot show it.
 */
export function snapRoles(
  document: StyleDocument,
  { colors }: Pick<Derived, 'colors'>,
  shown: readonly Hex[],
): Patch {
  if (shown.length === 0) return [];
  return leavingLocked(
    document,
    inOrder(document.color.roles).flatMap(([id]) =>
      MODES.flatMap((mode): Operation[] => {
        const now = colors.get(id)?.colors[mode];
        const next = now && nearestOf(shown, now).hex;
        return next === undefined || next === now
          ? []
          : [
              {
                op: 'replace',
                path: `/color/roles/items/${id}/${mode}`,
                value: { kind: 'own', value: next },
              },
            ];
      }),
    ),
  );
}
