import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { systemParams } from '../systems/schemas.ts';
import { MESSAGE_KINDS, MESSAGE_STATES, type Messages } from './store.ts';

const LONGEST_URL = 500;

const receiverSchema = z.object({
  id: z.string(),
  url: z.string(),
  secret: z.string(),
  at: z.string(),
});

const messageSchema = z.object({
  id: z.string(),
  url: z.string(),
  kind: z.enum(MESSAGE_KINDS),
  state: z.enum(MESSAGE_STATES),
  tries: z.number(),
  answer: z.string().optional(),
  at: z.string(),
  sentAt: z.string().optional(),
  nextAt: z.string().optional(),
});

/** An address that messages can be posted to, without words for who asks. */
const address = z
  .url({ protocol: /^https?$/, error: 'is no address that begins with https:// or http://' })
  .max(LONGEST_URL)
  .refine((text) => {
    // What is no address at all is told so already.
    if (!URL.canParse(text)) return true;
    const { username, password } = new URL(text);
    return username === '' && password === '';
  }, 'has a name or a password in it: messages are signed instead');

/** Where messages of a system go, and what became of each. */
export const messageRoutes =
  (messages: Messages): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };
    const gone = { 204: z.null(), ...failures };

    app.get(
      '/api/systems/:id/receivers',
      {
        schema: {
          params: systemParams,
          response: { 200: z.object({ receivers: z.array(receiverSchema) }), ...failures },
        },
      },
      async ({ params }) => ({
        receivers: (await messages.receivers(params.id)).map(({ at, ...one }) => ({
          ...one,
          at: at.toISOString(),
        })),
      }),
    );

    app.post(
      '/api/systems/:id/receivers',
      {
        schema: {
          params: systemParams,
          body: z.strictObject({ url: address }),
          response: { 201: receiverSchema, ...failures },
        },
      },
      async ({ params, body }, reply) => {
        const { at, ...made } = await messages.add(params.id, body.url);
        return reply.status(201).send({ ...made, at: at.toISOString() });
      },
    );

    app.delete(
      '/api/systems/:id/receivers/:receiver',
      { schema: { params: systemParams.extend({ receiver: z.uuid() }), response: gone } },
      async ({ params }, reply) => {
        await messages.remove(params.id, params.receiver);
        return reply.status(204).send(null);
      },
    );

    app.get(
      '/api/systems/:id/messages',
      {
        schema: {
          params: systemParams,
          response: { 200: z.object({ messages: z.array(messageSchema) }), ...failures },
        },
      },
      async ({ params }) => ({
        messages: (await messages.list(params.id)).map(
          ({ at, sentAt, nextAt, answer, ...one }) => ({
            ...one,
            at: at.toISOString(),
            ...(answer !== null && { answer }),
            ...(sentAt && { sentAt: sentAt.toISOString() }),
            ...(one.state === 'waiting' && { nextAt: nextAt.toISOString() }),
          }),
        ),
      }),
    );

    app.post(
      '/api/systems/:id/messages/:message/again',
      { schema: { params: systemParams.extend({ message: z.uuid() }), response: gone } },
      async ({ params }, reply) => {
        await messages.again(params.id, params.message);
        return reply.status(204).send(null);
      },
    );
  };
