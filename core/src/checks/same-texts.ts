import type { TextStyle } from '../derive/derived.ts';
import { usualRoles } from '../system/new-document.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { isSame } from '../same.ts';
import { checkOf, type Finding } from './finding.ts';

type TextRole = StyleDocument['type']['roles']['items'][string];

const LEVEL = /^h[1-6]$/;

/** All that a reader sees of a text in a role, as one key. */
const looksOf = (style: TextStyle, role: TextRole): string =>
  JSON.stringify([
    ...[style.family.id, style.weight, style.narrow?.family.id, style.narrow?.weight],
    ...[style.size, style.lineHeight, style.letterSpacing],
    ...[role.style, role.case, role.figures, role.align, role.after, role.longest],
  ]);

/** Roles that a new system has twice on purpose, as long as both are as they were. */
const isUsual = (id: string, role: TextRole): boolean =>
  Object.hasOwn(usualRoles.items, id) && isSame(usualRoles.items[id], role);

/** No text style stands under two names. */
export const sameTextsCheck = checkOf(['type'], ['styles'], ({ type }, { styles }) => {
  const groups = new Map<
    string,
    { readonly id: string; readonly style: TextStyle; readonly role: TextRole }[]
  >();
  for (const [id, role] of inOrder(type.roles)) {
    const style = styles.get(id);
    if (!style) continue;
    const looks = looksOf(style, role);
    groups.set(looks, [...(groups.get(looks) ?? []), { id, style, role }]);
  }
  return [...groups.values()].flatMap((group): Finding[] => {
    const [first, ...others] = group;
    if (!first || others.length === 0) return [];
    // Levels of headings that are alike are told by how little they differ.
    if (group.every(({ id }) => LEVEL.test(id)) || group.every(({ id, role }) => isUsual(id, role)))
      return [];
    const names = group.map(({ style }) => style.name);
    const told = `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
    const later = others.at(-1) ?? first;
    return [
      {
        id: `same-text:${group.map(({ id }) => id).join(':')}`.slice(0, 200),
        severity: 'look',
        area: 'type',
        decision: `/type/roles/items/${later.id}`,
        title: `${told} are set alike in everything`,
        figures: `${first.style.family.name} ${first.style.weight}, line height ${first.style.lineHeight}; ${group.length} names for it`,
        reason:
          'Two names for one text style drift apart at the next change, and nobody knows which one to use.',
        source: 'common practice',
        where: { selector: `.type-${later.style.slug}` },
      },
    ];
  });
});
