import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';
import { fontFamily } from '../fonts/family.ts';

/** A pair of faces set aside, with all that was measured of them. */
export const keptPair = z.strictObject({ heading: fontFamily, text: fontFamily });
export type KeptPair = DeepReadonly<z.infer<typeof keptPair>>;
