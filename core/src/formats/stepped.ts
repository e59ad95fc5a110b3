import type { Derived, Rule } from '../derive/derived.ts';
import { tokenOf } from '../derive/space/space.ts';
import { sizeOfPlaceIn } from '../derive/type/styles.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { everyMode, propertyOf, type Token } from '../tokens/token.ts';
import { fluidCss, fluidPx, fluidSize, type FluidSize } from '../type/fluid.ts';
import { placeSlug } from '../type/scale.ts';
import { writeCss } from './css.ts';

/** Where sizes change: as decided, or at the anchors and midway between them. */
export function breakpointsOf({ anchors, breakpoints }: StyleDocument['type']): readonly number[] {
  if (breakpoints) return [...new Set(breakpoints)].sort((one, other) => one - other);
  const widths = inOrder(anchors).map(([, { width }]) => width);
  return widths
    .slice(1)
    .flatMap((width, index) => [Math.round((width + (widths[index] ?? width)) / 2), width]);
}

/** The size at one width, written as the flowing one is. */
function still(size: FluidSize, widthPx: number): string {
  const at = [{ widthPx: 1, sizePx: fluidPx(size, widthPx) }];
  return fluidCss(fluidSize(at, size.unit, size.written));
}

/** The sizes that flow, by the token that holds them: a place of the scale, a role's own, a space. */
const flowingSizes = ({ type }: StyleDocument, { spaces, styles }: Derived) =>
  new Map<string, FluidSize>(
    [
      // The place of a role with a size of its own stays a step of the scale, and flows as the others.
      ...[...styles.values()].flatMap(({ ownSize, place, size, slug }) => [
        [`scale.${placeSlug(place)}`, sizeOfPlaceIn(type, place)] as const,
        ...(ownSize ? [[`type.${slug}.size`, size] as const] : []),
      ]),
      ...lengthsOf(spaces).flatMap(([id, { fluid }]) => (fluid ? [[id, fluid] as const] : [])),
    ].filter(([, { clamps }]) => clamps.length > 0),
  );

/** Every length of a role of space, by its token. */
const lengthsOf = (spaces: Derived['spaces']) =>
  [...spaces.values()].flatMap((one) =>
    (['inline', 'block'] as const).map((side) => [tokenOf(one, side), one[side]] as const),
  );

/**
 * The style sheet without `clamp()`: every size that flows is still between breakpoints, and at each
 * what the flowing one is there. Sizes that flow with a container stay at their narrowest, because
 * no breakpoint knows the container. Everything else is as in the usual sheet.
 */
export function writeStepped(document: StyleDocument, derived: Derived): string {
  const flowing = flowingSizes(document, derived);
  const plain = new Map(
    lengthsOf(derived.spaces).flatMap(([id, length]) =>
      length.plain === undefined ? [] : [[id, length.plain] as const],
    ),
  );
  const stepped = (token: Token): Token => {
    const size = flowing.get(token.id);
    const css = size ? still(size, 0) : plain.get(token.id);
    return css === undefined
      ? token
      : { ...token, values: everyMode({ ...token.values.light, css }) };
  };
  const rules = breakpointsOf(document.type).map((widthPx): Rule => ({
    selector: ':root',
    within: `@media (width >= ${widthPx}px)`,
    declarations: [...flowing].flatMap(([id, size]) => {
      const token = derived.tokenById.get(id);
      return token && size.unit !== 'cqi'
        ? [[propertyOf(token), still(size, widthPx)] as const]
        : [];
    }),
  }));
  const stepwise = {
    ...derived,
    groups: derived.groups.map((group) => ({ ...group, tokens: group.tokens.map(stepped) })),
    rules: [{ key: 'stepped', rules }, ...derived.rules],
  };
  return writeCss(stepwise, document.tokens.sheet);
}
