import type { Hex } from '@garnish/core/color/srgb';
import type {
  PageSection,
  Paint,
  SitePage,
  Space,
  SpaceRole,
  StyleDocument,
  TextRole,
} from '@garnish/core/system/document';
import { usualColorRoles, type RoleRamps } from '@garnish/core/system/color-roles';
import { collectionOf } from '@garnish/core/system/collection';
import { usualSpace } from '@garnish/core/system/usual-space';

type Roles = StyleDocument['type']['roles'];

export const rung = (ramp: string, number: number): Paint => ({
  kind: 'rung',
  ramp,
  rung: number,
});

export const itself = (source: string): Paint => ({ kind: 'source', source });

export const own = (value: Hex): Paint => ({ kind: 'own', value });

export const share = (of: string, over: string, part: number): Paint => ({
  kind: 'share',
  of,
  over,
  share: part,
  form: 'transparent',
});

/** The usual roles with some of them decided by hand, light and dark; others are added. */
export const painted = (
  ramps: RoleRamps,
  decided: Readonly<Record<string, readonly [light: Paint, dark: Paint]>>,
): StyleDocument['color']['roles'] => {
  const usual = usualColorRoles(ramps);
  const added = Object.keys(decided).filter((id) => !Object.hasOwn(usual.items, id));
  return collectionOf(
    [...usual.order, ...added].map((id) => {
      const [light, dark] = decided[id] ?? [];
      const role = usual.items[id];
      const name = role?.name ?? id.replaceAll('-', ' ');
      const gray: Paint = { kind: 'near', ramp: 'neutral', rung: 8 };
      return [id, { name, light: light ?? role?.light ?? gray, dark: dark ?? role?.dark ?? gray }];
    }),
  );
};

/** Text roles with some of their decisions changed. */
export const withRoles = (
  roles: Roles,
  changes: Readonly<Record<string, Partial<TextRole>>>,
): Roles => ({
  ...roles,
  items: Object.fromEntries(
    Object.entries(roles.items).map(([id, role]) => [id, { ...role, ...changes[id] }]),
  ),
});

/** The usual space roles with some of their decisions changed. */
export const withSpace = (
  changes: Readonly<Record<string, Partial<SpaceRole>>>,
  { order, items }: Space['roles'] = usualSpace.roles,
): Space['roles'] => ({
  order,
  items: Object.fromEntries(
    Object.entries(items).map(([id, role]) => [id, { ...role, ...changes[id] }]),
  ),
});

/** A page with its sections from the top. */
export const page = (
  id: string,
  name: string,
  ...sections: readonly (readonly [id: string, section: PageSection])[]
): readonly [string, SitePage] => [id, { name, sections: collectionOf(sections) }];
