import { createHash, randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { ASKED } from '@garnish/core/notes/note-schema';
import { differenceOf } from '@garnish/core/releases/difference';
import { DIFFERENCE_FILES } from '@garnish/core/releases/files';
import { replacementsOf } from '@garnish/core/releases/replacements';
import type { Patch } from '@garnish/core/system/patch';
import { readDocument } from '@garnish/core/system/upgrade';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import * as z from 'zod';
import { handedDemos } from '../demo/handoffs.ts';
import { DEMO_CHANNEL } from '../messages/receiver.ts';
import { problemSchema } from '../problems.ts';
import { systemPage, systemSummary } from '../systems/schemas.ts';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;
let id: string;

const json = (body: unknown) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

const releaseAnswer = z.object({
  number: z.string(),
  words: z.string(),
  sequence: z.number(),
  files: z.array(z.object({ file: z.string(), bytes: z.number(), hash: z.string() })),
});

const at = (rest: string, system = id) => `${server.url}/api/systems/${system}/${rest}`;
const ask = async (rest: string): Promise<unknown> => (await fetch(at(rest))).json();
const bytesOf = async (address: string): Promise<Buffer> =>
  Buffer.from(await (await fetch(address)).arrayBuffer());

const make = (number: string, base: number, words = '') =>
  fetch(at('releases'), json({ number, words, base }));
const made = async (number: string, base: number, words = '') =>
  releaseAnswer.parse(await (await make(number, base, words)).json());
const problemOf = async (answer: Response | Promise<Response>) =>
  problemSchema.parse(await (await answer).json());

const change = (patch: Patch, base: number) =>
  fetch(
    at('changes'),
    json({
      id: randomUUID(),
      base,
      patch,
      label: 'a change',
      window: randomUUID(),
      gesture: randomUUID(),
    }),
  );

const unit = (value: number): Patch => [{ op: 'replace', path: '/space/unit', value }];

const newSystem = async (name: string): Promise<string> =>
  systemSummary.parse(await (await fetch(`${server.url}/api/systems`, json({ name }))).json()).id;

beforeAll(async () => {
  server = await testServer('garnish_releases');
});
afterAll(() => server.close());

describe('a release', () => {
  beforeAll(async () => {
    id = await newSystem('Tern Island');
  });

  test('is 1.0.0 at first, is made of what was seen, and keeps every file byte for byte', async () => {
    expect(await ask('releases')).toEqual({ releases: [] });
    expect(await ask('releases/next')).toEqual({ number: '1.0.0', reasons: [] });
    const before = await bytesOf(at('export/tokens.css'));
    const first = await made('1.0.0', 0, 'The first <b>one</b>.');
    expect(first).toMatchObject({ number: '1.0.0', words: 'The first <b>one</b>.', sequence: 0 });
    expect(first.files.map(({ file }) => file)).toEqual(
      expect.arrayContaining([
        'tokens.css',
        'tokens.json',
        'handoff.md',
        'tokens.zip',
        'icons.zip',
      ]),
    );
    await change(unit(10), 0);
    expect(await bytesOf(at('export/tokens.css'))).not.toEqual(before);
    for (const number of ['1.0.0', 'latest'])
      expect(await bytesOf(at(`releases/${number}/files/tokens.css`))).toEqual(before);
    for (const { file, bytes, hash } of first.files) {
      const content = await bytesOf(at(`releases/1.0.0/files/${file}`));
      expect([file, content.length, createHash('sha256').update(content).digest('hex')]).toEqual([
        file,
        bytes,
        hash,
      ]);
    }
  }, 30_000);

  test('stands at addresses that stay; the last one is asked for anew', async () => {
    const numbered = await fetch(at('releases/1.0.0/files/tokens.css'));
    expect(numbered.headers.get('cache-control')).toContain('immutable');
    expect(numbered.headers.get('content-disposition')).toContain('1-0-0-tokens.css');
    const tag = numbered.headers.get('etag') ?? '';
    const last = await fetch(at('releases/latest/files/tokens.css'), {
      headers: { 'if-none-match': tag },
    });
    expect([last.status, last.headers.get('cache-control')]).toEqual([304, 'no-cache']);
  });

  test('has a number after the last one, proposed from what changed, and is of what its maker has seen', async () => {
    expect(await ask('releases/next')).toMatchObject({
      number: '1.0.1',
      reasons: [{ kind: 'patch' }],
    });
    for (const [number, base, words] of [
      ['1.0.0', 1, 'after 1.0.0'],
      ['0.9.9', 1, 'after 1.0.0'],
      ['1.0.1', 0, 'changed meanwhile'],
    ] as const) {
      const answer = await make(number, base);
      expect(answer.status).toBe(409);
      expect((await problemOf(answer)).detail).toContain(words);
    }
    for (const number of ['1.1', 'v2.0.0', '1.0.0-a', 'latest', '__proto__', '1.0.999999'])
      expect((await make(number, 1)).status).toBe(400);
    const answers = await Promise.all([make('1.0.1', 1), make('1.0.1', 1)]);
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([201, 409]));
    const { releases } = z
      .object({ releases: z.array(releaseAnswer) })
      .parse(await ask('releases'));
    expect(releases.map(({ number }) => number)).toEqual(['1.0.1', '1.0.0']);
    expect(await ask('releases/next')).toEqual({ reasons: [] });
  }, 30_000);

  test('is sorted by its number, not by its letters', async () => {
    await change(unit(11), 1);
    await made('1.0.10', 2);
    await change(unit(12), 2);
    expect((await make('1.0.9', 3)).status).toBe(409);
    await made('1.1.0', 3);
    const { releases } = z
      .object({ releases: z.array(releaseAnswer) })
      .parse(await ask('releases'));
    expect(releases.map(({ number }) => number)).toEqual(['1.1.0', '1.0.10', '1.0.1', '1.0.0']);
  }, 30_000);

  test('is never altered, not even past the application', async () => {
    for (const sql of [
      `UPDATE releases SET words = 'other'`,
      `UPDATE release_files SET bytes = '\\x00'`,
    ])
      await expect(server.run(sql)).rejects.toThrow('never altered');
  });

  test('that is not there, and a file that it has not, is told in words', async () => {
    for (const rest of [
      'releases/9.9.9/files/tokens.css',
      'releases/1.0.0/files/__proto__',
      'releases/1.0.0/files/..%2f..%2fetc',
      'releases/9.9.9/document',
      'difference?from=9.9.9',
    ]) {
      const answer = await fetch(at(rest));
      expect([rest, answer.status]).toEqual([rest, 404]);
      expect((await problemOf(answer)).type).toBe('/problems/unknown-release');
    }
    expect((await fetch(at('releases', randomUUID()))).status).toBe(404);
    const bare = await newSystem('Without any');
    expect((await problemOf(fetch(at('difference', bare)))).detail).toContain('no release yet');
    expect((await fetch(at('releases/latest/files/tokens.css', bare))).status).toBe(404);
  });
});

describe('what became of a system between two states', () => {
  test('is what core finds of their documents, and comes as files too', async () => {
    const [one, other] = await Promise.all(
      ['1.0.0', '1.1.0'].map(async (number) => {
        const { document } = z
          .object({ document: z.unknown() })
          .parse(await ask(`releases/${number}/document`));
        const read = readDocument(document);
        if (!read.ok) throw new Error('it cannot be read');
        return read.document;
      }),
    );
    if (!one || !other) throw new Error('there are no two');
    const expected = differenceOf(one, other);
    expect(await ask('difference?from=1.0.0&to=1.1.0')).toMatchObject({
      from: { name: '1.0.0', sequence: 0 },
      to: { name: '1.1.0', sequence: 3 },
      name: 'Tern Island',
      difference: JSON.parse(JSON.stringify(expected)) as object,
    });
    const between = { name: 'Tern Island', from: '1.0.0', to: '1.1.0' };
    for (const { file, write } of DIFFERENCE_FILES)
      expect(String(await bytesOf(at(`difference/${file}?from=1.0.0&to=1.1.0`)))).toBe(
        write(expected, between),
      );
    expect(await ask('difference/replacements.json?from=1.0.0&to=1.1.0')).toEqual({
      ...replacementsOf(expected, between),
    });
  });

  test('follows what stands now, and what was asked for before is not told again', async () => {
    const paths = async () =>
      z
        .object({ difference: z.object({ causes: z.array(z.object({ after: z.string() })) }) })
        .parse(await ask('difference'))
        .difference.causes.map(({ after }) => after);
    expect(await paths()).toEqual([]);
    await change(unit(20), 3);
    expect(await paths()).toEqual(['20 px']);
    await change(unit(21), 4);
    expect(await paths()).toEqual(['21 px']);
  });
});

describe('kept with its system', () => {
  test('comes with the archive of everything, byte for byte, and a damaged one is refused', async () => {
    const other = await testServer('garnish_releases_other');
    try {
      const archive = new Uint8Array(await (await fetch(`${server.url}/api/backup`)).arrayBuffer());
      const restore = (bytes: Uint8Array) => {
        const form = new FormData();
        form.append('archive', new Blob([bytes as BlobPart]), 'garnish.zip');
        return fetch(`${other.url}/api/restore?replace=no`, { method: 'POST', body: form });
      };
      const files = unzipSync(archive);
      const name = Object.keys(files).find((one) => one.endsWith('/tokens.css')) ?? '';
      const manifest = JSON.parse(strFromU8(files['manifest.json'] ?? new Uint8Array())) as {
        files: Record<string, { bytes: number; sha256: string }>;
      };
      const bytes = strToU8('another sheet');
      manifest.files[name] = {
        bytes: bytes.length,
        sha256: createHash('sha256').update(bytes).digest('hex'),
      };
      const refused = await restore(
        zipSync({ ...files, [name]: bytes, 'manifest.json': strToU8(JSON.stringify(manifest)) }),
      );
      expect((await problemOf(refused)).detail).toContain('not as it was released');
      expect((await restore(archive)).status).toBe(200);
      // Again: nothing is doubled, and nothing is missing.
      expect((await restore(archive)).status).toBe(200);
      const there = `${other.url}/api/systems/${id}/releases`;
      const here = at('releases');
      expect(await (await fetch(there)).json()).toEqual(await (await fetch(here)).json());
      for (const file of ['tokens.css', 'tokens.zip'])
        expect(await bytesOf(`${there}/1.0.0/files/${file}`)).toEqual(
          await bytesOf(`${here}/1.0.0/files/${file}`),
        );
    } finally {
      await other.close();
    }
  }, 60_000);

  test('is not there while its system is deleted, comes back with it, and goes with it for good', async () => {
    const address = at('releases/1.0.0/files/tokens.css');
    await fetch(at('').slice(0, -1), { method: 'DELETE' });
    expect((await fetch(address)).status).toBe(404);
    await fetch(at('restore'), { method: 'POST' });
    expect((await fetch(address)).status).toBe(200);
    await fetch(at('').slice(0, -1), { method: 'DELETE' });
    expect((await fetch(at('for-good'), { method: 'DELETE' })).status).toBe(204);
    await expect(
      server.run(
        "DO $$ BEGIN IF EXISTS (SELECT FROM release_files) THEN RAISE 'some are left'; END IF; END $$",
      ),
    ).resolves.toBeUndefined();
  });
});

test('each system of the demo has two releases, links and notes where they are wanted', async () => {
  const { createServer } = await import('../app.ts');
  const demo = await testServer('garnish_released_demo');
  const app = await createServer({ databaseUrl: demo.databaseUrl, demo: 'handed over' });
  try {
    const url = await app.listen({ host: '127.0.0.1', port: 0 });
    const { systems } = systemPage.parse(await (await fetch(`${url}/api/systems`)).json());
    const ferries = systems.find(({ name }) => name === 'Brackwater Ferries')?.id ?? '';
    for (const demo of handedDemos()) {
      const wanted = demo.system();
      const id = systems.find(({ name }) => name === wanted.name)?.id ?? '';
      const of = async (path: string): Promise<unknown> =>
        (await fetch(`${url}/api/systems/${id}${path}`)).json();
      const { releases } = z
        .object({ releases: z.array(releaseAnswer) })
        .parse(await of('/releases'));
      expect(releases.map(({ number }) => number)).toEqual(
        demo.releases.map(({ number }) => number).toReversed(),
      );
      // What was decided since the first one makes it the very system that is shown.
      const { document } = z.object({ document: z.unknown() }).parse(await of(''));
      expect(document).toEqual(wanted);
      expect(await of('/links')).toMatchObject({
        links: expect.arrayContaining([expect.objectContaining({ forClient: true })]),
      });
      const { notes } = (await of('/notes')) as { notes: { words: string }[] };
      expect(notes.map(({ words }) => words)).toEqual(
        expect.arrayContaining(demo.talks.map(({ words }) => words)),
      );
    }
    const answer = await fetch(`${url}/api/systems/${ferries}/difference?from=1.0.0&to=1.1.0`);
    const { reasons } = z
      .object({ reasons: z.array(z.object({ kind: z.string() })) })
      .parse(await answer.json());
    // What was proposed is what was taken.
    expect(reasons[0]?.kind).toBe('minor');
    // A question to the client with its answer, and a channel that is told of all notes.
    const read = async (path: string): Promise<unknown> =>
      (await fetch(`${url}/api/systems/${ferries}/${path}`)).json();
    const { notes } = (await read('notes')) as {
      notes: { id: string; kind: string; answers?: string }[];
    };
    const asked = notes.find(({ kind }) => kind === ASKED);
    expect(notes.some(({ answers }) => answers === asked?.id)).toBe(true);
    const { messages } = (await read('messages')) as { messages: { url: string }[] };
    expect(messages.map((one) => one.url)).toEqual(notes.map(() => DEMO_CHANNEL));
  } finally {
    await app.close();
    await demo.close();
  }
}, 60_000);
