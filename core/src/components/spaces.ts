import type { SpacePart } from './component.ts';
import { COMPONENTS } from './components.ts';

/** Every space of the components, by its key; each takes its usual role until a system decides otherwise. */
export const SPACE_PARTS: Readonly<Record<string, SpacePart>> = Object.fromEntries(
  COMPONENTS.flatMap(({ spaces = {} }) => Object.entries(spaces)),
);

/** One side of a space: how its key ends, the property that it is, and what it is called. */
export interface SpaceSide {
  readonly end: string;
  readonly property: SpacePart['property'];
  readonly says: string;
}

const PADDING_SIDES: readonly SpaceSide[] = [
  { end: 'block-start', property: 'padding-block-start', says: 'above' },
  { end: 'block-end', property: 'padding-block-end', says: 'below' },
  { end: 'inline-start', property: 'padding-inline-start', says: 'before' },
  { end: 'inline-end', property: 'padding-inline-end', says: 'after' },
];
const GAP_SIDES: readonly SpaceSide[] = [
  { end: 'block', property: 'row-gap', says: 'between rows' },
  { end: 'inline', property: 'column-gap', says: 'between columns' },
];

/** The sides of a space that can be decided by themselves; none for what is one side already. */
export const sidesOf = (key: string): readonly SpaceSide[] => {
  const property = Object.hasOwn(SPACE_PARTS, key) ? SPACE_PARTS[key]?.property : undefined;
  return property === 'padding' ? PADDING_SIDES : property === 'gap' ? GAP_SIDES : [];
};

/** The key of one side of a space. */
export const sideKey = (key: string, { end }: Pick<SpaceSide, 'end'>): string => `${key}-${end}`;

/** A space that can be decided: a part, or one side of it. */
export interface SpaceOrSide extends SpacePart {
  /** The key of the part that it is, or is a side of. */
  readonly of: string;
  readonly side?: SpaceSide;
}

/** Every space that can be decided, sides among them, by its key: `card.inset`, `card.inset-block-start`. */
export const SPACES_AND_SIDES: ReadonlyMap<string, SpaceOrSide> = new Map(
  Object.entries(SPACE_PARTS).flatMap(([key, part]): (readonly [string, SpaceOrSide])[] => [
    [key, { ...part, of: key }],
    ...sidesOf(key).map(
      (side) =>
        [
          sideKey(key, side),
          {
            ...part,
            property: side.property,
            says: `${part.says}, ${side.says}`,
            of: key,
            side,
          },
        ] as const,
    ),
  ]),
);
