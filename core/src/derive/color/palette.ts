import { oklabDistance, oklabOf } from '../../color/oklab.ts';
import { shifted, type Shift } from '../../color/shift.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import { inOrder, MODES, type Paint, type StyleDocument } from '../../system/document.ts';
import { jsonOf, type Operation, type Patch } from '../../system/patch.ts';

type Color = StyleDocument['color'];

/** The decisions that change when the whole palette is shifted; what is locked does not move. */
export const shiftPatch = (
  { sources, roles }: Color,
  shift: Shift,
  locked: ReadonlySet<string>,
): Patch => [
  ...inOrder(sources).flatMap(([id, { value }]): Patch => {
    const next = shifted(value, shift);
    return locked.has(id) || next === value
      ? []
      : [{ op: 'replace', path: `/color/sources/items/${id}/value`, value: next }];
  }),
  ...inOrder(roles).flatMap(([id, role]) =>
    MODES.flatMap((mode): Patch => {
      const paint = role[mode];
      if (paint.kind !== 'own' || locked.has(id)) return [];
      const next = shifted(paint.value, shift);
      return next === paint.value
        ? []
        : [{ op: 'replace', path: `/color/roles/items/${id}/${mode}/value`, value: next }];
    }),
  ),
];

/** A color that is decided by itself: a source, or a role's own. */
export interface DecidedColor {
  readonly name: string;
  readonly value: Hex;
  readonly source?: string;
}

export interface NearDuplicate {
  readonly kept: DecidedColor;
  readonly merged: DecidedColor;
  readonly distance: number;
  readonly patch: Patch;
}

const distanceOf = (one: Hex, other: Hex): number =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));

/** Every paint in use with its place. */
const paintsOf = ({ roles }: Color) =>
  inOrder(roles).flatMap(([id, role]) =>
    MODES.map((mode) => ({
      name: `${role.name} in ${mode}`,
      path: `/color/roles/items/${id}/${mode}`,
      paint: role[mode],
    })),
  );

/** A paint of one source as the same of another; any other paint stays. */
function moved(paint: Paint, from: string, to: string): Paint | undefined {
  if ((paint.kind === 'rung' || paint.kind === 'near') && paint.ramp === from)
    return { ...paint, ramp: to };
  if (paint.kind === 'source' && paint.source === from) return { ...paint, source: to };
  return undefined;
}

/** Everything that hangs on one source hangs on another, however far apart they are, and the source goes. */
export function mergeSources(color: Color, from: string, to: string): Patch {
  const { sources, neutral } = color;
  return [
    ...paintsOf(color).flatMap(({ path, paint }): Operation[] => {
      const next = moved(paint, from, to);
      return next ? [{ op: 'replace', path, value: jsonOf(next) }] : [];
    }),
    ...(neutral.source === from
      ? [{ op: 'replace' as const, path: '/color/neutral/source', value: to }]
      : []),
    {
      op: 'replace',
      path: '/color/sources/order',
      value: sources.order.filter((id) => id !== from),
    },
    { op: 'remove', path: `/color/sources/items/${from}` },
  ];
}

/**
 * Colors that were decided apart and differ by less than a distance in OKLab, the nearest first, each
 * with the change that makes one of the two: of two sources the later goes, with its uses following;
 * a color of a role's own becomes the source itself.
 */
export function nearDuplicates(color: Color, within: number): readonly NearDuplicate[] {
  const sources = inOrder(color.sources).map(([source, { name, value }]) => ({
    source,
    name,
    value,
  }));
  const bySource = sources.flatMap((kept, index) =>
    sources.slice(index + 1).map((merged) => ({
      kept,
      merged,
      patch: mergeSources(color, merged.source, kept.source),
    })),
  );
  const byOwn = paintsOf(color).flatMap(({ name, path, paint }) =>
    paint.kind !== 'own'
      ? []
      : sources.map((kept) => ({
          kept,
          merged: { name, value: paint.value },
          patch: [
            { op: 'replace', path, value: { kind: 'source', source: kept.source } },
          ] satisfies Patch,
        })),
  );
  return [...bySource, ...byOwn]
    .map((one) => ({ ...one, distance: distanceOf(one.kept.value, one.merged.value) }))
    .filter(({ distance }) => distance < within)
    .sort((one, other) => one.distance - other.distance);
}
