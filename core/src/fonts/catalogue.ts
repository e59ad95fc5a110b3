import type { DeepReadonly } from '../deep-readonly.ts';
import type { FontFamily } from './family.ts';

/** A shipped family, and where in the font packages its files and its license stand. */
export type CatalogueEntry = DeepReadonly<{
  family: FontFamily;
  licenceFile: string;
  /** The place of each file, by the name under which it is served. */
  sources: Record<string, string>;
}>;
