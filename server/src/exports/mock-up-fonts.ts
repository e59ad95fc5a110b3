import { derive } from '@garnish/core/derive/derive';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync, type Zippable } from 'fflate';
import type { FontSource } from '../fonts/delivered.ts';
import { unpacked } from '../fonts/unpack.ts';
import { FIXED } from './zip.ts';

/**
 * The delivered files unpacked to TTF, as programs for mock-ups want them, with a note of which
 * scripts each holds: a web font is split by script, a desktop program wants to know.
 */
export async function exportMockUpFonts(
  document: StyleDocument,
  fonts: FontSource,
): Promise<Uint8Array> {
  const folder: Zippable = {};
  const lines = [`Fonts of ${document.name}, for mock-ups.`, ''];
  for (const { family, files } of derive(document).faces) {
    const licence = await fonts.licence(family.id);
    if (licence !== undefined) folder[`${family.id}-license.txt`] = strToU8(licence);
    for (const { name, script, style, weight } of files) {
      const bytes = await fonts.bytes(name);
      if (!bytes) continue;
      const file = name.replace(/\.[0-9a-f]{12}\.woff2$/, '.ttf');
      folder[file] = await unpacked(bytes);
      const weights =
        weight.min === weight.max ? `${weight.min}` : `${weight.min} to ${weight.max}`;
      lines.push(`${file}: ${family.name}, ${style}, weight ${weights}, script ${script} only`);
    }
  }
  folder['scripts.txt'] = strToU8(`${lines.join('\n')}\n`);
  return zipSync(folder, { mtime: FIXED });
}
