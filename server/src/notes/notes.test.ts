import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { LONGEST_NOTE } from '@garnish/core/notes/note-schema';
import * as z from 'zod';
import { problemSchema } from '../problems.ts';
import { systemPage } from '../systems/schemas.ts';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;
let id: string;

beforeAll(async () => {
  server = await testServer('garnish_notes', true);
  const { systems } = systemPage.parse(await (await fetch(`${server.url}/api/systems`)).json());
  id = systems.find(({ name }) => name === 'Brackwater Ferries')?.id ?? '';
});
afterAll(() => server.close());

const PIN = {
  at: '/content/pages/items/home/sections/items/cards',
  up: 0,
  down: [1],
  name: 'card',
};
const NOTE = { kind: 'question', page: 'home', pin: PIN } as const;

const answerOf = z.object({
  notes: z.array(
    z.object({
      id: z.string(),
      answers: z.string().optional(),
      words: z.string(),
      writer: z.string(),
      page: z.string(),
      pin: z.unknown(),
      isMine: z.boolean(),
      isResolved: z.boolean(),
      editedAt: z.string().optional(),
    }),
  ),
});

/** Somebody with a browser of their own, under a link or at the machine itself. */
function browser(base: string) {
  let cookie = '';
  const call = async (method: string, path = '', body?: unknown): Promise<Response> => {
    const answer = await fetch(`${base}${path}`, {
      method,
      headers: {
        ...(cookie !== '' && { cookie }),
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
    for (const one of answer.headers.getSetCookie()) cookie = one.split(';')[0] ?? '';
    return answer;
  };
  const list = async () => answerOf.parse(await (await call('GET')).json()).notes;
  return { call, list };
}

async function link(choices: object = {}): Promise<string> {
  const answer = await fetch(`${server.url}/api/systems/${id}/links`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ mayWrite: true, ...choices }),
  });
  const { address } = z.object({ address: z.string() }).parse(await answer.json());
  return `${server.url}/guest/${address}/notes`;
}

const designer = () => browser(`${server.url}/api/systems/${id}/notes`);
const said = (words: string, note: object = NOTE) => ({ id: randomUUID(), words, ...note });
const asGuest = (writer: string, note: object) => ({ writer, note });
const problemOf = async (answer: Response) => problemSchema.parse(await answer.json());

describe('a note', () => {
  test('is asked by a guest, answered, edited, resolved and deleted, each by whoever may', async () => {
    const guest = browser(await link());
    const own = designer();
    const note = said('Does the whole card lead on?');
    expect((await guest.call('POST', '', asGuest('Ada', note))).status).toBe(204);
    // Once more, after a reply that got lost.
    expect((await guest.call('POST', '', asGuest('Ada', note))).status).toBe(204);
    expect(await guest.list()).toEqual([
      expect.objectContaining({
        ...{ id: note.id, words: note.words, writer: 'Ada', page: 'home', pin: PIN },
        ...{ isMine: true, isResolved: false },
      }),
    ]);
    expect((await own.call('POST', '', said('All of it.', { answers: note.id }))).status).toBe(204);
    const [asked, answered] = await own.list();
    expect([asked?.isMine, answered?.isMine, answered?.answers]).toEqual([false, true, note.id]);
    // Of a writer nobody is told more than the name.
    expect(await (await own.call('GET')).text()).not.toContain('author');

    const path = `/${note.id}`;
    expect((await own.call('PUT', path, { words: 'Put into their mouth' })).status).toBe(403);
    expect((await guest.call('PUT', path, { words: 'Does all of it lead on?' })).status).toBe(204);
    expect((await guest.call('PUT', `/${answered?.id}`, { words: 'No' })).status).toBe(403);
    const other = browser(await link());
    expect((await other.call('PUT', path, { isResolved: true })).status).toBe(403);
    expect((await other.call('DELETE', path)).status).toBe(403);
    expect((await guest.call('PUT', path, { isResolved: true })).status).toBe(204);
    const [edited] = await own.list();
    expect([edited?.words, edited?.isResolved, edited?.editedAt]).toEqual([
      'Does all of it lead on?',
      true,
      expect.any(String),
    ]);
    // Others have answered: their words do not go with it.
    expect((await problemOf(await guest.call('DELETE', path))).detail).toContain('Others have');
    expect((await own.call('DELETE', path)).status).toBe(204);
    expect(await guest.list()).toEqual([]);
    expect((await own.call('DELETE', path)).status).toBe(404);
  });

  test('needs a link that lets one write, and a page that it opens', async () => {
    const reading = browser(await link({ mayWrite: false }));
    expect((await reading.call('POST', '', asGuest('Ada', said('Hello')))).status).toBe(403);
    const booking = browser(await link({ pages: ['booking'] }));
    expect((await booking.call('POST', '', asGuest('Ada', said('Hello')))).status).toBe(403);
    const home = said('On the home page');
    const all = browser(await link());
    await all.call('POST', '', asGuest('Ada', home));
    // What stands on other pages is not there for them: not to read, to answer, nor to delete.
    expect(await booking.list()).toEqual([]);
    const answer = said('Me too', { answers: home.id });
    expect((await booking.call('POST', '', asGuest('Bo', answer))).status).toBe(404);
    expect((await booking.call('DELETE', `/${home.id}`)).status).toBe(404);
    expect(await reading.list()).toHaveLength(1);
    await designer().call('DELETE', `/${home.id}`);
  });

  test('is words and nothing else, whatever they are', async () => {
    const guest = browser(await link());
    for (const words of [
      '<img src=x onerror=alert(1)>',
      '__proto__',
      '‮ reversed',
      '🛥️ é\n\nnew line',
    ]) {
      const note = said(words);
      expect((await guest.call('POST', '', asGuest('<b>Bo</b>', note))).status).toBe(204);
      const kept = (await guest.list()).find((one) => one.id === note.id);
      expect([kept?.words, kept?.writer]).toEqual([words, '<b>Bo</b>']);
      await guest.call('DELETE', `/${note.id}`);
    }
    for (const bad of [
      said(''),
      said('   '),
      said('x'.repeat(LONGEST_NOTE + 1)),
      said('\0'),
      said('pin', { ...NOTE, pin: { ...PIN, up: -1 } }),
      said('pin', { ...NOTE, pin: { ...PIN, script: 'x' } }),
      said('kind', { ...NOTE, kind: '__proto__' }),
      said('answers', { answers: 'nothing' }),
      { ...said('id'), id: '1' },
    ])
      expect((await guest.call('POST', '', asGuest('Bo', bad))).status).toBe(400);
    expect((await guest.call('POST', '', asGuest(' ', said('x')))).status).toBe(400);
    expect(await guest.list()).toEqual([]);
  });

  test('of another is not taken under its id, and an answer is not answered', async () => {
    const [one, other] = [browser(await link()), browser(await link())];
    const note = said('Mine');
    await one.call('POST', '', asGuest('Ada', note));
    const again = await other.call('POST', '', asGuest('Bo', { ...note, words: 'Not mine' }));
    expect(again.status).toBe(409);
    const answer = said('An answer', { answers: note.id });
    await other.call('POST', '', asGuest('Bo', answer));
    const third = await one.call('POST', '', asGuest('Ada', said('No', { answers: answer.id })));
    expect((await problemOf(third)).detail).toContain('not to an answer');
    await designer().call('DELETE', `/${note.id}`);
  });
});

test('of 20 guests at once every note and every answer is kept', async () => {
  const guests = await Promise.all(Array.from({ length: 20 }, async () => browser(await link())));
  const notes = guests.map((_, index) => said(`Note ${index}`));
  const answers = notes.map((note, index) => said(`Answer ${index}`, { answers: note.id }));
  const first = await Promise.all(
    guests.map((guest, index) =>
      guest.call('POST', '', asGuest(`Guest ${index}`, notes[index] ?? {})),
    ),
  );
  const second = await Promise.all(
    guests.map((guest, index) =>
      guest.call('POST', '', asGuest(`Guest ${index}`, answers[19 - index] ?? {})),
    ),
  );
  expect(new Set([...first, ...second].map(({ status }) => status))).toEqual(new Set([204]));
  const kept = await designer().list();
  expect(new Set(kept.map(({ words }) => words))).toEqual(
    new Set([...notes, ...answers].map(({ words }) => words)),
  );
  expect(new Set(kept.map(({ writer }) => writer)).size).toBe(20);
  // Each knows their own.
  for (const [index, guest] of guests.entries())
    expect((await guest.list()).filter(({ isMine }) => isMine).map(({ writer }) => writer)).toEqual(
      [`Guest ${index}`, `Guest ${index}`],
    );
});

test('notes come with the archive of everything, answers with what they answer; links stay behind', async () => {
  const other = await testServer('garnish_notes_other');
  try {
    const archive = await (await fetch(`${server.url}/api/backup`)).arrayBuffer();
    for (let round = 0; round < 2; round += 1) {
      const form = new FormData();
      form.append('archive', new Blob([archive]), 'garnish.zip');
      const answer = await fetch(`${other.url}/api/restore?replace=no`, {
        method: 'POST',
        body: form,
      });
      expect(answer.status).toBe(200);
    }
    const there = await browser(`${other.url}/api/systems/${id}/notes`).list();
    expect(there).toEqual((await designer().list()).map((note) => ({ ...note, isMine: false })));
    expect(there.length).toBeGreaterThan(30);
    const links: unknown = await (await fetch(`${other.url}/api/systems/${id}/links`)).json();
    expect(links).toEqual({ links: [], addresses: [] });
  } finally {
    await other.close();
  }
}, 30_000);

test('whoever writes without end is slowed, and what was written before is kept', async () => {
  const guest = browser(await link());
  const before = (await guest.list()).length;
  const statuses: number[] = [];
  for (let round = 0; round < 330; round += 1)
    statuses.push((await guest.call('POST', '', asGuest('Cy', said(`More ${round}`)))).status);
  expect(new Set(statuses)).toEqual(new Set([204, 429]));
  expect((await guest.list()).length - before).toBe(statuses.filter((one) => one === 204).length);
});

describe('what a client is asked', () => {
  /** Before a server that nobody has written to much. */
  let fresh = '';
  beforeAll(async () => {
    fresh = await server.another();
  });
  const under = async (choices?: object): Promise<string> =>
    (await link(choices)).replace(server.url, fresh);

  test('is seen and answered under a link for clients, and nowhere else', async () => {
    const asked = said('Is this the tone?', { ...NOTE, kind: 'asked of the client' });
    expect((await designer().call('POST', '', asked)).status).toBe(204);
    const client = browser(await under({ forClient: true, mayWrite: false }));
    const builder = browser(await under());
    await builder.call('POST', '', asGuest('Ada', said('How does it move?')));
    expect((await client.list()).map(({ words }) => words)).toEqual(['Is this the tone?']);
    expect((await builder.list()).map(({ words }) => words)).not.toContain('Is this the tone?');
    const answer = { id: randomUUID(), answers: asked.id, words: 'Not yet. Too loud.' };
    expect((await client.call('POST', '', asGuest('Bo', answer))).status).toBe(204);
    expect((await client.list()).map(({ words }) => words)).toEqual([
      'Is this the tone?',
      'Not yet. Too loud.',
    ]);
    expect((await designer().list()).map(({ words }) => words)).toContain('Not yet. Too loud.');
    // Nobody asks in another's place, and a client writes to nobody else.
    expect(
      (
        await builder.call(
          'POST',
          '',
          asGuest('Ada', said('For you?', { ...NOTE, kind: 'asked of the client' })),
        )
      ).status,
    ).toBe(403);
    expect((await client.call('POST', '', asGuest('Bo', said('And this?')))).status).toBe(403);
    const own = (await builder.list()).find(({ words }) => words === 'How does it move?');
    const other = { id: randomUUID(), answers: own?.id, words: 'No.' };
    expect((await client.call('POST', '', asGuest('Bo', other))).status).toBe(404);
    expect(
      (await builder.call('POST', '', asGuest('Ada', { ...answer, id: randomUUID() }))).status,
    ).toBe(404);
  });

  test('comes with pages alone: no file is there', async () => {
    const base = (await under({ forClient: true })).replace(/\/notes$/, '');
    expect((await fetch(base)).status).toBe(200);
    for (const file of ['tokens.css', 'handoff.md', 'tokens.zip'])
      expect([file, (await fetch(`${base}/files/${file}`)).status]).toEqual([file, 404]);
  });
});
