import { randomUUID } from 'node:crypto';
import { startReceiver, type Arrived } from '../server/src/messages/receiver.ts';
import { copyOf, expect, openArea, TALLOW, test, violationsOf } from './garnish.ts';

test('a channel is told of a note, signed; the outbox says what became of it', async ({
  page,
  request,
  quietConsole,
}) => {
  let secret = '';
  let status = 503;
  const arrived: Arrived[] = [];
  const receiver = await startReceiver({
    secrets: () => [secret],
    onMessage: (message) => arrived.push(message),
    answer: () => status,
  });
  try {
    const id = await copyOf(request, TALLOW);
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await openArea(page, id, 'handoff?view=messages');
    const field = page.getByRole('textbox', { name: 'address that takes messages' });
    await field.fill('somewhere');
    await field.press('Enter');
    await expect(page.getByRole('alert')).toContainText('It is no address that begins with');
    // The browser tells of what the server refused.
    quietConsole.splice(0);
    const address = `http://127.0.0.1:${receiver.port}/team`;
    await field.fill(address);
    await field.press('Enter');
    const channels = page.getByRole('list', { name: 'Channels' });
    await expect(channels).toContainText(address);
    await expect(field).toHaveValue('');
    await channels.getByRole('button', { name: /^Copy the secret/ }).click();
    secret = await page.evaluate(() => navigator.clipboard.readText());

    const pin = { at: '/content/pages/items/home', up: 0, down: [], name: 'card' };
    await request.post(`/api/systems/${id}/notes`, {
      data: { id: randomUUID(), words: 'Is this it?', kind: 'question', page: 'home', pin },
    });
    const outbox = page.getByRole('list', { name: 'Outbox' });
    await expect(outbox).toContainText('1 try, it was answered with 503');
    status = 204;
    await outbox.getByRole('button', { name: 'Try again' }).click();
    await expect(outbox).toContainText('arrived');
    expect(arrived.at(-1)?.body).toMatchObject({ kind: 'note', note: { words: 'Is this it?' } });
    expect(await violationsOf(page, { within: 'main' })).toEqual([]);
    await channels.getByRole('button', { name: `Remove ${address}` }).click();
    await expect(page.getByText('None yet. A channel gets a POST')).toBeVisible();
    await expect(outbox.getByRole('listitem')).toHaveCount(0);
  } finally {
    await receiver.close();
  }
});
