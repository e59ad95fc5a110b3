import { letterWidthIn, nearestWeight } from '../../fonts/family.ts';
import type { LanguageCode } from '../../fonts/languages.ts';
import { inOrder, type Anchor, type StyleDocument, type TextRole } from '../../system/document.ts';
import { faceFor } from '../../system/faces.ts';

import { fluidSize, ROOT_PX, type FluidSize } from '../../type/fluid.ts';
import { letterSpacingOf, lineHeightOf } from '../../type/line-height.ts';
import { sizeOfPlace } from '../../type/scale.ts';
import type { StyleFace, TextStyle } from '../derived.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

type Fonts = StyleDocument['fonts'];
type Type = StyleDocument['type'];

const ROUND: Readonly<Record<Type['rounding'], (px: number) => number>> = {
  none: (px) => px,
  px: Math.round,
  'half px': (px) => Math.round(px * 2) / 2,
  // Hundredths of a rem.
  rem: (px) => (Math.round((px / ROOT_PX) * 100) / 100) * ROOT_PX,
};

/** The size in px of a place at an anchor, as the scale has it. */
export function sizeAtAnchor(
  { scale, rounding }: Pick<Type, 'scale' | 'rounding'>,
  { base, ratio, second, sizes }: Anchor,
  place: number,
): number {
  const byHand = scale === 'by hand' ? sizes?.[String(place)] : undefined;
  const px = byHand ?? sizeOfPlace(base, ratio, place, scale === 'two ratios' ? second : ratio);
  return ROUND[rounding](px);
}

/** How many px one per cent of the root is written as: the root's share of the browser's size. */
export const rootShare = ({ root = 100 }: Pick<Type, 'root'>): number => root / 100;

/** The size of a place over all widths. */
export const sizeOfPlaceIn = (type: Type, place: number): FluidSize =>
  fluidSize(
    inOrder(type.anchors).map(([, anchor]) => ({
      widthPx: anchor.width,
      sizePx: sizeAtAnchor(type, anchor, place),
    })),
    type.unit,
    { length: 'rem', root: rootShare(type) },
  );

/** What a role is held to fit into: its words, a column at each width, and its letters' widths. */
export interface Fitting {
  readonly texts: readonly {
    readonly words: string;
    readonly columnPx: (screenPx: number) => number;
  }[];
}

/** The narrowest screen: below the first anchor a size rests, and still has to fit. */
const NARROWEST_PX = 320;

/**
 * How much wider the letters of a heavier weight are than those of the regular, which were measured:
 * of the shipped families nine in ten widen by less (8.5 % at 700, 12 % at 800).
 */
const widening = (weight: number): number => 1 + (Math.max(0, weight - 400) / 400) * 0.13;

/** The largest size at which words stand in so many lines: the last word of a line may not fit. */
export function fittingPx(
  { texts }: Fitting,
  lines: number,
  { family, weight }: StyleFace,
  screenPx: number,
  language: LanguageCode,
): number {
  const letter = letterWidthIn(family, language) * widening(weight);
  return Math.min(
    ...texts.map(({ words, columnPx }) => {
      const longest = Math.max(...words.split(/\s+/).map((word) => word.length));
      const characters = lines === 1 ? words.length : words.length / lines + longest / 2;
      return columnPx(screenPx) / (Math.max(1, characters, longest) * letter * FIT_SPARE);
    }),
  );
}

/** Words differ from the mean of their language. Common practice. */
const FIT_SPARE = 1.04;

interface Held {
  readonly face: StyleFace;
  readonly fitting: Fitting | undefined;
  readonly language: LanguageCode;
}

/**
 * The size of a role: that of its place, no larger than fits where it is to fit, other than where the
 * role says so itself; flowing between the anchors' widths, or between those of its container.
 */
function sizeOfRole(type: Type, role: TextRole, { face, fitting, language }: Held): FluidSize {
  const { place, sizes = {}, fit, container, unit } = role;
  const anchors = inOrder(type.anchors);
  const first = anchors[0]?.[1].width ?? 0;
  const last = anchors.at(-1)?.[1].width ?? 0;
  const at = anchors.map(([id, anchor]) => {
    const scaled = sizeAtAnchor(type, anchor, place);
    const screenPx = anchor.width === first ? Math.min(NARROWEST_PX, first) : anchor.width;
    const fitted =
      fit && fitting
        ? Math.min(
            scaled,
            Math.max(fit.least, fittingPx(fitting, fit.lines, face, screenPx, language)),
          )
        : scaled;
    const share = (anchor.width - first) / (last - first);
    return {
      widthPx: container ? container.from + share * (container.to - container.from) : anchor.width,
      sizePx: sizes[id] ?? fitted,
    };
  });
  return fluidSize(at, container ? 'cqi' : type.unit, {
    length: unit?.length ?? 'rem',
    root: rootShare(type),
  });
}

/** Whether a role's size is another than that of its place. */
const hasOwnSize = ({ sizes = {}, fit, container, unit }: TextRole): boolean =>
  Object.keys(sizes).length > 0 || Boolean(fit ?? container ?? unit);

function styleFace(fonts: Fonts, { face, weight }: TextRole, narrow: boolean): StyleFace {
  const { choice } = faceFor(fonts, face, narrow);
  const weightWanted = weight ?? choice.weight;
  return {
    family: choice.family,
    weightWanted,
    weight: nearestWeight(choice.family, weightWanted),
  };
}

/** Which texts a role is set with: headings are those in their face. */
export const settingOf = ({ face }: Pick<TextRole, 'face'>): 'heading' | 'text' =>
  face === 'heading' ? 'heading' : 'text';

/** As the automatic ones are emitted. */
const [LINE_DECIMALS, SPACING_DECIMALS] = [2, 3];

const lineSetIn = ({ set }: Type, role: TextRole, automatic: number): number => {
  const line = set?.[settingOf(role)]?.line;
  return line === undefined ? automatic : Number((automatic * line).toFixed(LINE_DECIMALS));
};

const spacingSetIn = ({ set }: Type, role: TextRole, automatic: number): number => {
  const spacing = set?.[settingOf(role)]?.spacing;
  return spacing === undefined
    ? automatic
    : Number((automatic + spacing).toFixed(SPACING_DECIMALS));
};

/** The size in px that stands for a role where one number has to: midway between its extremes. */
export const middlePx = ({ minRem, maxRem }: FluidSize): number =>
  ((minRem + maxRem) / 2) * ROOT_PX;

/** The text roles: size from the place, weight from the face, line height and spacing from the size. */
export function deriveStyles(
  fonts: Fonts,
  type: Type,
  languages: StyleDocument['brief']['languages'],
  fittings: Readonly<Record<string, Fitting>>,
): ReadonlyMap<string, TextStyle> {
  const language = languages[0] ?? 'en';
  // Roles of the same place share one size, so that what is found out of it is found out once.
  const places = new Map<number, FluidSize>();
  const sizeOf = (place: number): FluidSize => {
    const size = places.get(place) ?? sizeOfPlaceIn(type, place);
    places.set(place, size);
    return size;
  };
  const slugOf = slugsOf(type.roles);
  return new Map(
    inOrder(type.roles).map(([id, role]) => {
      const usual = styleFace(fonts, role, false);
      const narrow = styleFace(fonts, role, true);
      const size = hasOwnSize(role)
        ? sizeOfRole(type, role, { face: usual, fitting: fittings[id], language })
        : sizeOf(role.place);
      const px = middlePx(size);
      const { xHeight } = usual.family.metrics;
      const automatic = lineHeightOf(px, {
        xHeight,
        ...(role.longest !== undefined && { characters: role.longest }),
      });
      const style: TextStyle = {
        id,
        name: role.name,
        slug: slugOf.get(id) ?? id,
        face: role.face,
        ...usual,
        ...(narrow.family.id !== usual.family.id || narrow.weight !== usual.weight
          ? { narrow }
          : undefined),
        place: role.place,
        size,
        ownSize: hasOwnSize(role),
        lineHeight: role.lineHeight ?? lineSetIn(type, role, automatic),
        letterSpacing:
          role.letterSpacing ??
          spacingSetIn(type, role, letterSpacingOf(px, role.case === 'uppercase')),
        letterWidth: letterWidthIn(usual.family, language),
      };
      return [id, style];
    }),
  );
}
