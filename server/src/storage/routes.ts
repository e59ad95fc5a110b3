import { Readable } from 'node:stream';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Database } from '../db/models.ts';
import { Problem, problemSchema } from '../problems.ts';
import { restoreArchive, writeArchive } from './archive.ts';
import type { StorageKeeper } from './storage.ts';

const stored = z.object({
  id: z.string(),
  name: z.string(),
  bytes: z.number(),
  usedBy: z.array(z.string()),
});

const storageSchema = z.object({
  systems: z.object({ count: z.number(), bytes: z.number() }),
  limit: z.number(),
  families: z.array(stored),
  pictures: z.array(stored),
  deleted: z.array(stored.omit({ usedBy: true })),
});

const restored = z.object({
  systems: z.number(),
  changes: z.number(),
  keepers: z.number(),
  families: z.number(),
  pictures: z.number(),
  same: z.number(),
});

/** The largest archive that a browser sends; larger ones are brought back by the command. */
const MOST_ARCHIVE = 512 * 1024 * 1024;

/** What takes room, ways to make some, and everything out and in again as one archive. */
export const storageRoutes =
  (database: Database, storage: StorageKeeper): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };

    app.get(
      '/api/storage',
      { schema: { response: { 200: storageSchema, ...failures } } },
      async () => {
        const { families, pictures, ...rest } = await storage.look();
        return {
          ...rest,
          families: [...families].map(mutable),
          pictures: [...pictures].map(mutable),
          deleted: [...rest.deleted],
        };
      },
    );

    app.delete(
      '/api/fonts/own/:id',
      {
        schema: {
          params: z.object({ id: z.string().max(60) }),
          response: { 204: z.null(), ...failures },
        },
      },
      async ({ params }, reply) => {
        await storage.deleteFamily(params.id);
        return reply.status(204).send(null);
      },
    );

    app.delete(
      '/api/pictures/:name',
      {
        schema: {
          params: z.object({ name: z.string().max(60) }),
          response: { 204: z.null(), ...failures },
        },
      },
      async ({ params }, reply) => {
        await storage.deletePicture(params.name);
        return reply.status(204).send(null);
      },
    );

    app.get('/api/backup', { schema: { response: { 200: z.any() } } }, (_, reply) => {
      const day = new Date().toISOString().slice(0, 10);
      return reply
        .type('application/zip')
        .header('cache-control', 'no-store')
        .header('content-disposition', `attachment; filename="garnish-${day}.zip"`)
        .serializer((body: string) => body)
        .send(Readable.from(writeArchive(database)));
    });

    app.post(
      '/api/restore',
      {
        schema: {
          querystring: z.object({ replace: z.enum(['yes', 'no']).default('no') }),
          response: { 200: restored, ...failures },
        },
      },
      async (request) => {
        if (!request.isMultipart())
          throw new Problem('unsupported-media-type', 'Send the archive as a form.');
        const part = await request.file({ limits: { fileSize: MOST_ARCHIVE } });
        if (!part) throw new Problem('archive-refused', 'No file was sent.');
        const bytes = await part.toBuffer();
        if (part.file.truncated)
          throw new Problem(
            'archive-refused',
            'It is larger than 512 MB: bring it back with npm run restore. Nothing was changed.',
          );
        return restoreArchive(database, bytes, { replace: request.query.replace === 'yes' });
      },
    );
  };

const mutable = ({
  usedBy,
  ...rest
}: {
  id: string;
  name: string;
  bytes: number;
  usedBy: readonly string[];
}) => ({
  ...rest,
  usedBy: [...usedBy],
});
