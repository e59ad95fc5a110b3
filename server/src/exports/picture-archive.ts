import { derive } from '@garnish/core/derive/derive';
import {
  PICTURE_FOLDER,
  pictureFiles,
  widthFile,
  writePictures,
} from '@garnish/core/formats/picture-files';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, zipSync, type Zippable } from 'fflate';
import sharp from 'sharp';
import type { Pictures } from '../pictures/pictures.ts';
import { FIXED } from './zip.ts';

/** Pictures are compressed already. */
const STORED = { level: 0, mtime: FIXED } as const;
const QUALITY = 80;

/** Larger ones are not decoded here; the window takes none that are. */
const MOST_PIXELS = 60_000_000;

/** So many bytes of files that were made are kept, the latest: a picture never changes under its name. */
const KEPT_BYTES = 64_000_000;

/** Makes files of pictures, one after the other, and remembers the latest. */
function createMaker(pictures: Pick<Pictures, 'bytes'>) {
  const made = new Map<string, Uint8Array>();
  let held = 0;
  const keep = (key: string, bytes: Uint8Array): void => {
    made.set(key, bytes);
    held += bytes.length;
    for (const [oldest, { length }] of made) {
      if (held <= KEPT_BYTES) break;
      made.delete(oldest);
      held -= length;
    }
  };
  /** A picture at a width, upright and without what cameras write beside it; throws where it is no picture. */
  const at = async (stored: string, source: Buffer, width: number): Promise<Uint8Array> => {
    const key = `${stored} ${width}`;
    const known = made.get(key);
    if (known) return known;
    const { buffer } = await sharp(source, { limitInputPixels: MOST_PIXELS, sequentialRead: true })
      .autoOrient()
      .resize({ width, withoutEnlargement: true })
      .webp({ quality: QUALITY })
      .toBuffer()
      .then((bytes) => ({ buffer: new Uint8Array(bytes) }));
    keep(key, buffer);
    return buffer;
  };
  return { at, source: (stored: string) => pictures.bytes(stored) };
}

/** Every picture of the pages at every width that it is offered in, with its markup; what cannot be read is told. */
export function pictureArchivist(
  pictures: Pick<Pictures, 'bytes'>,
): (document: StyleDocument) => Promise<Uint8Array> {
  const maker = createMaker(pictures);
  return async (document) => {
    const derived = derive(document);
    const folder: Zippable = { 'pictures.md': strToU8(writePictures(document, derived)) };
    const lost: string[] = [];
    for (const { stored, slug, name, widths } of pictureFiles(document, derived)) {
      const source = await maker.source(stored);
      try {
        if (!source) throw new Error('it is not here any more');
        for (const width of widths)
          folder[`${PICTURE_FOLDER}/${widthFile(slug, width)}`] = [
            await maker.at(stored, source, width),
            STORED,
          ];
      } catch (error) {
        lost.push(
          `${name} (${stored}): ${error instanceof Error ? error.message : 'not readable'}`,
        );
        // What browsers may still draw goes along as it came.
        if (source) folder[`${PICTURE_FOLDER}/${stored}`] = [new Uint8Array(source), STORED];
      }
    }
    if (lost.length > 0)
      folder['not-made.txt'] = strToU8(
        `These pictures could not be made smaller; where there is a file, it is as it came.\n\n${lost.join('\n')}\n`,
      );
    return zipSync(folder, { mtime: FIXED });
  };
}
