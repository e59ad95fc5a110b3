import type { Box } from '../measures/geometry.ts';
import { spread, type Point, type Stroke } from './placing.ts';
import type { Scene, Thing } from './scene.ts';

/** A thing with its number. */
export interface Numbered {
  readonly number: number;
  readonly thing: Thing;
}

/** The things of a component that something is told of, numbered; what is alike is told once. */
export function numbered({ things }: Scene): readonly Numbered[] {
  const told = new Set<string>();
  return things
    .filter(({ name, facts }) => {
      const alike = JSON.stringify([name, facts]);
      if (facts.length === 0 || told.has(alike)) return false;
      told.add(alike);
      return true;
    })
    .map((thing, index) => ({ number: index + 1, thing }));
}

/** A number beside a component, and the stroke from it to its thing; in px from the corner of the component. */
export interface Marker extends Numbered {
  readonly center: Point;
  readonly leader: Stroke;
}

export const MARKER_PX = 20;
const OUT_PX = 26;
/** So far into its thing does a stroke lead. */
const INTO_PX = 5;

const SIDED = ['top', 'right', 'bottom', 'left'] as const;

/** Where a thing is pointed at: at its words, or else at its box. */
const shownAt = ({ words, box }: Thing): Box => words ?? box;

/** The side of the component that a thing is nearest to, as far as its middle is from it. */
function sideFor({ left, top, width, height }: Box, size: Size): (typeof SIDED)[number] {
  const [x, y] = [left + width / 2, top + height / 2];
  const far = { top: y, right: size.width - x, bottom: size.height - y, left: x };
  return SIDED.toSorted((one, other) => far[one] - far[other])[0] ?? 'left';
}

interface Size {
  readonly width: number;
  readonly height: number;
}

const within = (value: number, from: number, to: number): number =>
  Math.min(Math.max(value, Math.min(from, to)), Math.max(from, to));

/** Places the numbers around a component, each on the side that its thing is nearest to; no two touch. */
export function markersAround(size: Size, all: readonly Numbered[]): readonly Marker[] {
  return SIDED.flatMap((side) => {
    const isUpright = side === 'left' || side === 'right';
    const own = all
      .filter(({ thing }) => sideFor(shownAt(thing), size) === side)
      .map((one) => {
        const { left, top, width, height } = shownAt(one.thing);
        return { ...one, at: isUpright ? top + height / 2 : left + width / 2 };
      })
      .toSorted((one, other) => one.at - other.at || one.number - other.number);
    const centers = spread(own.map(({ at }) => ({ at, size: MARKER_PX })));
    const away = {
      top: -OUT_PX,
      left: -OUT_PX,
      bottom: size.height + OUT_PX,
      right: size.width + OUT_PX,
    }[side];
    return own.map(({ number, thing }, index): Marker => {
      const along = centers[index] ?? 0;
      const center = isUpright ? { x: away, y: along } : { x: along, y: away };
      const { left, top, width, height } = shownAt(thing);
      const deep = thing.words ? 0 : INTO_PX;
      const into: Point = {
        x: within(
          center.x,
          left + Math.min(deep, width / 2),
          left + width - Math.min(deep, width / 2),
        ),
        y: within(
          center.y,
          top + Math.min(deep, height / 2),
          top + height - Math.min(deep, height / 2),
        ),
      };
      const length = Math.hypot(into.x - center.x, into.y - center.y) || 1;
      const radius = MARKER_PX / 2;
      const from: Point = {
        x: center.x + ((into.x - center.x) / length) * radius,
        y: center.y + ((into.y - center.y) / length) * radius,
      };
      return { number, thing, center, leader: [from, into] };
    });
  });
}
