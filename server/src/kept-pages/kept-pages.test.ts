import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import {
  AS_BUILT,
  keptPageSchema,
  MOST_KEPT_PAGES,
  type KeptPage,
} from '@garnish/core/worn/wearing';
import { unzipSync } from 'fflate';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;
let id: string;

beforeAll(async () => {
  server = await testServer('garnish_kept_pages');
  id = await system();
});
afterAll(() => server.close());

async function call(method: string, path: string, body?: unknown): Promise<Response> {
  return fetch(`${server.url}/api/systems${path}`, {
    method,
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  });
}

async function system(): Promise<string> {
  const made = await call('POST', '', { name: 'Millrace' });
  return z.object({ id: z.string() }).parse(await made.json()).id;
}

const BUTTON = { classes: ['button'], values: [] };
const PAGE: KeptPage = {
  name: 'Home, as it was built',
  html: '<html><body data-alike="a0"><a data-alike="a1">Book</a></body></html>',
  sheets: ['a { color: red }'],
  alike: [
    { id: 'a0', name: 'body', count: 1, proposed: AS_BUILT, wearing: AS_BUILT },
    { id: 'a1', name: 'a', count: 1, proposed: BUTTON, wearing: BUTTON },
  ],
};

const listOf = async (of = id) =>
  z
    .object({ pages: z.array(z.object({ id: z.string(), name: z.string() })) })
    .parse(await (await call('GET', `/${of}/kept-pages`)).json()).pages;
const problemOf = async (answer: Response) => problemSchema.parse(await answer.json());

test('a page is kept with a system, read, renamed, worn otherwise and deleted', async () => {
  const page = randomUUID();
  const at = `/${id}/kept-pages/${page}`;
  expect((await call('POST', `/${id}/kept-pages`, { id: page, page: PAGE })).status).toBe(204);
  // Once more, after a reply that got lost.
  expect((await call('POST', `/${id}/kept-pages`, { id: page, page: PAGE })).status).toBe(204);
  expect(await listOf()).toEqual([{ id: page, name: PAGE.name }]);
  expect(keptPageSchema.parse(await (await call('GET', at)).json())).toEqual(PAGE);

  expect((await call('PUT', at, { name: 'Home' })).status).toBe(204);
  const wearing = {
    classes: ['quiet-button', 'type-label'],
    values: [{ property: 'color', token: 'color.quiet' }],
  };
  expect((await call('PUT', at, { kind: 'a1', wearing })).status).toBe(204);
  expect((await call('PUT', at, { kind: 'a7', wearing })).status).toBe(404);
  const now = keptPageSchema.parse(await (await call('GET', at)).json());
  expect(now).toEqual({
    ...PAGE,
    name: 'Home',
    alike: [PAGE.alike[0], { ...PAGE.alike[1], wearing }],
  });

  expect((await call('DELETE', at)).status).toBe(204);
  expect((await call('DELETE', at)).status).toBe(404);
  expect((await problemOf(await call('GET', at))).type).toContain('unknown-page');
});

test('a page of another system is not there, and goes with its system', async () => {
  const other = await system();
  const page = randomUUID();
  await call('POST', `/${other}/kept-pages`, { id: page, page: PAGE });
  expect((await call('GET', `/${id}/kept-pages/${page}`)).status).toBe(404);
  expect((await call('PUT', `/${id}/kept-pages/${page}`, { name: 'Mine' })).status).toBe(404);
  expect((await call('DELETE', `/${id}/kept-pages/${page}`)).status).toBe(404);
  expect(await listOf(other)).toEqual([{ id: page, name: PAGE.name }]);
  // The same id for something else is refused, and nothing is overwritten.
  const again = await call('POST', `/${id}/kept-pages`, { id: page, page: { ...PAGE, name: 'X' } });
  expect((await problemOf(again)).type).toContain('reused-id');
  expect(await listOf(other)).toEqual([{ id: page, name: PAGE.name }]);
});

test.each([
  ['nothing', {}],
  ['no name', { ...PAGE, name: '  ' }],
  [
    'a class that is none',
    { ...PAGE, alike: [{ ...PAGE.alike[1], wearing: { classes: ['"]{}'], values: [] } }] },
  ],
  [
    'a property that nobody wears',
    {
      ...PAGE,
      alike: [
        {
          ...PAGE.alike[1],
          wearing: { classes: [], values: [{ property: 'background', token: 'a' }] },
        },
      ],
    },
  ],
  [
    'a kind under the name of a prototype',
    { ...PAGE, alike: [{ ...PAGE.alike[1], id: '__proto__' }] },
  ],
  ['more beside it', { ...PAGE, script: 'x' }],
])('%s is refused, and nothing is kept', async (_, page) => {
  const before = await listOf();
  const answer = await call('POST', `/${id}/kept-pages`, { id: randomUUID(), page });
  expect(answer.status).toBe(400);
  expect(await listOf()).toEqual(before);
});

test('no more than so many are kept', async () => {
  const full = await system();
  for (let count = 0; count < MOST_KEPT_PAGES; count += 1)
    await call('POST', `/${full}/kept-pages`, { id: randomUUID(), page: PAGE });
  const one = await call('POST', `/${full}/kept-pages`, { id: randomUUID(), page: PAGE });
  expect((await problemOf(one)).detail).toContain('Nothing was changed');
  expect(await listOf(full)).toHaveLength(MOST_KEPT_PAGES);
});

test('no export of a system holds anything of it', async () => {
  const own = await system();
  const mark = 'Wexcombe regatta';
  await call('POST', `/${own}/kept-pages`, {
    id: randomUUID(),
    page: { ...PAGE, name: mark, html: `<p>${mark}</p>` },
  });
  const { paths } = z
    .object({ paths: z.record(z.string(), z.unknown()) })
    .parse(await (await fetch(`${server.url}/api/docs/json`)).json());
  const exports = Object.keys(paths).filter((path) => path.includes('/{id}/export/'));
  expect(exports.length).toBeGreaterThan(5);
  for (const path of ['/api/systems/{id}', ...exports]) {
    const answer = await fetch(`${server.url}${path.replace('{id}', own)}`);
    expect([path, answer.status]).toEqual([path, 200]);
    const bytes = Buffer.from(await answer.arrayBuffer());
    const files = path.endsWith('.zip') ? Object.values(unzipSync(bytes)) : [bytes];
    for (const file of files) expect(Buffer.from(file).includes(mark)).toBe(false);
  }
});
