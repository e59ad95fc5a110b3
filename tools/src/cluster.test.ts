import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryTypes, Sequelize } from 'sequelize';
import { startCluster, type Cluster } from './cluster.ts';
import { otherVersionWords } from './packages.ts';
import { adviceOf, Advice, databaseUrlOf, portOf } from './say.ts';

let root: string;
let started: Cluster[] = [];

beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'garnish-start-'));
  chmodSync(root, 0o755);
});
afterEach(() => {
  for (const cluster of started) cluster.stop();
  started = [];
  rmSync(root, { recursive: true, force: true });
});

const start = async (): Promise<Cluster> => {
  const cluster = await startCluster(root, 'postgres');
  started.push(cluster);
  return cluster;
};

async function asked<Row extends object>(cluster: Cluster, sql: string): Promise<Row[]> {
  const database = new Sequelize(cluster.database('garnish'), { logging: false });
  try {
    return await database.query<Row>(sql, { type: QueryTypes.SELECT });
  } finally {
    await database.close();
  }
}

/** A start of its own process, in a group of its own, as a terminal makes one. */
const begin = () =>
  spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      '-e',
      `import('./tools/src/cluster.ts').then(({ startCluster }) => startCluster(${JSON.stringify(root)}, 'postgres')).then(() => process.exit(0), (error) => { console.error(error.message); process.exit(1); })`,
    ],
    {
      cwd: path.resolve(import.meta.dirname, '../..'),
      detached: true,
      stdio: 'ignore',
      env: { ...process.env, NODE_OPTIONS: '' },
    },
  );

const ended = (child: ReturnType<typeof begin>): Promise<number | null> =>
  new Promise((resolve) => child.once('exit', (code) => resolve(code)));

describe('a start', () => {
  test('that is killed while the database is made leaves nothing in the way of the next', async () => {
    for (const afterMs of [700, 1100, 1500]) {
      const child = begin();
      const gone = ended(child);
      await new Promise((resolve) => setTimeout(resolve, afterMs));
      // Everything that it has started goes with it.
      spawnSync('pkill', ['-9', '-f', root]);
      if (child.pid !== undefined && child.exitCode === null) process.kill(-child.pid, 'SIGKILL');
      await gone;
    }
    expect(await asked(await start(), 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
    expect(readdirSync(path.join(root, '.garnish'))).toEqual(['postgres']);
  }, 120_000);

  test('and another at once share one database', async () => {
    const both = [begin(), begin()];
    expect(await Promise.all(both.map(ended))).toEqual([0, 0]);
    expect(await asked(await start(), 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
  }, 120_000);

  test('goes on where a pid file names what is now another program', async () => {
    (await start()).stop();
    const folder = path.join(root, '.garnish', 'postgres');
    writeFileSync(path.join(folder, 'postmaster.pid'), `${process.pid}\n${folder}\n0\n5432\n`);
    expect(await asked(await start(), 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
  }, 120_000);

  test('listens to nobody but this user, on no network, as no superuser', async () => {
    const cluster = await start();
    const [rights] = await asked<{ rolsuper: boolean; rolcreatedb: boolean; net: string }>(
      cluster,
      "SELECT rolsuper, rolcreatedb, current_setting('listen_addresses') AS net FROM pg_roles WHERE rolname = current_user",
    );
    expect(rights).toEqual({ rolsuper: false, rolcreatedb: false, net: '' });
    await expect(asked(cluster, "COPY (SELECT 1) TO PROGRAM 'true'")).rejects.toThrow(
      /permission denied|must be superuser/,
    );
    await expect(asked(cluster, "SELECT pg_read_file('/etc/passwd')")).rejects.toThrow(
      /permission denied|must be superuser/,
    );
    const url = new URL(cluster.database('garnish'));
    url.username = 'postgres';
    const asAdmin = new Sequelize(url.toString(), { logging: false });
    // Root is the application only; whoever runs it as themselves owns the data as well.
    if (process.getuid?.() === 0) await expect(asAdmin.authenticate()).rejects.toThrow(/[Pp]eer/);
    await asAdmin.close();
  }, 120_000);

  test('on data of a version that is not installed says what to do, and touches nothing', async () => {
    const folder = path.join(root, '.garnish', 'postgres');
    mkdirSync(folder, { recursive: true });
    writeFileSync(path.join(folder, 'PG_VERSION'), '9\n');
    await expect(startCluster(root, 'postgres')).rejects.toThrow(
      /was made by PostgreSQL 9, and \d+ is installed/,
    );
    expect(readdirSync(folder)).toEqual(['PG_VERSION']);
    expect(otherVersionWords('/data', '13', ['15'])).toContain(
      'install -y --no-install-recommends postgresql-13',
    );
  });

  test('where nothing can be written says so', async () => {
    const file = path.join(root, '.garnish');
    writeFileSync(file, '');
    const error: unknown = await startCluster(root, 'postgres').catch((reason: unknown) => reason);
    expect(adviceOf(error)).toContain('a file stands where a folder belongs');
    expect(existsSync(path.join(root, 'postgres'))).toBe(false);
  });
});

describe('what is given to a start', () => {
  test.each(['0', '65536', 'abc', '-1', '4400.5', '1e3'])('PORT=%s is refused in words', (port) => {
    expect(() => portOf(port, 4400)).toThrow(/a whole number from 1 to 65535/);
  });
  test('a port that is one, or none', () => {
    expect([portOf('80', 4400), portOf('', 4400), portOf(undefined, 4400)]).toEqual([
      80, 4400, 4400,
    ]);
  });
  test.each(['nonsense', 'http://localhost/x', '/var/run'])(
    'DATABASE_URL=%s is refused in words',
    (url) => {
      expect(() => databaseUrlOf(url)).toThrow(/no address of a PostgreSQL/);
    },
  );

  test('what the machine or the database says of itself becomes what to do', async () => {
    const failed = (code: string, name = 'Error') => Object.assign(new Error(code), { code, name });
    expect(adviceOf(failed('ENOSPC'))).toContain('no space left');
    expect(adviceOf(failed('EROFS'))).toContain('can only be read');
    expect(adviceOf(new Advice('do this'))).toBe('do this');
    expect(adviceOf(new TypeError('a fault of ours'))).toBeUndefined();
    const nobody = new Sequelize('postgres://a@127.0.0.1:1/b', { logging: false });
    const refused: unknown = await nobody.authenticate().catch((error: unknown) => error);
    expect(adviceOf(refused)).toContain('nothing answers at the address in DATABASE_URL');
    await nobody.close();
  });
});
