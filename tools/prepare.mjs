// What every command needs before TypeScript can run: the right Node, and the packages of the lock
// file. Plain JavaScript without dependencies, because nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

const say = (words) => console.log(`garnish: ${words}`);

const stop = (words) => {
  console.error(`garnish: ${words}`);
  process.exit(1);
};

const LEAST_NODE = [20, 19];
const LEAST_FREE_MB = 1500;

function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  const [leastMajor, leastMinor] = LEAST_NODE;
  if (major > leastMajor || (major === leastMajor && minor >= leastMinor)) return;
  stop(
    `this is Node ${process.versions.node}; Garnish needs ${LEAST_NODE.join('.')} or newer. ` +
      'Install it (for example: nvm install 20), then run the same command again.',
  );
}

function checkDisk() {
  const { bavail, bsize } = statfsSync(root);
  const freeMb = Math.floor((bavail * bsize) / 1e6);
  if (freeMb < LEAST_FREE_MB)
    stop(
      `only ${freeMb} MB are free here, and installing needs ${LEAST_FREE_MB}. ` +
        `Free some (df -h ${root} shows the disk), then run the same command again.`,
    );
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
