import { afterAll, describe, expect, test } from '@jest/globals';
import { createServer } from '@garnish/server/app';
import { fuzz, type Target } from './fuzz-engine.ts';
import { routesTarget } from './fuzz-routes.ts';
import { TARGETS } from './fuzz-targets.ts';

const SEED = 7;

describe('a fuzzer', () => {
  const target = (take: (input: string) => boolean): Target<string> => ({
    name: 'own',
    share: 1,
    seeds: ['one', 'two'],
    mutate: (input, random) => `${input}${random(10)}`,
    take,
    show: (input) => input,
  });

  test('finds what throws, and what changes a prototype', async () => {
    const throws = target((input) => {
      if (input.endsWith('7')) throw new TypeError('seven');
      return false;
    });
    const { found } = await fuzz(throws, { runs: 200, seed: SEED });
    expect(found.length).toBeGreaterThan(5);
    expect(found.every(({ why, input }) => why.includes('seven') && input.endsWith('7'))).toBe(
      true,
    );
    const pollutes = target((input) => {
      if (input.endsWith('3')) Object.assign(Object.prototype, { polluted: true });
      return false;
    });
    const polluted = await fuzz(pollutes, { runs: 60, seed: SEED });
    Reflect.deleteProperty(Object.prototype, 'polluted');
    expect(polluted.found[0]).toMatchObject({ why: 'a prototype was changed' });
  });

  test('times what it gives only where it is asked to, and again before it says that it was slow', async () => {
    let tries = 0;
    const waits = target(() => {
      tries += 1;
      const end = performance.now() + 3;
      while (performance.now() < end);
      return false;
    });
    expect((await fuzz(waits, { runs: 3, seed: SEED })).found).toEqual([]);
    expect(tries).toBe(3);
    const { found } = await fuzz(waits, { runs: 1, seed: SEED, mostMs: 1 });
    expect(found.map(({ why }) => why)).toEqual([expect.stringMatching(/^it took \d+ ms$/)]);
    expect(tries).toBe(8);
  });

  test('gives the same inputs for the same seed', async () => {
    const inputs = async (seed: number): Promise<string[]> => {
      const seen: string[] = [];
      await fuzz(
        target((input) => (seen.push(input), false)),
        { runs: 30, seed },
      );
      return seen;
    };
    expect(await inputs(1)).toEqual(await inputs(1));
    expect(await inputs(1)).not.toEqual(await inputs(2));
  });
});

describe('a short run over every reader', () => {
  afterAll(async () => {
    for (const target of TARGETS) await target.close?.();
  });
  test.each(TARGETS.map((target) => [target.name, target] as const))(
    '%s',
    async (_, target) => {
      const { found } = await fuzz(target, { runs: 20 + target.share * 8, seed: SEED });
      expect(found).toEqual([]);
    },
    60_000,
  );
});

test('and over every route of a server', async () => {
  const databaseUrl = process.env['GARNISH_TEST_DATABASE'];
  if (databaseUrl === undefined)
    throw new Error('run npm test, which starts a PostgreSQL for the tests');
  const app = await createServer({ databaseUrl, demo: true });
  try {
    const target = await routesTarget(await app.listen({ host: '127.0.0.1', port: 0 }));
    expect(target.seeds.length).toBeGreaterThan(25);
    const { found } = await fuzz(target, { runs: 250, seed: SEED });
    expect(found).toEqual([]);
  } finally {
    await app.close();
  }
}, 60_000);
