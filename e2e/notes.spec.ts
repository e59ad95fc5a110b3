import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  test,
  violationsOf,
} from './garnish.ts';

test('a note is pinned by a guest, answered, stays with its thing, is resolved, and says when its thing is gone', async ({
  page,
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const made = await request.post(`/api/systems/${id}/links`, { data: { mayWrite: true } });
  const { address } = (await made.json()) as { readonly address: string };
  await openArea(page, id, 'handoff?view=notes');
  await expect(page.getByText('None yet. Guests write them')).toBeVisible();

  const elsewhere = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const guest = await elsewhere.newPage();
  await guest.goto(new URL(`/g/${address}`, page.url()).href);
  const frame = guest.frameLocator('iframe[title="Page Home"]');
  const second = frame.locator('.card').nth(1);
  await guest.getByText('How to read this').click();
  await second.scrollIntoViewIfNeeded();
  await second.click({ position: { x: 3, y: 3 } });
  const notes = guest.getByRole('region', { name: 'Notes' });
  await expect(notes).toContainText('Say your name first');
  await notes.getByRole('textbox', { name: 'your name' }).fill('Ada');
  const words = 'Does <b>all of it</b> lead on?';
  await notes.getByRole('textbox', { name: 'in your words' }).fill(words);
  await notes.getByRole('button', { name: 'Send' }).click();
  const asked = notes.getByRole('article', { name: 'question of Ada' });
  await expect(asked).toContainText(words);
  await expect(guest.locator('[data-noted]')).toHaveCount(1);
  expect(await violationsOf(guest)).toEqual([]);

  // Here it comes by itself, new; its place is a click away.
  const note = page.getByRole('article', { name: 'question of Ada' });
  await expect(note).toContainText(words);
  await expect(note.getByText('new', { exact: true })).toBeVisible();
  await note.getByRole('button', { name: 'card on Home' }).click();
  await expect(proof(page).locator('.card').nth(1)).toBeInViewport();
  await note.getByRole('button', { name: 'Answer' }).click();
  await note.getByRole('textbox', { name: 'your answer' }).fill('All of it.');
  await note.getByRole('button', { name: 'Send' }).click();
  await expect(asked.getByRole('list', { name: 'Answers' })).toContainText('All of it.');

  // Where one works on something else, the strip says that there is something to read; read, it says so no more.
  const handoff = page
    .getByRole('navigation', { name: 'Areas' })
    .getByRole('link', { name: /Handoff/ });
  const type = page.getByRole('link', { name: /^Type/ });
  await type.click();
  // Until the other area stands there, the notes are still before one's eyes.
  await expect(type).toHaveAttribute('aria-current', 'page');
  await expect(page.getByRole('button', { name: 'notes', exact: true })).toBeHidden();
  await expect(handoff).not.toContainText('unread');
  await asked.getByRole('button', { name: 'Answer' }).click();
  await asked.getByRole('textbox', { name: 'your answer' }).fill('Thank you.');
  await asked.getByRole('button', { name: 'Send' }).click();
  await expect(handoff).toContainText('1 note unread');
  await handoff.click();
  await page.getByRole('button', { name: 'notes', exact: true }).click();
  await expect(note).toContainText('Thank you.');
  await expect(handoff).not.toContainText('unread');

  // The cards change their order: the note goes with its card.
  const { items } = (await documentOf(request, id)).content.pages;
  const [key = '', section] =
    Object.entries(items['home']?.sections.items ?? {}).find(([, one]) => one.kind === 'cards') ??
    [];
  if (section?.kind !== 'cards') throw new Error('there are no cards');
  const path = `/content/pages/items/home/sections/items/${key}/cards`;
  const title = await second.getByRole('heading').textContent();
  await change(request, id, [
    { op: 'replace', path: `${path}/order`, value: section.cards.order.toReversed() },
  ]);
  await expect(frame.locator('.card').last().getByRole('heading')).not.toHaveText(title ?? '');
  await guest.getByRole('button', { name: 'none', exact: true }).click();
  await asked.getByRole('button', { name: 'card', exact: true }).click();
  await expect(guest.getByRole('region', { name: 'What is chosen' })).toBeVisible();
  // What is drawn follows the page a moment after it was scrolled.
  await expect
    .poll(async () => {
      const [spot, card] = await Promise.all([
        guest.locator('[data-measure="chosen"] rect').last().boundingBox(),
        frame.locator('.card', { hasText: title ?? '' }).boundingBox(),
      ]);
      return Math.abs((spot?.y ?? 0) - (card?.y ?? 999));
    })
    .toBeLessThan(2);

  // And it is told when the card is gone.
  const [, gone = ''] = section.cards.order;
  await change(request, id, [
    {
      op: 'replace',
      path: `${path}/order`,
      value: section.cards.order.filter((one) => one !== gone),
    },
    { op: 'remove', path: `${path}/items/${gone}` },
  ]);
  await expect(asked).toContainText('card, which is gone');
  await note.getByRole('button', { name: 'Resolve' }).click();
  await expect(note).toHaveCount(0);
  await page.getByRole('button', { name: 'resolved', exact: true }).click();
  await expect(note).toContainText('question, resolved');
  await expect(asked).toHaveCount(0);
  await guest.getByRole('button', { name: '1 resolved' }).click();
  await expect(asked).toContainText('resolved');
  await elsewhere.close();
});

test('a client sees pages alone, large, and answers what is asked by a click and a sentence', async ({
  page,
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'handoff?view=notes');
  await page.getByText('Ask a client').click();
  await page.getByRole('combobox', { name: 'beside the page' }).selectOption('Timetable');
  await page.getByRole('textbox', { name: /^a short question/ }).fill('Is this the tone?');
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  const thread = page.getByRole('article', { name: /^asked of the client/ });
  await expect(thread).toContainText('Is this the tone?');
  await page.getByRole('button', { name: 'links', exact: true }).click();
  await page.getByRole('textbox', { name: 'for whom' }).fill('the ferry people');
  await page.getByRole('checkbox', { name: /^for a client/ }).check();
  await page.getByRole('button', { name: 'Make the link' }).click();
  const links = page.getByRole('list', { name: 'Links' });
  await expect(links).toContainText('all pages, for a client');
  const address = (
    await links.getByRole('button', { name: /\/g\// }).first().textContent()
  )?.trim();

  const elsewhere = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const client = await elsewhere.newPage();
  await client.goto(address ?? '');
  const pages = client.getByRole('navigation', { name: 'Pages' });
  await expect(client.getByText('Nothing is asked of this page.')).toBeVisible();
  await expect(client.getByText('Files')).toHaveCount(0);
  await pages.getByRole('button', { name: 'Timetable 1 asked' }).click();
  const asked = client.getByRole('complementary', { name: 'Asked of you' });
  await expect(asked.getByRole('heading')).toHaveText('Is this the tone?');
  const not = asked.getByRole('button', { name: 'Not yet' });
  await expect(not).toBeDisabled();
  await asked.getByRole('textbox', { name: 'your name' }).fill('Bo');
  await asked.getByRole('textbox', { name: 'a sentence, if you like' }).fill('A little louder.');
  await not.click();
  await expect(asked.getByRole('list', { name: 'Answers' })).toHaveText(
    'you: Not yet. A little louder.',
  );
  await expect(pages.getByRole('button', { name: 'Timetable', exact: true })).toBeVisible();
  expect(await violationsOf(client)).toEqual([]);
  // On a phone as well.
  await client.setViewportSize({ width: 375, height: 740 });
  expect(await client.evaluate(() => document.documentElement.scrollWidth)).toBe(375);
  await client.setViewportSize({ width: 1280, height: 800 });
  await elsewhere.close();

  await page.getByRole('button', { name: 'notes', exact: true }).click();
  await expect(thread).toContainText('Not yet. A little louder.');
  await thread.getByRole('button', { name: 'Resolve' }).click();
  await expect(thread).toHaveCount(0);
});
