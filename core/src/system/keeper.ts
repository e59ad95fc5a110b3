import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';
import { fontFamily } from '../fonts/family.ts';

/** A pair of faces set aside, or a trio with a label face, with all that was measured of them. */
export const keptPair = z.strictObject({
  heading: fontFamily,
  text: fontFamily,
  label: z.optional(fontFamily),
});
export type KeptPair = DeepReadonly<z.infer<typeof keptPair>>;
