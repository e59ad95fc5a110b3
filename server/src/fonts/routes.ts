import { createReadStream } from 'node:fs';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema, Problem } from '../problems.ts';
import { families, fontPath } from './shipped.ts';

const A_YEAR = 'public, max-age=31536000, immutable';

/** The catalogue, and the font files under the names that the exported style sheet uses. */
export const fontRoutes: FastifyPluginAsyncZod =
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    app.get('/api/fonts', { schema: { response: { 200: z.array(z.any()) } } }, async (_, reply) =>
      reply.header('cache-control', 'no-cache').send([...families]),
    );

    app.get(
      '/proof/fonts/:name',
      {
        schema: {
          params: z.object({ name: z.string().max(200) }),
          response: { 200: z.any(), '4xx': problemSchema },
        },
      },
      async ({ params }, reply) => {
        const path = fontPath(params.name);
        if (path === undefined)
          throw new Problem('unknown-font-file', 'No shipped family has a file of this name.');
        return reply
          .header('cache-control', A_YEAR)
          .type('font/woff2')
          .serializer((stream: string) => stream)
          .send(createReadStream(path));
      },
    );
  };
