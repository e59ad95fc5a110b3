import { newDocument } from '@garnish/core/system/new-document';
import { upgradePatch } from '@garnish/core/system/upgrade';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { ChangeRow } from '../db/models.ts';
import { family } from '../fonts/shipped.ts';
import { problemSchema } from '../problems.ts';
import type { ChangeFeed } from './listen.ts';
import { portraitOf } from './portrait.ts';
import {
  changeSchema,
  changesQuery,
  newChange,
  newSystem,
  openSystem,
  systemParams,
  systemSummary,
  unreadableSystem,
  type SystemSummary,
} from './schemas.ts';
import type { OpenSystem, Store } from './store.ts';

/** What a new system starts from: quiet faces and a color that nobody mistakes for a choice. */
const START = { heading: 'archivo', text: 'literata', brand: '#3b6ea5' } as const;

const BEAT_MS = 20_000;

const summary = ({ id, document, updatedAt }: OpenSystem): SystemSummary => ({
  id,
  name: document.name,
  description: document.description,
  updatedAt: updatedAt.toISOString(),
  ...portraitOf(document),
});

const change = (row: ChangeRow): z.infer<typeof changeSchema> => {
  const { id, sequence, label, author, gesture, kind, at } = row;
  const patch = [...upgradePatch(row.patch, row.schema)];
  const inverse = [...upgradePatch(row.inverse, row.schema)];
  return { id, sequence, patch, inverse, label, author, gesture, kind, at: at.toISOString() };
};

const open = ({ id, sequence, document }: OpenSystem): z.infer<typeof openSystem> => ({
  id,
  sequence,
  // A document is JSON: it came out of a JSON column and through its schema.
  document: document as unknown as z.infer<typeof openSystem>['document'],
});

/** Systems: the list, one by one, their changes, and the stream that tells of changes. */
export const systemRoutes =
  (store: Store, feed: ChangeFeed): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema };

    app.get('/api/systems', { schema: { response: { 200: z.array(systemSummary) } } }, async () =>
      (await store.list()).systems.map(summary),
    );

    app.get(
      '/api/systems/unreadable',
      { schema: { response: { 200: z.array(unreadableSystem) } } },
      async () => {
        const { unreadable } = await store.list();
        for (const { problem } of unreadable) app.log.error(problem);
        return unreadable.map(({ id, name }) => ({ id, name }));
      },
    );

    app.post(
      '/api/systems',
      { schema: { body: newSystem, response: { 201: systemSummary, ...failures } } },
      async ({ body }, reply) => {
        const document = newDocument({
          name: body.name,
          brand: START.brand,
          heading: family(START.heading),
          text: family(START.text),
        });
        return reply.status(201).send(summary(await store.create(document)));
      },
    );

    app.post(
      '/api/systems/:id/duplicate',
      { schema: { params: systemParams, response: { 201: systemSummary, ...failures } } },
      async ({ params }, reply) => {
        const { document } = await store.open(params.id);
        const name = `${document.name.slice(0, 75)} copy`;
        return reply.status(201).send(summary(await store.create({ ...document, name })));
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
      async ({ params }) => summary(await store.setDeleted(params.id, false)),
    );

    app.get(
      '/api/systems/:id',
      { schema: { params: systemParams, response: { 200: openSystem, ...failures } } },
      async ({ params }) => open(await store.open(params.id)),
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
      async ({ params, query }) =>
        (await store.changes(params.id, query.after, query.last)).map(change),
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
      async ({ params, body }) => change(await store.change(params.id, body)),
    );

    app.get(
      '/api/systems/:id/events',
      { schema: { params: systemParams } },
      async ({ params, raw }, reply) => {
        const { sequence } = await store.open(params.id);
        reply.hijack();
        const stream = reply.raw;
        stream.writeHead(200, {
          'content-type': 'text/event-stream',
          'cache-control': 'no-store',
          connection: 'keep-alive',
        });
        const tell = (newest: number): void => {
          stream.write(`data: ${JSON.stringify({ sequence: newest })}\n\n`);
        };
        tell(sequence);
        const stop = feed.listen(params.id, tell);
        const beat = setInterval(() => stream.write(': still here\n\n'), BEAT_MS);
        raw.on('close', () => {
          stop();
          clearInterval(beat);
        });
      },
    );
  };
