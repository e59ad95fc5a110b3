import { spawnSync, type SpawnSyncReturns } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import path from 'node:path';
import { isRoot, postgresPrograms } from './packages.ts';
import { Advice, say } from './say.ts';

/** Who owns the cluster within it. Nobody connects as this but the commands here. */
const ADMIN = 'postgres';
/** Who the application is within it: no superuser, so that no program can be run through it. */
const APPLICATION = 'garnish';
/** Only a part of the socket's name: nothing listens on the network. */
const PORT = 5432;
/** The longest path of a socket that every system takes. */
const LONGEST_SOCKET = 100;
const WAIT_MS = 15_000;

export interface Cluster {
  /** The address of the database of this name, which is made if it is not there. */
  readonly database: (name: string, options?: { fresh?: boolean }) => string;
  readonly stop: () => void;
}

export interface ClusterOptions {
  /** Whether the application may make databases, as tests do. */
  readonly makesDatabases?: boolean;
}

/** PostgreSQL refuses to run as root: there, everything runs as its own user. */
const run = (
  program: string,
  args: readonly string[],
  input?: string,
): SpawnSyncReturns<string> => {
  const options = { encoding: 'utf8', cwd: '/', ...(input !== undefined && { input }) } as const;
  return isRoot()
    ? spawnSync('runuser', ['-u', ADMIN, '--', program, ...args], options)
    : spawnSync(program, args, options);
};

const canReach = (folder: string): boolean => run('test', ['-x', folder]).status === 0;

/** A folder that is made for PostgreSQL's user, and for nobody else. */
function ownFolder(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (isRoot()) spawnSync('chown', [`${ADMIN}:`, folder]);
  chmodSync(folder, 0o700);
}

/** Where a cluster lies that PostgreSQL's user can reach: in the project, or else in that user's own home. */
function folderFor(root: string, name: string): string {
  const inProject = path.join(root, '.garnish', name);
  mkdirSync(path.dirname(inProject), { recursive: true });
  if (!isRoot() || canReach(path.dirname(inProject))) return inProject;
  const mark = createHash('sha256').update(root).digest('hex').slice(0, 10);
  const home = path.join('/var/lib/postgresql', `garnish-${mark}`);
  ownFolder(home);
  return path.join(home, name);
}

/** Where its socket lies: in the cluster's own folder, or where that path is too long, beside others'. */
function socketFolder(folder: string): string {
  if (path.join(folder, `.s.PGSQL.${PORT}`).length <= LONGEST_SOCKET) return folder;
  const mark = createHash('sha256').update(folder).digest('hex').slice(0, 16);
  const short = path.join(tmpdir(), `garnish-${mark}`);
  ownFolder(short);
  // In a folder that everybody may write in, somebody else could have made it first.
  const { uid } = statSync(short);
  const owner = isRoot()
    ? Number(spawnSync('id', ['-u', ADMIN], { encoding: 'utf8' }).stdout)
    : process.getuid?.();
  if (uid !== owner)
    throw new Advice(
      `${short} belongs to somebody else. Remove it, or move the project to a shorter path.`,
    );
  return short;
}

const wordsOf = ({ stderr, stdout, error }: SpawnSyncReturns<string>): string =>
  `${stderr}${stdout}`.trim() || (error?.message ?? 'it said nothing');

function must(result: SpawnSyncReturns<string>, what: string): void {
  if (result.status === 0) return;
  throw new Advice(
    `${what} failed: ${wordsOf(result)}\n` +
      'Check the free space (df -h) and the rights of that folder, or use a PostgreSQL that exists already:\n' +
      '  DATABASE_URL=postgres://… npm start',
  );
}

/**
 * Makes a cluster beside its place and moves it there whole: a start that is killed leaves nothing
 * that looks like one. Of two that begin at once, the first to be ready stays.
 */
function makeCluster(folder: string, initdb: string): void {
  say('making a database cluster …');
  const parent = path.dirname(folder);
  const begun = `${path.basename(folder)}.new-`;
  const making = path.join(parent, `${begun}${process.pid}`);
  for (const name of readdirSync(parent)) {
    const pid = name.startsWith(begun) ? Number(name.slice(begun.length)) : NaN;
    if (Number.isInteger(pid) && (pid === process.pid || !existsSync(`/proc/${pid}`)))
      rmSync(path.join(parent, name), { recursive: true, force: true });
  }
  ownFolder(making);
  try {
    must(
      run(initdb, [...['-D', making, '-U', ADMIN, '-A', 'peer', '-E', 'UTF8', '--locale=C.UTF-8']]),
      `making a database in ${folder}`,
    );
    // What an earlier version left behind of a start that was killed holds nothing.
    if (existsSync(folder) && !existsSync(path.join(folder, 'PG_VERSION')))
      rmSync(folder, { recursive: true, force: true });
    renameSync(making, folder);
  } catch (error) {
    rmSync(making, { recursive: true, force: true });
    if (!existsSync(path.join(folder, 'PG_VERSION'))) throw error;
  }
}

/** Who may connect: this user of the machine, told by the operating system, and nobody else. */
function writeRights(folder: string): void {
  const user = isRoot() ? ['root', ADMIN] : [userInfo().username];
  const files = {
    'pg_hba.conf': 'local all all peer map=garnish\n',
    'pg_ident.conf': user
      .flatMap((name) => [
        `garnish "${name}" ${APPLICATION}\n`,
        ...(name === 'root' ? [] : [`garnish "${name}" ${ADMIN}\n`]),
      ])
      .join(''),
  };
  for (const [name, text] of Object.entries(files)) writeFileSync(path.join(folder, name), text);
}

/** How a process was started; nothing where there is none. */
function commandOf(pid: number): string {
  const file = `/proc/${pid}/cmdline`;
  if (existsSync(file)) return readFileSync(file, 'utf8');
  if (existsSync('/proc/self')) return '';
  const { status, stdout } = spawnSync('ps', ['-o', 'args=', '-p', String(pid)], {
    encoding: 'utf8',
  });
  return status === 0 ? stdout : '';
}

/** The process that a pid file names, if it is this cluster's: the number may belong to another by now. */
function runningPid(folder: string): number | undefined {
  const file = path.join(folder, 'postmaster.pid');
  if (!existsSync(file)) return undefined;
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
  if (!Number.isInteger(pid) || pid <= 0) return undefined;
  return commandOf(pid).includes(folder) ? pid : undefined;
}

/** Starts the cluster, or finds it started: by a start that was killed, or by one at the same time. */
function startOrJoin(programs: string, folder: string, sockets: string): void {
  const isReady = (): boolean =>
    spawnSync(path.join(programs, 'pg_isready'), ['-q', '-h', sockets, '-p', String(PORT)])
      .status === 0;
  const waits = (): boolean => {
    for (const end = Date.now() + WAIT_MS; Date.now() < end && runningPid(folder) !== undefined;) {
      if (isReady()) return true;
      spawnSync('sleep', ['0.2']);
    }
    return false;
  };
  if (runningPid(folder) !== undefined) {
    if (waits()) return;
    // It runs and does not answer here: an earlier version listened elsewhere.
    run(path.join(programs, 'pg_ctl'), ['stop', '-D', folder, '-m', 'fast', '-w', '-s']);
  }
  // Left by a process that is gone, or whose number is another program's now.
  if (runningPid(folder) === undefined)
    for (const lock of [
      path.join(folder, 'postmaster.pid'),
      path.join(sockets, `.s.PGSQL.${PORT}.lock`),
    ])
      rmSync(lock, { force: true });
  const result = run(path.join(programs, 'pg_ctl'), [
    ...['start', '-D', folder, '-w', '-s', '-l', path.join(folder, 'log'), '-o'],
    `-c listen_addresses='' -c unix_socket_permissions=0777 -p ${PORT} -k '${sockets}'`,
  ]);
  if (result.status === 0 || waits()) return;
  const log = path.join(folder, 'log');
  const last = existsSync(log)
    ? readFileSync(log, 'utf8').trim().split('\n').slice(-3).join('\n')
    : '';
  throw new Advice(
    `PostgreSQL in ${folder} did not start: ${last || wordsOf(result)}\n` +
      `Its whole log is ${log}. Check the free space (df -h) and the rights of that folder.`,
  );
}

/** The major version that made the data; PostgreSQL reads only its own. */
const versionOf = (folder: string): string | undefined => {
  const file = path.join(folder, 'PG_VERSION');
  return existsSync(file) ? readFileSync(file, 'utf8').trim() : undefined;
};

/** The application's role, and the ownership of what an earlier version made as the administrator. */
const roleSql = (makesDatabases: boolean): string => `
  DO $$ BEGIN
    IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '${APPLICATION}') THEN
      CREATE ROLE ${APPLICATION} LOGIN NOSUPERUSER;
    END IF;
  END $$;
  ALTER ROLE ${APPLICATION} NOSUPERUSER NOCREATEROLE ${makesDatabases ? 'CREATEDB' : 'NOCREATEDB'};
`;
const OWN_SQL = `
  ALTER SCHEMA public OWNER TO ${APPLICATION};
  DO $$ DECLARE one record; BEGIN
    FOR one IN SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tableowner <> '${APPLICATION}' LOOP
      EXECUTE format('ALTER TABLE public.%I OWNER TO ${APPLICATION}', one.tablename);
    END LOOP;
  END $$;
`;

/**
 * Starts a PostgreSQL of the project's own, and makes its data folder the first time. It listens on a
 * socket in a folder of its own, and asks the operating system who connects.
 */
// eslint-disable-next-line @typescript-eslint/require-await -- whoever starts something waits for it
export async function startCluster(
  root: string,
  name: string,
  { makesDatabases = name !== 'postgres' }: ClusterOptions = {},
): Promise<Cluster> {
  const folder = folderFor(root, name);
  const version = versionOf(folder);
  const programs = postgresPrograms(version, folder);
  const program = (file: string): string => path.join(programs, file);
  if (version === undefined) makeCluster(folder, program('initdb'));
  const sockets = socketFolder(folder);
  writeRights(folder);
  startOrJoin(programs, folder, sockets);
  const server = ['-h', sockets, '-p', String(PORT), '-U', ADMIN];
  const sql = (text: string, database = 'postgres'): SpawnSyncReturns<string> =>
    run(program('psql'), [...server, '-v', 'ON_ERROR_STOP=1', '-qAtX', '-d', database], text);
  must(sql(roleSql(makesDatabases)), 'making the role of the application');
  return {
    database(databaseName, { fresh = false } = {}) {
      if (fresh) run(program('dropdb'), [...server, '--if-exists', '--force', databaseName]);
      const made = run(program('createdb'), [...server, '-O', APPLICATION, databaseName]);
      if (made.status !== 0 && !made.stderr.includes('already exists'))
        must(made, `making the database ${databaseName}`);
      if (made.status !== 0) {
        must(
          sql(`ALTER DATABASE "${databaseName}" OWNER TO ${APPLICATION}`),
          'giving the database away',
        );
        must(sql(OWN_SQL, databaseName), 'giving the tables away');
      }
      return `postgres://${APPLICATION}@localhost:${PORT}/${databaseName}?host=${encodeURIComponent(sockets)}`;
    },
    stop() {
      // Another command may use the same cluster; the last one stops it.
      const others = sql(
        "SELECT count(*) FROM pg_stat_activity WHERE backend_type = 'client backend' AND pid <> pg_backend_pid()",
      );
      if (others.status === 0 && Number(others.stdout) > 0) return;
      run(program('pg_ctl'), ['stop', '-D', folder, '-m', 'fast', '-w', '-s']);
    },
  };
}
