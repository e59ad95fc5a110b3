import { SCHEMA } from '@garnish/core/system/document';
import { keptPair, readKept } from '@garnish/core/system/keeper';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { KeeperRow } from '../db/models.ts';
import { problemSchema, Problem } from '../problems.ts';

const note = z.string().trim().max(500);

const origin = z.string().min(1).max(80);
const hexColor = z.string().regex(/^#[0-9a-f]{6}$/);

const newKeeper = z.strictObject({ pair: keptPair, note, origin });

// Told to the description of the API in its own words; `readKept` reads what is stored.
const newPalette = z.strictObject({
  palette: z.strictObject({
    name: z.string().min(1).max(80),
    colors: z
      .array(z.strictObject({ name: z.string().max(80), hex: hexColor }))
      .min(1)
      .max(256),
  }),
  note,
  origin,
});

const palette = z.object({
  id: z.uuid(),
  palette: z.any(),
  note: z.string(),
  origin: z.string(),
  createdAt: z.iso.datetime(),
});

const keeper = z.object({
  id: z.uuid(),
  pair: z.any(),
  note: z.string(),
  origin: z.string(),
  createdAt: z.iso.datetime(),
});

const params = z.object({ id: z.uuid() });

const shown = (row: KeeperRow): z.infer<typeof keeper> => ({
  id: row.id,
  pair: readKept.pair(row.content, row.schema),
  note: row.note,
  origin: row.origin,
  createdAt: row.createdAt.toISOString(),
});

const shownPalette = (row: KeeperRow): z.infer<typeof palette> => ({
  id: row.id,
  palette: readKept.palette(row.content, row.schema),
  note: row.note,
  origin: row.origin,
  createdAt: row.createdAt.toISOString(),
});

const unknown = (): Problem => new Problem('unknown-keeper', 'It may have been removed already.');

/** Pairs and palettes set aside with a note, for every system. */
export const keeperRoutes =
  (Keepers: typeof KeeperRow): FastifyPluginAsyncZod =>
  // eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
  async (app) => {
    const failures = { '4xx': problemSchema };

    app.get('/api/keepers', { schema: { response: { 200: z.array(keeper) } } }, async () =>
      (await Keepers.findAll({ where: { kind: 'pair' }, order: [['createdAt', 'DESC']] })).map(
        shown,
      ),
    );

    app.get('/api/palettes', { schema: { response: { 200: z.array(palette) } } }, async () =>
      (await Keepers.findAll({ where: { kind: 'palette' }, order: [['createdAt', 'DESC']] })).map(
        shownPalette,
      ),
    );

    app.post(
      '/api/palettes',
      { schema: { body: newPalette, response: { 201: palette, ...failures } } },
      async ({ body }, reply) => {
        const row = await Keepers.create({
          kind: 'palette',
          content: body.palette,
          schema: SCHEMA,
          note: body.note,
          origin: body.origin,
        });
        return reply.status(201).send(shownPalette(row));
      },
    );

    app.post(
      '/api/keepers',
      { schema: { body: newKeeper, response: { 201: keeper, ...failures } } },
      async ({ body }, reply) => {
        const { note: own, origin, pair } = body;
        const row = await Keepers.create({
          kind: 'pair',
          content: pair,
          schema: SCHEMA,
          note: own,
          origin,
        });
        return reply.status(201).send(shown(row));
      },
    );

    app.post(
      '/api/keepers/:id/note',
      {
        schema: {
          params,
          body: z.strictObject({ note }),
          response: { 200: keeper, ...failures },
        },
      },
      async ({ params: { id }, body }) => {
        const row = await Keepers.findByPk(id);
        if (!row) throw unknown();
        return shown(await row.update({ note: body.note }));
      },
    );

    app.delete(
      '/api/keepers/:id',
      { schema: { params, response: { 204: z.null(), ...failures } } },
      async ({ params: { id } }, reply) => {
        if ((await Keepers.destroy({ where: { id } })) === 0) throw unknown();
        return reply.status(204).send(null);
      },
    );
  };
