import { createServer } from '@garnish/server/app';
import type { FastifyInstance } from 'fastify';
import * as z from 'zod';
import { startCluster } from './cluster.ts';
import { Advice, databaseUrlOf } from './say.ts';

/** A command that was asked for in a way that it does not know. */
export class Misuse extends Advice {}

const summaries = z.object({
  systems: z.array(z.object({ id: z.string(), name: z.string() })),
  total: z.number(),
});
const PAGE = 50;

type Server = Pick<FastifyInstance, 'inject'>;

/** Does something with the server, which listens to nobody; started for it where it does not run. */
export async function withServer(
  work: (server: Server) => Promise<void>,
  given = databaseUrlOf(process.env['DATABASE_URL']),
): Promise<void> {
  const cluster = given === undefined ? await startCluster(process.cwd(), 'postgres') : undefined;
  try {
    const server = await createServer({ databaseUrl: given ?? cluster?.database('garnish') ?? '' });
    try {
      await work(server);
    } finally {
      await server.close();
    }
  } finally {
    cluster?.stop();
  }
}

/** The system of a name, or of an id: the only one that is called so, capital letters and small ones alike. */
export async function systemNamed(server: Server, name: string): Promise<string> {
  const all: { readonly id: string; readonly name: string }[] = [];
  for (let total = 1; all.length < total;) {
    const answer = await server.inject(
      `/api/systems?order=name&limit=${PAGE}&offset=${all.length}`,
    );
    const page = summaries.parse(answer.json());
    if (page.systems.length === 0) break;
    all.push(...page.systems);
    total = page.total;
  }
  const plain = (text: string): string => text.trim().toLowerCase();
  const found = all.filter((one) => one.id === name || plain(one.name) === plain(name));
  const [only] = found;
  if (only && found.length === 1) return only.id;
  if (found.length > 1)
    throw new Advice(
      `${found.length} systems are called “${name}”. Name one by its id:\n${found.map(({ id }) => `  ${id}`).join('\n')}`,
    );
  throw new Advice(
    all.length === 0
      ? 'there is no system yet.'
      : `no system is called “${name}”. There ${all.length === 1 ? 'is' : 'are'}:\n${all.map((one) => `  ${one.name}`).join('\n')}`,
  );
}
