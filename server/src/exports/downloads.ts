import { derive } from '@garnish/core/derive/derive';
import { ARCHIVES, FORMATS, type ArchiveFile } from '@garnish/core/formats/formats';
import type { Known } from '@garnish/core/formats/known';
import type { StyleDocument } from '@garnish/core/system/document';
import type { FontSource } from '../fonts/delivered.ts';
import type { Pictures } from '../pictures/pictures.ts';
import { exportIcons } from './icon-archive.ts';
import { exportMockUpFonts } from './mock-up-fonts.ts';
import { pictureArchivist } from './picture-archive.ts';
import { exportZip } from './zip.ts';

/** A file that can be taken away. */
export interface Download {
  readonly file: string;
  readonly type: string;
  readonly write: (document: StyleDocument, known: Known) => Promise<string | Uint8Array>;
}

/** Everything that can be taken away. */
export function downloadsFrom(
  fonts: FontSource,
  pictures: Pick<Pictures, 'bytes'>,
): readonly Download[] {
  const archived: Readonly<
    Record<
      ArchiveFile,
      (document: StyleDocument, fonts: FontSource, known: Known) => Promise<string | Uint8Array>
    >
  > = {
    'tokens.zip': exportZip,
    'icons.zip': exportIcons,
    'pictures.zip': pictureArchivist(pictures),
    'fonts.zip': exportMockUpFonts,
  };
  return [
    ...FORMATS.map(({ file, type, write }) => ({
      file,
      type,
      write: async (document: StyleDocument, known: Known) =>
        write(document, derive(document), known),
    })),
    ...ARCHIVES.map(({ file }) => ({
      file,
      type: 'application/zip',
      write: (document: StyleDocument, known: Known) => archived[file](document, fonts, known),
    })),
  ];
}

/** What a file is called on the machine of who takes it: with the name of the system before it. */
export const fileName = (name: string, file: string): string => {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
  return `${plain || 'system'}-${file}`;
};
