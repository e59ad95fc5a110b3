// Runs one of the tools after seeing to what it needs.
import { spawnSync } from 'node:child_process';
import { prepare } from './prepare.mjs';

const [, , tool = '', ...rest] = process.argv;
prepare();
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', `tools/src/${tool}.ts`, ...rest],
  {
    stdio: 'inherit',
  },
);
process.exit(status ?? 1);
