import type { TextStyle } from '../derive/derived.ts';
import { HIGHEST_PLACE, LOWEST_PLACE, type StyleDocument } from '../system/document.ts';
import { movesLocked } from '../system/locks.ts';
import type { Patch } from '../system/patch.ts';
import { placeName } from '../type/scale.ts';
import type { Miss } from './attention.ts';
import type { Repair } from './finding.ts';

/** So many places up or down the scale are tried; what needs more is not a matter of size. */
const MOST_PLACES = 6;

/** Roles whose place on the scale decides their size, by the slug that their class carries. */
function movableRole(
  { type }: Pick<StyleDocument, 'type'>,
  styles: ReadonlyMap<string, Pick<TextStyle, 'slug'>>,
  slug: string | undefined,
): string | undefined {
  const id = [...styles].find(([, style]) => style.slug === slug)?.[0];
  const role = id === undefined ? undefined : type.roles.items[id];
  return role && role.sizes === undefined ? id : undefined;
}

/**
 * Changes of size that could let what is meant to be seen first be seen first, the smallest first: the text that is
 * missed one place up its scale, or what draws more one place down, then two, and so on. Whether one of them does it is
 * measured, not said here. None for texts whose sizes are their own, that are locked, or at the end of the scale.
 */
export function attentionRepairs(
  document: StyleDocument,
  styles: ReadonlyMap<string, Pick<TextStyle, 'slug'>>,
  misses: readonly Pick<Miss, 'meant' | 'stronger'>[],
): readonly Repair[] {
  const rolesOf = (which: 'meant' | 'stronger'): readonly string[] => [
    ...new Set(misses.flatMap((miss) => movableRole(document, styles, miss[which]) ?? [])),
  ];
  const meant = rolesOf('meant');
  const stronger = rolesOf('stronger').filter((id) => !meant.includes(id));
  const moved = (id: string, by: number): readonly Repair[] => {
    const role = document.type.roles.items[id];
    const place = (role?.place ?? 0) + by;
    if (!role || place > HIGHEST_PLACE || place < LOWEST_PLACE) return [];
    const patch: Patch = [{ op: 'replace', path: `/type/roles/items/${id}/place`, value: place }];
    return movesLocked(document, patch)
      ? []
      : [
          {
            label: `${role.name}: ${placeName(place)}`,
            patch,
            before: placeName(role.place),
            after: placeName(place),
          },
        ];
  };
  return Array.from({ length: MOST_PLACES }, (_, index) => index + 1).flatMap((by) => [
    ...meant.flatMap((id) => moved(id, by)),
    ...stronger.flatMap((id) => moved(id, -by)),
  ]);
}
