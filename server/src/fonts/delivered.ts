import { readFile } from 'node:fs/promises';
import type { OwnFonts } from './own-fonts.ts';
import { fontPath, licenceOf } from './shipped.ts';

/** Files and licenses for what is taken away, whoever brought the family. */
export interface FontSource {
  readonly bytes: (name: string) => Promise<Uint8Array | undefined>;
  readonly licence: (familyId: string) => Promise<string | undefined>;
}

export const fontSource = (own: OwnFonts): FontSource => ({
  bytes: async (name) => {
    const path = fontPath(name);
    return path === undefined ? own.file(name) : readFile(path);
  },
  licence: async (id) => licenceOf(id) ?? (await own.licence(id)),
});
