import { readFileSync } from 'node:fs';
import { derive } from '@garnish/core/derive/derive';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { decompress } from 'wawoff2';
import { fontPath, licenceOf } from '../fonts/shipped.ts';
import { FIXED } from './zip.ts';

/**
 * The delivered files unpacked to TTF, as programs for mock-ups want them, with a note of which
 * scripts each holds: a web font is split by script, a desktop program wants to know.
 */
export async function exportMockUpFonts(document: StyleDocument): Promise<Uint8Array> {
  const folder: Zippable = {};
  const lines = [`Fonts of ${document.name}, for mock-ups.`, ''];
  for (const { family, files } of derive(document).faces) {
    const licence = licenceOf(family.id);
    if (licence !== undefined) folder[`${family.id}-licence.txt`] = strToU8(licence);
    for (const { name, script, style, weight } of files) {
      const path = fontPath(name);
      if (path === undefined) continue;
      const file = name.replace(/\.[0-9a-f]{12}\.woff2$/, '.ttf');
      // The unpacker lends its own memory, which the next file overwrites.
      folder[file] = (await decompress(readFileSync(path))).slice();
      const weights =
        weight.min === weight.max ? `${weight.min}` : `${weight.min} to ${weight.max}`;
      lines.push(`${file}: ${family.name}, ${style}, weight ${weights}, script ${script} only`);
    }
  }
  folder['scripts.txt'] = strToU8(`${lines.join('\n')}\n`);
  return zipSync(folder, { mtime: FIXED });
}
