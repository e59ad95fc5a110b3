import { LONGEST_PAGE, wearingSchema } from '@garnish/core/worn/wearing';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { systemParams } from '../systems/schemas.ts';
import { as, keptList, keptPage } from './schemas.ts';
import type { KeptPages } from './store.ts';

const newPage = z.strictObject({ id: z.uuid(), page: keptPage });
const name = z.string().trim().min(1).max(120);
const edit = z.union([
  z.strictObject({ name }),
  z.strictObject({
    kind: z.string().regex(/^a\d{1,5}$/),
    wearing: as(wearingSchema, 'is nothing to wear'),
  }),
]);

/** A page is kept with its sheets, each sign of which may be written with six. */
const MOST_SENT = 3 * LONGEST_PAGE;

/** Pages read from outside that a system is proved on, for whoever the system belongs to. */
export const keptPageRoutes =
  (pages: KeptPages): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };
    const ofPage = systemParams.extend({ page: z.uuid() });
    const done = { 204: z.null(), ...failures };
    const path = '/api/systems/:id/kept-pages';

    app.get(
      path,
      {
        schema: {
          params: systemParams,
          response: {
            200: keptList,
            ...failures,
          },
        },
      },
      async ({ params }) => ({ pages: [...(await pages.list(params.id))] }),
    );

    app.get(
      `${path}/:page`,
      {
        schema: {
          params: ofPage,
          response: { 200: keptPage, ...failures },
        },
      },
      ({ params }) => pages.one(params.id, params.page),
    );

    app.post(
      path,
      {
        bodyLimit: MOST_SENT,
        schema: { params: systemParams, body: newPage, response: done },
      },
      async ({ params, body }, reply) => {
        await pages.add(params.id, body.id, body.page);
        return reply.status(204).send(null);
      },
    );

    app.put(
      `${path}/:page`,
      { schema: { params: ofPage, body: edit, response: done } },
      async ({ params, body }, reply) => {
        if ('name' in body) await pages.rename(params.id, params.page, body.name);
        else await pages.wear(params.id, params.page, { id: body.kind, wearing: body.wearing });
        return reply.status(204).send(null);
      },
    );

    app.delete(
      `${path}/:page`,
      { schema: { params: ofPage, response: done } },
      async ({ params }, reply) => {
        await pages.remove(params.id, params.page);
        return reply.status(204).send(null);
      },
    );
  };
