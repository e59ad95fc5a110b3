import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema, Problem } from '../problems.ts';
import { pictureType, type Pictures } from './pictures.ts';

const A_YEAR = 'public, max-age=31536000, immutable';

/** Pictures that people bring: kept as they are, and served under a name that never changes. */
export const pictureRoutes =
  (pictures: Pictures): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    app.post(
      '/api/pictures',
      { schema: { response: { 201: z.object({ file: z.string() }), '4xx': problemSchema } } },
      async (request, reply) => {
        if (!request.isMultipart())
          throw new Problem('unsupported-media-type', 'Send the picture as a form.');
        const part = await request.file();
        if (!part) throw new Problem('picture-refused', 'No file was sent.');
        const bytes = await part.toBuffer();
        if (part.file.truncated)
          throw new Problem('picture-refused', 'It is larger than 8 MB. Nothing was stored.');
        return reply.status(201).send({ file: await pictures.keep(bytes) });
      },
    );

    app.get(
      '/proof/pictures/:name',
      {
        schema: {
          params: z.object({ name: z.string().max(60) }),
          response: { 200: z.any(), '4xx': problemSchema },
        },
      },
      async ({ params }, reply) => {
        const bytes = await pictures.bytes(params.name);
        if (!bytes) throw new Problem('unknown-picture', 'There is no picture of this name.');
        return reply
          .header('cache-control', A_YEAR)
          .header('x-content-type-options', 'nosniff')
          .type(pictureType(params.name))
          .serializer((sent: string) => sent)
          .send(bytes);
      },
    );
  };
