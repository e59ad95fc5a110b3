import { derive } from '@garnish/core/derive/derive';
import { ARCHIVES, FORMATS, type ArchiveFile } from '@garnish/core/formats/formats';
import type { Known } from '@garnish/core/formats/known';
import type { StyleDocument } from '@garnish/core/system/document';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { FontSource } from '../fonts/delivered.ts';
import { problemSchema } from '../problems.ts';
import type { Store } from '../systems/store.ts';
import { exportIcons } from './icon-archive.ts';
import type { Pictures } from '../pictures/pictures.ts';
import { pictureArchivist } from './picture-archive.ts';
import { exportMockUpFonts } from './mock-up-fonts.ts';
import { exportZip } from './zip.ts';

interface Download {
  readonly file: string;
  readonly type: string;
  readonly write: (
    document: StyleDocument,
    fonts: FontSource,
    known: Known,
  ) => Promise<string | Uint8Array>;
}

const archivists = (
  pictures: Pick<Pictures, 'bytes'>,
): Readonly<Record<ArchiveFile, Download['write']>> => ({
  'tokens.zip': exportZip,
  'icons.zip': exportIcons,
  'pictures.zip': pictureArchivist(pictures),
  'fonts.zip': exportMockUpFonts,
});

/** Everything that can be taken away. */
const downloads = (archived: ReturnType<typeof archivists>): readonly Download[] => [
  ...FORMATS.map(({ file, type, write }) => ({
    file,
    type,
    write: (document: StyleDocument, _fonts: FontSource, known: Known) =>
      write(document, derive(document), known),
  })),
  ...ARCHIVES.map(({ file }) => ({ file, type: 'application/zip', write: archived[file] })),
];

const fileName = (name: string, file: string): string => {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
  return `${plain || 'system'}-${file}`;
};

export const exportRoutes =
  (store: Store, fonts: FontSource, pictures: Pick<Pictures, 'bytes'>): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    for (const { file, type, write } of downloads(archivists(pictures)))
      app.get(
        `/api/systems/:id/export/${file}`,
        {
          schema: {
            params: z.object({ id: z.uuid() }),
            response: { 200: z.any(), '4xx': problemSchema },
          },
        },
        async ({ params }, reply) => {
          const { document, sequence, known } = await store.openKnown(params.id);
          const bytes = await write(document, fonts, known);
          return (
            reply
              .type(type)
              .header('cache-control', 'no-store')
              // Which state it is of: who takes several files knows whether they belong together.
              .header('etag', `"${sequence}"`)
              .header(
                'content-disposition',
                `attachment; filename="${fileName(document.name, file)}"`,
              )
              .serializer((body: string) => body)
              .send(typeof bytes === 'string' ? bytes : Buffer.from(bytes))
          );
        },
      );
  };
