// npm run test:slow: the linter that takes long, with every rule.
import { spawnSync } from 'node:child_process';
import { prepare } from './prepare.mjs';

prepare();
const { status } = spawnSync(
  process.execPath,
  ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'],
  { stdio: 'inherit' },
);
process.exit(status ?? 1);
