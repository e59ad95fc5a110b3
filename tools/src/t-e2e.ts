import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { builtWeb } from './build-web.ts';
import { startCluster } from './cluster.ts';
import { chromium } from './packages.ts';
import { freePort } from './ports.ts';
const root = process.cwd();
const c = await startCluster(root, 'test-postgres');
const r = spawnSync(
  process.execPath,
  [
    path.join(root, 'node_modules/@playwright/test/cli.js'),
    'test',
    '-c',
    'e2e',
    '--reporter=list',
    ...process.argv.slice(2),
  ],
  {
    stdio: 'inherit',
    env: {
      ...process.env,
      GARNISH_CHROMIUM: chromium(),
      GARNISH_WEB_FOLDER: builtWeb(root),
      GARNISH_BROWSER_DATABASE: c.database('garnish_browser', { fresh: true }),
      GARNISH_KILLED_DATABASE: c.database('garnish_killed', { fresh: true }),
      GARNISH_BROWSER_PORT: String(await freePort(4800)),
      GARNISH_KILLED_PORT: String(await freePort(4850)),
    },
  },
);
c.stop();
process.exit(r.status ?? 1);
