import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';
import { isHex, type Hex } from '../color/srgb.ts';
import { fontFamily } from '../fonts/family.ts';
import { upgradeKept } from './upgrade.ts';

/** A pair of faces set aside, or a trio with a label face, with all that was measured of them. */
export const keptPair = z.strictObject({
  heading: fontFamily,
  text: fontFamily,
  label: z.optional(fontFamily),
});
export type KeptPair = DeepReadonly<z.infer<typeof keptPair>>;

/** A palette set aside: colors in order, with names where they have any. */
export const keptPalette = z.strictObject({
  name: z.string().check(z.minLength(1), z.maxLength(80)),
  colors: z
    .array(
      z.strictObject({
        name: z.string().check(z.maxLength(80)),
        hex: z.custom<Hex>((value) => typeof value === 'string' && isHex(value)),
      }),
    )
    .check(z.minLength(1), z.maxLength(256)),
});
export type KeptPalette = DeepReadonly<z.infer<typeof keptPalette>>;

/** What was kept of each kind, whatever schema it was kept under. Throws where it is not of its form. */
export const readKept = {
  pair: (content: unknown, schema: number) => keptPair.parse(upgradeKept('pair', content, schema)),
  palette: (content: unknown, schema: number) =>
    keptPalette.parse(upgradeKept('palette', content, schema)),
  family: (content: unknown, schema: number) =>
    fontFamily.parse(upgradeKept('family', content, schema)),
};
