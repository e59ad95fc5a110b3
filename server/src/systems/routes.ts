import { newDocument, USUAL_BRAND } from '@garnish/core/system/new-document';
import { patched } from '@garnish/core/system/patch';
import { upgradePatch } from '@garnish/core/system/upgrade';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { family } from '../fonts/shipped.ts';
import { Problem, problemSchema } from '../problems.ts';
import type { ChangeFeed } from './listen.ts';
import {
  changeSchema,
  changesQuery,
  newChange,
  listQuery,
  measuredBody,
  verifiedBody,
  newSystem,
  openSystem,
  systemParams,
  systemPage,
  systemSummary,
} from './schemas.ts';
import type { Store, StoredChange } from './store.ts';
import { streamEvents } from './stream.ts';

/** What a new system starts from: quiet faces and a color that nobody mistakes for a choice. */
const START = { heading: 'archivo', text: 'literata' } as const;

const SUMMARY_AFTER_MS = 500;

const change = (row: StoredChange): z.infer<typeof changeSchema> => {
  const { id, sequence, label, author, windowId: window, gesture, kind, at } = row;
  const patch = [...upgradePatch(row.patch, row.schema)];
  const inverse = [...upgradePatch(row.inverse, row.schema)];
  return {
    ...{ id, sequence, patch, inverse, label, author, window, gesture, kind },
    at: at.toISOString(),
  };
};

/** Systems: the list, one by one, their changes, and the stream that tells of changes. */
export const systemRoutes =
  (store: Store, feed: ChangeFeed): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };

    const waiting = new Map<string, NodeJS.Timeout>();
    /** The list is made of summaries: one is made when a system has been left alone for a moment. */
    const summarizeSoon = (id: string): void => {
      clearTimeout(waiting.get(id));
      waiting.set(
        id,
        setTimeout(() => {
          waiting.delete(id);
          // What fails now is made when the list is asked for.
          store.summarize(id).catch((error: unknown) => app.log.warn(error));
        }, SUMMARY_AFTER_MS),
      );
    };
    app.addHook('onClose', (_, done) => {
      waiting.forEach((timer) => clearTimeout(timer));
      done();
    });

    app.get(
      '/api/systems',
      { schema: { querystring: listQuery, response: { 200: systemPage, ...failures } } },
      ({ query }) => store.list(query),
    );

    app.post(
      '/api/systems',
      { schema: { body: newSystem, response: { 201: systemSummary, ...failures } } },
      async ({ body }, reply) => {
        const document = newDocument({
          name: body.name,
          brand: body.colors?.[0] ?? USUAL_BRAND,
          ...(body.kind && { kind: body.kind }),
          ...(body.colors && { colors: body.colors.slice(1) }),
          ...(body.logo !== undefined && { logo: body.logo }),
          heading: family(START.heading),
          text: family(START.text),
        });
        const decided = body.patch && patched(document, body.patch);
        if (decided?.ok === false)
          throw new Problem('invalid-change', 'Nothing was made.', {
            problems: [...decided.problems],
          });
        return reply
          .status(201)
          .send(await store.summary(await store.create(decided?.document ?? document)));
      },
    );

    app.post(
      '/api/systems/:id/duplicate',
      { schema: { params: systemParams, response: { 201: systemSummary, ...failures } } },
      async ({ params }, reply) => {
        const { document } = await store.open(params.id);
        const name = `${document.name.slice(0, 75)} copy`;
        return reply
          .status(201)
          .send(await store.summary(await store.create({ ...document, name })));
      },
    );

    app.get(
      '/api/systems/:id/stored',
      { schema: { params: systemParams, response: { 200: z.any(), ...failures } } },
      async ({ params }, reply) => {
        const text = await store.storedText(params.id);
        return reply
          .type('application/json; charset=utf-8')
          .header('content-disposition', `attachment; filename="system-${params.id}.json"`)
          .serializer((body: unknown) => String(body))
          .send(text);
      },
    );

    app.delete(
      '/api/systems/:id/for-good',
      { schema: { params: systemParams, response: { 204: z.null(), ...failures } } },
      async ({ params }, reply) => {
        await store.deleteForGood(params.id);
        return reply.status(204).send(null);
      },
    );

    app.delete(
      '/api/systems/:id',
      { schema: { params: systemParams, response: { 204: z.null(), ...failures } } },
      async ({ params }, reply) => {
        await store.setDeleted(params.id, true);
        return reply.status(204).send(null);
      },
    );

    app.post(
      '/api/systems/:id/restore',
      { schema: { params: systemParams, response: { 200: systemSummary, ...failures } } },
      async ({ params }) => {
        await store.setDeleted(params.id, false);
        return store.summary(params.id);
      },
    );

    app.get(
      '/api/systems/:id',
      { schema: { params: systemParams, response: { 200: openSystem, ...failures } } },
      async ({ params }, reply) =>
        // Written by hand: the document goes through as it is stored.
        reply
          .type('application/json; charset=utf-8')
          .serializer((text: unknown) => String(text))
          .send((await store.openText(params.id)) as never),
    );

    app.get(
      '/api/systems/:id/changes',
      {
        schema: {
          params: systemParams,
          querystring: changesQuery,
          response: { 200: z.array(changeSchema), ...failures },
        },
      },
      async ({ params, query }) => (await store.changes(params.id, query)).map(change),
    );

    app.post(
      '/api/systems/:id/changes',
      {
        schema: {
          params: systemParams,
          body: newChange,
          response: { 200: changeSchema, ...failures },
        },
      },
      async ({ params, body, person }, reply) => {
        const taken = await store.change(params.id, body, person);
        reply.raw.once('finish', () => summarizeSoon(params.id));
        return change(taken);
      },
    );

    app.put(
      '/api/systems/:id/measured',
      {
        schema: {
          params: systemParams,
          body: measuredBody,
          response: { 204: z.null(), ...failures },
        },
      },
      async ({ params, body }, reply) => {
        await store.keepMeasured(params.id, body);
        reply.raw.once('finish', () => summarizeSoon(params.id));
        return reply.status(204).send(null);
      },
    );

    app.put(
      '/api/systems/:id/verified',
      {
        schema: {
          params: systemParams,
          body: verifiedBody,
          response: { 204: z.null(), ...failures },
        },
      },
      async ({ params, body }, reply) => {
        await store.keepVerified(params.id, body);
        return reply.status(204).send(null);
      },
    );

    app.get(
      '/api/systems/:id/verified',
      {
        schema: { params: systemParams, response: { 200: z.nullable(verifiedBody), ...failures } },
      },
      async ({ params }) => (await store.verified(params.id)) ?? null,
    );

    app.get(
      '/api/systems/:id/events',
      { schema: { params: systemParams } },
      async (request, reply) => {
        const { id } = request.params;
        const sequence = await store.sequence(id);
        streamEvents(request, reply, ({ tell }) => {
          const told = (newest: number): void => tell({ sequence: newest });
          told(sequence);
          return feed.listen(id, told);
        });
      },
    );
  };
