import { createServer } from '@garnish/server/app';
import { startCluster } from './cluster.ts';
import { fuzz, type Target } from './fuzz-engine.ts';
import { routesTarget } from './fuzz-routes.ts';
import { TARGETS } from './fuzz-targets.ts';
import { end, say } from './say.ts';

/**
 * npm run fuzz [-- --runs=N --seed=N --only=NAME]: mutated inputs for every reader and every route. A run
 * is repeated by its seed; a find is printed with its input, to be kept among the seeds of its target.
 */
const option = (name: string, usual: number): number => {
  const given = process.argv.find((word) => word.startsWith(`--${name}=`));
  return given === undefined ? usual : Number(given.slice(name.length + 3));
};
/** No input takes longer. */
const MOST_MS = 1000;
const only = process.argv.find((word) => word.startsWith('--only='))?.slice(7);

async function run(): Promise<number> {
  const runs = option('runs', 100_000);
  const seed = option('seed', 20_261_129);
  const cluster = await startCluster(process.cwd(), 'test-postgres');
  const app = await createServer({
    databaseUrl: cluster.database('garnish_fuzz', { fresh: true }),
    demo: true,
  });
  const base = await app.listen({ host: '127.0.0.1', port: 0 });
  const all = [...TARGETS, (await routesTarget(base)) as unknown as Target<never>];
  const shares = all.reduce((sum, { share }) => sum + share, 0);
  let finds = 0;
  for (const target of all) {
    if (only !== undefined && target.name !== only) continue;
    const own = Math.ceil((runs * target.share) / shares);
    const { found, slowestMs, refused } = await fuzz(target, { runs: own, seed, mostMs: MOST_MS });
    finds += found.length;
    say(
      `${target.name}: ${own} inputs, ${refused} refused in words, the slowest ${slowestMs.toFixed(0)} ms, ${found.length} finds`,
    );
    for (const { why, input } of found.slice(0, 5)) console.error(`${why}\n  input: ${input}\n`);
    await target.close?.();
  }
  await app.close();
  cluster.stop();
  return finds;
}

run().then((finds) => process.exit(finds === 0 ? 0 : 1), end);
