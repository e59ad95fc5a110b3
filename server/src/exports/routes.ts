import { derive } from '@garnish/core/derive/derive';
import { writeCss } from '@garnish/core/formats/css';
import { writeDtcg } from '@garnish/core/formats/dtcg';
import { writeStepped } from '@garnish/core/formats/stepped';
import { writeHandoff } from '@garnish/core/formats/handoff';
import { writeUtilities } from '@garnish/core/formats/utilities';
import type { StyleDocument } from '@garnish/core/system/document';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { FontSource } from '../fonts/delivered.ts';
import { problemSchema } from '../problems.ts';
import type { Store } from '../systems/store.ts';
import { exportMockUpFonts } from './mock-up-fonts.ts';
import { exportZip } from './zip.ts';

interface Download {
  readonly file: string;
  readonly type: string;
  readonly write: (document: StyleDocument, fonts: FontSource) => string | Promise<Uint8Array>;
}

/** Everything that can be taken away; a new format is a line here. */
const DOWNLOADS: readonly Download[] = [
  {
    file: 'tokens.css',
    type: 'text/css; charset=utf-8',
    write: (document) => writeCss(derive(document)),
  },
  {
    file: 'tokens-stepped.css',
    type: 'text/css; charset=utf-8',
    write: (document) => writeStepped(document, derive(document)),
  },
  {
    file: 'utilities.css',
    type: 'text/css; charset=utf-8',
    write: (document) => writeUtilities(document, derive(document)),
  },
  {
    file: 'tokens.json',
    type: 'application/json; charset=utf-8',
    write: (document) => writeDtcg(derive(document), document),
  },
  {
    file: 'handoff.md',
    type: 'text/markdown; charset=utf-8',
    write: (document) => writeHandoff(document, derive(document)),
  },
  { file: 'tokens.zip', type: 'application/zip', write: exportZip },
  { file: 'fonts.zip', type: 'application/zip', write: exportMockUpFonts },
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
  (store: Store, fonts: FontSource): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    for (const { file, type, write } of DOWNLOADS)
      app.get(
        `/api/systems/:id/export/${file}`,
        {
          schema: {
            params: z.object({ id: z.uuid() }),
            response: { 200: z.any(), '4xx': problemSchema },
          },
        },
        async ({ params }, reply) => {
          const { document } = await store.open(params.id);
          const bytes = await write(document, fonts);
          return reply
            .type(type)
            .header('cache-control', 'no-store')
            .header(
              'content-disposition',
              `attachment; filename="${fileName(document.name, file)}"`,
            )
            .serializer((body: string) => body)
            .send(typeof bytes === 'string' ? bytes : Buffer.from(bytes));
        },
      );
  };
