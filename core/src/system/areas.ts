import type { Area, AreaView } from './areas/area.ts';
import { brief } from './areas/brief.ts';
import { color } from './areas/color.ts';
import { components } from './areas/components.ts';
import { fonts } from './areas/fonts.ts';
import { handoff } from './areas/handoff.ts';
import { review } from './areas/review.ts';
import { space } from './areas/space.ts';
import { tokens } from './areas/tokens.ts';
import { type } from './areas/type.ts';
import type { StyleDocument } from './document.ts';

/**
 * The areas of the work, in its order; a new one is a file and a line here. Everything that goes through all
 * areas (addresses, strip, search, findings, tests, pictures) reads this list.
 */
export const AREAS = [
  brief,
  fonts,
  type,
  color,
  space,
  components,
  tokens,
  review,
  handoff,
] as const satisfies readonly Area[];

export type AreaId = (typeof AREAS)[number]['id'];

/** The views of an area by its id. */
export type ViewsOf<Id extends AreaId> = Extract<
  (typeof AREAS)[number],
  { readonly id: Id }
>['views'];

const isAt = (path: string, place: string): boolean =>
  path === place || path.startsWith(`${place}/`);

/**
 * The area in which a place of the document is decided: the one with a view of that very place, or else the one
 * that decides its part of the document; Tokens for one that is decided nowhere.
 */
export function areaOf(path: string): AreaId {
  const list: readonly (Area & { readonly id: AreaId })[] = AREAS;
  const [nearest] = list
    .flatMap(({ id, views }) => views.flatMap(({ at }) => at.map((place) => ({ id, place }))))
    .filter(({ place }) => isAt(path, place))
    .sort((one, other) => other.place.length - one.place.length);
  if (nearest) return nearest.id;
  const part = path.split('/')[1] ?? '';
  return list.find(({ decides }) => decides.includes(part as keyof StyleDocument))?.id ?? 'tokens';
}

/** The places of the document that a view of an area decides; its first one where none is named. */
export function placesOfView(area: string, view: string | null): readonly string[] {
  const views: readonly AreaView[] = AREAS.find(({ id }) => id === area)?.views ?? [];
  return (view === null ? views[0] : views.find(({ id }) => id === view))?.at ?? [];
}

/** Each view of each area as the address has it, behind that of the system; an area without views once. */
export const viewAddresses = (): readonly string[] =>
  AREAS.flatMap(({ id, views }: Area & { readonly views: readonly AreaView[] }) =>
    views.length === 0 ? [id] : views.map((view) => `${id}?view=${encodeURIComponent(view.id)}`),
  );
