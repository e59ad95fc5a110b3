import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { fontFamily } from '@garnish/core/fonts/family';
import { strFromU8, unzipSync } from 'fflate';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { testServer, type TestServer } from '../test-server.ts';
import { createFontReader } from './font-reader.ts';
import { family, fontPath } from './shipped.ts';
import { unpacked } from './unpack.ts';

let server: TestServer;

beforeAll(async () => {
  server = await testServer('garnish_own_fonts');
});
afterAll(() => server.close());

const require = createRequire(import.meta.url);

const shipped = (id: string, wanted: string): Uint8Array => {
  const file = family(id).files.find(({ name }) => name.includes(wanted));
  return Uint8Array.from(readFileSync(fontPath(file?.name ?? '') ?? ''));
};
const woff2 = shipped('aleo', 'latin-400-normal');
const plain = await unpacked(woff2);

function upload(
  files: readonly (readonly [name: string, bytes: Uint8Array])[],
  fields: Readonly<Record<string, string>> = {},
): Promise<Response> {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  for (const [name, bytes] of files) form.append('files', new Blob([bytes as BlobPart]), name);
  return fetch(`${server.url}/api/fonts/own`, { method: 'POST', body: form });
}

const ownFamilies = async () => {
  const list = z.array(fontFamily).parse(await (await fetch(`${server.url}/api/fonts`)).json());
  return list.filter(({ version }) => version === 'own');
};

/** The bits of OS/2, fsType (offset 8 of the table) in a plain font, set to what is given. */
function withEmbeddingBits(plain: Uint8Array, bits: number): Uint8Array {
  const copy = plain.slice();
  const view = new DataView(copy.buffer);
  for (let row = 12; row < 12 + 16 * view.getUint16(4); row += 16)
    if (strFromU8(copy.subarray(row, row + 4)) === 'OS/2')
      view.setUint16(view.getUint32(row + 8) + 8, bits);
  return copy;
}

describe('own files', () => {
  test('of WOFF2, WOFF and TTF are measured alike, and as the catalogue is', async () => {
    const ttf = await unpacked(woff2);
    const woff = Uint8Array.from(
      readFileSync(require.resolve('@fontsource/aleo/files/aleo-latin-400-normal.woff')),
    );
    const reader = createFontReader();
    for (const bytes of [woff2, ttf, woff]) {
      const answer = await reader.measure(bytes);
      if (!answer.ok) throw new Error(answer.problem);
      expect(answer.facts.metrics.unitsPerEm).toBe(1000);
      expect(answer.facts.metrics.letterWidths).toEqual(family('aleo').metrics.letterWidths);
      expect([answer.weight.min, answer.style]).toEqual([400, 'normal']);
    }
    reader.close();
  });

  test('become one family, kept with their licence, served, and taken away', async () => {
    const response = await upload(
      [
        ['Regular.woff2', woff2],
        ['Italic.woff2', shipped('aleo', 'latin-400-italic')],
        ['Bold.woff2', shipped('aleo', 'latin-700-normal')],
      ],
      { licence: 'Bought for this site, order 17.', kind: 'slab' },
    );
    expect(response.status).toBe(201);
    const record = fontFamily.parse(await response.json());
    expect(record.files.map(({ style, weight }) => `${style} ${weight.min}`)).toEqual([
      'normal 400',
      'italic 400',
      'normal 700',
    ]);
    expect(record.category).toBe('slab');
    const [file] = record.files;
    const served = await fetch(`${server.url}/proof/fonts/${file?.name ?? ''}`);
    expect((await served.arrayBuffer()).byteLength).toBe(file?.bytes);

    const made = await fetch(`${server.url}/api/systems`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Own' }),
    });
    const { id } = z.object({ id: z.string() }).parse(await made.json());
    const uuid = () => crypto.randomUUID();
    const changed = await fetch(`${server.url}/api/systems/${id}/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: uuid(),
        base: 0,
        patch: [{ op: 'replace', path: '/fonts/roles/text/family', value: record }],
        label: 'own',
        window: uuid(),
        gesture: uuid(),
      }),
    });
    expect(changed.status).toBe(200);
    const zip = await fetch(`${server.url}/api/systems/${id}/export/tokens.zip`);
    const archive = unzipSync(new Uint8Array(await zip.arrayBuffer()));
    expect(archive[`fonts/${file?.name ?? ''}`]?.length).toBe(file?.bytes);
    expect(strFromU8(archive[`fonts/${record.id}-license.txt`] ?? new Uint8Array())).toBe(
      'Bought for this site, order 17.',
    );
  });

  test('that forbid embedding need a confirmation, which is recorded', async () => {
    const restricted = withEmbeddingBits(await unpacked(woff2), 2);
    const before = (await ownFamilies()).length;
    const refused = await upload([['Locked.ttf', restricted]], { licence: 'x' });
    expect(refused.status).toBe(409);
    expect(problemSchema.parse(await refused.json()).type).toBe(
      '/problems/font-needs-confirmation',
    );
    expect(await ownFamilies()).toHaveLength(before);
    const taken = await upload([['Locked.ttf', restricted]], { licence: 'x', confirmed: 'yes' });
    expect(taken.status).toBe(201);
    expect(fontFamily.parse(await taken.json())).toMatchObject({
      embedding: 'restricted',
      confirmed: expect.stringContaining('confirmed that the license allows'),
    });
  });
});

/** A plain font whose character map is one group, from 0 to the last: 28 bytes that stand for billions. */
function endlessMap(last = 0xffff_ffff): Uint8Array {
  const copy = plain.slice();
  const view = new DataView(copy.buffer);
  for (let row = 12; row < 12 + 16 * view.getUint16(4); row += 16) {
    if (strFromU8(copy.subarray(row, row + 4)) !== 'cmap') continue;
    const at = view.getUint32(row + 8);
    // Version 0, one subtable for Windows and all of Unicode, 12 bytes from here.
    [0, 1, 3, 10, 0, 12].forEach((value, index) => view.setUint16(at + index * 2, value));
    view.setUint32(at + 12, 12 << 16);
    [28, 0, 1, 0, last, 1].forEach((value, index) => view.setUint32(at + 16 + index * 4, value));
  }
  return copy;
}

/** A WOFF2 whose directory claims thirty tables of 100 MB. */
function greedyWoff2(): Uint8Array {
  const bytes = new Uint8Array(48 + 30 * 5 + 100);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, 0x77_4f_46_32);
  view.setUint32(4, 0x0001_0000);
  view.setUint32(8, bytes.length);
  view.setUint16(12, 30);
  view.setUint32(16, 1000);
  for (let table = 0; table < 30; table += 1)
    // 100,000,000 in seven bits a byte.
    bytes.set([0x00, 0x80 | 47, 0x80 | 87, 0x80 | 66, 0x00], 48 + table * 5);
  return bytes;
}

describe('a file that is refused is named, and nothing is stored', () => {
  const bomb = woff2.slice();
  new DataView(bomb.buffer).setUint32(16, 0xfffffff0);
  test.each([
    ['no font at all', new TextEncoder().encode('This is a letter, not a font.'), 'it is no font'],
    ['an empty one', new Uint8Array(), 'it is no font'],
    ['a damaged one', woff2.slice(0, 3000), ''],
    ['one that claims to unpack to gigabytes', bomb, 'more than 32 MB'],
    ['one whose map claims every number there is', endlessMap(), 'characters that there are not'],
    ['one whose map claims all of Unicode', endlessMap(0x10ffff), 'more than 200000 characters'],
    ['one whose packed tables claim gigabytes', greedyWoff2(), 'claim more than 32 MB'],
    ['one over 8 MB', new Uint8Array(9 * 1024 * 1024), 'larger than 8 MB'],
  ])('%s', async (_, bytes, words) => {
    const before = (await ownFamilies()).length;
    const response = await upload([
      ['Good.woff2', woff2],
      ['Bad.woff2', bytes],
    ]);
    expect(response.status).toBe(422);
    const problem = problemSchema.parse(await response.json());
    expect(problem.problems?.map(({ path }) => path)).toEqual(['Bad.woff2']);
    expect(problem.problems?.[0]?.message).toContain(words);
    expect(await ownFamilies()).toHaveLength(before);
  });

  test('no file', async () => {
    expect((await upload([])).status).toBe(422);
  });
});

test('a reader that takes more memory than it may is ended by the system, and the next one reads', async () => {
  const { rss } = process.memoryUsage();
  const hungry = createFontReader(fileURLToPath(new URL('./hungry-process.mjs', import.meta.url)));
  expect(await hungry.measure(woff2)).toEqual({
    ok: false,
    problem: 'reading it took more memory or time than a font may',
  });
  hungry.close();
  expect(process.memoryUsage().rss - rss).toBeLessThan(200_000_000);
}, 30_000);

test('thousands of mutated files neither stop the reader nor get through it unmeasured', async () => {
  const sources = [plain, woff2];
  const reader = createFontReader();
  let seed = 20_261_125;
  const random = (below: number): number => {
    seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((seed / 2 ** 32) * below);
  };
  let read = 0;
  let refused = 0;
  for (let round = 0; round < 2000; round += 1) {
    const bytes = (sources[round % sources.length] ?? plain).slice();
    // Half of the changes fall into the header and the directory, where they do most harm.
    for (let change = 0; change <= random(8); change += 1)
      bytes[random(random(2) === 0 ? 300 : bytes.length)] = random(256);
    const answer = await reader.measure(
      random(10) === 0 ? bytes.slice(0, random(bytes.length)) : bytes,
    );
    if (answer.ok) {
      read += 1;
      expect(Number.isFinite(answer.facts.metrics.xHeight)).toBe(true);
    } else refused += 1;
  }
  expect(read + refused).toBe(2000);
  expect(refused).toBeGreaterThan(500);
  const after = await reader.measure(woff2);
  expect(after.ok).toBe(true);
  reader.close();
}, 240_000);
