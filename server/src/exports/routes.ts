import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import type { Store } from '../systems/store.ts';
import { fileName, type Download } from './downloads.ts';

export const exportRoutes =
  (store: Store, downloads: readonly Download[]): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    for (const { file, type, write } of downloads)
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
          const bytes = await write(document, known);
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
