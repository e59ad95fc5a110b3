import { measureIcon } from '@garnish/core/icons/measure';
import type { StyleDocument } from '@garnish/core/system/document';
import { collectionOf } from '@garnish/core/system/collection';
import { iconSets } from '../icons/sets.ts';

type Named = StyleDocument['icons']['named'];

/** Icons of a shipped set by what they are for: the id, what it is called, and its name in the set. */
export function iconsFrom(
  id: string,
  icons: readonly (readonly [id: string, name: string, icon: string, departs?: object])[],
): Named {
  const set = iconSets().get(id);
  if (!set) throw new Error(`there is no set ${id}`);
  return collectionOf(
    icons.map(([own, name, icon, departs]) => {
      const drawing = set.drawing(icon);
      const measures = set.measures.get(icon) ?? (drawing && measureIcon(drawing));
      if (!drawing || !measures) throw new Error(`there is no icon ${icon} in ${id}`);
      const from = { set: set.name, icon, author: set.author, license: set.license.spdx };
      return [own, JSON.parse(JSON.stringify({ name, drawing, measures, from, ...departs }))];
    }),
  );
}
