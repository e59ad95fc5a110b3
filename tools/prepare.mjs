// What every command needs before TypeScript can run: the right Node, and the packages of the lock
// file. Plain JavaScript without dependencies, because nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

const say = (words) => console.log(`garnish: ${words}`);

const stop = (words) => {
  console.error(`garnish: ${words}`);
  process.exit(1);
};

const LEAST_NODE = [20, 19];
const LEAST_FREE_MB = 1500;

/** What to tell somebody whose Node is too old; undefined where it is new enough. */
export function nodeProblem(version) {
  const [major = 0, minor = 0] = version.split('.').map(Number);
  const [leastMajor, leastMinor] = LEAST_NODE;
  if (major > leastMajor || (major === leastMajor && minor >= leastMinor)) return undefined;
  return (
    `this is Node ${version}; Garnish needs ${LEAST_NODE.join('.')} or newer. ` +
    'Install it (for example: nvm install 20), then run the same command again.'
  );
}

/** What to tell somebody whose disk is full; undefined where there is room. */
export function diskProblem(freeMb, folder) {
  if (freeMb >= LEAST_FREE_MB) return undefined;
  return (
    `only ${freeMb} MB are free here, and installing needs ${LEAST_FREE_MB}. ` +
    `Free some (df -h ${folder} shows the disk), then run the same command again.`
  );
}

function checkNode() {
  const problem = nodeProblem(process.versions.node);
  if (problem) stop(problem);
}

function checkDisk() {
  const { bavail, bsize } = statfsSync(root);
  const problem = diskProblem(Math.floor((bavail * bsize) / 1e6), root);
  if (problem) stop(problem);
}

function installPackages() {
  const lock = readFileSync(path.join(root, 'package-lock.json'));
  const hash = createHash('sha256').update(lock).digest('hex');
  const note = path.join(root, 'node_modules', '.garnish-lock');
  if (existsSync(note) && readFileSync(note, 'utf8') === hash) return;
  checkDisk();
  say('installing packages (npm ci) …');
  const { status, error } = spawnSync(
    'npm',
    ['ci', '--no-audit', '--no-fund', '--loglevel=error'],
    {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
    },
  );
  if (error) stop(`npm cannot be run (${error.message}). Install npm, then try again.`);
  if (status !== 0) stop('npm ci failed; what it said stands above. Run npm ci to try it alone.');
  writeFileSync(note, hash);
}

export function prepare() {
  checkNode();
  process.chdir(root);
  installPackages();
}
