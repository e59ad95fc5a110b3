import { spawnSync, type SpawnSyncReturns } from 'node:child_process';
import { createHash } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { isRoot, postgresPrograms } from './packages.ts';
import { freePort } from './ports.ts';
import { Advice, say } from './say.ts';

const USER = 'postgres';
const FIRST_PORT = 54_400;

export interface Cluster {
  /** The address of the database of this name, which is made if it is not there. */
  readonly database: (name: string, options?: { fresh?: boolean }) => string;
  readonly stop: () => void;
}

/** PostgreSQL refuses to run as root: there, everything runs as its own user. */
const run = (program: string, args: readonly string[]): SpawnSyncReturns<string> =>
  isRoot()
    ? spawnSync('runuser', ['-u', USER, '--', program, ...args], { encoding: 'utf8', cwd: '/' })
    : spawnSync(program, args, { encoding: 'utf8' });

const canReach = (folder: string): boolean => run('test', ['-x', folder]).status === 0;

/** A folder that PostgreSQL's user can reach: in the project, or else in that user's own home. */
function folderFor(root: string, name: string): string {
  const inProject = path.join(root, '.garnish', name);
  if (!isRoot()) {
    mkdirSync(inProject, { recursive: true, mode: 0o700 });
    return inProject;
  }
  const mark = createHash('sha256').update(root).digest('hex').slice(0, 10);
  mkdirSync(path.join(root, '.garnish'), { recursive: true });
  const folder = canReach(path.join(root, '.garnish'))
    ? inProject
    : path.join('/var/lib/postgresql', `garnish-${mark}`, name);
  if (!existsSync(folder)) {
    mkdirSync(folder, { recursive: true });
    spawnSync('chown', ['-R', `${USER}:`, folder]);
    chmodSync(folder, 0o700);
  }
  return folder;
}

/** The port of a cluster that runs already, after an application that was killed, say. */
const runningPort = (programs: string, folder: string): number | undefined => {
  if (run(path.join(programs, 'pg_ctl'), ['status', '-D', folder]).status !== 0) return undefined;
  const port = Number(readFileSync(path.join(folder, 'postmaster.pid'), 'utf8').split('\n')[3]);
  return Number.isInteger(port) ? port : undefined;
};

function must(result: SpawnSyncReturns<string>, what: string): void {
  if (result.status === 0) return;
  const said = `${result.stderr}${result.stdout}`.trim();
  throw new Advice(
    `${what} failed: ${said || (result.error?.message ?? 'without a word')}\n` +
      'Check the free space (df -h) and the rights of that folder, or use a PostgreSQL that exists already:\n' +
      '  DATABASE_URL=postgres://… npm start',
  );
}

/** Starts a PostgreSQL of the project's own on loopback, and makes its data folder the first time. */
export async function startCluster(root: string, name: string): Promise<Cluster> {
  const programs = postgresPrograms();
  const program = (file: string): string => path.join(programs, file);
  const folder = folderFor(root, name);
  if (!existsSync(path.join(folder, 'PG_VERSION'))) {
    say('making a database cluster …');
    const result = run(program('initdb'), [
      '-D',
      folder,
      '-U',
      USER,
      '-A',
      'trust',
      '-E',
      'UTF8',
      '--no-sync',
      '--locale=C.UTF-8',
    ]);
    if (result.status !== 0) rmSync(path.join(folder, 'PG_VERSION'), { force: true });
    must(result, `making a database in ${folder}`);
  }
  let port = runningPort(programs, folder);
  if (port === undefined) {
    port = await freePort(FIRST_PORT);
    must(
      run(program('pg_ctl'), [
        'start',
        '-D',
        folder,
        '-w',
        '-s',
        '-l',
        path.join(folder, 'log'),
        '-o',
        `-c listen_addresses=127.0.0.1 -p ${port} -k ${folder}`,
      ]),
      `starting PostgreSQL in ${folder}`,
    );
  }
  const server = ['-h', '127.0.0.1', '-p', String(port), '-U', USER];
  return {
    database(databaseName, { fresh = false } = {}) {
      if (fresh) run(program('dropdb'), [...server, '--if-exists', '--force', databaseName]);
      const made = run(program('createdb'), [...server, databaseName]);
      if (made.status !== 0 && !made.stderr.includes('already exists'))
        must(made, `making the database ${databaseName}`);
      return `postgres://${USER}@127.0.0.1:${port}/${databaseName}`;
    },
    stop() {
      // Another command may use the same cluster; the last one stops it.
      const others = run(program('psql'), [
        ...server,
        '-Atc',
        "SELECT count(*) FROM pg_stat_activity WHERE backend_type = 'client backend' AND pid <> pg_backend_pid()",
        'postgres',
      ]);
      if (others.status === 0 && Number(others.stdout) > 0) return;
      run(program('pg_ctl'), ['stop', '-D', folder, '-m', 'fast', '-w', '-s']);
    },
  };
}
