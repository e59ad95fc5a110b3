import { createHash } from 'node:crypto';
import { SCHEMA } from '@garnish/core/system/document';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { family, fontPath } from '../fonts/shipped.ts';
import { systemPage } from '../systems/schemas.ts';
import { testServer, type TestServer } from '../test-server.ts';

let full: TestServer;
let empty: TestServer;

beforeAll(async () => {
  full = await testServer('garnish_full', true);
  empty = await testServer('garnish_empty');
  const { systems } = await list(full);
  const [first, second, third] = systems;
  for (let value = 4; value < 12; value += 1) await change(first?.id, value, value - 4);
  await fetch(`${full.url}/api/systems/${third?.id ?? ''}`, { method: 'DELETE' });
  await full.run(
    `UPDATE systems SET document = jsonb_set(document, '{schema}', '99') WHERE id = '${second?.id ?? ''}'`,
  );
  await fetch(`${full.url}/api/palettes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      palette: { name: 'Dunes', colors: [{ name: 'sand', hex: '#c8b48a' }] },
      note: 'for later',
      origin: 'Somewhere',
    }),
  });
  const [file] = family('aleo').files;
  const form = new FormData();
  form.set('licence', 'Bought.');
  form.append('files', new Blob([readFileSync(fontPath(file?.name ?? '') ?? '')]), 'A.woff2');
  await fetch(`${full.url}/api/fonts/own`, { method: 'POST', body: form });
}, 30_000);
afterAll(async () => {
  await full.close();
  await empty.close();
});

const list = async ({ url }: TestServer) =>
  systemPage.parse(await (await fetch(`${url}/api/systems?order=name`)).json());

const change = (id: string | undefined, value: number, base: number) =>
  fetch(`${full.url}/api/systems/${id ?? ''}/changes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      id: randomUUID(),
      base,
      patch: [{ op: 'replace', path: '/space/unit', value }],
      label: 'unit',
      window: randomUUID(),
      gesture: randomUUID(),
    }),
  });

const backup = async ({ url }: TestServer): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(`${url}/api/backup`)).arrayBuffer());

function restore({ url }: TestServer, bytes: Uint8Array, replace = false): Promise<Response> {
  const form = new FormData();
  form.append('archive', new Blob([bytes as BlobPart]), 'garnish.zip');
  return fetch(`${url}/api/restore?replace=${replace ? 'yes' : 'no'}`, {
    method: 'POST',
    body: form,
  });
}

/** The files of an archive but for its manifest, which tells when it was made. */
const content = (bytes: Uint8Array): Record<string, string> =>
  Object.fromEntries(
    Object.entries(unzipSync(bytes))
      .filter(([name]) => name !== 'manifest.json')
      .map(([name, file]) => [name, strFromU8(file, true)]),
  );

const problemOf = async (response: Response) => problemSchema.parse(await response.json());

describe('an archive', () => {
  test('holds everything, and comes back into an empty installation exactly', async () => {
    const archive = await backup(full);
    const names = Object.keys(content(archive));
    expect(names.filter((name) => name.endsWith('system.json'))).toHaveLength(3);
    expect(names.some((name) => name.startsWith('fonts/own-'))).toBe(true);
    expect(names.some((name) => name.startsWith('pictures/'))).toBe(true);
    const answer = await restore(empty, archive);
    expect([answer.status, await answer.json()]).toEqual([
      200,
      { systems: 3, changes: 8, keepers: 1, families: 1, pictures: 5, same: 0 },
    ]);
    expect(content(await backup(empty))).toEqual(content(archive));
    // Again: nothing is doubled.
    expect(await (await restore(empty, archive)).json()).toMatchObject({ systems: 0, same: 3 });
    expect(content(await backup(empty))).toEqual(content(archive));
    expect((await list(empty)).systems.map(({ name }) => name)).toEqual(
      (await list(full)).systems.map(({ name }) => name),
    );
  }, 30_000);

  test('that differs from what is here changes nothing until that is said', async () => {
    const archive = await backup(empty);
    const { systems } = await list(full);
    const changed = systems.find(({ problem }) => problem === undefined);
    await change(changed?.id, 20, 8);
    const before = content(await backup(full));
    const refused = await restore(full, archive);
    expect(refused.status).toBe(409);
    expect((await problemOf(refused)).detail).toContain(changed?.name);
    expect(content(await backup(full))).toEqual(before);
    expect((await restore(full, archive, true)).status).toBe(200);
    expect(content(await backup(full))).toEqual(content(archive));
  }, 30_000);

  const manifestOf = (files: Record<string, Uint8Array>) => {
    const manifest = JSON.parse(strFromU8(files['manifest.json'] ?? new Uint8Array())) as {
      files: Record<string, { bytes: number; sha256: string }>;
    };
    return manifest;
  };

  /** An archive with other content in some of its files, and a manifest that says so. */
  function resealed(
    files: Record<string, Uint8Array>,
    others: Record<string, Uint8Array>,
    more: Record<string, unknown> = {},
  ): Uint8Array {
    const manifest = manifestOf(files);
    for (const [name, bytes] of Object.entries(others))
      manifest.files[name] = {
        bytes: bytes.length,
        sha256: createHash('sha256').update(bytes).digest('hex'),
      };
    const sealed = strToU8(JSON.stringify({ ...manifest, ...more }));
    return zipSync({ ...files, ...others, 'manifest.json': sealed });
  }

  /** The lines of what is kept, each as something else. */
  const keptAs = (
    files: Record<string, Uint8Array>,
    other: (line: Record<string, unknown>) => unknown,
    name = 'keepers.jsonl',
  ): Record<string, Uint8Array> => ({
    [name]: strToU8(
      strFromU8(files[name] ?? new Uint8Array())
        .split('\n')
        .map((line) => JSON.stringify(other(JSON.parse(line) as Record<string, unknown>)))
        .join('\n'),
    ),
  });

  test('of the first version, which did not say how things were kept, comes back as the fifth schema', async () => {
    const archive = await backup(full);
    const files = unzipSync(archive);
    const silent = ({ schema: _, ...line }: Record<string, unknown>): unknown => line;
    const first = resealed(
      files,
      { ...keptAs(files, silent), ...keptAs(files, silent, 'families.jsonl') },
      { version: 1 },
    );
    const other = await testServer('garnish_first_archive');
    try {
      expect(await (await restore(other, first)).json()).toMatchObject({ keepers: 1, families: 1 });
      const kept = content(await backup(other));
      expect(kept['keepers.jsonl']).toContain('"schema" : 5');
      expect(kept['families.jsonl']).toContain('"schema" : 5');
    } finally {
      await other.close();
    }
  }, 30_000);

  test.each<[string, (files: Record<string, Uint8Array>) => Uint8Array, string]>([
    ['is none', () => strToU8('not a zip'), 'no archive that can be unpacked'],
    ['has no manifest', ({ 'manifest.json': _, ...files }) => zipSync(files), 'no manifest'],
    [
      'is damaged',
      (files) => {
        const name = Object.keys(files).find((one) => one.startsWith('pictures/')) ?? '';
        const bytes = files[name]?.slice() ?? new Uint8Array();
        bytes[100] = (bytes[100] ?? 0) ^ 1;
        return zipSync({ ...files, [name]: bytes });
      },
      'is damaged: its checksum is another',
    ],
    [
      'lacks a file',
      (files) => {
        const { 'keepers.jsonl': _, ...rest } = files;
        return zipSync(rest);
      },
      'keepers.jsonl is missing from it',
    ],
    [
      'has one more',
      (files) => zipSync({ ...files, 'systems/x': strToU8('x') }),
      'not in its manifest',
    ],
    [
      'holds a system that harms',
      (files) => {
        const name = Object.keys(files).find((one) => one.endsWith('system.json')) ?? '';
        const text = strFromU8(files[name] ?? new Uint8Array());
        const bytes = strToU8(
          text.replace(/"document" ?: ?\{/, '"document": {"constructor": {"x": 1}, '),
        );
        return resealed(files, { [name]: bytes });
      },
      'every object has',
    ],
    [
      'was kept under a schema that is not known here',
      (files) =>
        resealed(
          files,
          keptAs(files, (line) => ({ ...line, schema: SCHEMA + 1 })),
        ),
      'keepers.jsonl is not of its form',
    ],
    [
      'holds a pair that is none',
      (files) =>
        resealed(
          files,
          keptAs(files, (line) => ({ ...line, content: { heading: 1 } })),
        ),
      'keepers.jsonl holds something that is not of its form',
    ],
  ])('that %s is refused in words, and nothing is changed', async (_, spoil, words) => {
    const archive = await backup(empty);
    const before = content(archive);
    const answer = await restore(empty, spoil(unzipSync(archive)));
    expect(answer.status).toBe(422);
    expect((await problemOf(answer)).detail).toContain(words);
    expect(content(await backup(empty))).toEqual(before);
  });
});

describe('what is stored', () => {
  const look = async () =>
    z
      .object({
        families: z.array(
          z.object({ id: z.string(), bytes: z.number(), usedBy: z.array(z.string()) }),
        ),
        pictures: z.array(z.object({ id: z.string(), usedBy: z.array(z.string()) })),
        deleted: z.array(z.object({ id: z.string(), name: z.string() })),
      })
      .parse(await (await fetch(`${full.url}/api/storage`)).json());
  const remove = (path: string) => fetch(`${full.url}/api/${path}`, { method: 'DELETE' });

  test('is told with what uses it, and what is used cannot be deleted', async () => {
    const { families, pictures, deleted } = await look();
    expect(families).toHaveLength(1);
    expect(deleted).toHaveLength(1);
    const [picture] = pictures;
    expect(picture?.usedBy).toEqual(['Brackwater Ferries']);
    const used = await remove(`pictures/${picture?.id ?? ''}`);
    expect(used.status).toBe(409);
    expect((await problemOf(used)).detail).toContain('Brackwater Ferries');
    expect((await remove(`fonts/own/${families[0]?.id ?? ''}`)).status).toBe(204);
    expect((await remove(`fonts/own/${families[0]?.id ?? ''}`)).status).toBe(404);
    expect((await look()).families).toEqual([]);
    expect((await remove(`systems/${deleted[0]?.id ?? ''}/for-good`)).status).toBe(204);
    expect((await look()).deleted).toEqual([]);
  });
});

describe('an installation that a newer one has used', () => {
  test('is not started by an older one: it says so by name', async () => {
    await empty.run(`INSERT INTO "SequelizeMeta" (name) VALUES ('0099-from-the-future')`);
    await expect(empty.another()).rejects.toThrow(
      /A newer Garnish has used this database \(0099-from-the-future\)/,
    );
    await empty.run(`DELETE FROM "SequelizeMeta" WHERE name = '0099-from-the-future'`);
  });
});
