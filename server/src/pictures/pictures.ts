import { createHash } from 'node:crypto';
import type { PictureRow } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { StorageKeeper } from '../storage/storage.ts';

/** The kinds of pictures that are kept, by how their files begin. SVG is drawn to one of them first. */
const KINDS = [
  {
    ending: 'png',
    type: 'image/png',
    begins: (bytes: Buffer) => bytes.readUInt32BE(0) === 0x89504e47,
  },
  {
    ending: 'jpg',
    type: 'image/jpeg',
    begins: (bytes: Buffer) => bytes.readUIntBE(0, 3) === 0xffd8ff,
  },
  {
    ending: 'webp',
    type: 'image/webp',
    begins: (bytes: Buffer) =>
      bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP',
  },
  {
    ending: 'avif',
    type: 'image/avif',
    begins: (bytes: Buffer) => /^ftypavi[fs]$/.test(bytes.toString('latin1', 4, 12)),
  },
] as const;

/** What a picture is served as, by the ending of its name. */
export const pictureType = (file: string): string =>
  KINDS.find(({ ending }) => file.endsWith(`.${ending}`))?.type ?? 'application/octet-stream';

/** Keeps pictures under names that carry the hash of their bytes, so that they can be kept for ever. */
export const createPictures = (Pictures: typeof PictureRow, storage: StorageKeeper) => ({
  /** The name under which a picture is kept; the same picture twice is kept once. */
  async keep(bytes: Buffer): Promise<string> {
    const kind = bytes.length > 12 ? KINDS.find(({ begins }) => begins(bytes)) : undefined;
    if (!kind)
      throw new Problem(
        'picture-refused',
        'Only PNG, JPEG, WebP and AVIF files are kept. Nothing was stored.',
      );
    const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 16);
    const name = `${hash}.${kind.ending}`;
    await storage.makeRoom(bytes.length);
    await Pictures.findOrCreate({ where: { name }, defaults: { name, bytes } });
    return name;
  },

  async bytes(name: string): Promise<Buffer | undefined> {
    return (await Pictures.findByPk(name))?.bytes;
  },
});

export type Pictures = ReturnType<typeof createPictures>;
