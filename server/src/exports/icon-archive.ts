import { derive } from '@garnish/core/derive/derive';
import { iconFiles, writeIconLicenses, writeSprite } from '@garnish/core/formats/icon-files';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync } from 'fflate';
import { FIXED } from './zip.ts';

/** The icons as files of their own, together as symbols, and the licenses that they come under. */
export function exportIcons(document: StyleDocument): Promise<Uint8Array> {
  const derived = derive(document);
  const folder = Object.fromEntries(
    [
      ...iconFiles(document, derived),
      ['icons.svg', writeSprite(document, derived)] as const,
      ['licenses.txt', writeIconLicenses(document, derived)] as const,
    ].map(([file, text]) => [file, strToU8(text)]),
  );
  return Promise.resolve(zipSync(folder, { mtime: FIXED }));
}
