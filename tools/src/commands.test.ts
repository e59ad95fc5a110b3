import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { testServer } from '@garnish/server/test-server';
import { DOWNLOADS } from '@garnish/core/formats/formats';

let folder: string;
let server: Awaited<ReturnType<typeof testServer>>;

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'garnish-commands-'));
  server = await testServer('garnish_commands', true);
});
afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

const download = async (id: string, file: string): Promise<Buffer> =>
  Buffer.from(await (await fetch(`${server.url}/api/systems/${id}/export/${file}`)).arrayBuffer());

interface Ended {
  readonly code: number | null;
  readonly said: string;
  readonly told: string;
}

/** Runs a command as a build does, in the project, against the database of the tests. */
const run = (tool: 'export' | 'import', ...args: readonly string[]): Promise<Ended> =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', `tools/src/${tool}.ts`, ...args], {
      cwd: path.resolve(import.meta.dirname, '../..'),
      env: { ...process.env, DATABASE_URL: server.databaseUrl, NODE_OPTIONS: '--no-warnings' },
    });
    let [said, told] = ['', ''];
    child.stdout.on('data', (piece: Buffer) => (said += piece.toString()));
    child.stderr.on('data', (piece: Buffer) => (told += piece.toString()));
    child.on('close', (code) => resolve({ code, said, told }));
  });

const idOf = async (name: string): Promise<string> => {
  const { systems } = (await (await fetch(`${server.url}/api/systems?limit=50`)).json()) as {
    systems: readonly { id: string; name: string }[];
  };
  return systems.find((one) => one.name === name)?.id ?? '';
};

describe('npm run export', () => {
  test('writes the files that the application gives, byte for byte', async () => {
    const out = path.join(folder, 'made', 'deep');
    const files = ['tokens.css', 'tokens.scss', 'tokens.zip'];
    const { code, said, told } = await run(
      'export',
      ...['--system', 'brackwater FERRIES', '--format', files.slice(0, 2).join(',')],
      ...['--format', 'tokens.zip', '--out', out],
    );
    expect([code, told]).toEqual([0, '']);
    expect(readdirSync(out).toSorted()).toEqual(files.toSorted());
    const id = await idOf('Brackwater Ferries');
    for (const file of files) {
      expect(readFileSync(path.join(out, file)).equals(await download(id, file))).toBe(true);
      expect(said).toContain(file);
    }
  });

  test('says what there is where it is asked for something else, and ends as builds expect', async () => {
    const ended = await Promise.all([
      run('export', '--system', 'Nobody'),
      run('export', '--system', 'Brackwater Ferries', '--format', 'tokens.doc'),
      run('export'),
      run('export', '--hue', 'red'),
      run('export', '--list'),
    ]);
    expect(ended.map(({ code }) => code)).toEqual([1, 2, 2, 2, 0]);
    expect(ended[0].told).toMatch(/no system is called “Nobody”[\s\S]*Kestrel Hill Planetarium/);
    expect(ended[1].told).toContain('there is no format “tokens.doc”');
    expect(ended[2].told).toContain('--system');
    for (const { file } of DOWNLOADS) expect(ended[4].said).toContain(file);
    expect(existsSync('tokens.doc')).toBe(false);
  });
});

describe('npm run import', () => {
  test('takes tokens in as the application does, tells what is left out, and refuses what is no token file', async () => {
    const file = path.join(folder, 'from-elsewhere.json');
    writeFileSync(
      file,
      JSON.stringify({
        old: {
          $type: 'dimension',
          gap: { $value: { value: 7, unit: 'px' } },
          wide: { $value: '{old.gap}' },
          lost: { $value: '{nowhere}' },
        },
      }),
    );
    const taken = await run('import', '--system', 'Tallow Lane Candles', file);
    expect([taken.code, taken.said.trim()]).toEqual([0, `garnish: 2 tokens from ${file}`]);
    expect(taken.told).toContain('old.lost: it refers to “nowhere”');
    const id = await idOf('Tallow Lane Candles');
    const css = (await download(id, 'tokens.css')).toString();
    expect(css).toContain('--old-gap: 7px;');
    expect(css).toContain('--old-wide: var(--old-gap);');
    const other = path.join(folder, 'none.json');
    writeFileSync(other, '{"a": 1}');
    const ended = await Promise.all([
      run('import', '--system', 'Tallow Lane Candles', other),
      run('import', '--system', 'Tallow Lane Candles', path.join(folder, 'nothing.json')),
      run('import', '--system', 'Tallow Lane Candles'),
    ]);
    expect(ended.map(({ code }) => code)).toEqual([1, 1, 2]);
    expect(ended[0].told).toContain('There is no token in this file');
    expect((await download(id, 'tokens.css')).toString()).toBe(css);
  });
});
