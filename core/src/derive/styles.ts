import { letterWidthIn, nearestWeight } from '../fonts/family.ts';
import { inOrder, type Anchor, type StyleDocument, type TextRole } from '../system/document.ts';
import { faceFor } from '../system/faces.ts';
import { slugs } from '../tokens/token.ts';
import { fluidSize, ROOT_PX, type FluidSize } from '../type/fluid.ts';
import { letterSpacingOf, lineHeightOf } from '../type/line-height.ts';
import { sizeOfPlace } from '../type/scale.ts';
import type { StyleFace, TextStyle } from './derived.ts';

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

/** The size of a place over all widths. */
export const sizeOfPlaceIn = (type: Type, place: number): FluidSize =>
  fluidSize(
    inOrder(type.anchors).map(([, anchor]) => ({
      widthPx: anchor.width,
      sizePx: sizeAtAnchor(type, anchor, place),
    })),
    type.unit,
  );

/** The size of a role: that of its place, other than where the role says so itself. */
function sizeOfRole(type: Type, { place, sizes = {} }: TextRole): FluidSize {
  if (Object.keys(sizes).length === 0) return sizeOfPlaceIn(type, place);
  return fluidSize(
    inOrder(type.anchors).map(([id, anchor]) => ({
      widthPx: anchor.width,
      sizePx: sizes[id] ?? sizeAtAnchor(type, anchor, place),
    })),
    type.unit,
  );
}

function styleFace(fonts: Fonts, { face, weight }: TextRole, narrow: boolean): StyleFace {
  const { choice } = faceFor(fonts, face, narrow);
  const weightWanted = weight ?? choice.weight;
  return {
    family: choice.family,
    weightWanted,
    weight: nearestWeight(choice.family, weightWanted),
  };
}

/** The size in px that stands for a role where one number has to: midway between its extremes. */
export const middlePx = ({ minRem, maxRem }: FluidSize): number =>
  ((minRem + maxRem) / 2) * ROOT_PX;

/** The text roles: size from the place, weight from the face, line height and spacing from the size. */
export function deriveStyles(
  fonts: Fonts,
  type: Type,
  languages: StyleDocument['brief']['languages'],
): ReadonlyMap<string, TextStyle> {
  const slugOf = slugs(inOrder(type.roles).map(([id, { name }]) => [id, name]));
  return new Map(
    inOrder(type.roles).map(([id, role]) => {
      const usual = styleFace(fonts, role, false);
      const narrow = styleFace(fonts, role, true);
      const size = sizeOfRole(type, role);
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
        ownSize: Object.keys(role.sizes ?? {}).length > 0,
        lineHeight: role.lineHeight ?? automatic,
        letterSpacing: role.letterSpacing ?? letterSpacingOf(px, role.case === 'uppercase'),
        letterWidth: letterWidthIn(usual.family, languages[0] ?? 'en'),
      };
      return [id, style];
    }),
  );
}
