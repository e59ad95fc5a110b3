import type { FrameLocator, Page } from '@playwright/test';
import { BRACKWATER, copyOf, documentOf, expect, goOn, openArea, saved, test } from './garnish.ts';

const proof = (page: Page): FrameLocator => page.frameLocator('iframe[title="Proof"]');

test('what is meant to be seen first is said by pointing and by key, missed, found, and mended', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  const meant = page.getByRole('list', { name: 'Meant to be seen first on Home' });
  // By pointing at it: nothing of the page is followed or written meanwhile.
  await page.getByRole('button', { name: 'Point at what is seen first' }).click();
  await proof(page).locator('.table td').first().click();
  await expect(meant.getByRole('listitem')).toHaveCount(1);
  await saved(page);
  const [first = ''] = (await documentOf(request, id)).content.pages.items['home']?.intended ?? [];
  expect(first).toMatch(/^\/content\/pages\/items\/home\/sections\//);
  // By key, from the list of its words.
  const list = page.getByRole('combobox', { name: 'What is seen second, from a list' });
  await list.focus();
  await list.selectOption({ label: 'the logo' });
  await expect(meant.getByRole('listitem')).toHaveCount(2);
  // A cell of a table far down is not seen first: on both screens and in both themes, told as one thing.
  await openArea(page, id, 'review');
  const note = page.getByRole('article', { name: /is not$|is not seen first on Home/ });
  await expect(note).toBeVisible({ timeout: 60_000 });
  await note.getByText(/^\d places$/).click();
  await expect(note.getByRole('listitem').first()).toContainText(
    /on a (phone|desktop) in light; meant: .*; seen: /,
  );
  // Said otherwise, what draws most is what is meant: nothing is found any more.
  await openArea(page, id, 'brief?view=pages');
  const forget = async (): Promise<void> => {
    await expect(meant.getByRole('listitem').first()).toBeVisible();
    for (let left = await meant.getByRole('listitem').count(); left > 0; left -= 1)
      await meant
        .getByRole('button', { name: /need not be seen/ })
        .first()
        .click();
    await expect(meant.getByRole('listitem')).toHaveCount(0);
  };
  const point = async (selector: string): Promise<void> => {
    await page.getByRole('button', { name: 'Point at what is seen first' }).click();
    await proof(page).locator(selector).first().click();
    await expect(meant.getByRole('listitem')).toHaveCount(1);
  };
  await forget();
  await point('h1');
  await goOn(page, id, 'review');
  await expect(note).toHaveCount(0, { timeout: 60_000 });
  // A change that makes the title small is missed in the background; larger again, it is seen first again.
  const place = async (label: string): Promise<void> => {
    await goOn(page, id, 'type');
    await page.getByRole('combobox', { name: 'Place of h1' }).selectOption({ label });
    await goOn(page, id, 'review');
  };
  await place('base');
  await expect(note).toContainText('draws more', { timeout: 60_000 });
  // What would mend it was tried on the page itself: one click ends all its places.
  const mend = note.getByRole('button', { name: /^h1: up \d/ }).first();
  await expect(mend).toBeVisible({ timeout: 60_000 });
  await expect(note).toContainText(/ends all \d/);
  await mend.click();
  await expect(note).toHaveCount(0, { timeout: 60_000 });
  expect((await documentOf(request, id)).type.roles.items['h1']?.place).toBeGreaterThan(0);
});
