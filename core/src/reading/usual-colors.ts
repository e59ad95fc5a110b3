import { derive } from '../derive/derive.ts';
import type { FontFamily } from '../fonts/family.ts';
import type { Hex } from '../color/srgb.ts';
import { MODES } from '../system/document.ts';
import { newDocument } from '../system/new-document.ts';

/**
 * The colors that a new system would have by itself, by role and theme (`page light`): what stands instead where one is
 * not taken from a page. As CSS.
 * @param brand the colors of the brand that it begins with, the first one first
 * @param family any family: no color hangs on it
 */
export function usualColors(
  brand: readonly Hex[],
  family: FontFamily,
): ReadonlyMap<string, string> {
  const [first, ...colors] = brand;
  if (first === undefined) return new Map();
  const { tokens } = derive(
    newDocument({ name: 'new', brand: first, colors, heading: family, text: family }),
  );
  return new Map(
    tokens.flatMap(({ id, values }) => {
      const role = /^color\.([a-z-]+)$/.exec(id)?.[1];
      return role === undefined
        ? []
        : MODES.flatMap((mode) => {
            const { css } = values[mode];
            return css === undefined ? [] : [[`${role} ${mode}`, css] as const];
          });
    }),
  );
}
