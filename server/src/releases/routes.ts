import { DIFFERENCE_FILES } from '@garnish/core/releases/files';
import { LATEST, MOST_RELEASE_WORDS, NOW, releaseNumber } from '@garnish/core/releases/schema';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { fileName } from '../exports/downloads.ts';
import { problemSchema } from '../problems.ts';
import { systemParams } from '../systems/schemas.ts';
import type { Release, Releases } from './store.ts';

const number = z
  .string()
  .max(20)
  .refine((text) => releaseNumber.safeParse(text).success, {
    message: 'is three whole numbers, such as 1.4.2',
  });
const released = z.union([z.literal(LATEST), number]);
const anyState = z.union([z.literal(LATEST), z.literal(NOW), number]);

const releaseSchema = z.object({
  number: z.string(),
  words: z.string(),
  sequence: z.number(),
  author: z.string(),
  at: z.string(),
  files: z.array(
    z.object({ file: z.string(), type: z.string(), bytes: z.number(), hash: z.string() }),
  ),
});

const reasonsSchema = z.array(
  z.object({ kind: z.enum(['major', 'minor', 'patch']), count: z.number(), what: z.string() }),
);

const newRelease = z.strictObject({
  number,
  words: z.string().max(MOST_RELEASE_WORDS),
  base: z.int32().min(0),
});

const told = ({ number: own, words, sequence, author, at, files }: Release) => ({
  ...{ number: own, words, sequence, author },
  files: [...files],
  at: at.toISOString(),
});

const betweenQuery = z.object({ from: anyState.default(LATEST), to: anyState.default(NOW) });

/** Releases, their files at addresses that stay, and what became of a system between two states. */
export const releaseRoutes =
  (releases: Releases): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };

    app.get(
      '/api/systems/:id/releases',
      {
        schema: {
          params: systemParams,
          response: { 200: z.object({ releases: z.array(releaseSchema) }), ...failures },
        },
      },
      async ({ params }) => ({ releases: (await releases.list(params.id)).map(told) }),
    );

    app.post(
      '/api/systems/:id/releases',
      {
        schema: {
          params: systemParams,
          body: newRelease,
          response: { 201: releaseSchema, ...failures },
        },
      },
      async ({ params, body, person }, reply) => {
        const made = await releases.make(params.id, { ...body, author: person });
        return reply.status(201).send(told(made));
      },
    );

    app.get(
      '/api/systems/:id/releases/next',
      {
        schema: {
          params: systemParams,
          response: {
            200: z.object({ number: z.string().optional(), reasons: reasonsSchema }),
            ...failures,
          },
        },
      },
      async ({ params }) => {
        const { number: proposed, reasons } = await releases.proposal(params.id);
        return { ...(proposed !== undefined && { number: proposed }), reasons: [...reasons] };
      },
    );

    app.get(
      '/api/systems/:id/releases/:number/document',
      {
        schema: {
          params: systemParams.extend({ number: released }),
          response: { 200: z.any(), ...failures },
        },
      },
      async ({ params }, reply) => {
        const { name, sequence, document } = await releases.state(params.id, params.number);
        return reply.header('cache-control', 'no-cache').send({ number: name, sequence, document });
      },
    );

    app.get(
      '/api/systems/:id/releases/:number/files/:file',
      {
        schema: {
          params: systemParams.extend({ number: released, file: z.string().max(80) }),
          response: { 200: z.any(), ...failures },
        },
      },
      async ({ params, headers }, reply) => {
        const {
          number: own,
          told: file,
          bytes,
        } = await releases.file(params.id, params.number, params.file);
        const tag = `"${file.hash}"`;
        reply
          // A numbered file is never another; the last one is, with the next release.
          .header(
            'cache-control',
            params.number === LATEST ? 'no-cache' : 'private, max-age=31536000, immutable',
          )
          .header('etag', tag);
        if (headers['if-none-match'] === tag) return reply.status(304).send();
        return reply
          .type(file.type)
          .header('content-disposition', `attachment; filename="${fileName(own, file.file)}"`)
          .send(bytes);
      },
    );

    app.get(
      '/api/systems/:id/difference',
      {
        schema: {
          params: systemParams,
          querystring: betweenQuery,
          response: { 200: z.any(), ...failures },
        },
      },
      ({ params, query }) => releases.between(params.id, query.from, query.to),
    );

    for (const { file, type, write } of DIFFERENCE_FILES)
      app.get(
        `/api/systems/:id/difference/${file}`,
        {
          schema: {
            params: systemParams,
            querystring: betweenQuery,
            response: { 200: z.any(), ...failures },
          },
        },
        async ({ params, query }, reply) => {
          const { difference, name, from, to } = await releases.between(
            params.id,
            query.from,
            query.to,
          );
          return reply
            .type(type)
            .header('cache-control', 'no-store')
            .header('content-disposition', `attachment; filename="${fileName(name, file)}"`)
            .serializer((body: unknown) => String(body))
            .send(write(difference, { name, from: from.name, to: to.name }));
        },
      );
  };
