import { colorName, uniqueName } from '../color/names.ts';
import { isHex, type Hex } from '../color/srgb.ts';
import type { FontFamily } from '../fonts/family.ts';
import { adding } from '../system/collection.ts';
import { inOrder, type Collection, type StyleDocument } from '../system/document.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { familyCalled } from './faces-read.ts';
import { colorWords, type SeenElement } from './seen.ts';

/** What is told of a thing of a page and can be taken as a decision. */
export const TAKEN = [
  'face',
  'text size',
  'color',
  'ground',
  'inset',
  'margin',
  'gap',
  'corner',
] as const;
export type Taken = (typeof TAKEN)[number];

/** What of a system is looked at. */
type Read = Pick<StyleDocument, 'fonts' | 'type' | 'color' | 'space' | 'shape'>;

/** A fact of a thing of a page as a decision of the system: what the system has already changes nothing. */
export interface Taking {
  readonly of: Taken;
  /** What it becomes, as the act is called: `as a step`. Where the system has it, what it is called there. */
  readonly name: string;
  /** The change, with an id that nothing has yet for what it adds; nothing where the system has it already. */
  readonly patch: ((newId: string) => Patch) | undefined;
}

/** Lengths as they are decided: to a hundredth of a px. */
const rounded = (px: number): number => Math.round(px * 100) / 100;
/** Two lengths are one where no screen shows a difference, in px. */
const SAME_PX = 0.05;

/** The one length that several sides have; nothing where they differ or there is none. */
function oneLength(sides: readonly number[]): number | undefined {
  const [first = 0] = sides;
  return first > 0 && sides.every((side) => Math.abs(side - first) < SAME_PX)
    ? rounded(first)
    : undefined;
}

const namesIn = (items: Collection<{ readonly name: string }>): ReadonlySet<string> =>
  new Set(inOrder(items).map(([, { name }]) => name));

/** What puts a thing where its size belongs among others that grow. */
function addingBySize<Item>(
  path: string,
  items: Collection<Item>,
  id: string,
  item: Item,
  sizeOf: (item: Item) => number,
): Patch {
  const [add] = adding(path, items, id, item);
  const at = inOrder(items).findIndex(([, other]) => sizeOf(other) > sizeOf(item));
  const order = items.order.toSpliced(at < 0 ? items.order.length : at, 0, id);
  return [...(add ? [add] : []), { op: 'replace', path: `${path}/order`, value: order }];
}

function stepTaking(
  of: Taken,
  px: number,
  { space }: Read,
  steps: Iterable<{ readonly name: string; readonly px: number }>,
): readonly Taking[] {
  const known = [...steps].find((step) => Math.abs(step.px - px) < SAME_PX);
  if (known) return [{ of, name: `step ${known.name}`, patch: undefined }];
  // A series has the steps that its ratio gives: none can be put between them.
  if (space.scale === 'geometric') return [];
  const isByHand = space.scale === 'by hand';
  const step: StyleDocument['space']['steps']['items'][string] = {
    name: uniqueName(`step ${px}`, namesIn(space.steps)),
    multiple: Math.round((px / space.unit) * 10_000) / 10_000,
    ...(isByHand && { px }),
  };
  const sizeOf = (one: { readonly multiple: number; readonly px?: number | undefined }): number =>
    isByHand ? (one.px ?? one.multiple * space.unit) : one.multiple;
  return [
    {
      ...{ of, name: 'as a step' },
      patch: (newId) => addingBySize('/space/steps', space.steps, newId, step, sizeOf),
    },
  ];
}

function colorTaking(of: Taken, hex: Hex, { color }: Read): readonly Taking[] {
  const known = inOrder(color.sources).find(([, { value }]) => value === hex)?.[1];
  if (known) return [{ of, name: known.name, patch: undefined }];
  const source = { name: uniqueName(colorName(hex), namesIn(color.sources)), value: hex };
  return [
    {
      ...{ of, name: 'as a brand color' },
      patch: (newId) => adding('/color/sources', color.sources, newId, source),
    },
  ];
}

function faceTakings(
  name: string,
  { fonts }: Read,
  catalogue: readonly FontFamily[],
): readonly Taking[] {
  const family = familyCalled(name, catalogue);
  if (!family) return [];
  return (['heading', 'text'] as const).map((role): Taking => {
    const isThere = fonts.roles[role].family.id === family.id;
    const words = role === 'heading' ? 'headings' : 'text';
    return {
      of: 'face',
      name: isThere ? `face of ${words}` : `for ${words}`,
      patch: isThere
        ? undefined
        : () => [{ op: 'replace', path: `/fonts/roles/${role}/family`, value: jsonOf(family) }],
    };
  });
}

function baseTaking({ sizePx, level }: SeenElement, { type }: Read): readonly Taking[] {
  const [last, anchor] = inOrder(type.anchors).at(-1) ?? [];
  // A heading says nothing of the size that running text has.
  if (last === undefined || !anchor || level !== undefined) return [];
  const base = rounded(sizePx);
  const isThere = Math.abs(anchor.base - base) < SAME_PX;
  return [
    {
      of: 'text size',
      name: isThere ? 'base size' : 'as the base size',
      patch: isThere
        ? undefined
        : () => [{ op: 'replace', path: `/type/anchors/items/${last}/base`, value: base }],
    },
  ];
}

function cornerTaking(px: number, { shape }: Read): readonly Taking[] {
  const known = inOrder(shape.radii).find(([, radius]) => Math.abs(radius.px - px) < SAME_PX)?.[1];
  if (known) return [{ of: 'corner', name: `corner ${known.name}`, patch: undefined }];
  const radius = { name: uniqueName(`corner ${px}`, namesIn(shape.radii)), px };
  return [
    {
      ...{ of: 'corner', name: 'as a corner' },
      patch: (newId) => addingBySize('/shape/radii', shape.radii, newId, radius, (one) => one.px),
    },
  ];
}

interface TakingParts {
  readonly document: Read;
  /** The steps of space as they are derived. */
  readonly steps: Iterable<{ readonly name: string; readonly px: number }>;
  readonly catalogue: readonly FontFamily[];
}

/**
 * What of one thing of a page can become a decision: its face for headings or text where the catalogue has it, its size
 * of running text as the base, its colors as brand colors, spaces and corners that are the same on all sides as a step
 * and a corner. What lies outside of what can be decided is refused as any change is.
 */
export function takingsOf(
  one: SeenElement,
  { document, steps, catalogue }: TakingParts,
): readonly Taking[] {
  const colors = [
    ['color', one.signs > 0 ? colorWords(one.color) : undefined],
    ['ground', one.hasOwnGround ? colorWords(one.grounds[0] ?? '') : undefined],
  ] as const;
  const spaces = [
    ['inset', one.padding],
    ['margin', one.margin],
    ['gap', one.gap],
  ] as const;
  const corner = oneLength(one.corners);
  return [
    ...(one.signs > 0 ? faceTakings(one.face, document, catalogue) : []),
    ...(one.signs > 0 ? baseTaking(one, document) : []),
    ...colors.flatMap(([of, hex]) =>
      hex !== undefined && isHex(hex) ? colorTaking(of, hex, document) : [],
    ),
    ...spaces.flatMap(([of, sides]) => {
      const px = oneLength(sides);
      return px === undefined ? [] : stepTaking(of, px, document, steps);
    }),
    ...(corner === undefined ? [] : cornerTaking(corner, document)),
  ];
}
