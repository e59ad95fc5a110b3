import type { FrameLocator, Page } from '@playwright/test';
import { BRACKWATER, copyOf, documentOf, expect, openArea, test } from './garnish.ts';

const proof = (page: Page): FrameLocator => page.frameLocator('iframe[title="Proof"]');
const sizeOf = (page: Page, selector: string): Promise<number> =>
  proof(page)
    .locator(selector)
    .first()
    .evaluate((one) => parseFloat(getComputedStyle(one).fontSize));

test('an option of a list is tried by pointing and by key, taken by Enter, left by Escape, and one step of undo', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = await documentOf(request, id);
  await openArea(page, id, 'type');
  const place = page.getByRole('combobox', { name: 'Place of h1' });
  const size = await sizeOf(page, 'h1');
  const said = page.getByText('tried, not taken', { exact: false });
  await place.click();
  await place.locator('option').first().hover();
  await expect(said).toBeVisible();
  await expect.poll(() => sizeOf(page, 'h1')).not.toBe(size);
  await page.keyboard.press('Escape');
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
  await expect(said).toHaveCount(0);
  expect((await documentOf(request, id)).type).toEqual(before.type);
  // The same by keys alone.
  await place.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Home');
  await expect.poll(() => sizeOf(page, 'h1')).not.toBe(size);
  await page.keyboard.press('Escape');
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await documentOf(request, id)).type).not.toEqual(before.type);
  const taken = await sizeOf(page, 'h1');
  expect(taken).not.toBe(size);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await documentOf(request, id)).type).toEqual(before.type);
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
});
