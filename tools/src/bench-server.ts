import { Worker } from 'node:worker_threads';
import { spawn } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { createServer } from '@garnish/server/app';
import Fastify, { type FastifyInstance } from 'fastify';
import pg from 'pg';
import { startCluster } from './cluster.ts';
import { freePort } from './ports.ts';
import { end, say } from './say.ts';

/**
 * npm run bench:server: what Garnish costs beside a bare Fastify with pg that moves the same bytes through
 * the same database, measured in turns in one run. Ratios count; times depend on the machine.
 */
const ROUNDS = 120;
const SYSTEMS = 3000;
const CHANGES = 25_000;
const STREAMS = 500;

const median = (numbers: readonly number[]): number =>
  numbers.toSorted((one, other) => one - other)[Math.floor(numbers.length / 2)] ?? NaN;

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** The medians of several things done in turns, in ms. */
async function inTurns(
  works: readonly (() => Promise<unknown>)[],
  rounds = ROUNDS,
): Promise<number[]> {
  const times = works.map((): number[] => []);
  for (let round = 0; round < rounds; round += 1)
    for (const [index, work] of works.entries()) {
      const ms = await timed(work);
      if (round >= rounds / 6) times[index]?.push(ms);
    }
  return times.map(median);
}

const tell = (what: string, [own = NaN, bare = NaN]: readonly number[], limit: number): void =>
  say(
    `${what}: ${own.toFixed(2)} ms, bare ${bare.toFixed(2)} ms: ${(own / bare).toFixed(2)} x (limit ${limit} x)${own / bare > limit ? ', NOT REACHED' : ''}`,
  );

async function got(
  url: string,
  init?: Omit<RequestInit, 'headers'> & { readonly headers?: Readonly<Record<string, string>> },
): Promise<Buffer> {
  const answer = await fetch(url, {
    ...init,
    headers: { 'accept-encoding': 'identity', ...init?.headers },
  });
  const bytes = Buffer.from(await answer.arrayBuffer());
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${bytes.toString().slice(0, 300)}`);
  return bytes;
}

const json = (body: unknown) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

const window = randomUUID();
const change = (base: number, value: number, more: object = {}) => ({
  id: randomUUID(),
  base,
  patch: [{ op: 'replace', path: '/space/unit', value }],
  label: 'unit',
  window,
  gesture: randomUUID(),
  ...more,
});

/** The bare server: it selects, inserts and updates the same bytes, and does nothing else. */
function bareServer(pool: pg.Pool): FastifyInstance {
  const app = Fastify();
  const textOf = 'SELECT id, sequence, document::text AS text FROM systems WHERE id = $1';
  app.get<{ Params: { id: string } }>('/open/:id', async ({ params }, reply) => {
    const { rows } = await pool.query<{ text: string }>(textOf, [params.id]);
    return reply.type('application/json').send(rows[0]?.text);
  });
  app.post<{ Params: { id: string }; Body: { id: string; patch: unknown; label: string } }>(
    '/post/:id',
    async ({ params, body }) => {
      const client = await pool.connect();
      try {
        await client.query('BEGIN');
        const { rows } = await client.query<{ sequence: number; text: string }>(
          `${textOf} FOR UPDATE`,
          [params.id],
        );
        const sequence = (rows[0]?.sequence ?? 0) + 1;
        const patch = JSON.stringify(body.patch);
        await client.query(
          `INSERT INTO changes (id, system_id, sequence, patch, inverse, label, author, window_id, gesture, kind, schema)
           VALUES ($1, $2, $3, $4, $4, $5, $1, $1, $1, 'change', 5)`,
          [body.id, params.id, sequence, patch, body.label],
        );
        await client.query('UPDATE systems SET document = $2::jsonb, sequence = $3 WHERE id = $1', [
          params.id,
          rows[0]?.text,
          sequence,
        ]);
        await client.query('COMMIT');
        return { sequence, patch: body.patch };
      } finally {
        client.release();
      }
    },
  );
  app.get<{ Querystring: { limit: string } }>('/list', async ({ query }, reply) => {
    const { rows } = await pool.query<{ text: string }>(
      `SELECT coalesce(json_agg(one), '[]')::text AS text FROM (
         SELECT id, name, description, updated_at, summary FROM systems ORDER BY updated_at DESC, id LIMIT $1) one`,
      [query.limit],
    );
    return reply.type('application/json').send(rows[0]?.text);
  });
  return app;
}

/** Changes straight into the table: a history that took years. */
const longHistory = (pool: pg.Pool, id: string) =>
  pool.query(
    `WITH made AS (
       INSERT INTO changes (id, system_id, sequence, patch, inverse, label, author, window_id, gesture, kind, schema)
       SELECT gen_random_uuid(), $1::uuid, n, jsonb_build_array(jsonb_build_object('op', 'replace', 'path', '/space/unit', 'value', 4 + n % 8)),
         jsonb_build_array(jsonb_build_object('op', 'replace', 'path', '/space/unit', 'value', 4 + (n - 1) % 8)),
         'unit', gen_random_uuid(), gen_random_uuid(), gen_random_uuid(), 'change', 5
       FROM generate_series(1, $2::int) n RETURNING 1)
     UPDATE systems SET sequence = $2::int WHERE id = $1::uuid AND EXISTS (SELECT FROM made)`,
    [id, CHANGES],
  );

/** A server in a process of its own, as in an installation. */
async function startProcess(databaseUrl: string): Promise<{ base: string; stop: () => void }> {
  const port = await freePort(4900);
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port) },
    stdio: 'ignore',
  });
  const base = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries += 1) {
    const isUp = await fetch(`${base}/api/person`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return { base, stop: () => child.kill('SIGKILL') };
}

const CLIENTS = 8;
const FOR_MS = 4000;

/** Changes a second, posted by eight clients to systems of their own, spread over some processes. */
async function throughput(bases: readonly string[], ids: readonly string[]): Promise<number> {
  const end = performance.now() + FOR_MS;
  let posted = 0;
  await Promise.all(
    ids.slice(0, CLIENTS).map(async (id, client) => {
      const base = bases[client % bases.length] ?? '';
      const { sequence } = JSON.parse((await got(`${base}/api/systems/${id}`)).toString()) as {
        sequence: number;
      };
      for (let at = sequence; performance.now() < end; at += 1) {
        await got(`${base}/api/systems/${id}/changes`, json(change(at, 4 + (at % 8))));
        posted += 1;
      }
    }),
  );
  return (posted * 1000) / FOR_MS;
}

async function measureProcesses(databaseUrl: string, base: string): Promise<void> {
  const ids: string[] = [];
  for (let client = 0; client < CLIENTS; client += 1) {
    const made = await got(`${base}/api/systems`, json({ name: `Load ${client}` }));
    ids.push((JSON.parse(made.toString()) as { id: string }).id);
  }
  const one = await startProcess(databaseUrl);
  const other = await startProcess(databaseUrl);
  try {
    const single = await throughput([one.base], ids);
    const both = await throughput([one.base, other.base], ids);
    say(
      `two processes on one database: ${both.toFixed(0)} changes a second, one ${single.toFixed(0)}: ${(both / single).toFixed(2)} x (1.6 x where cores allow; here are ${availableParallelism()}, shared with the database and the clients)`,
    );
  } finally {
    one.stop();
    other.stop();
  }
}

/** How long each post takes while nobody reads, and while guests follow every change of that system, in ms. */
/** So many links somebody guesses. */
const GUESSES = 10_000;

async function measureGuests(databaseUrl: string, base: string): Promise<void> {
  const { id } = JSON.parse(
    (await got(`${base}/api/systems`, json({ name: 'Read by many' }))).toString(),
  ) as { id: string };
  const { address } = JSON.parse(
    (await got(`${base}/api/systems/${id}/links`, json({}))).toString(),
  ) as { address: string };
  const { base: own, stop } = await startProcess(databaseUrl);
  try {
    let at = 0;
    const times = async (rounds: number): Promise<number[]> => {
      const found: number[] = [];
      for (let round = 0; round < rounds; round += 1) {
        found.push(
          await timed(() =>
            got(`${own}/api/systems/${id}/changes`, json(change(at, 4 + (at % 8)))),
          ),
        );
        at += 1;
        await new Promise((resolve) => setTimeout(resolve, 1000));
      }
      return found;
    };
    const alone = await times(10);
    // In a thread of their own: what they do with what they read is none of the server's work, nor of who posts.
    const readers = new Worker(new URL('bench/guest-readers.mjs', import.meta.url), {
      workerData: { url: `${own}/guest/${address}`, guests: STREAMS },
    });
    const counted = (): Promise<number> =>
      new Promise((resolve) => {
        readers.once('message', resolve);
        readers.postMessage('count');
      });
    await new Promise((resolve) => setTimeout(resolve, 3000));
    await counted();
    const read = await times(10);
    const reads = await counted();
    say(
      `posting while ${STREAMS} guests follow every change: ${median(read).toFixed(1)} ms, at most ${Math.max(...read).toFixed(1)} ms; alone ${median(alone).toFixed(1)} ms, at most ${Math.max(...alone).toFixed(1)} ms; ${reads} of ${STREAMS * 10} reads were answered meanwhile`,
    );
    await readers.terminate();
    // Somebody guesses; a guest reads meanwhile.
    const found = new Map<number, number>();
    const reading: number[] = [];
    for (let turn = 0; turn < GUESSES; turn += 1) {
      const guess = randomBytes(16).toString('base64url');
      const { status } = await fetch(`${own}/guest/${guess}`);
      found.set(status, (found.get(status) ?? 0) + 1);
      if (turn % 100 === 0) reading.push(await timed(() => got(`${own}/guest/${address}`)));
    }
    say(
      `${GUESSES} guessed links: ${[...found].map(([status, count]) => `${count} answered with ${status}`).join(', ')}; a guest reads in ${median(reading).toFixed(1)} ms meanwhile`,
    );
  } finally {
    stop();
  }
}

async function run(): Promise<void> {
  const cluster = await startCluster(process.cwd(), 'test-postgres');
  const databaseUrl = cluster.database('garnish_bench', { fresh: true });
  const own = await createServer({ databaseUrl, demo: true });
  const base = await own.listen({ host: '127.0.0.1', port: 0 });
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 10 });
  const bare = bareServer(pool);
  const bareBase = await bare.listen({ host: '127.0.0.1', port: 0 });
  const { systems } = JSON.parse((await got(`${base}/api/systems?order=name`)).toString()) as {
    systems: { id: string }[];
  };
  const [first = '', second = '', third = ''] = systems.map(({ id }) => id);

  if (process.argv.includes('guests')) {
    await measureGuests(databaseUrl, base);
    await own.close();
    await bare.close();
    await pool.end();
    cluster.stop();
    return;
  }
  tell(
    'opening a system',
    await inTurns([
      () => got(`${base}/api/systems/${first}`),
      () => got(`${bareBase}/open/${first}`),
    ]),
    2,
  );

  let sequence = 0;
  let value = 0;
  const post =
    (id: string, more: object = {}) =>
    async (): Promise<void> => {
      const answer = await got(
        `${base}/api/systems/${id}/changes`,
        json(change(sequence, 4 + ((value += 1) % 8), more)),
      );
      sequence = (JSON.parse(answer.toString()) as { sequence: number }).sequence;
    };
  const barePost = () => got(`${bareBase}/post/${second}`, json(change(0, 5)));
  const posts = await inTurns([post(first), barePost]);
  tell('posting a change', posts, 2);

  await longHistory(pool, third);
  // As the database does by itself within a minute of so many rows.
  await pool.query('ANALYZE changes');
  const fresh = sequence;
  const long = { sequence: CHANGES };
  const postLong = (more: object) => async (): Promise<void> => {
    const answer = await got(
      `${base}/api/systems/${third}/changes`,
      json(change(long.sequence, 4 + ((value += 1) % 8), more)),
    );
    long.sequence = (JSON.parse(answer.toString()) as { sequence: number }).sequence;
  };
  sequence = fresh;
  tell(
    `posting on a history of ${CHANGES} changes, beside a short one`,
    await inTurns([postLong({}), post(first)]),
    1.3,
  );
  tell(
    'undoing there, beside a change there',
    await inTurns([postLong({ kind: 'undo' }), postLong({})]),
    1.3,
  );
  tell(
    'opening with that history, beside a short one',
    await inTurns([
      () =>
        Promise.all([
          got(`${base}/api/systems/${third}`),
          got(`${base}/api/systems/${third}/changes?last=200`),
        ]),
      () =>
        Promise.all([
          got(`${base}/api/systems/${first}`),
          got(`${base}/api/systems/${first}/changes?last=200`),
        ]),
    ]),
    1.5,
  );

  const stop = new AbortController();
  const memory = process.memoryUsage().rss;
  await Promise.all(
    Array.from({ length: STREAMS }, () =>
      fetch(`${base}/api/systems/${second}/events`, { signal: stop.signal }).then(({ body }) =>
        body?.getReader().read(),
      ),
    ),
  );
  const [listened = NaN] = await inTurns([post(first)], 60);
  tell(
    `posting while ${STREAMS} streams of another system are open, beside none`,
    [listened, posts[0] ?? NaN],
    1.3,
  );
  say(
    `memory with them: ${((process.memoryUsage().rss - memory) / 1e6).toFixed(0)} MB more, both ends of ${STREAMS} connections`,
  );
  stop.abort();

  await pool.query(
    `INSERT INTO systems (id, document, created_at, updated_at)
     SELECT gen_random_uuid(), document, now(), now() - n * interval '1 minute' FROM systems, generate_series(1, $1::int) n WHERE id = $2`,
    [SYSTEMS, first],
  );
  await got(`${base}/api/systems?limit=50`);
  const [one] = (
    await pool.query('SELECT summary, summary_of FROM systems WHERE summary IS NOT NULL LIMIT 1')
  ).rows as object[];
  await pool.query(
    `UPDATE systems SET summary = $1, summary_of = sequence || ':' || (document->>'schema')`,
    [JSON.stringify((one as { summary: unknown }).summary)],
  );
  await pool.query('ANALYZE systems');
  for (const limit of [50, 2000])
    tell(
      `the list of ${SYSTEMS} systems, ${limit} of them`,
      await inTurns(
        [
          () => got(`${base}/api/systems?limit=${limit}`),
          () => got(`${bareBase}/list?limit=${limit}`),
        ],
        40,
      ),
      3,
    );
  const [sought = NaN] = await inTurns([() => got(`${base}/api/systems?search=ferr&limit=50`)], 40);
  say(`searching ${SYSTEMS} systems: ${sought.toFixed(1)} ms`);

  await measureProcesses(databaseUrl, base);
  await measureGuests(databaseUrl, base);

  await own.close();
  await bare.close();
  await pool.end();
  cluster.stop();
}

run().then(() => process.exit(0), end);
