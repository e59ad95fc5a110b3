import { oklabOf, oklchOf, type Oklch } from '../../color/oklab.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import { heldSources, isLocked, lockedIn, stateSources } from '../../system/locks.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import type { Patch } from '../../system/patch.ts';

/** A source and the color of a palette that it would become. */
export interface Match {
  readonly source: string;
  readonly name: string;
  readonly before: Hex;
  readonly after: Hex;
}

/** What a lightness and a chroma of OKLCH weigh against each other: a chroma of 0.1 as much as a lightness of 0.25. */
const CHROMA_WEIGHT = 2.5;

const lchOf = (hex: Hex): Oklch => oklchOf(oklabOf(rgbOf(hex)));

/** How unlike two colors are but for their hue. */
const unlike = (one: Oklch, other: Oklch): number =>
  Math.abs(one.lightness - other.lightness) + CHROMA_WEIGHT * Math.abs(one.chroma - other.chroma);

/** A mask of sources that are served, and what it has cost. */
interface Plan {
  readonly cost: number;
  readonly picks: readonly (readonly [source: number, color: number])[];
}

/** So many sources are served at once at most; each more doubles the work. */
const MOST_SERVED = 8;

/**
 * Which color each of several is to become, each color once, so that all together they change as little in lightness
 * and chroma as they can, whatever their hues: what was the darkest stays the darkest, what was gray stays gray.
 * Minimal by going through all sets of sources color by color. Where there are fewer colors than sources, the first
 * sources are served.
 */
export function matched(
  sources: readonly Hex[],
  palette: readonly Hex[],
): readonly (Hex | undefined)[] {
  const colors = [...new Set(palette)];
  const served = sources.slice(0, Math.min(MOST_SERVED, colors.length)).map(lchOf);
  let plans = new Map<number, Plan>([[0, { cost: 0, picks: [] }]]);
  for (const [color, hex] of colors.entries()) {
    const lch = lchOf(hex);
    const next = new Map(plans);
    for (const [mask, { cost, picks }] of plans)
      for (const [source, own] of served.entries()) {
        const with_ = mask | (1 << source);
        if (with_ === mask) continue;
        const sum = cost + unlike(own, lch);
        if (sum < (next.get(with_)?.cost ?? Infinity))
          next.set(with_, { cost: sum, picks: [...picks, [source, color]] });
      }
    plans = next;
  }
  const { picks = [] } = plans.get(2 ** served.length - 1) ?? {};
  const bySource = new Map(picks);
  return sources.map((_, index) => {
    const color = bySource.get(index);
    return color === undefined ? undefined : colors[color];
  });
}

/**
 * A palette in the places of a system’s own colors, as a whole: brand, accent and what else there is become its colors,
 * the neutrals follow what tints them. Colors of states, and what is locked, stay as they are.
 */
export function matchPalette(document: StyleDocument, palette: readonly Hex[]): readonly Match[] {
  const { color } = document;
  const states = stateSources(color);
  const heldStill = heldSources(document);
  const free = inOrder(color.sources).filter(([id]) => !states.has(id) && !heldStill.has(id));
  const found = matched(
    free.map(([, { value }]) => value),
    palette,
  );
  return free.flatMap(([source, { name, value }], index) => {
    const after = found[index];
    return after === undefined ? [] : [{ source, name, before: value, after }];
  });
}

/** The change that makes some sources other colors; one that was told of a wide display is told anew. */
export const recoloring = ({ sources }: StyleDocument['color'], matches: readonly Match[]): Patch =>
  matches.flatMap(({ source, before, after }) =>
    after === before
      ? []
      : [
          { op: 'replace' as const, path: `/color/sources/items/${source}/value`, value: after },
          ...(sources.items[source]?.wide === undefined
            ? []
            : [{ op: 'remove' as const, path: `/color/sources/items/${source}/wide` }]),
        ],
  );

/** What a color can be tried as. */
export const TRIED_AS = ['action', 'accent', 'support', 'page'] as const;
export type TriedAs = (typeof TRIED_AS)[number];

/**
 * The change that makes one color what acts, the accent, what supports, or the page: it comes among the sources, and
 * everything that belongs to that role is taken from its ramp. What is locked stays.
 * @param id of the source that it becomes, which nothing has yet
 */
export function asRole(
  document: StyleDocument,
  {
    hex,
    name,
    as,
    id,
  }: { readonly hex: Hex; readonly name: string; readonly as: TriedAs; readonly id: string },
): Patch {
  const { sources, roles } = document.color;
  const locked = lockedIn(document);
  const known = inOrder(sources).find(([, { value }]) => value === hex)?.[0];
  const source = known ?? id;
  const added: Patch =
    known === undefined
      ? [
          { op: 'add', path: `/color/sources/items/${id}`, value: { name, value: hex } },
          { op: 'replace', path: '/color/sources/order', value: [...sources.order, id] },
        ]
      : [];
  if (as === 'page')
    return isLocked(locked, '/color/roles/items/page')
      ? []
      : [
          ...added,
          {
            op: 'replace',
            path: '/color/roles/items/page/light',
            value: { kind: 'source', source },
          },
        ];
  // What stands on its own ramp moves to the new one; what is gray beside it stays gray.
  const ramps = new Set(
    (['light', 'dark'] as const).flatMap((mode) => {
      const paint = roles.items[as]?.[mode];
      return paint?.kind === 'source'
        ? [paint.source]
        : paint && 'ramp' in paint
          ? [paint.ramp]
          : [];
    }),
  );
  const own = new RegExp(`^${as}(?:-(?:wash|edge|hover|pressed))?$`);
  const moved: Patch = inOrder(roles)
    .filter(([role]) => own.test(role) && !isLocked(locked, `/color/roles/items/${role}`))
    .flatMap(([role, paints]) =>
      (['light', 'dark'] as const).flatMap((mode) => {
        const paint = paints[mode];
        const path = `/color/roles/items/${role}/${mode}`;
        if (paint.kind === 'source' && ramps.has(paint.source))
          return [{ op: 'replace' as const, path: `${path}/source`, value: source }];
        if ((paint.kind === 'near' || paint.kind === 'rung') && ramps.has(paint.ramp))
          return [{ op: 'replace' as const, path: `${path}/ramp`, value: source }];
        return [];
      }),
    );
  return moved.length === 0 ? [] : [...added, ...moved];
}
