// npm run test:slow: the rules of the linter that take long and seldom find anything.
import { spawnSync } from 'node:child_process';
import { prepare } from './prepare.mjs';

prepare();
const { status } = spawnSync(
  process.execPath,
  ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'],
  { stdio: 'inherit', env: { ...process.env, GARNISH_SLOW_LINT: '1' } },
);
process.exit(status ?? 1);
