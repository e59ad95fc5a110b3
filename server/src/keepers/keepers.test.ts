import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import * as z from 'zod';
import { family } from '../fonts/shipped.ts';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;

beforeAll(async () => {
  server = await testServer('garnish_keepers');
});
afterAll(() => server.close());

const call = (method: string, path: string, body?: unknown) =>
  fetch(`${server.url}${path}`, {
    method,
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  });

const list = async () =>
  z
    .array(z.object({ id: z.string(), note: z.string(), origin: z.string() }))
    .parse(await (await call('GET', '/api/keepers')).json());

const pair = { heading: family('archivo'), text: family('literata') };

test('a pair is set aside with a note, found again, noted anew and let go', async () => {
  const made = await call('POST', '/api/keepers', { pair, note: 'steady', origin: 'Brackwater' });
  expect(made.status).toBe(201);
  const [first] = await list();
  expect(first).toMatchObject({ note: 'steady', origin: 'Brackwater' });
  const noted = await call('POST', `/api/keepers/${first?.id ?? ''}/note`, { note: ' calmer ' });
  expect(noted.status).toBe(200);
  expect((await list())[0]?.note).toBe('calmer');
  expect((await call('DELETE', `/api/keepers/${first?.id ?? ''}`)).status).toBe(204);
  expect(await list()).toEqual([]);
});

test('what is no pair is refused and nothing is kept', async () => {
  const broken = { ...pair, text: { ...pair.text, metrics: {} } };
  for (const body of [{}, { pair: broken, note: '', origin: 'x' }, { pair, note: '' }])
    expect((await call('POST', '/api/keepers', body)).status).toBe(400);
  expect(await list()).toEqual([]);
});

test('an unknown keeper is a problem of its own', async () => {
  const response = await call('DELETE', `/api/keepers/${randomUUID()}`);
  expect(response.status).toBe(404);
  expect(await response.json()).toMatchObject({ type: '/problems/unknown-keeper' });
});

test('a palette is set aside beside the pairs, and is no pair', async () => {
  const palette = { name: 'Low water', colors: [{ name: 'sand', hex: '#b09a72' }] };
  const made = await call('POST', '/api/palettes', { palette, note: 'tide', origin: 'Brackwater' });
  expect(made.status).toBe(201);
  const all = z
    .array(z.object({ id: z.string(), palette: z.any(), note: z.string() }))
    .parse(await (await call('GET', '/api/palettes')).json());
  expect(all).toMatchObject([{ palette, note: 'tide' }]);
  expect(await list()).toEqual([]);
  for (const colors of [[], [{ name: '', hex: 'red' }]])
    expect(
      (
        await call('POST', '/api/palettes', {
          palette: { name: 'x', colors },
          note: '',
          origin: 'x',
        })
      ).status,
    ).toBe(400);
  expect((await call('DELETE', `/api/keepers/${all[0]?.id ?? ''}`)).status).toBe(204);
});
