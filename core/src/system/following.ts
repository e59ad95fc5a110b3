import { isSame } from '../same.ts';
import { FOLLOWED_PARTS, type FollowedPart, type StyleDocument } from './document.ts';
import { jsonOf, type Json } from './json.ts';

/** An operation that keeps something in step; of the form of any other. */
type Step =
  | { readonly op: 'add' | 'replace'; readonly path: string; readonly value: Json }
  | { readonly op: 'remove'; readonly path: string };

const isWithin = (path: string, place: string): boolean =>
  path === place || path.startsWith(`${place}/`);

const ROLES = '/type/roles/items';

/** Whether a change at a place can bear on text roles. */
export const touchesRoles = (path: string): boolean =>
  isWithin(path, ROLES) || isWithin(ROLES, path);

/**
 * What keeps text roles in step with the roles that they follow, after places of a document were changed: each part of
 * a follower that is not its own becomes what it is of the other. A part that was changed by itself, to something else
 * than the other has, is its own from then on, whatever changed it. Nothing where roles were not touched. What is to be followed is there and follows nobody;
 * where it is not, nothing is done here, and validation says so.
 */
export function keepingStep(
  { type: { roles } }: Pick<StyleDocument, 'type'>,
  changed: readonly string[],
): readonly Step[] {
  if (!changed.some(touchesRoles)) return [];
  return Object.entries(roles.items).flatMap(([id, role]): readonly Step[] => {
    const { follows } = role;
    const leader = follows && Object.hasOwn(roles.items, follows.of) && roles.items[follows.of];
    if (!follows || !leader) return [];
    const path = `${ROLES}/${id}`;
    // Whoever sets what is followed says what is its own too.
    const isSaid = changed.some((one) => isWithin(one, `${path}/follows`) || isWithin(path, one));
    const touched = (part: FollowedPart): boolean =>
      !isSaid &&
      changed.some((one) => isWithin(one, `${path}/${part}`)) &&
      !isSame(role[part], leader[part]);
    const isOwn = (part: FollowedPart): boolean => follows.but.includes(part) || touched(part);
    const but = FOLLOWED_PARTS.filter(isOwn);
    const steps = FOLLOWED_PARTS.filter((part) => !isOwn(part)).flatMap((part): readonly Step[] => {
      const [own, theirs] = [role[part], leader[part]];
      if (isSame(own, theirs)) return [];
      if (theirs === undefined) return [{ op: 'remove', path: `${path}/${part}` }];
      const op = own === undefined ? 'add' : 'replace';
      return [{ op, path: `${path}/${part}`, value: jsonOf(theirs) }];
    });
    return but.length === follows.but.length
      ? steps
      : [{ op: 'replace', path: `${path}/follows/but`, value: [...but] }, ...steps];
  });
}

/** The roles that follow a role, by id. */
export const followersOf = (
  { roles }: Pick<StyleDocument['type'], 'roles'>,
  id: string,
): readonly string[] => roles.order.filter((one) => roles.items[one]?.follows?.of === id);
