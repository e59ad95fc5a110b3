import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { systemParams } from '../systems/schemas.ts';
import { newNote, noteEdit, noteSchema, toldNote } from './schemas.ts';
import type { Notes } from './store.ts';

/** What the one whose system it is writes under. */
const OWNER = 'the designer';

/** Notes as they are read and written by whoever the system belongs to. */
export const noteRoutes =
  (notes: Notes): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };
    const ofNote = systemParams.extend({ note: z.uuid() });
    const done = { 204: z.null(), ...failures };

    app.get(
      '/api/systems/:id/notes',
      {
        schema: {
          params: systemParams,
          response: { 200: z.object({ notes: z.array(noteSchema) }), ...failures },
        },
      },
      async ({ params, person }) => ({
        notes: (await notes.list(params.id)).map((note) => toldNote(note, person)),
      }),
    );

    app.post(
      '/api/systems/:id/notes',
      { schema: { params: systemParams, body: newNote, response: done } },
      async ({ params, body, person }, reply) => {
        await notes.add(params.id, { ...body, writer: OWNER, author: person });
        return reply.status(204).send(null);
      },
    );

    app.put(
      '/api/systems/:id/notes/:note',
      { schema: { params: ofNote, body: noteEdit, response: done } },
      async ({ params, body, person }, reply) => {
        const by = { author: person, isOwner: true };
        if ('words' in body) await notes.edit(params.id, params.note, body.words, by);
        else await notes.resolve(params.id, params.note, body.isResolved, by);
        return reply.status(204).send(null);
      },
    );

    app.delete(
      '/api/systems/:id/notes/:note',
      { schema: { params: ofNote, response: done } },
      async ({ params, person }, reply) => {
        await notes.remove(params.id, params.note, { author: person, isOwner: true });
        return reply.status(204).send(null);
      },
    );
  };
