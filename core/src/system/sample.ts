import catalogue from '../fonts/catalogue.json' with { type: 'json' };
import type { CatalogueEntry } from '../fonts/catalogue.ts';
import type { FontFamily } from '../fonts/family.ts';
import type { StyleDocument } from './document.ts';
import { newDocument } from './new-document.ts';
import { patched, type Patch } from './patch.ts';

/** For tests and measurements: all families of the catalogue. */
export const sampleFamilies = (): readonly FontFamily[] =>
  (catalogue as readonly CatalogueEntry[]).map(({ family }) => family);

/** For tests and measurements: a family of the catalogue. */
export function sampleFamily(id: string): FontFamily {
  const found = sampleFamilies().find((family) => family.id === id);
  if (!found) throw new Error(`the catalogue has no family “${id}”`);
  return found;
}

/** For tests and measurements: a small system, with changes. Throws where they do not fit. */
export function sampleDocument(changes: Patch = []): StyleDocument {
  const start = newDocument({
    name: 'Sample',
    brand: '#2a6365',
    heading: sampleFamily('archivo'),
    text: sampleFamily('literata'),
  });
  const result = patched(start, changes);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}
