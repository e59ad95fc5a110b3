import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Advice, say } from './say.ts';

export const isRoot = (): boolean => process.getuid?.() === 0;

const canRun = (command: string): boolean =>
  spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;

const installCommand = (packages: readonly string[]): string =>
  `sudo apt-get update && sudo apt-get install -y --no-install-recommends ${packages.join(' ')}`;

/** What to tell somebody for whom packages cannot be installed; undefined where they can. */
export function installProblem(
  what: string,
  packages: readonly string[],
  machine: { readonly hasApt: boolean; readonly isRoot: boolean },
): string | undefined {
  if (!machine.hasApt)
    return `${what} is missing, and this is not a Debian system. Install ${what} first.`;
  if (!machine.isRoot)
    return `${what} is missing, and installing it needs rights. Run this first:\n  ${installCommand(packages)}`;
  return undefined;
}

/** Installs packages of Debian's, or says which command the person should run. */
function installPackages(what: string, packages: readonly string[]): void {
  const advice = installCommand(packages);
  const problem = installProblem(what, packages, { hasApt: canRun('apt-get'), isRoot: isRoot() });
  if (problem !== undefined) throw new Advice(problem);
  say(`installing ${what} from Debian’s packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  for (const step of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', ...packages],
  ]) {
    const { status } = spawnSync('apt-get', step, { env, stdio: ['ignore', 'ignore', 'inherit'] });
    if (status !== 0)
      throw new Advice(
        `apt-get ${step[0] ?? ''} failed. What it said stands above. To try it alone:\n  ${advice}`,
      );
  }
}

const POSTGRES_HOME = '/usr/lib/postgresql';

function newestPostgres(): string | undefined {
  if (!existsSync(POSTGRES_HOME)) return undefined;
  return readdirSync(POSTGRES_HOME)
    .sort((one, other) => Number(other) - Number(one))
    .map((version) => path.join(POSTGRES_HOME, version, 'bin'))
    .find((folder) => existsSync(path.join(folder, 'initdb')));
}

/** The folder of PostgreSQL's server programs, installed if they are missing. */
export function postgresPrograms(): string {
  const there = newestPostgres();
  if (there !== undefined) return there;
  if (isRoot()) {
    // Debian would start a cluster of its own on port 5432; ours is all that is wanted.
    const folder = '/etc/postgresql-common/createcluster.d';
    mkdirSync(folder, { recursive: true });
    writeFileSync(path.join(folder, 'garnish.conf'), 'create_main_cluster = false\n');
  }
  installPackages('PostgreSQL', ['postgresql']);
  const now = newestPostgres();
  if (now === undefined)
    throw new Advice(`PostgreSQL was installed, but ${POSTGRES_HOME} has no server programs.`);
  return now;
}

const CHROMIUM = '/usr/bin/chromium';
const LOCAL_FONTS = '/usr/share/fonts/truetype/liberation';

/** Debian's Chromium, and fonts of the widths that most computers have, installed if missing. */
export function chromium(): string {
  if (!existsSync(CHROMIUM) || !existsSync(LOCAL_FONTS))
    installPackages('Chromium', ['chromium', 'fonts-liberation']);
  return CHROMIUM;
}
