import { readFileSync } from 'node:fs';
import { derive } from '@garnish/core/derive/derive';
import { FONT_FOLDER, writeCss } from '@garnish/core/formats/css';
import { writeDtcg } from '@garnish/core/formats/dtcg';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { fontPath, licenceOf } from '../fonts/shipped.ts';

/** Times in an archive are fixed, so that the same decisions give the same bytes. */
export const FIXED = new Date('2000-01-01T00:00:00');

/** Font files are compressed already. */
const STORED = { level: 0, mtime: FIXED } as const;

/** The style sheet, the tokens, the font files and their licences, as one archive. */
export function exportZip(document: StyleDocument): Uint8Array {
  const derived = derive(document);
  const folder: Zippable = {
    'tokens.css': strToU8(writeCss(derived)),
    'tokens.json': strToU8(writeDtcg(derived, document)),
  };
  for (const {
    family: { id },
    files,
  } of derived.faces) {
    for (const { name } of files) {
      const path = fontPath(name);
      if (path !== undefined) folder[`${FONT_FOLDER}/${name}`] = [readFileSync(path), STORED];
    }
    const licence = licenceOf(id);
    if (licence !== undefined) folder[`${FONT_FOLDER}/${id}-licence.txt`] = strToU8(licence);
  }
  return zipSync(folder, { mtime: FIXED });
}
