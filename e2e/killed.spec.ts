import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
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
      { timeout: 60_000 },
    )
    .toBe(true);
  return child;
}

test.use({ baseURL });

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
