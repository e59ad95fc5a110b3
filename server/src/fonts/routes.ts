import { createReadStream } from 'node:fs';
import { CATEGORIES } from '@garnish/core/fonts/family';
import { LOCAL_FAMILIES } from '@garnish/core/fonts/local-families';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema, Problem } from '../problems.ts';
import type { OwnFonts, Upload } from './own-fonts.ts';
import { families, fontPath } from './shipped.ts';

const A_YEAR = 'public, max-age=31536000, immutable';

/** The catalogue, the font files under the names of the exported sheet, and what people bring. */
export const fontRoutes =
  (own: OwnFonts): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    app.get('/api/fonts', { schema: { response: { 200: z.array(z.any()) } } }, async (_, reply) =>
      reply
        .header('cache-control', 'no-cache')
        .send([...(await own.list()), ...LOCAL_FAMILIES, ...families]),
    );

    app.post(
      '/api/fonts/own',
      { schema: { response: { 201: z.any(), '4xx': problemSchema } } },
      async (request, reply) => {
        if (!request.isMultipart())
          throw new Problem('unsupported-media-type', 'Send the files as a form.');
        const uploads: Upload[] = [];
        const fields = new Map<string, string>();
        for await (const part of request.parts()) {
          if (part.type === 'field') {
            fields.set(part.fieldname, String(part.value));
            continue;
          }
          const chunks: Uint8Array[] = [];
          for await (const chunk of part.file) chunks.push(chunk as Uint8Array);
          uploads.push({
            fileName: part.filename,
            bytes: Uint8Array.from(Buffer.concat(chunks)),
            tooLarge: part.file.truncated,
          });
        }
        const record = await own.add(uploads, {
          licenceNote: (fields.get('licence') ?? '').slice(0, 2000),
          confirmed: fields.get('confirmed') === 'yes',
          category: CATEGORIES.find((kind) => kind === fields.get('kind')) ?? 'sans',
        });
        return reply.status(201).send(record);
      },
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
        const bytes = path === undefined ? await own.file(params.name) : undefined;
        if (path === undefined && bytes === undefined)
          throw new Problem('unknown-font-file', 'There is no font file of this name.');
        return reply
          .header('cache-control', A_YEAR)
          .type('font/woff2')
          .serializer((stream: string) => stream)
          .send(path === undefined ? bytes : createReadStream(path));
      },
    );
  };
