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

const binOf = (version: string): string => path.join(POSTGRES_HOME, version, 'bin');

/** The installed versions of PostgreSQL's server, the newest first. */
function installedPostgres(): readonly string[] {
  if (!existsSync(POSTGRES_HOME)) return [];
  return readdirSync(POSTGRES_HOME)
    .filter((version) => existsSync(path.join(binOf(version), 'initdb')))
    .sort((one, other) => Number(other) - Number(one));
}

/** What to do about data of a version that is not installed. */
export const otherVersionWords = (
  folder: string,
  version: string,
  installed: readonly string[],
): string =>
  `the data in ${folder} was made by PostgreSQL ${version}, and ${installed.length > 0 ? `${installed.join(' and ')} is installed` : 'none is installed'}. ` +
  `PostgreSQL reads only data of its own version. Either install that one:\n  ${installCommand([`postgresql-${version}`])}\n` +
  'or, where it still runs elsewhere, save everything there (npm run backup), move that folder away, start, and bring it back (npm run restore).';

/**
 * The folder of PostgreSQL's server programs, installed if they are missing: of the version that made the
 * data in a folder, or of the newest.
 */
export function postgresPrograms(version?: string, folder = ''): string {
  const installed = installedPostgres();
  if (version !== undefined && installed.length > 0) {
    if (!installed.includes(version))
      throw new Advice(otherVersionWords(folder, version, installed));
    return binOf(version);
  }
  const [newest] = installed;
  if (newest !== undefined) return binOf(newest);
  if (isRoot()) {
    // Debian would start a cluster of its own on port 5432; ours is all that is wanted.
    const folder = '/etc/postgresql-common/createcluster.d';
    mkdirSync(folder, { recursive: true });
    writeFileSync(path.join(folder, 'garnish.conf'), 'create_main_cluster = false\n');
  }
  installPackages('PostgreSQL', ['postgresql']);
  const [now] = installedPostgres();
  if (now === undefined)
    throw new Advice(`PostgreSQL was installed, but ${POSTGRES_HOME} has no server programs.`);
  return version === undefined ? binOf(now) : postgresPrograms(version, folder);
}

/** Chromium without any window of its own: half the work of the whole browser for each page. */
const HEADLESS = '/usr/bin/chromium-headless-shell';
const CHROMIUM = '/usr/bin/chromium';
const LOCAL_FONTS = '/usr/share/fonts/truetype/liberation';

/**
 * Debian's Chromium without windows, and fonts of the widths that most computers have, installed if
 * missing; the whole Chromium where that is there and the other cannot be installed.
 */
export function chromium(): string {
  if (existsSync(HEADLESS) && existsSync(LOCAL_FONTS)) return HEADLESS;
  try {
    installPackages('Chromium', ['chromium-headless-shell', 'fonts-liberation']);
    if (existsSync(HEADLESS)) return HEADLESS;
  } catch (error) {
    if (!existsSync(CHROMIUM) || !existsSync(LOCAL_FONTS)) throw error;
  }
  return CHROMIUM;
}

/** Photographs that Debian ships, by the package that each is in. */
const PHOTOGRAPHS: Readonly<Record<string, string>> = {
  'sddm-theme-maldives': 'usr/share/sddm/themes/maldives/background.jpg',
  'xplanet-images': 'usr/share/xplanet/images/earth.jpg',
};

/**
 * Photographs from Debian's packages, for tests; nothing is installed, and no rights are needed.
 * @param folder where they are kept
 * @returns their files
 */
export function photographs(folder: string): readonly string[] {
  mkdirSync(folder, { recursive: true });
  const run = (command: string, args: readonly string[]): boolean =>
    spawnSync(command, args, { cwd: folder, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;
  return Object.entries(PHOTOGRAPHS).map(([name, inside]) => {
    const file = path.join(folder, inside);
    if (existsSync(file)) return file;
    say(`fetching photographs from Debian’s ${name} …`);
    const fetched =
      run('apt-get', ['download', '-qq', name]) ||
      (run('apt-get', ['update', '-qq']) && run('apt-get', ['download', '-qq', name]));
    const archive = readdirSync(folder).find((one) => one.startsWith(`${name}_`));
    if (!fetched || archive === undefined || !run('dpkg-deb', ['-x', archive, folder]))
      throw new Advice(
        `Photographs for the tests could not be had from Debian’s package ${name}. What apt-get said stands above.`,
      );
    return file;
  });
}
