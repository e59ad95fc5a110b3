// npm start and npm run dev.
import { spawn } from 'node:child_process';
import { prepare } from './prepare.mjs';

prepare();
const child = spawn(
  process.execPath,
  ['--import', 'tsx', 'tools/src/start.ts', ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
// The terminal sends Ctrl-C to both; this one waits until the other has stopped everything.
process.on('SIGINT', () => {});
process.on('SIGTERM', () => child.kill('SIGTERM'));
child.on('exit', (code) => process.exit(code ?? 1));
