import { isSame } from '../same.ts';
import type { Paint, StyleDocument } from './document.ts';
import { overlaps, valueAt, type Operation, type Patch } from './patch.ts';

/** What may be locked; more is no help to anybody. */
export const MOST_LOCKED = 500;

const NOTHING: readonly string[] = [];

/** The places of a system that are locked: dials, palettes and repairs leave them as they are. */
export const lockedIn = ({ brief }: Pick<StyleDocument, 'brief'>): readonly string[] =>
  brief.locked ?? NOTHING;

const isWithin = (path: string, place: string): boolean =>
  path === place || path.startsWith(`${place}/`);

/** Whether a place is locked, by itself or with what it stands in. */
export const isLocked = (locked: readonly string[], path: string): boolean =>
  locked.some((place) => isWithin(path, place));

/** Whether an operation would make something locked another than it is. */
function moves(document: StyleDocument, operation: Operation, locked: readonly string[]): boolean {
  return locked.some((place) => {
    if (!overlaps(operation.path, place)) return false;
    if (operation.op === 'remove') return true;
    // What stands around it may be written anew, as long as it says the same of it.
    const [from, rest] = isWithin(operation.path, place)
      ? [valueAt(document, operation.path), '']
      : [valueAt(document, place), place.slice(operation.path.length)];
    return !isSame(from, rest === '' ? operation.value : valueAt(operation.value, rest));
  });
}

/** Whether a change would make something locked another than it is. */
export const movesLocked = (
  document: StyleDocument,
  patch: Patch,
  locked: readonly string[] = lockedIn(document),
): boolean => locked.length > 0 && patch.some((operation) => moves(document, operation, locked));

/** The rest of a change whose parts stand by themselves, without those that would move what is locked. */
export const leavingLocked = (
  document: StyleDocument,
  patch: Patch,
  locked: readonly string[] = lockedIn(document),
): Patch =>
  locked.length === 0 ? patch : patch.filter((operation) => !moves(document, operation, locked));

/** Locks a place, or opens it again; places within a locked one need no lock of their own. */
export function locking(document: StyleDocument, path: string, isOn: boolean): Patch {
  const before = lockedIn(document);
  const others = before.filter((place) => place !== path && !(isOn && isWithin(place, path)));
  const next = isOn && !isLocked(others, path) ? [...others, path] : others;
  if (next.length === 0)
    return before.length === 0 ? [] : [{ op: 'remove', path: '/brief/locked' }];
  return [{ op: 'add', path: '/brief/locked', value: next }];
}

/** The source that a paint is taken from, where it is taken from one. */
const sourceOf = (paint: Paint | undefined): string | undefined =>
  paint?.kind === 'source' ? paint.source : paint && 'ramp' in paint ? paint.ramp : undefined;

const STATES = ['success', 'warning', 'danger', 'notice'] as const;
const OTHERS = ['action', 'support', 'accent'] as const;

/** The sources that stand for a state and for nothing else: no palette changes what they say. */
export function stateSources({ sources, roles }: StyleDocument['color']): ReadonlySet<string> {
  const of = (ids: readonly string[]): readonly string[] =>
    ids.flatMap((id) => {
      const source = Object.hasOwn(roles.items, id) ? sourceOf(roles.items[id]?.light) : undefined;
      return source !== undefined && Object.hasOwn(sources.items, source) ? [source] : [];
    });
  const others = of(OTHERS);
  return new Set(of(STATES).filter((id) => !others.includes(id)));
}

/** The sources that are locked, by themselves or because a role that is locked is taken from them. */
export function heldSources(document: Pick<StyleDocument, 'brief' | 'color'>): ReadonlySet<string> {
  const { sources, roles } = document.color;
  const locked = lockedIn(document);
  if (locked.length === 0) return new Set();
  return new Set([
    ...sources.order.filter((id) => isLocked(locked, `/color/sources/items/${id}/value`)),
    ...roles.order.flatMap((id) =>
      isLocked(locked, `/color/roles/items/${id}`)
        ? [roles.items[id]?.light, roles.items[id]?.dark].flatMap((paint) => sourceOf(paint) ?? [])
        : [],
    ),
  ]);
}
