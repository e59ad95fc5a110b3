import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { validate } from '@garnish/core/system/validate';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { testServer, type TestServer } from '../test-server.ts';
import { changeSchema, systemSummary } from './schemas.ts';

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
  author: randomUUID(),
  gesture: randomUUID(),
  ...more,
});

const change = (id: string, body: unknown) => call('POST', `/api/systems/${id}/changes`, body);

describe('systems', () => {
  test('are made, listed, duplicated, deleted and brought back', async () => {
    const id = await made('First');
    const list = z.array(systemSummary);
    const names = async () =>
      list.parse(await (await call('GET', '/api/systems')).json()).map(({ name }) => name);
    expect(await names()).toContain('First');
    const copy = await call('POST', `/api/systems/${id}/duplicate`);
    expect(systemSummary.parse(await copy.json()).name).toBe('First copy');
    expect((await call('DELETE', `/api/systems/${id}`)).status).toBe(204);
    expect(await names()).toEqual(['First copy']);
    expect((await call('GET', `/api/systems/${id}`)).status).toBe(404);
    expect((await call('POST', `/api/systems/${id}/restore`)).status).toBe(200);
    expect(await names()).toContain('First');
  });

  test('that cannot be read are named and kept, and hide no other', async () => {
    const id = await made('From the future');
    const other = await made('Beside it');
    await server.run(
      `UPDATE systems SET document = jsonb_set(document::jsonb, '{schema}', '99') WHERE id = '${id}'`,
    );
    const names = z
      .array(systemSummary)
      .parse(await (await call('GET', '/api/systems')).json())
      .map(({ name }) => name);
    expect(names).toContain('Beside it');
    expect(names).not.toContain('From the future');
    const unreadable: unknown = await (await call('GET', '/api/systems/unreadable')).json();
    expect(unreadable).toEqual([{ id, name: 'From the future' }]);
    await call('DELETE', `/api/systems/${other}`);
    await server.run(`UPDATE systems SET document = jsonb_set(document::jsonb, '{schema}', '2')`);
  });

  test('begin as valid documents without findings', async () => {
    const id = await made();
    const { document, sequence } = await open(id);
    expect(sequence).toBe(0);
    expect(document.name).toBe('Alder Street Bakery');
    const answer = await call('GET', '/api/systems');
    const list = z.array(systemSummary).parse(await answer.json());
    expect(list.find((system) => system.id === id)?.findings).toEqual({ repair: 0, look: 0 });
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
      author: body.author,
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
      conflict: { path: '/space/unit', value: 4, sequence: 1 },
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

  test('by the same author knows what it did before', async () => {
    const id = await made();
    const author = randomUUID();
    await change(id, unit(4, 0, { author }));
    expect((await change(id, unit(5, 0, { author }))).status).toBe(200);
  });

  test('many at once end one after the other, none lost', async () => {
    const id = await made();
    const author = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) => change(id, unit(index + 1, 0, { author }))),
    );
    expect(answers.every(({ status }) => status === 200)).toBe(true);
    expect((await open(id)).sequence).toBe(12);
  });
});

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
});
