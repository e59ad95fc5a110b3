import { spawn, spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
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
const run = (tool: 'export' | 'import' | 'drift', ...args: readonly string[]): Promise<Ended> =>
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

describe('npm run drift', () => {
  const SITE = `.card { padding: 1.03125rem; color: #ff00aa; background: var(--color-page) }
`;
  const PAGE = `<!doctype html><link rel="stylesheet" href="gone.css"><p style="gap: 1.03125rem">x</p>
`;

  test('tells how far sheets and pages have drifted, in words and JSON, with a patch that applies', async () => {
    const site = mkdtempSync(path.join(folder, 'site-'));
    mkdirSync(path.join(site, 'node_modules'));
    writeFileSync(path.join(site, 'node_modules', 'other.css'), 'a { color: red }');
    writeFileSync(path.join(site, 'site.css'), SITE);
    writeFileSync(path.join(site, 'index.html'), PAGE);
    const [json, patch] = [path.join(folder, 'drift.json'), path.join(folder, 'drift.patch')];
    const drifted = (...args: readonly string[]) =>
      run('drift', '--system', 'Brackwater Ferries', ...args, site);
    const { code, said, told } = await drifted('--json', json, '--patch', patch, '--least', '20');
    expect([code, told]).toEqual([0, '']);
    expect(said).toContain('not read, because nothing is fetched: gone.css');
    const report = JSON.parse(readFileSync(json, 'utf8')) as {
      share: number;
      drift: { all: object; rows: { value: string; places: { file: string }[] }[] };
    };
    expect(report.drift.all).toEqual({ equal: 1, near: 2, foreign: 1 });
    expect(report.share).toBe(0.25);
    expect(JSON.stringify(report)).not.toContain('node_modules');

    // The patch is one that others apply; looked at again, what was near is equal.
    const applied = spawnSync('git', ['apply', '-p1', '--unsafe-paths', '--directory=/', patch], {
      cwd: '/',
    });
    expect(applied.stderr.toString()).toBe('');
    expect(readFileSync(path.join(site, 'site.css'), 'utf8')).toMatch(
      /^\.card \{ padding: var\(--[\w-]+\); color: #ff00aa; background: var\(--color-page\) \}\n$/,
    );
    const again = await drifted('--least', '80');
    expect(again.code).toBe(3);
    expect(again.said).toContain('75.0 % of the values are those of Brackwater Ferries');
    expect(again.said).toContain('## Foreign');
    expect(again.said).toContain('that is less than 80 %');
  });

  test('says what is wrong with what it was asked for', async () => {
    const ended = await Promise.all([
      run('drift', '--system', 'Brackwater Ferries'),
      run('drift', 'x.css'),
      run('drift', '--system', 'Brackwater Ferries', '--least', 'most', 'x.css'),
      run('drift', '--system', 'Brackwater Ferries', path.join(folder, 'nowhere.css')),
      run('drift', '--system', 'Brackwater Ferries', '--release', '9.9.9', 'tools/src'),
    ]);
    expect(ended.map(({ code }) => code)).toEqual([2, 2, 2, 1, 1]);
    expect(ended[3].told).toContain('there is no ');
    expect(ended[4].told).toContain('there is no release 9.9.9 of it');
  });
});
