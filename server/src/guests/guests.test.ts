import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { differenceSchema } from '@garnish/core/releases/difference-schema';
import { unzipSync } from 'fflate';
import type { Patch } from '@garnish/core/system/patch';
import * as z from 'zod';
import { createServer } from '../app.ts';
import { problemSchema } from '../problems.ts';
import { systemPage } from '../systems/schemas.ts';
import { testServer, type TestServer } from '../test-server.ts';
import { isForGuests } from './addresses.ts';
import { listenForGuests } from './listener.ts';

let server: TestServer;
/** Where the person at this machine works, and where guests come in. */
let own: string;
let guests: string;
let id: string;
const ending: (() => Promise<unknown>)[] = [];

beforeAll(async () => {
  server = await testServer('garnish_guests', true);
  const app = await createServer({
    databaseUrl: server.databaseUrl,
    guestAddresses: () => ['http://192.0.2.7:4500'],
  });
  own = await app.listen({ host: '127.0.0.1', port: 0 });
  const listener = await listenForGuests(app, { host: '127.0.0.1', port: 0 });
  guests = `http://127.0.0.1:${listener.port}`;
  ending.push(
    () => listener.close(),
    () => app.close(),
  );
  const { systems } = systemPage.parse(await (await fetch(`${own}/api/systems`)).json());
  id = systems.find(({ name }) => name === 'Brackwater Ferries')?.id ?? '';
}, 60_000);
afterAll(async () => {
  for (const end of ending) await end();
  await server.close();
});

const json = (body: unknown, method = 'POST') => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});
const linkAnswer = z.object({
  id: z.string(),
  address: z.string(),
  label: z.string(),
  hasPassphrase: z.boolean(),
  usedAt: z.string().optional(),
});
const make = async (choices: object = {}) =>
  linkAnswer.parse(await (await fetch(`${own}/api/systems/${id}/links`, json(choices))).json());
const links = async () =>
  z
    .object({ links: z.array(linkAnswer), addresses: z.array(z.string()) })
    .parse(await (await fetch(`${own}/api/systems/${id}/links`)).json());
const takeBack = (link: string) =>
  fetch(`${own}/api/systems/${id}/links/${link}`, { method: 'DELETE' });
const problemOf = async (answer: Response) => problemSchema.parse(await answer.json());
const guestAnswer = z.object({
  sequence: z.number(),
  release: z.string().optional(),
  document: z.object({
    name: z.string(),
    content: z.object({ pages: z.object({ order: z.array(z.string()) }) }),
  }),
});
const change = (patch: Patch, base: number) =>
  fetch(
    `${own}/api/systems/${id}/changes`,
    json({
      id: randomUUID(),
      base,
      patch,
      label: 'a change',
      window: randomUUID(),
      gesture: randomUUID(),
    }),
  );

describe('a link', () => {
  test('opens the system as it stands, for reading; its address is chance alone', async () => {
    const made = await make({ label: 'for the builders' });
    expect(made.address).toMatch(/^[\w-]{22}$/);
    const other = await make();
    expect(other.address).not.toBe(made.address);
    const answer = await fetch(`${guests}/guest/${made.address}`);
    for (const [name, value] of [
      ['cache-control', 'no-store'],
      ['referrer-policy', 'no-referrer'],
      ['x-robots-tag', 'noindex, nofollow'],
    ] as const)
      expect(answer.headers.get(name)).toBe(value);
    const text = await answer.text();
    expect(guestAnswer.parse(JSON.parse(text)).document.name).toBe('Brackwater Ferries');
    // Neither the words that are its maker's alone nor the id of the system.
    expect(text).not.toContain('for the builders');
    expect(text).not.toContain(id);
    const there = await links();
    expect(there.addresses).toEqual(['http://192.0.2.7:4500']);
    expect(there.links.find((one) => one.id === made.id)?.usedAt).toBeDefined();
    expect(there.links.find((one) => one.id === other.id)?.usedAt).toBeUndefined();
  });

  test('opens pages of one’s own where that was asked for, and those alone, until they are deleted', async () => {
    const path = `${own}/api/systems/${id}/kept-pages`;
    const keep = async (name: string): Promise<string> => {
      const page = randomUUID();
      const kept = { name, html: `<html><body>${name}</body></html>`, sheets: [], alike: [] };
      expect((await fetch(path, json({ id: page, page: kept }))).status).toBe(204);
      return page;
    };
    const [shown, other] = [await keep('Shown'), await keep('Other')];
    const { address } = await make({ kept: [shown] });
    const at = `${guests}/guest/${address}/kept-pages`;
    expect(await (await fetch(at)).json()).toEqual({ pages: [{ id: shown, name: 'Shown' }] });
    expect(await (await fetch(`${at}/${shown}`)).json()).toMatchObject({ name: 'Shown' });
    expect((await fetch(`${at}/${other}`)).status).toBe(404);
    expect(await (await fetch(`${guests}/guest/${address}`)).json()).toMatchObject({
      hasKept: true,
    });
    // A link that was not asked to, opens none; one behind a passphrase, none before it is told.
    const { address: usual } = await make();
    expect(await (await fetch(`${guests}/guest/${usual}/kept-pages`)).json()).toEqual({
      pages: [],
    });
    expect((await fetch(`${guests}/guest/${usual}/kept-pages/${shown}`)).status).toBe(404);
    expect(await (await fetch(`${guests}/guest/${usual}`)).text()).not.toContain('hasKept');
    const { address: shut } = await make({ kept: [shown], passphrase: 'low water' });
    for (const path of ['', `/${shown}`])
      expect((await fetch(`${guests}/guest/${shut}/kept-pages${path}`)).status).toBe(401);
    for (const page of [shown, other]) await fetch(`${path}/${page}`, { method: 'DELETE' });
    expect(await (await fetch(at)).json()).toEqual({ pages: [] });
    expect((await fetch(`${at}/${shown}`)).status).toBe(404);
    const refused = await fetch(`${own}/api/systems/${id}/links`, json({ kept: [shown] }));
    expect([refused.status, (await problemOf(refused)).detail]).toEqual([
      409,
      expect.stringContaining('not there any more'),
    ]);
  });

  test('opens only the pages that were chosen, and none that is switched off', async () => {
    const { address } = await make({ pages: ['home', 'booking'] });
    const { document } = guestAnswer.parse(
      await (await fetch(`${guests}/guest/${address}`)).json(),
    );
    expect(document.content.pages.order).toEqual(['home', 'booking']);
    const refused = await fetch(`${own}/api/systems/${id}/links`, json({ pages: ['__proto__'] }));
    expect([refused.status, (await problemOf(refused)).detail]).toEqual([
      409,
      expect.stringContaining('not there any more'),
    ]);
  });

  test('opens a release as it was made, whatever is changed since, and its very files', async () => {
    const refused = await fetch(`${own}/api/systems/${id}/links`, json({ release: '9.0.0' }));
    expect(refused.status).toBe(409);
    await fetch(`${own}/api/systems/${id}/releases`, json({ number: '1.0.0', words: '', base: 0 }));
    const { address } = await make({ release: '1.0.0' });
    const before = await (await fetch(`${guests}/guest/${address}/files/tokens.css`)).text();
    await change([{ op: 'replace', path: '/space/unit', value: 12 }], 0);
    const state = guestAnswer.parse(await (await fetch(`${guests}/guest/${address}`)).json());
    expect([state.release, state.sequence]).toEqual(['1.0.0', 0]);
    expect(await (await fetch(`${guests}/guest/${address}/files/tokens.css`)).text()).toBe(before);
    const live = await make();
    expect(await (await fetch(`${guests}/guest/${live.address}/files/tokens.css`)).text()).not.toBe(
      before,
    );
  }, 30_000);

  test('asks for its passphrase, in each browser once', async () => {
    const { address, hasPassphrase } = await make({ passphrase: 'low tide' });
    expect(hasPassphrase).toBe(true);
    const read = (headers = {}) => fetch(`${guests}/guest/${address}`, { headers });
    expect((await read()).status).toBe(401);
    const enter = (passphrase: string) =>
      fetch(`${guests}/guest/${address}/enter`, json({ passphrase }));
    expect((await enter('Low tide')).status).toBe(401);
    const entered = await enter('low tide');
    expect(entered.status).toBe(204);
    const [cookie = ''] = entered.headers.getSetCookie();
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    const pair = cookie.split(';')[0] ?? '';
    expect((await read({ cookie: pair })).status).toBe(200);
    // A cookie of one's own making is none, nor is that of another link.
    expect((await read({ cookie: `${pair}x` })).status).toBe(401);
    const other = await make({ passphrase: 'low tide' });
    const answer = await fetch(`${guests}/guest/${other.address}`, { headers: { cookie: pair } });
    expect(answer.status).toBe(401);
  });

  test('leads nowhere after its day, and cannot be made for a day that is over', async () => {
    const until = new Date(Date.now() + 400).toISOString();
    const { address } = await make({ until });
    expect((await fetch(`${guests}/guest/${address}`)).status).toBe(200);
    await new Promise((resolve) => setTimeout(resolve, 600));
    expect((await fetch(`${guests}/guest/${address}`)).status).toBe(404);
    const over = await fetch(
      `${own}/api/systems/${id}/links`,
      json({ until: '2020-01-01T00:00:00Z' }),
    );
    expect((await problemOf(over)).detail).toContain('That day is over');
  });
});

test('what became of the system since somebody was there is told, of the pages that are theirs', async () => {
  const { address } = await make({ pages: ['home'] });
  const at = async () =>
    guestAnswer.parse(await (await fetch(`${guests}/guest/${address}`)).json()).sequence;
  const changes = async (since: number) =>
    z
      .object({ isKnown: z.boolean(), difference: z.optional(differenceSchema) })
      .parse(await (await fetch(`${guests}/guest/${address}/changes?since=${since}`)).json());
  const before = await at();
  expect(await changes(before)).toEqual({ isKnown: true });
  await change([{ op: 'replace', path: '/space/unit', value: 9 }], before);
  await change(
    [{ op: 'replace', path: '/content/pages/items/booking/name', value: 'Book' }],
    before + 1,
  );
  await change([{ op: 'replace', path: '/space/unit', value: 10 }], before + 2);
  const { difference } = await changes(before);
  expect(difference?.causes.map(({ path, after }) => [path, after])).toEqual([
    ['/space/unit', '10 px'],
  ]);
  expect(
    difference?.looks.filter(({ kind }) => kind === 'page').map(({ id: page }) => page),
  ).toEqual(['home']);
  // What has not been yet, and what is too far back to be known.
  expect(await changes((await at()) + 1)).toEqual({ isKnown: false });
  expect((await fetch(`${guests}/guest/${address}/changes?since=-1`)).status).toBe(400);
});

/** The events that a guest's window hears, one after the other. */
async function* eventsOf(address: string): AsyncGenerator<string> {
  const answer = await fetch(`${guests}/guest/${address}/events`);
  const text = answer.body?.pipeThrough(new TextDecoderStream());
  if (!text) return;
  let waiting = '';
  for await (const piece of text) {
    waiting += piece;
    const parts = waiting.split('\n\n');
    waiting = parts.pop() ?? '';
    for (const part of parts) yield /^event: (\w+)/.exec(part)?.[1] ?? '';
  }
}

test('an open window hears of every change, and is told at once when the link is taken back', async () => {
  const made = await make();
  const events = eventsOf(made.address);
  expect((await events.next()).value).toBe('changed');
  const { sequence } = guestAnswer.parse(
    await (await fetch(`${guests}/guest/${made.address}`)).json(),
  );
  await change([{ op: 'replace', path: '/space/unit', value: 13 }], sequence);
  expect((await events.next()).value).toBe('changed');
  expect((await takeBack(made.id)).status).toBe(204);
  expect((await events.next()).value).toBe('gone');
  expect((await events.next()).done).toBe(true);
  expect((await fetch(`${guests}/guest/${made.address}`)).status).toBe(404);
  expect((await takeBack(made.id)).status).toBe(404);
});

test('files under a link to some pages hold nothing of the others, live or of a release', async () => {
  const { address: all } = await make();
  const words = async (address: string) =>
    (await fetch(`${guests}/guest/${address}/files/handoff.md`)).text();
  const picturesOf = async (address: string) =>
    Object.keys(
      unzipSync(
        new Uint8Array(
          await (await fetch(`${guests}/guest/${address}/files/pictures.zip`)).arrayBuffer(),
        ),
      ),
    ).length;
  const everything = await picturesOf(all);
  const state = guestAnswer.parse(await (await fetch(`${guests}/guest/${all}`)).json());
  const { order } = state.document.content.pages;
  for (const release of [{}, { release: '1.0.0' }]) {
    const { address } = await make({ ...release, pages: ['notice'] });
    expect(order).toContain('notice');
    expect((await words(address)).length).toBeGreaterThan(1000);
    expect(await picturesOf(address)).toBeLessThan(everything);
  }
}, 60_000);

test('what is said of other pages is not told under a link to some', async () => {
  const { address: all } = await make();
  const before = guestAnswer.parse(await (await fetch(`${guests}/guest/${all}`)).json());
  const value = {
    order: ['one', 'two', 'three'],
    items: {
      one: { kind: 'page', of: 'notice', stage: 'ready' },
      two: { kind: 'page', of: 'home', tags: ['not for them'] },
      three: { kind: 'component', of: 'card', stage: 'built' },
    },
  };
  await change([{ op: 'add', path: '/content/handed', value }], before.sequence);
  const { address } = await make({ pages: ['notice'] });
  const text = await (await fetch(`${guests}/guest/${address}`)).text();
  expect(text).toContain('"stage":"ready"');
  expect(text).toContain('"stage":"built"');
  expect(text).not.toContain('not for them');
  expect(await (await fetch(`${guests}/guest/${all}`)).text()).toContain('not for them');
});

test('a link whose pages are gone says so', async () => {
  const { address } = await make({ pages: ['booking'] });
  const before = guestAnswer.parse(await (await fetch(`${guests}/guest/${address}`)).json());
  const { document } = z
    .object({
      document: z.object({
        content: z.object({ pages: z.object({ order: z.array(z.string()), items: z.any() }) }),
      }),
    })
    .parse(await (await fetch(`${own}/api/systems/${id}`)).json());
  const { order } = document.content.pages;
  const answer = await change(
    [
      {
        op: 'replace',
        path: '/content/pages/order',
        value: order.filter((page) => page !== 'booking'),
      },
      { op: 'remove', path: '/content/pages/items/booking' },
    ],
    before.sequence,
  );
  expect(answer.status).toBe(200);
  for (const path of ['', '/notes', '/files/handoff.md']) {
    const after = await fetch(`${guests}/guest/${address}${path}`);
    expect([path, after.status, (await problemOf(after)).detail]).toEqual([
      path,
      404,
      'The pages that it opened are not there any more.',
    ]);
  }
});

test('a link that another process takes back is gone here, for open windows too', async () => {
  const made = await make();
  const events = eventsOf(made.address);
  expect((await events.next()).value).toBe('changed');
  expect((await fetch(`${guests}/guest/${made.address}`)).status).toBe(200);
  const answer = await fetch(`${server.url}/api/systems/${id}/links/${made.id}`, {
    method: 'DELETE',
  });
  expect(answer.status).toBe(204);
  expect((await events.next()).value).toBe('gone');
  expect((await fetch(`${guests}/guest/${made.address}`)).status).toBe(404);
});

describe('where guests come in', () => {
  test('nothing of the application is there, route by route', async () => {
    const { paths } = z
      .object({ paths: z.record(z.string(), z.record(z.string(), z.unknown())) })
      .parse(await (await fetch(`${own}/api/docs/json`)).json());
    const asked = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => ({
        method: method.toUpperCase(),
        path: path.replaceAll(/\{[^}]*\}/g, id),
      })),
    );
    expect(asked.length).toBeGreaterThan(60);
    const open = asked.filter(({ path }) => !path.startsWith('/api/'));
    // Faces and pictures of pages are the site's.
    expect(open.map(({ path }) => path.replace(id, 'NAME')).toSorted()).toEqual([
      '/proof/fonts/NAME',
      '/proof/pictures/NAME',
    ]);
    for (const { method, path } of asked.filter((one) => one.path.startsWith('/api/'))) {
      const answer = await fetch(`${guests}${path}`, {
        method,
        ...(method === 'GET' ? {} : json({}, method)),
      });
      expect([method, path, answer.status, await answer.text()]).toEqual([
        method,
        path,
        404,
        'There is nothing at this address.\n',
      ]);
    }
    for (const path of ['/', `/systems/${id}/brief`, '/storage', '/api/docs/json', '//api/systems'])
      expect((await fetch(`${guests}${path}`)).status).toBe(404);
  }, 30_000);

  test.each([
    '/guest/../api/systems',
    '/guest/%2e%2e/api/systems',
    '/g/x/../../api/systems',
    '/reading/x',
    '/proof/worn/x',
    '/guest/x/kept-pages/a/b',
    '/proof/fonts/../../api/systems',
    '/proof/fonts/%2e%2e%2f%2e%2e%2fapi',
    '/guest/x/files/../../../api/systems',
    '/guest/x/files/a%2Fb',
    '/GUEST/x',
    '/guest/x;/api/systems',
  ])('%s is not theirs', (address) => {
    for (const method of ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])
      expect([method, isForGuests(method, address)]).toEqual([method, false]);
  });

  test('what is theirs is for reading', () => {
    for (const path of [
      ...['/g/abc', '/guest/abc', '/guest/abc/events', '/proof/', '/proof/worn', '/reading/'],
      ...['/guest/abc/kept-pages', '/guest/abc/kept-pages/0a-9'],
    ])
      expect(
        ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'].map((method) => isForGuests(method, path)),
      ).toEqual([true, true, false, false, false]);
    expect(isForGuests('POST', '/guest/abc/enter')).toBe(true);
    expect(isForGuests('GET', '/guest/abc/enter')).toBe(false);
    expect(isForGuests(undefined, undefined)).toBe(false);
  });

  test('guessed addresses find nothing and are slowed, while whoever has a link reads on', async () => {
    const { address } = await make();
    const guess = () =>
      fetch(`${guests}/guest/${randomUUID().replaceAll('-', '').slice(0, 22)}`).then(
        ({ status }) => status,
      );
    const found: number[] = [];
    for (let round = 0; round < 10; round += 1)
      found.push(...(await Promise.all(Array.from({ length: 100 }, guess))));
    expect(new Set(found)).toEqual(new Set([404, 429]));
    expect(found.filter((status) => status === 404).length).toBeLessThan(25);
    expect((await fetch(`${guests}/guest/${address}`)).status).toBe(200);
  }, 30_000);
});
