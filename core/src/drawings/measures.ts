import { sizeWords, type Axis, type Box } from '../measures/geometry.ts';
import { SIDES, type OfSides, type Side } from '../measures/sides.ts';
import type { Scene, Thing } from './scene.ts';

/** What is measured: how large a thing is, the room inside it, that between what stands in it, and that around it. */
export const MEASURE_KINDS = ['size', 'inset', 'gap', 'margin'] as const;
export type MeasureKind = (typeof MEASURE_KINDS)[number];

/** A measure that is told once, wherever it is found. */
export interface Measure {
  /** What it is of: it stays the same when the value changes. */
  readonly key: string;
  readonly kind: MeasureKind;
  readonly px: number;
  readonly tokens: readonly string[];
  /** What it is of, in words: `height`, `all round`, `between rows`. */
  readonly words: string;
  /** Where it is drawn: along an axis, from one place to another. */
  readonly axis: Axis;
  readonly from: number;
  readonly to: number;
  /** Across that axis: the edge of what is measured that the helping lines come from, on the side of the measure. */
  readonly edge: number;
  /** Every room of this measure; of a size none. */
  readonly areas: readonly Box[];
}

/** Less than this is no room, in px: rounding makes it. */
const NONE_PX = 0.005;
/** Layout rounds to 1/64 px; two roundings may come together. Source: LayoutUnit of the browser engine. */
const SAME_PX = 0.05;

const right = ({ left, width }: Box): number => left + width;
const bottom = ({ top, height }: Box): number => top + height;

/** A room on one side of a thing, or between two, before those that say the same are put together. */
interface Room {
  readonly thing: Thing;
  readonly kind: Exclude<MeasureKind, 'size'>;
  readonly axis: Axis;
  /** What tells it from others of the same thing. */
  readonly at: Side | 'row' | 'column';
  readonly px: number;
  readonly tokens: readonly string[];
  readonly area: Box;
}

/** The strips along the inner sides of a box, of given widths; those of left and right lie between the others. */
function stripsIn(
  { left, top, width, height }: Box,
  [above, after, below, before]: OfSides<number>,
): OfSides<Box> {
  const between = Math.max(0, height - above - below);
  return [
    { left, top, width, height: above },
    { left: left + width - after, top: top + above, width: after, height: between },
    { left, top: top + height - below, width, height: below },
    { left, top: top + above, width: before, height: between },
  ];
}

/** The box within an edge, or around a margin. */
const grown = (
  { left, top, width, height }: Box,
  [above, after, below, before]: OfSides<number>,
): Box => ({
  left: left - before,
  top: top - above,
  width: width + before + after,
  height: height + above + below,
});

const less = ([a, b, c, d]: OfSides<number>): OfSides<number> => [-a, -b, -c, -d];

function roomsOnSides(thing: Thing, kind: 'inset' | 'margin'): readonly Room[] {
  const widths = thing[kind].map((px) => Math.max(0, px)) as unknown as OfSides<number>;
  const outer = kind === 'inset' ? grown(thing.box, less(thing.edge)) : grown(thing.box, widths);
  const areas = stripsIn(outer, widths);
  return SIDES.flatMap((at, index) => {
    const px = widths[index] ?? 0;
    const area = areas[index];
    return area === undefined || px < NONE_PX
      ? []
      : [
          {
            thing,
            kind,
            at,
            px,
            area,
            axis: at === 'top' || at === 'bottom' ? ('y' as const) : ('x' as const),
            tokens: thing.tokens[kind][index] ?? [],
          },
        ];
  });
}

/** The rooms between neighbors along an axis that are as wide as the gap. */
function roomsBetween(thing: Thing, axis: Axis): readonly Room[] {
  const at = axis === 'y' ? 'row' : 'column';
  const px = thing.gap[at];
  if (px < NONE_PX) return [];
  const [start, end, across, far] =
    axis === 'y'
      ? [({ top }: Box) => top, bottom, ({ left }: Box) => left, right]
      : [({ left }: Box) => left, right, ({ top }: Box) => top, bottom];
  const boxes = thing.inside.filter(({ width, height }) => width > 0 && height > 0);
  return boxes.flatMap((one) => {
    const next = boxes.find(
      (other) =>
        Math.abs(start(other) - end(one) - px) < SAME_PX &&
        Math.max(across(one), across(other)) < Math.min(far(one), far(other)),
    );
    if (!next) return [];
    const [from, to] = [Math.min(across(one), across(next)), Math.max(far(one), far(next))];
    const area =
      axis === 'y'
        ? { left: from, top: end(one), width: to - from, height: start(next) - end(one) }
        : { left: end(one), top: from, width: start(next) - end(one), height: to - from };
    return [{ thing, kind: 'gap', axis, at, px, area, tokens: thing.tokens.gap[at] } as const];
  });
}

const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;

const WHERE: Readonly<Record<Room['at'], string>> = {
  top: 'above',
  right: 'right',
  bottom: 'below',
  left: 'left',
  row: 'between rows',
  column: 'between columns',
};

const places = (rooms: readonly Room[]): string => {
  const found = new Set(rooms.map(({ at }) => at));
  if (found.has('row') && found.has('column')) return 'between all';
  const ordered = (['top', 'bottom', 'left', 'right', 'row', 'column'] as const).filter((at) =>
    found.has(at),
  );
  return ordered.length === 4 ? 'all round' : listed(ordered.map((at) => WHERE[at]));
};

/** What makes two rooms one measure: their kind, their length and the tokens that make it. */
const sameness = ({ kind, px, tokens, thing, axis }: Room): string =>
  [kind, sizeWords(px), ...(tokens.length > 0 ? tokens : [thing.name, axis])].join('|');

function roomMeasure(rooms: readonly [Room, ...Room[]]): Measure {
  const [first] = rooms;
  // It is drawn at the first, by height where that can be: there the names of tokens have room.
  const shown = rooms.find(({ axis }) => axis === 'y') ?? first;
  const { axis, area, thing, px, kind, tokens } = shown;
  const own = rooms.filter((room) => room.thing === thing);
  const [from, to, edge] =
    axis === 'y' ? [area.top, bottom(area), right(area)] : [area.left, right(area), area.top];
  return {
    key: `${kind} ${thing.place} ${shown.at}`,
    kind,
    px,
    tokens,
    words: places(own),
    axis,
    from,
    to,
    edge,
    areas: rooms.map((room) => room.area),
  };
}

function sizesOf({ things: [all, ...inside] }: Scene, isChosen: (thing: Thing) => boolean) {
  const told = new Set<string>();
  return [...(all ? [all] : []), ...inside.filter(({ isFixed }) => isFixed)]
    .filter(isChosen)
    .flatMap(({ place, name, box, facts }) =>
      (['y', 'x'] as const).flatMap((axis): readonly Measure[] => {
        const px = axis === 'y' ? box.height : box.width;
        const same = `${name} ${axis} ${sizeWords(px)}`;
        if (px < NONE_PX || told.has(same)) return [];
        told.add(same);
        const what = axis === 'y' ? 'height' : 'width';
        const tokens = facts
          .filter((fact) => fact.what === (axis === 'y' ? 'at least high' : 'at least wide'))
          .filter((fact) => Number.parseFloat(fact.value) === Number(sizeWords(px)))
          .flatMap((fact) => fact.tokens);
        return [
          {
            key: `size ${place} ${what}`,
            kind: 'size',
            px,
            tokens,
            words: place === all?.place ? what : `${what} of ${name}`,
            axis,
            from: axis === 'y' ? box.top : box.left,
            to: axis === 'y' ? bottom(box) : right(box),
            edge: axis === 'y' ? box.left : bottom(box),
            areas: [],
          },
        ];
      }),
    );
}

/**
 * The measures of a component at a width, each once: sizes of the whole and of what has one of its own; the room
 * inside, between and around, where what is equal and made by the same tokens is one measure.
 * @param kinds which of them
 * @param only the places of the things that are measured; all where nothing is said
 */
export function measuresOf(
  scene: Scene,
  kinds: readonly MeasureKind[] = MEASURE_KINDS,
  only?: ReadonlySet<string>,
): readonly Measure[] {
  const isChosen = ({ place }: Thing): boolean => only?.has(place) ?? true;
  const rooms = scene.things
    .filter(isChosen)
    .flatMap((thing): readonly Room[] => [
      ...roomsOnSides(thing, 'inset'),
      ...roomsBetween(thing, 'y'),
      ...roomsBetween(thing, 'x'),
      ...roomsOnSides(thing, 'margin'),
    ]);
  const groups = new Map<string, [Room, ...Room[]]>();
  for (const room of rooms) {
    const key = sameness(room);
    const group = groups.get(key);
    if (group) group.push(room);
    else groups.set(key, [room]);
  }
  return [...sizesOf(scene, isChosen), ...[...groups.values()].map(roomMeasure)].filter(
    ({ kind }) => kinds.includes(kind),
  );
}
