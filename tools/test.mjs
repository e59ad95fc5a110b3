// npm test.
import { spawnSync } from 'node:child_process';
import { prepare } from './prepare.mjs';

prepare();
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', 'tools/src/test.ts', ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exit(status ?? 1);
