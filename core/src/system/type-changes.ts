import { forgettingAnchor } from './breakpoints.ts';
import { adding, removing } from './collection.ts';
import { followersOf } from './following.ts';
import { inOrder, type Anchor, type StyleDocument } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

const round = (value: number, decimals: number): number => Number(value.toFixed(decimals));

const between = (one: number, other: number): number => (one + other) / 2;

/**
 * Puts a new anchor into the widest gap between anchors, halfway between its neighbors in width, base and
 * ratio, so that sizes at the other anchors stay; `id` is the new one’s.
 */
export function addingAnchor({ anchors }: StyleDocument['type'], id: string): Patch {
  const all = inOrder(anchors).map(([, anchor]) => anchor);
  const gaps = all.slice(1).map((right, index) => {
    const left = all[index] ?? right;
    return { left, right, index, px: right.width - left.width };
  });
  const { left, right, index } = gaps.reduce((one, other) => (other.px > one.px ? other : one));
  const value: Anchor = {
    width: Math.round(between(left.width, right.width)),
    base: round(between(left.base, right.base), 2),
    ratio: round(between(left.ratio, right.ratio), 4),
    ...(left.second !== undefined &&
      right.second !== undefined && { second: round(between(left.second, right.second), 4) }),
  };
  return [
    { op: 'add', path: `/type/anchors/items/${id}`, value: jsonOf(value) },
    {
      op: 'replace',
      path: '/type/anchors/order',
      value: anchors.order.toSpliced(index + 1, 0, id),
    },
  ];
}

/** Takes an anchor out, and what text and space roles had decided at it. */
export function removingAnchor(document: StyleDocument, id: string): Patch {
  const { anchors, roles } = document.type;
  const sizes = inOrder(roles).flatMap(([role, { sizes: own = {} }]): Patch => {
    if (!Object.hasOwn(own, id)) return [];
    const path = `/type/roles/items/${role}/sizes`;
    return [{ op: 'remove', path: Object.keys(own).length > 1 ? `${path}/${id}` : path }];
  });
  return [...forgettingAnchor(document, id), ...sizes, ...removing('/type/anchors', anchors, id)];
}

/** Puts a text role at the end, in the text face at the base size. */
export const addingTextRole = ({ roles }: StyleDocument['type'], id: string): Patch =>
  adding('/type/roles', roles, id, { name: 'a new role', face: 'text', place: 0 });

/** Takes a text role out, and every use of it in the colors. */
export function removingTextRole({ color, type }: StyleDocument, id: string): Patch {
  const uses = inOrder(color.texts).filter(([, { text }]) => text === id);
  return [
    {
      op: 'replace',
      path: '/color/texts/order',
      value: color.texts.order.filter((use) => !uses.some(([key]) => key === use)),
    },
    ...uses.map(([use]) => ({ op: 'remove' as const, path: `/color/texts/items/${use}` })),
    // Who followed it stays as it was with it.
    ...followersOf(type, id).map((one) => ({
      op: 'remove' as const,
      path: `/type/roles/items/${one}/follows`,
    })),
    ...removing('/type/roles', type.roles, id),
  ];
}
