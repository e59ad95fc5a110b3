/**
 * Runs everything that must hold: types, lint, format, layers, unit and integration tests, and the
 * browser tests against the built application. Names as arguments run only those steps.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import * as z from 'zod';
import { builtWeb } from './build-web.ts';
import { startCluster } from './cluster.ts';
import { chromium } from './packages.ts';
import { freePort } from './ports.ts';
import { end, say } from './say.ts';

interface Count {
  readonly passed: number;
  readonly failed: number;
}

const root = process.cwd();
const out = path.join(root, '.garnish');

const run = (args: readonly string[], env: NodeJS.ProcessEnv = {}): boolean =>
  spawnSync(process.execPath, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  }).status === 0;

const bin = (file: string): string => path.join(root, 'node_modules', file);

const one = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

const readJson = (file: string): unknown =>
  existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;

const tsc = (project: string) => (): Count => one(run([bin('typescript/bin/tsc'), '-p', project]));

const jestResult = z.object({ numPassedTests: z.number(), numFailedTests: z.number() });

function jest(project: string, env: NodeJS.ProcessEnv = {}): Count {
  const file = path.join(out, `jest-${project}.json`);
  rmSync(file, { force: true });
  const ok = run(
    [bin('jest/bin/jest.js'), '--selectProjects', project, '--json', `--outputFile=${file}`],
    { NODE_OPTIONS: '--experimental-vm-modules --no-warnings', ...env },
  );
  const parsed = jestResult.safeParse(readJson(file));
  if (!parsed.success) return { passed: 0, failed: 1 };
  const { numPassedTests: passed, numFailedTests: failed } = parsed.data;
  return { passed, failed: ok ? failed : Math.max(1, failed) };
}

const browserResult = z.object({
  stats: z.object({ expected: z.number(), unexpected: z.number(), flaky: z.number() }),
});

async function browser(databaseUrl: (name: string) => string): Promise<Count> {
  const file = path.join(out, 'browser.json');
  rmSync(file, { force: true });
  const ok = run([bin('@playwright/test/cli.js'), 'test', '-c', 'e2e'], {
    GARNISH_CHROMIUM: chromium(),
    GARNISH_WEB_FOLDER: builtWeb(root),
    GARNISH_BROWSER_DATABASE: databaseUrl('garnish_browser'),
    GARNISH_KILLED_DATABASE: databaseUrl('garnish_killed'),
    GARNISH_BROWSER_PORT: String(await freePort(4800)),
    GARNISH_KILLED_PORT: String(await freePort(4850)),
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  });
  const parsed = browserResult.safeParse(readJson(file));
  if (!parsed.success) return { passed: 0, failed: 1 };
  const { expected, unexpected, flaky } = parsed.data.stats;
  if (flaky > 0) say(`${flaky} of the browser tests passed only at a second try`);
  return { passed: expected + flaky, failed: ok ? unexpected : Math.max(1, unexpected) };
}

async function main(): Promise<void> {
  mkdirSync(out, { recursive: true });
  const cluster = await startCluster(root, 'test-postgres');
  const database = (name: string): string => cluster.database(name, { fresh: true });
  const steps: readonly (readonly [string, () => Count | Promise<Count>])[] = [
    ['types of core', tsc('core')],
    ['types of web', tsc('web')],
    ['types of the rest', tsc('.')],
    ['lint', () => one(run([bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']))],
    [
      'format',
      () => one(run([bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'])),
    ],
    [
      'layers',
      () =>
        one(
          run([
            bin('dependency-cruiser/bin/dependency-cruise.mjs'),
            '--config',
            '.dependency-cruiser.cjs',
            '--output-type',
            'err',
            'core/src',
            'server/src',
            'web/src',
            'tools/src',
          ]),
        ),
    ],
    ['core', () => jest('core')],
    ['web', () => jest('web')],
    ['tools', () => jest('tools', { GARNISH_TEST_DATABASE: database('garnish_tools') })],
    ['server', () => jest('server', { GARNISH_TEST_DATABASE: database('garnish_tests') })],
    ['browser', () => browser(database)],
  ];
  const chosen = process.argv.slice(2);
  const sum = { passed: 0, failed: 0 };
  try {
    for (const [name, step] of steps) {
      if (chosen.length > 0 && !chosen.includes(name)) continue;
      say(`${name} …`);
      const started = performance.now();
      const { passed, failed } = await step();
      const seconds = ((performance.now() - started) / 1000).toFixed(1);
      say(`${name}: ${passed} passed, ${failed} failed, ${seconds} s`);
      sum.passed += passed;
      sum.failed += failed;
    }
  } finally {
    cluster.stop();
  }
  console.log(`${sum.passed} passed, ${sum.failed} failed`);
  process.exitCode = sum.failed > 0 ? 1 : 0;
}

main().catch(end);
