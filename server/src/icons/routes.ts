import { ICON_KINDS } from '@garnish/core/icons/kinds';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { Problem, problemSchema } from '../problems.ts';
import { findIcons, summarizeStyles, warmSearch } from './search.ts';
import { iconSets } from './sets.ts';

/** The most drawings that one answer has. */
const MOST = 200;

const name = z.string().max(80);

/** What the sets change with is the application itself. */
const FRESH = 'private, max-age=3600';

/** The shipped icon sets: what they are like, and single drawings by words, kind, set or likeness. */
// eslint-disable-next-line @typescript-eslint/require-await -- a plugin is asynchronous by type
export const iconRoutes: FastifyPluginAsyncZod = async (app) => {
  app.get('/api/icons/sets', { schema: { response: { 200: z.any() } } }, (_, reply) => {
    // Whoever asks for the sets searches next: that is made ready once this is answered.
    reply.raw.once('finish', () => setImmediate(warmSearch));
    return reply.header('cache-control', FRESH).send(summarizeStyles());
  });

  app.get(
    '/api/icons',
    {
      schema: {
        querystring: z.object({
          words: z.string().max(80).default(''),
          kind: z.enum(ICON_KINDS).optional(),
          set: name.optional(),
          style: name.optional(),
          likeSet: name.optional(),
          likeName: name.optional(),
          from: z.coerce.number().int().min(0).max(100_000).default(0),
          most: z.coerce.number().int().min(1).max(MOST).default(100),
        }),
        response: { 200: z.any(), '4xx': problemSchema },
      },
    },
    ({ query }, reply) => {
      const { from, most, likeSet, likeName, ...asked } = query;
      const like =
        likeSet === undefined || likeName === undefined
          ? undefined
          : { set: likeSet, name: likeName };
      const found = findIcons({ ...asked, like });
      const sets = iconSets();
      return reply.header('cache-control', FRESH).send({
        total: found.length,
        icons: found.slice(from, from + most).flatMap((icon) => {
          const drawing = sets.get(icon.set)?.drawing(icon.name);
          const { set, name: own, style, plain, measures } = icon;
          return drawing ? [{ set, name: own, style, plain, measures, drawing }] : [];
        }),
      });
    },
  );

  app.get(
    '/api/icons/:set/:name',
    {
      schema: {
        params: z.object({ set: name, name }),
        response: { 200: z.any(), '4xx': problemSchema },
      },
    },
    ({ params }, reply) => {
      const set = iconSets().get(params.set);
      const drawing = set?.drawing(params.name);
      if (!set || !drawing)
        throw new Problem('unknown-icon', 'There is no icon of this name in this set.');
      return reply
        .header('cache-control', FRESH)
        .send({ set: set.id, name: params.name, drawing, measures: set.measures.get(params.name) });
    },
  );
};
