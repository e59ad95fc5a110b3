import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { Sequelize } from 'sequelize';
import { BRACKWATER, copyOf, documentOf, expect, openArea, saved, test } from './garnish.ts';

const {
  GARNISH_KILLED_DATABASE = '',
  GARNISH_KILLED_PORT = '',
  GARNISH_WEB_FOLDER = '',
} = process.env;
const baseURL = `http://127.0.0.1:${GARNISH_KILLED_PORT}`;

async function serve(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: path.resolve(import.meta.dirname, '..'),
    env: {
      ...process.env,
      DATABASE_URL: GARNISH_KILLED_DATABASE,
      PORT: GARNISH_KILLED_PORT,
      GARNISH_WEB_FOLDER,
      GARNISH_DEMO: 'systems',
    },
    stdio: 'inherit',
  });
  await expect
    .poll(
      () =>
        fetch(`${baseURL}/api/systems`).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 120_000 },
    )
    .toBe(true);
  return child;
}

test.use({ baseURL });
// One server, one port, one database: one after the other.
test.describe.configure({ mode: 'serial' });

test('while the database is away, work goes on and says so, and arrives when it is back', async ({
  page,
  request,
  quietConsole,
}) => {
  const server = await serve();
  const url = new URL(GARNISH_KILLED_DATABASE);
  const name = url.pathname.slice(1);
  url.pathname = '/garnish_browser';
  const beside = new Sequelize(url.toString(), { logging: false });
  const setAway = async (away: boolean): Promise<void> => {
    await beside.query(`ALTER DATABASE "${name}" ALLOW_CONNECTIONS ${away ? 'false' : 'true'}`);
    if (away)
      await beside.query(
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = '${name}'`,
      );
  };
  try {
    const id = await copyOf(request, BRACKWATER);
    await openArea(page, id, 'space');
    const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
    // One connection that is killed: the change is sent again.
    await beside.query(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = '${name}'`,
    );
    await unit.fill('6');
    await unit.press('Enter');
    await saved(page);
    // All of it away, for as long as it takes.
    await setAway(true);
    for (const value of ['7', '9', '10']) {
      await unit.fill(value);
      await unit.press('Enter');
    }
    await expect(page.getByRole('banner').getByRole('status')).toHaveText(
      'not saved: the database does not answer, trying again',
    );
    await expect(unit).toHaveValue('10');
    await setAway(false);
    await saved(page);
    expect((await documentOf(request, id)).space.unit).toBe(10);
    quietConsole.length = 0;
  } finally {
    await setAway(false);
    await beside.close();
    server.kill('SIGKILL');
  }
});

test('after a SIGKILL, what was shown as saved is there, and undo still reaches it', async ({
  page,
  request,
  quietConsole,
}) => {
  let server = await serve();
  try {
    const id = await copyOf(request, BRACKWATER);
    await openArea(page, id, 'space');
    const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
    await unit.fill('6');
    await unit.press('Enter');
    await saved(page);
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGKILL');
    await ended;
    server = await serve();
    expect((await documentOf(request, id)).space.unit).toBe(6);
    await page.reload();
    await page.getByRole('button', { name: 'Undo: base unit' }).click();
    await expect(unit).toHaveValue('8');
    await saved(page);
    expect((await documentOf(request, id)).space.unit).toBe(8);
    // The stream broke with the server, which the browser reports.
    quietConsole.length = 0;
  } finally {
    server.kill('SIGKILL');
  }
});

test('a server that is killed while guests write loses no note that it acknowledged, nor a message of one', async ({
  request,
}) => {
  let server = await serve();
  const id = await copyOf(request, BRACKWATER);
  await request.post(`/api/systems/${id}/receivers`, { data: { url: 'http://127.0.0.1:9/' } });
  const { address } = (await (
    await request.post(`/api/systems/${id}/links`, { data: { mayWrite: true } })
  ).json()) as { readonly address: string };
  const pin = { at: '/content/pages/items/home', up: 0, down: [], name: 'card' };
  const acknowledged: string[] = [];
  let isEnded = false;
  const writing = Array.from({ length: 8 }, async (_, writer) => {
    for (let turn = 0; !isEnded && turn < 400; turn += 1) {
      const words = `note ${writer}.${turn}`;
      const note = { id: randomUUID(), words, kind: 'question', page: 'home', pin };
      const answer = await fetch(`${baseURL}/guest/${address}/notes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ writer: 'Ada', note }),
      }).catch(() => undefined);
      if (answer?.status === 204) acknowledged.push(words);
      else if (!answer) return;
    }
  });
  // In the midst of it.
  await expect.poll(() => acknowledged.length).toBeGreaterThan(20);
  server.kill('SIGKILL');
  isEnded = true;
  await Promise.all(writing);
  server = await serve();
  const { notes } = (await (await request.get(`/api/systems/${id}/notes`)).json()) as {
    readonly notes: readonly { readonly words: string }[];
  };
  const kept = new Set(notes.map(({ words }) => words));
  expect(acknowledged.filter((words) => !kept.has(words))).toEqual([]);
  const { messages } = (await (await request.get(`/api/systems/${id}/messages`)).json()) as {
    readonly messages: readonly unknown[];
  };
  // The newest hundred are listed; every note has one.
  expect(messages.length).toBe(Math.min(100, notes.length));
  server.kill();
});
