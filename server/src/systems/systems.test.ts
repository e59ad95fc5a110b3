import { randomUUID } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { validate } from '@garnish/core/system/validate';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { testServer, type TestServer } from '../test-server.ts';
import { changeSchema, systemPage, systemSummary } from './schemas.ts';

let server: TestServer;

beforeAll(async () => {
  server = await testServer('garnish_systems');
});
afterAll(() => server.close());

const call = (method: string, path: string, body?: unknown, base = server.url) =>
  fetch(`${base}${path}`, {
    method,
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  });

const problemOf = async (response: Response) => problemSchema.parse(await response.json());

async function made(name = 'Alder Street Bakery'): Promise<string> {
  const response = await call('POST', '/api/systems', { name });
  expect(response.status).toBe(201);
  return systemSummary.parse(await response.json()).id;
}

const listed = async (query = '') =>
  systemPage.parse(await (await call('GET', `/api/systems${query}`)).json());

const opened = z.object({ sequence: z.number(), document: z.unknown() });
const open = async (id: string) => {
  const { sequence, document } = opened.parse(
    await (await call('GET', `/api/systems/${id}`)).json(),
  );
  const checked = validate(document);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return { sequence, document: checked.document };
};

const unit = (value: unknown, base: number, more: object = {}) => ({
  id: randomUUID(),
  base,
  patch: [{ op: 'replace', path: '/space/unit', value }],
  label: 'base unit',
  window: randomUUID(),
  gesture: randomUUID(),
  ...more,
});

const change = (id: string, body: unknown) => call('POST', `/api/systems/${id}/changes`, body);

describe('systems', () => {
  test('are made, listed, duplicated, deleted and brought back', async () => {
    const id = await made('First');
    const names = async () => (await listed()).systems.map(({ name }) => name);
    expect(await names()).toContain('First');
    const copy = await call('POST', `/api/systems/${id}/duplicate`);
    expect(systemSummary.parse(await copy.json()).name).toBe('First copy');
    expect((await call('DELETE', `/api/systems/${id}`)).status).toBe(204);
    expect(await names()).toEqual(['First copy']);
    expect((await call('GET', `/api/systems/${id}`)).status).toBe(404);
    expect((await call('POST', `/api/systems/${id}/restore`)).status).toBe(200);
    expect(await names()).toContain('First');
  });

  test('that cannot be read are named and kept, hide no other, and can be taken away or deleted', async () => {
    const ids = await Promise.all(
      ['From the future', 'Broken', 'Beside them'].map((name) => made(name)),
    );
    const [future = '', broken = '', beside = ''] = ids;
    await server.run(
      `UPDATE systems SET document = jsonb_set(document, '{schema}', '99'), summary_of = NULL WHERE id = '${future}'`,
    );
    // Saved by an older server: deriving it would throw.
    await server.run(
      `UPDATE systems SET document = document - 'type', summary_of = NULL WHERE id = '${broken}'`,
    );
    const { systems } = await listed('?order=name');
    const byName = new Map(systems.map((system) => [system.name, system]));
    expect(byName.get('From the future')?.problem).toContain('a newer Garnish wrote this system');
    expect(byName.get('Broken')?.problem).toContain('/type');
    expect(byName.get('Beside them')).toMatchObject({ findings: { repair: 0, look: 0 } });
    const refused = await call('GET', `/api/systems/${future}`);
    expect(refused.status).toBe(422);
    expect((await problemOf(refused)).detail).toContain('a newer Garnish');
    const stored = await call('GET', `/api/systems/${future}/stored`);
    expect(stored.headers.get('content-disposition')).toContain(`system-${future}.json`);
    expect(await stored.json()).toMatchObject({ name: 'From the future', schema: 99 });
    for (const id of [future, broken])
      expect((await call('DELETE', `/api/systems/${id}`)).status).toBe(204);
    expect((await listed('?search=Beside')).systems.map(({ id }) => id)).toEqual([beside]);
  });

  test('are found by a part of their name or description, as it is written, in pages', async () => {
    await Promise.all(
      ['A 50% off', 'B 50 x off', 'C under_score', 'D underXscore'].map((name) => made(name)),
    );
    const names = async (search: string, more = '') =>
      (await listed(`?order=name&search=${encodeURIComponent(search)}${more}`)).systems.map(
        ({ name }) => name,
      );
    expect(await names('50%')).toEqual(['A 50% off']);
    expect(await names('R_S')).toEqual(['C under_score']);
    expect(await names('\\')).toEqual([]);
    expect(await names('off', '&limit=1&offset=1')).toEqual(['B 50 x off']);
    expect((await listed('?search=off&limit=1')).total).toBe(2);
  });

  test('that were deleted are deleted for good only then', async () => {
    const id = await made('Gone');
    await change(id, unit(4, 0));
    const forGood = () => call('DELETE', `/api/systems/${id}/for-good`);
    expect((await forGood()).status).toBe(404);
    await call('DELETE', `/api/systems/${id}`);
    expect((await forGood()).status).toBe(204);
    expect((await call('POST', `/api/systems/${id}/restore`)).status).toBe(404);
  });

  test('keep their summary: the list derives only what was changed since', async () => {
    const id = await made('Kept');
    await listed();
    // A summary that nobody could derive shows whether it was taken from what is stored.
    await server.run(
      `UPDATE systems SET summary = jsonb_set(summary, '{findings,look}', '77') WHERE id = '${id}'`,
    );
    const looks = async () => (await listed('?search=Kept')).systems[0]?.findings?.look;
    expect(await looks()).toBe(77);
    await change(id, unit(4, 0));
    expect(await looks()).not.toBe(77);
  });

  test('tell in the list what was measured on their pages, until they change', async () => {
    const id = await made('Measured Mill');
    const findings = async () => (await listed('?search=Measured')).systems[0]?.findings;
    const measured = (sequence: number, ...found: readonly object[]) =>
      call('PUT', `/api/systems/${id}/measured`, { sequence, findings: found });
    const words = {
      id: 'over',
      severity: 'repair',
      title: 'Words over a hill',
      figures: '1.9 of 3',
    };
    expect((await measured(0, words, { ...words, id: 'edge', severity: 'look' })).status).toBe(204);
    expect(await findings()).toEqual({ repair: 1, look: 1, isMeasured: true });
    const handoff = async () => (await call('GET', `/api/systems/${id}/export/handoff.md`)).text();
    expect(await handoff()).toContain('- Words over a hill: 1.9 of 3');
    // What was accepted is not waiting.
    const accepting = {
      ...unit(10, 0),
      patch: [{ op: 'add', path: '/accepted/over', value: { reason: 'Meant so.' } }],
    };
    expect((await change(id, accepting)).status).toBe(200);
    expect(await findings()).toEqual({ repair: 0, look: 0, isMeasured: false });
    expect(await handoff()).toContain('was not measured since the last change');
    // What was measured of another state is not taken for this one.
    expect((await measured(0, words)).status).toBe(204);
    expect(await findings()).toMatchObject({ isMeasured: false });
    expect((await measured(1, words)).status).toBe(204);
    expect(await findings()).toEqual({ repair: 0, look: 0, isMeasured: true });
    expect(await handoff()).toContain('- Words over a hill: Meant so.');
    // Anything else is refused in words.
    expect((await measured(1, { ...words, severity: 'fatal' })).status).toBe(400);
    expect(
      (await call('PUT', `/api/systems/${randomUUID()}/measured`, { sequence: 0, findings: [] }))
        .status,
    ).toBe(404);
  });

  test('keep what came out when their files were read, with the state that it is of', async () => {
    const id = await made('Verified Vale');
    const file = {
      file: 'tokens.css',
      widths: [360],
      modes: ['light'],
      tokens: 2,
      values: 2,
      unequal: 0,
      told: [],
      without: [],
    };
    const keep = (sequence: number, ...files: readonly object[]) =>
      call('PUT', `/api/systems/${id}/verified`, { sequence, verification: { files } });
    const kept = async (): Promise<unknown> =>
      (await call('GET', `/api/systems/${id}/verified`)).json();
    const exported = async (name: string) => {
      const answer = await call('GET', `/api/systems/${id}/export/${name}`);
      return { etag: answer.headers.get('etag'), text: await answer.text() };
    };
    expect(await kept()).toBeNull();
    expect((await keep(0, file)).status).toBe(204);
    expect(await kept()).toEqual({ sequence: 0, verification: { files: [file] } });
    expect(await exported('verified.md')).toMatchObject({
      etag: '"0"',
      text: expect.stringContaining('2 values of 2 tokens as shown') as unknown,
    });
    expect((await change(id, unit(10, 0))).status).toBe(200);
    // It is known still, of the state before; the files of this one are not verified.
    expect(await kept()).toMatchObject({ sequence: 0 });
    expect(await exported('verified.md')).toMatchObject({
      etag: '"1"',
      text: expect.stringContaining('were not verified') as unknown,
    });
    // What is of another state, or is no report, changes nothing.
    expect((await keep(0, { ...file, tokens: 9 })).status).toBe(204);
    expect(await kept()).toMatchObject({ verification: { files: [file] } });
    for (const wrong of [
      { ...file, file: '../x' },
      { ...file, told: [{}] },
      { ...file, widths: [0] },
    ])
      expect((await keep(1, wrong)).status).toBe(400);
    expect(
      (
        await call('PUT', `/api/systems/${randomUUID()}/verified`, {
          sequence: 0,
          verification: { files: [] },
        })
      ).status,
    ).toBe(404);
  });

  test('begin as valid documents without findings', async () => {
    const id = await made();
    const { document, sequence } = await open(id);
    expect(sequence).toBe(0);
    expect(document.name).toBe('Alder Street Bakery');
    const { systems } = await listed();
    expect(systems.find((system) => system.id === id)?.findings).toEqual({
      repair: 0,
      look: 0,
      isMeasured: false,
    });
  });

  test('have ids that cannot be guessed', async () => {
    expect(z.uuidv4().safeParse(await made()).success).toBe(true);
  });
});

describe('a change', () => {
  test('is kept with its inverse, its label and its author', async () => {
    const id = await made();
    const body = unit(4, 0);
    const response = await change(id, body);
    expect(response.status).toBe(200);
    const written = changeSchema.parse(await response.json());
    expect(written).toMatchObject({
      sequence: 1,
      label: 'base unit',
      window: body.window,
      inverse: [{ op: 'replace', path: '/space/unit', value: 8 }],
    });
    expect((await open(id)).document.space.unit).toBe(4);
    const history = await call('GET', `/api/systems/${id}/changes`);
    expect(z.array(changeSchema).parse(await history.json())).toEqual([written]);
  });

  test('that is sent again after a lost reply is not applied again', async () => {
    const id = await made();
    const body = unit(4, 0);
    const first = changeSchema.parse(await (await change(id, body)).json());
    const again = changeSchema.parse(await (await change(id, body)).json());
    expect(again).toEqual(first);
    expect((await open(id)).sequence).toBe(1);
  });

  test('from an older state is merged where nothing was touched twice', async () => {
    const id = await made();
    await change(id, unit(4, 0));
    const other = { ...unit(0, 0), patch: [{ op: 'replace', path: '/name', value: 'Other' }] };
    expect((await change(id, other)).status).toBe(200);
    const { document } = await open(id);
    expect([document.name, document.space.unit]).toEqual(['Other', 4]);
  });

  test('of the same value by somebody else is a conflict that tells what stands there', async () => {
    const id = await made();
    await change(id, unit(4, 0));
    const response = await change(id, unit(10, 0));
    expect(response.status).toBe(409);
    expect(response.headers.get('content-type')).toContain('application/problem+json');
    expect(await problemOf(response)).toMatchObject({
      type: '/problems/conflict',
      conflict: { places: [{ path: '/space/unit', value: 4 }], sequence: 1 },
    });
    expect((await open(id)).document.space.unit).toBe(4);
  });

  test('of a part of what somebody else replaced is a conflict too', async () => {
    const id = await made();
    const { document } = await open(id);
    const whole = [{ op: 'replace', path: '/space', value: { ...document.space, unit: 6 } }];
    expect((await change(id, { ...unit(0, 0), patch: whole })).status).toBe(200);
    expect((await change(id, unit(10, 0))).status).toBe(409);
  });

  test('of the same window knows what it did before', async () => {
    const id = await made();
    const window = randomUUID();
    await change(id, unit(4, 0, { window }));
    expect((await change(id, unit(5, 0, { window }))).status).toBe(200);
  });

  test('many at once end one after the other, none lost', async () => {
    const id = await made();
    const window = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) => change(id, unit(index + 1, 0, { window }))),
    );
    expect(answers.every(({ status }) => status === 200)).toBe(true);
    expect((await open(id)).sequence).toBe(12);
  });
});

const place = (path: string, value: unknown) => ({ op: 'replace', path, value });

describe('a conflict', () => {
  const three = (unitPx: number, name: string, purpose: string) => [
    place('/space/unit', unitPx),
    place('/name', name),
    place('/brief/purpose', purpose),
  ];
  const places = async (response: Response) =>
    (await problemOf(response)).conflict?.places.map(({ path }) => path);

  test('names every place that overlaps, and only answered ones are settled', async () => {
    const id = await made();
    await change(id, { ...unit(0, 0), patch: three(4, 'Theirs', 'their purpose') });
    const mine = { ...unit(0, 0), patch: three(6, 'Mine', 'my purpose') };
    expect(await places(await change(id, mine))).toEqual([
      '/space/unit',
      '/name',
      '/brief/purpose',
    ]);
    const settled = [
      { path: '/space/unit', sequence: 1 },
      { path: '/name', sequence: 1 },
    ];
    expect(await places(await change(id, { ...mine, settled }))).toEqual(['/brief/purpose']);
    // A colleague goes on meanwhile: what was answered before is asked about again.
    await change(id, { ...unit(5, 1), patch: [place('/name', 'Theirs again')] });
    const all = [...settled, { path: '/brief/purpose', sequence: 1 }];
    expect(await places(await change(id, { ...mine, settled: all }))).toEqual(['/name']);
    const now = all.map((one) => ({ ...one, sequence: 2 }));
    expect((await change(id, { ...mine, settled: now })).status).toBe(200);
    expect((await open(id)).document).toMatchObject({ name: 'Mine', space: { unit: 6 } });
  });

  test('is between windows, also of one person; an undo is judged between persons', async () => {
    const id = await made();
    const first = await change(id, unit(4, 0));
    const cookie = first.headers.get('set-cookie')?.split(';')[0] ?? '';
    const asMe = (body: unknown) =>
      fetch(`${server.url}/api/systems/${id}/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie },
        body: JSON.stringify(body),
      });
    expect((await asMe(unit(5, 0))).status).toBe(409);
    expect((await asMe(unit(5, 0, { kind: 'undo' }))).status).toBe(200);
    expect((await change(id, unit(6, 0, { kind: 'undo' }))).status).toBe(409);
  });
});

describe('a person', () => {
  const person = async (cookie?: string) => {
    const response = await fetch(`${server.url}/api/person`, { headers: cookie ? { cookie } : {} });
    const set = response.headers.get('set-cookie');
    const { person: id } = z.object({ person: z.uuid() }).parse(await response.json());
    return { id, set };
  };

  test('is given by the server, in a signed cookie that no script reads', async () => {
    const { id, set } = await person();
    expect(set).toMatch(/HttpOnly/i);
    expect(set).toMatch(/SameSite=Strict/i);
    const cookie = set?.split(';')[0] ?? '';
    expect(await person(cookie)).toEqual({ id, set: null });
  });

  test('cannot be made up: another id under the same signature is nobody', async () => {
    const { set } = await person();
    const other = randomUUID();
    const forged = (set?.split(';')[0] ?? '').replace(/=[0-9a-f-]{36}/, `=${other}`);
    expect((await person(forged)).id).not.toBe(other);
    expect((await person(`garnish-person=${other}`)).id).not.toBe(other);
  });

  test('is the author of a change, whatever the change says', async () => {
    const id = await made();
    const refused = await change(id, { ...unit(4, 0), author: randomUUID() });
    expect(refused.status).toBe(400);
  });
});

describe('what other pages and other names ask for', () => {
  const asked = (headers: Record<string, string>, method = 'GET', path = '/api/systems') =>
    new Promise<number>((resolve, reject) => {
      const { hostname, port } = new URL(server.url);
      const sent = httpRequest({ hostname, port, path, method, headers }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      });
      sent.on('error', reject);
      sent.end(method === 'POST' ? '{"name":"From elsewhere"}' : undefined);
    });
  const json = { 'content-type': 'application/json' };

  test('is refused under a name that only points here', async () => {
    for (const host of [
      'rebound.example',
      'rebound.example:4400',
      '127.0.0.1.example',
      'localhost.',
    ])
      expect([host, await asked({ host })]).toEqual([host, 421]);
    for (const host of ['localhost', 'localhost:9', '127.0.0.1:1', '[::1]:80'])
      expect([host, await asked({ host })]).toEqual([host, 200]);
  });

  test('is refused to pages of other origins, another port of this machine among them', async () => {
    const before = await server.rows('systems');
    const { host } = new URL(server.url);
    for (const headers of [
      { origin: 'http://elsewhere.example' },
      { origin: 'http://127.0.0.1:1' },
      { origin: 'null' },
      { origin: `http://${host}`, 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ])
      for (const path of ['/api/systems', '/api/fonts/own', '/api/pictures', '/api/keepers'])
        expect(await asked({ host, ...json, ...headers }, 'POST', path)).toBe(403);
    expect(await asked({ host, 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(
      await asked(
        { host, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' },
        'GET',
        '/proof/',
      ),
    ).toBe(200);
    expect(await server.rows('systems')).toBe(before);
    expect(
      await asked(
        { host, ...json, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' },
        'POST',
      ),
    ).toBe(201);
  });
});

describe('nothing that a client sends is a failure of the server', () => {
  const patchOf = (value: unknown) => ({
    ...unit(0, 0),
    patch: [{ op: 'add', path: '/description', value }],
  });

  test.each([
    ['NUL in a value', patchOf('a\0b'), 400, 'invalid-input'],
    ['half of a pair in a value', patchOf('\ud800'), 400, 'invalid-input'],
    ['NUL in the label', unit(4, 0, { label: 'a\0' }), 400, 'invalid-input'],
    ['a base beyond range', unit(4, 2 ** 40), 400, 'invalid-input'],
    ['a base from the future', unit(4, 7), 422, 'future-base'],
    [
      'a list of empty lists',
      patchOf(Array.from({ length: 300_000 }, () => [])),
      400,
      'invalid-input',
    ],
    [
      'a place that every object has',
      { ...unit(0, 0), patch: [{ op: 'add', path: '/accepted/toString/call', value: 1 }] },
      400,
      'invalid-input',
    ],
  ])('%s', async (_, body, status, kind) => {
    const id = await made();
    const response = await change(id, body);
    expect([response.status, (await problemOf(response)).type]).toEqual([
      status,
      `/problems/${kind}`,
    ]);
    expect((await open(id)).sequence).toBe(0);
  });

  test('a number beyond what numbers can be, and a name of every object', async () => {
    const id = await made();
    for (const body of ['{"base": 1e999}', '{"__proto__": {"x": 1}}', '{"toString": 1}']) {
      const response = await fetch(`${server.url}/api/systems/${id}/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      });
      expect(response.status).toBe(400);
    }
  });

  test('an id that was used for another change', async () => {
    const id = await made();
    const body = unit(4, 0);
    await change(id, body);
    for (const other of [
      { ...unit(5, 0), id: body.id },
      { ...unit(5, 1), id: body.id },
    ]) {
      const response = await change(id, other);
      expect([response.status, (await problemOf(response)).type]).toEqual([
        409,
        '/problems/reused-id',
      ]);
    }
    expect((await open(id)).document.space.unit).toBe(4);
  });

  test('a notification that is none of ours is passed over', async () => {
    for (const payload of ['', 'not json', '{', '{"systemId": 1}', 'null'])
      await server.run(`SELECT pg_notify('garnish_changes', '${payload}')`);
    const id = await made();
    expect((await change(id, unit(4, 0))).status).toBe(200);
  });
});

test('connections that are killed while changes are made end no process, and lose nothing that was acknowledged', async () => {
  const id = await made();
  const window = randomUUID();
  let acknowledged = 0;
  for (let round = 0; round < 25; round += 1) {
    const posted = [4, 5, 6].map((value) => change(id, unit(value, 0, { window })));
    await new Promise((resolve) => setTimeout(resolve, round));
    await server.run(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
       WHERE datname = current_database() AND usename = current_user AND pid <> pg_backend_pid()`,
    );
    for (const { status } of await Promise.all(posted)) {
      expect([200, 503]).toContain(status);
      if (status === 200) acknowledged += 1;
    }
  }
  const again = async (): Promise<number> => (await change(id, unit(7, 0, { window }))).status;
  let status = await again();
  for (let tries = 0; status !== 200 && tries < 20; tries += 1) status = await again();
  expect(status).toBe(200);
  // What was answered is there; of the others some may have arrived without their answer.
  expect((await open(id)).sequence).toBeGreaterThan(acknowledged);
}, 30_000);

describe('bad input changes nothing and is answered by its own problem type', () => {
  test.each([
    ['a value out of range', unit(-1, 0), 422, 'invalid-change'],
    [
      'a place that is not there',
      { ...unit(1, 0), patch: [{ op: 'replace', path: '/no/where', value: 1 }] },
      422,
      'invalid-change',
    ],
    [
      'an operation that is not taken',
      { ...unit(1, 0), patch: [{ op: 'move', from: '/name', path: '/description' }] },
      400,
      'invalid-input',
    ],
    ['an empty patch', { ...unit(1, 0), patch: [] }, 400, 'invalid-input'],
    ['a field that is missing', { id: randomUUID() }, 400, 'invalid-input'],
    ['a field that nobody knows', { ...unit(1, 0), extra: true }, 400, 'invalid-input'],
  ])('%s', async (_, body, status, kind) => {
    const id = await made();
    const response = await change(id, body);
    expect(response.status).toBe(status);
    expect((await problemOf(response)).type).toBe(`/problems/${kind}`);
    expect((await open(id)).sequence).toBe(0);
  });

  const raw = (type: string, body: string) => (path: string) =>
    fetch(`${server.url}${path}`, { method: 'POST', headers: { 'content-type': type }, body });

  test.each([
    ['malformed JSON', raw('application/json', '{"name":'), 400, 'malformed-json'],
    ['another content type', raw('text/plain', 'name'), 415, 'unsupported-media-type'],
    ['a form', raw('application/x-www-form-urlencoded', 'name=x'), 415, 'unsupported-media-type'],
    [
      'a body too large',
      raw('application/json', `{"name":"${'x'.repeat(5_000_000)}"}`),
      413,
      'body-too-large',
    ],
  ])('%s', async (_, post, status, kind) => {
    const before = await server.rows('systems');
    const response = await post('/api/systems');
    expect(response.status).toBe(status);
    expect((await problemOf(response)).type).toBe(`/problems/${kind}`);
    expect(await server.rows('systems')).toBe(before);
  });

  test.each([
    ['GET', `/api/systems/${randomUUID()}`, 'unknown-system'],
    ['DELETE', `/api/systems/${randomUUID()}`, 'unknown-system'],
    ['GET', `/api/systems/${randomUUID()}/changes`, 'unknown-system'],
    ['GET', `/api/systems/${randomUUID()}/export/tokens.css`, 'unknown-system'],
    ['GET', '/api/nowhere', 'not-found'],
  ])('%s %s', async (method, path, kind) => {
    const response = await call(method, path);
    expect(response.status).toBe(404);
    expect((await problemOf(response)).type).toBe(`/problems/${kind}`);
  });

  test('an id that is none', async () => {
    expect((await call('GET', '/api/systems/1')).status).toBe(400);
  });
});

async function* told(stream: ReadableStream<Uint8Array>): AsyncGenerator<number> {
  const decoder = new TextDecoder();
  for await (const bytes of stream)
    for (const [, sequence] of decoder.decode(bytes).matchAll(/"sequence":(-?\d+)/g))
      yield Number(sequence);
}

describe('the stream of a system', () => {
  test('tells of changes that another server process has taken', async () => {
    const second = await server.another();
    const id = await made();
    const stop = new AbortController();
    const stream = await fetch(`${second}/api/systems/${id}/events`, { signal: stop.signal });
    expect(stream.headers.get('content-type')).toBe('text/event-stream');
    if (!stream.body) throw new Error('the stream has no body');
    const sequences = told(stream.body);
    expect((await sequences.next()).value).toBe(0);
    await change(id, unit(4, 0));
    expect((await sequences.next()).value).toBe(1);
    stop.abort();
  });

  test('of an unknown system is a problem, not a stream', async () => {
    expect((await call('GET', `/api/systems/${randomUUID()}/events`)).status).toBe(404);
  });
});

test('the description of the API is served, with every address in it', async () => {
  const description = z
    .object({ openapi: z.string(), paths: z.record(z.string(), z.unknown()) })
    .parse(await (await call('GET', '/api/docs/json')).json());
  expect(description.openapi).toMatch(/^3\./);
  expect(Object.keys(description.paths)).toEqual(
    expect.arrayContaining([
      '/api/systems',
      '/api/systems/{id}',
      '/api/systems/{id}/changes',
      '/api/systems/{id}/export/tokens.zip',
    ]),
  );
});

test('pages and answers come under a strict policy', async () => {
  const api = await call('GET', '/api/systems');
  expect(api.headers.get('content-security-policy')).toContain("default-src 'none'");
  const proof = await call('GET', '/proof/');
  const policy = proof.headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'none'");
  expect(policy).toContain("frame-ancestors 'self'");
  // Somebody else’s page may ask for nothing at all, from here neither.
  const reading = (await call('GET', '/reading/')).headers.get('content-security-policy') ?? '';
  expect(reading).toContain("default-src 'none'; script-src 'none'");
  expect(reading.replaceAll("frame-ancestors 'self'", '')).not.toMatch(/'self'|http|blob:|\*/);
  // Where it wears the system it has the faces of that, and no more.
  const worn = (await call('GET', '/proof/worn')).headers.get('content-security-policy') ?? '';
  expect(worn.replace("font-src data: 'self'", 'font-src data:')).toBe(reading);
});

describe('a new system', () => {
  const made = (body: object) => call('POST', '/api/systems', { name: 'Millrace', ...body });

  test('begins with the pages of its kind, its colors and its logo', async () => {
    const logo = '<svg xmlns="http://www.w3.org/2000/svg"></svg>';
    const answer = await made({ kind: 'venue', colors: ['#c2453a', '#2a6365'], logo });
    expect(answer.status).toBe(201);
    const { id } = z.object({ id: z.string() }).parse(await answer.json());
    const { color, content, layout } = (await open(id)).document;
    expect(content.pages.order).toEqual(['home', 'program', 'prices', 'visit']);
    expect(Object.values(color.sources.items).map(({ value }) => value)).toEqual(
      expect.arrayContaining(['#c2453a', '#2a6365']),
    );
    expect(layout.logo.light).toBe(logo);
  });

  test('begins with what was decided of it already, all of it or nothing', async () => {
    const unit = { op: 'replace', path: '/space/unit', value: 6 };
    const answer = await made({ patch: [unit] });
    const { id } = z.object({ id: z.string() }).parse(await answer.json());
    expect((await open(id)).document.space.unit).toBe(6);
    const before: unknown = await (await call('GET', '/api/systems')).json();
    const refused = await made({
      patch: [unit, { op: 'replace', path: '/type/anchors/items/wide/base', value: 9000 }],
    });
    expect(refused.status).toBe(422);
    expect(problemSchema.parse(await refused.json()).problems?.[0]?.path).toContain('/type');
    expect(await (await call('GET', '/api/systems')).json()).toEqual(before);
  });

  test.each([
    ['a kind that there is none of', { kind: '__proto__' }],
    ['a color that is none', { colors: ['red'] }],
    ['more colors than are taken', { colors: Array<string>(9).fill('#c2453a') }],
    ['a logo that is too large', { logo: 'x'.repeat(60_001) }],
    ['a logo that no database keeps', { logo: '<svg>\u0000</svg>' }],
  ])('with %s is refused', async (_, body) => {
    const answer = await made(body);
    expect([answer.status >= 400, answer.status < 500]).toEqual([true, true]);
  });
});
