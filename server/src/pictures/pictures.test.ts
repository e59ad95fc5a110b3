import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;

beforeAll(async () => {
  server = await testServer('garnish_pictures');
});
afterAll(() => server.close());

/** The smallest PNG: one transparent pixel. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const bring = (bytes: Buffer, name = 'picture.png'): Promise<Response> => {
  const form = new FormData();
  form.append('picture', new Blob([Uint8Array.from(bytes)]), name);
  return fetch(`${server.url}/api/pictures`, { method: 'POST', body: form });
};

test('a picture is kept under a name that its bytes give, once, and served as what it is', async () => {
  const first = (await (await bring(PIXEL)).json()) as { file: string };
  const again = (await (await bring(PIXEL)).json()) as { file: string };
  expect(first.file).toMatch(/^[0-9a-f]{16}\.png$/);
  expect(again).toEqual(first);
  const served = await fetch(`${server.url}/proof/pictures/${first.file}`);
  expect(served.headers.get('content-type')).toBe('image/png');
  expect(served.headers.get('x-content-type-options')).toBe('nosniff');
  expect(Buffer.from(await served.arrayBuffer()).equals(PIXEL)).toBe(true);
});

test.each([
  ['words', Buffer.from('these are words, not a picture')],
  ['SVG, which could act', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"></svg>')],
  ['nothing', Buffer.alloc(0)],
])('%s is refused, and nothing is stored', async (_, bytes) => {
  const answer = await bring(bytes);
  expect(answer.status).toBe(422);
  expect(await answer.json()).toMatchObject({ type: '/problems/picture-refused' });
});

test('what was never brought is not there', async () => {
  expect((await fetch(`${server.url}/proof/pictures/0123456789abcdef.png`)).status).toBe(404);
  expect((await fetch(`${server.url}/proof/pictures/..%2f..%2fetc`)).status).toBe(404);
});
