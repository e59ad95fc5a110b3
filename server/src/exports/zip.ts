import { derive } from '@garnish/core/derive/derive';
import { FORMATS } from '@garnish/core/formats/formats';
import type { Known } from '@garnish/core/formats/known';
import { FONT_FOLDER } from '@garnish/core/formats/sheet';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync, type Zippable } from 'fflate';
import type { FontSource } from '../fonts/delivered.ts';

/** Times in an archive are fixed, so that the same decisions give the same bytes. */
export const FIXED = new Date('2000-01-01T00:00:00');

/** Font files are compressed already. */
const STORED = { level: 0, mtime: FIXED } as const;

/** The files that belong to everything handed over, the font files and their licenses, as one archive. */
export async function exportZip(
  document: StyleDocument,
  fonts: FontSource,
  known?: Known,
): Promise<Uint8Array> {
  const derived = derive(document);
  const folder: Zippable = {};
  for (const { file, isArchived, write } of FORMATS)
    if (isArchived(document, known)) folder[file] = strToU8(await write(document, derived, known));
  for (const {
    family: { id },
    files,
  } of derived.faces) {
    for (const { name } of files) {
      const bytes = await fonts.bytes(name);
      if (bytes) folder[`${FONT_FOLDER}/${name}`] = [bytes, STORED];
    }
    const licence = await fonts.licence(id);
    if (licence !== undefined) folder[`${FONT_FOLDER}/${id}-license.txt`] = strToU8(licence);
  }
  return zipSync(folder, { mtime: FIXED });
}
