/**
 * Runs everything that must hold: types, lint, format, layers, unit and integration tests, and the
 * browser tests against the built application. What only reads the sources runs beside the unit tests; the
 * browser tests have the machine to themselves. Names of steps as arguments run only those, other
 * words only the tests whose files are called so; `--changed` only what changed since the last commit.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import * as z from 'zod';
import { builtWeb } from './build-web.ts';
import { startCluster } from './cluster.ts';
import { chromium, photographs } from './packages.ts';
import { freePort } from './ports.ts';
import { end, say } from './say.ts';

interface Count {
  readonly passed: number;
  readonly failed: number;
}

const root = process.cwd();
const out = path.join(root, '.garnish');

/** What says nothing for longer hangs: a slow machine takes its time, and says how far it is test by test. */
const MOST_SILENT_MS = 10 * 60_000;

/**
 * Runs a program of Node’s and tells whether it ended well; what it says comes when it is over, in one piece. A
 * patient one lets the others go first; one that hangs is ended.
 */
const run = (
  args: readonly string[],
  env: NodeJS.ProcessEnv = {},
  isPatient = false,
): Promise<boolean> =>
  new Promise((resolve) => {
    const [program, before] = isPatient
      ? ['nice', ['-n', '10', process.execPath]]
      : [process.execPath, []];
    const child = spawn(program, [...before, ...args], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    const said: Buffer[] = [];
    const silence = setTimeout(() => child.kill(), MOST_SILENT_MS);
    const hear = (piece: Buffer): void => {
      said.push(piece);
      silence.refresh();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', (status, signal) => {
      clearTimeout(silence);
      if (signal !== null)
        said.push(Buffer.from(`ended by ${signal}, as it said nothing any more\n`));
      process.stdout.write(Buffer.concat(said));
      resolve(status === 0);
    });
  });

const bin = (file: string): string => path.join(root, 'node_modules', file);

const one = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

const readJson = (file: string): unknown =>
  existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;

const tsc = (project: string) => async (): Promise<Count> =>
  one(await run([bin('typescript-7/bin/tsc'), '-p', project], {}, true));

const jestResult = z.object({ numPassedTests: z.number(), numFailedTests: z.number() });

/** All unit and integration tests in one start; `files` are parts of the names of theirs. */
async function jest(files: readonly string[], env: NodeJS.ProcessEnv): Promise<Count> {
  const file = path.join(out, 'jest.json');
  rmSync(file, { force: true });
  const ok = await run(
    [
      bin('jest/bin/jest.js'),
      '--maxWorkers=2',
      // How long a test may take is no matter of its own: a machine that does other things is slow.
      '--testTimeout=60000',
      '--json',
      `--outputFile=${file}`,
      ...(files.length > 0 ? ['--passWithNoTests', `--testPathPatterns=${files.join('|')}`] : []),
    ],
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

async function browser(
  databaseUrl: (name: string) => string,
  files: readonly string[],
): Promise<Count> {
  const file = path.join(out, 'browser.json');
  rmSync(file, { force: true });
  const chosen = files.length > 0 ? ['--pass-with-no-tests', ...files] : [];
  const ok = await run([bin('@playwright/test/cli.js'), 'test', '-c', 'e2e', ...chosen], {
    GARNISH_CHROMIUM: chromium(),
    GARNISH_PHOTOGRAPHS: photographs(path.join(out, 'photographs')).join(':'),
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

interface Step {
  readonly name: string;
  readonly run: () => Promise<Count>;
}

/** Files that differ from the last commit, as parts of the names of tests: `core/src/same.ts` is asked for as `same`. */
function changedNames(): readonly string[] {
  const { stdout } = spawnSync('git', ['status', '--porcelain', '-uall'], {
    cwd: root,
    encoding: 'utf8',
  });
  const names = stdout
    .split('\n')
    .map((line) => /([^/\s]+?)(\.test|\.spec)?\.tsx?$/.exec(line)?.[1])
    .filter((name) => name !== undefined);
  return [...new Set(names)];
}

async function main(): Promise<void> {
  mkdirSync(out, { recursive: true });
  const given = process.argv.slice(2);
  const isChanged = given.includes('--changed');
  const words = isChanged ? changedNames() : given.filter((word) => !word.startsWith('--'));
  const cluster = await startCluster(root, 'test-postgres');
  const database = (name: string): string => cluster.database(name, { fresh: true });
  const reading: readonly Step[] = [
    { name: 'types-core', run: tsc('core') },
    { name: 'types-web', run: tsc('web') },
    { name: 'types', run: tsc('.') },
    {
      name: 'lint',
      run: async () => one(await run([bin('oxlint/bin/oxlint'), '--deny-warnings', '.'], {}, true)),
    },
    {
      name: 'format',
      run: async () =>
        one(
          await run(
            [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'],
            {},
            true,
          ),
        ),
    },
    {
      name: 'layers',
      run: async () =>
        one(
          await run([
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
    },
  ];
  const isStep = (word: string): boolean =>
    ['unit', 'browser', ...reading.map(({ name }) => name)].includes(word);
  const steps = words.filter(isStep);
  const files = words.filter((word) => !isStep(word));
  const unit: Step = {
    name: 'unit',
    run: () => jest(files, { GARNISH_TEST_DATABASE: database('garnish_tests') }),
  };
  const inBrowser: Step = { name: 'browser', run: () => browser(database, files) };
  const isChosen = ({ name }: Step): boolean => {
    if (steps.length > 0) return steps.includes(name);
    if (files.length > 0) return name === 'unit' || name === 'browser';
    // The whole browser is not the run for the work between; nor is everything where nothing changed.
    return !isChanged;
  };
  const sum = { passed: 0, failed: 0 };
  const failing: string[] = [];
  const go = async (lane: readonly Step[]): Promise<void> => {
    for (const step of lane.filter(isChosen)) {
      say(`${step.name} …`);
      const started = performance.now();
      const { passed, failed } = await step.run();
      const seconds = ((performance.now() - started) / 1000).toFixed(1);
      say(`${step.name}: ${passed} passed, ${failed} failed, ${seconds} s`);
      sum.passed += passed;
      sum.failed += failed;
      if (failed > 0) failing.push(step.name);
    }
  };
  const started = performance.now();
  try {
    await Promise.all([go(reading), go([unit])]);
    await go([inBrowser]);
  } finally {
    cluster.stop();
  }
  const minutes = ((performance.now() - started) / 60_000).toFixed(1);
  console.log(`${sum.passed} passed, ${sum.failed} failed, ${minutes} minutes`);
  if (failing.length > 0) console.log(`not passed: ${failing.join(', ')}`);
  process.exitCode = sum.failed > 0 ? 1 : 0;
}

main().catch(end);
