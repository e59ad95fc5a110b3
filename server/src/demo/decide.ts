import type { Hex } from '@garnish/core/color/srgb';
import type { Paint, StyleDocument, TextRole } from '@garnish/core/system/document';
import { collectionOf } from '@garnish/core/system/new-document';

type Roles = StyleDocument['type']['roles'];

export const rung = (ramp: string, number: number): Paint => ({
  kind: 'rung',
  ramp,
  rung: number,
});

export const itself = (source: string): Paint => ({ kind: 'source', source });

export const own = (value: Hex): Paint => ({ kind: 'own', value });

/** Color roles from id to name, light and dark. */
export const painted = (
  roles: Readonly<Record<string, readonly [name: string, light: Paint, dark: Paint]>>,
): StyleDocument['color']['roles'] =>
  collectionOf(
    Object.entries(roles).map(([id, [name, light, dark]]) => [id, { name, light, dark }]),
  );

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
