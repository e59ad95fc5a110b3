import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { CatalogueEntry } from '@garnish/core/fonts/catalogue';
import type { FontFamily } from '@garnish/core/fonts/family';
import catalogue from '@garnish/core/fonts/catalogue.json' with { type: 'json' };

const require = createRequire(import.meta.url);

const ENTRIES = catalogue as readonly CatalogueEntry[];

export const families: readonly FontFamily[] = ENTRIES.map((entry) => entry.family);

const byId = new Map(ENTRIES.map((entry) => [entry.family.id, entry]));

/** A shipped family. Throws where the catalogue does not have it. */
export function family(id: string): FontFamily {
  const entry = byId.get(id);
  if (!entry) throw new Error(`the catalogue has no family “${id}”`);
  return entry.family;
}

const inPackages = (source: string): string => {
  const [scope = '', name = '', ...rest] = source.split('/');
  return path.join(path.dirname(require.resolve(`${scope}/${name}/package.json`)), ...rest);
};

/** Where each file lies, by its served name: requests are looked up here and never become a path. */
const sourceOf = new Map(ENTRIES.flatMap(({ sources }) => Object.entries(sources)));

/** The path of a file by its name with the hash; undefined where none is shipped under it. */
export const fontPath = (name: string): string | undefined => {
  const source = sourceOf.get(name);
  return source === undefined ? undefined : inPackages(source);
};

/** The license text of a shipped family; undefined for a family that is not shipped. */
export const licenceOf = (familyId: string): string | undefined => {
  const entry = byId.get(familyId);
  return entry && readFileSync(inPackages(entry.licenceFile), 'utf8');
};
