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
  await place.locator('option', { hasText: /^up 6$/ }).hover();
  await expect(said).toBeVisible();
  await expect.poll(() => sizeOf(page, 'h1')).not.toBe(size);
  await page.keyboard.press('Escape');
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
  await expect(said).toHaveCount(0);
  expect((await documentOf(request, id)).type).toEqual(before.type);
  // The same by keys alone.
  await place.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => sizeOf(page, 'h1')).not.toBe(size);
  await page.keyboard.press('Escape');
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await documentOf(request, id)).type).not.toEqual(before.type);
  const taken = await sizeOf(page, 'h1');
  expect(taken).not.toBe(size);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await documentOf(request, id)).type).toEqual(before.type);
  await expect.poll(() => sizeOf(page, 'h1')).toBe(size);
});

/** What a token of color is on the page of the proof. */
const colorOf = (page: Page, name: string): Promise<string> =>
  proof(page)
    .locator('html')
    .evaluate((root, property) => getComputedStyle(root).getPropertyValue(property).trim(), name);

test('accents and palettes are compared on the page without being taken; one is taken whole, and what is locked stays', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=dials');
  await page.getByRole('checkbox', { name: 'logo' }).check();
  await page.getByRole('searchbox', { name: 'Find a decision to lock' }).fill('color brand');
  const decided = await documentOf(request, id);
  const [first = ''] = decided.color.sources.order;
  await page
    .getByRole('searchbox', { name: 'Find a decision to lock' })
    .fill(`color ${decided.color.sources.items[first]?.name ?? ''}`);
  await page
    .getByRole('list', { name: 'Decisions that can be locked' })
    .getByRole('button')
    .first()
    .click();
  await expect(page.getByRole('list', { name: 'Locked' }).getByRole('listitem')).toHaveCount(2);
  await expect
    .poll(async () => (await documentOf(request, id)).brief.locked)
    .toEqual(['/layout/logo', `/color/sources/items/${first}`]);
  const before = await documentOf(request, id);
  await openArea(page, id, 'color?view=palette');
  const shipped = page.getByRole('list', { name: 'Shipped palettes' });
  const action = await colorOf(page, '--color-action');
  const accent = await colorOf(page, '--color-accent');

  // Three accents, by pointing, each seen, none taken.
  await page
    .getByRole('group', { name: 'What a color becomes' })
    .first()
    .getByRole('button', { name: 'accent' })
    .click();
  const colors = shipped
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /^Take .+ of / });
  const seen = new Set<string>();
  for (const at of [0, 1, 2]) {
    const last = await colorOf(page, '--color-accent');
    await colors.nth(at).hover();
    await expect.poll(() => colorOf(page, '--color-accent')).not.toBe(last);
    seen.add(await colorOf(page, '--color-accent'));
  }
  expect(seen.size).toBe(3);
  expect(await colorOf(page, '--color-action')).toBe(action);
  await page.mouse.move(2, 2);
  await expect.poll(() => colorOf(page, '--color-accent')).toBe(accent);

  // Two palettes whole, by key, then one of them taken.
  const whole = shipped.getByRole('button', { name: / whole$/ });
  for (const at of [0, 1]) {
    await whole.nth(at).focus();
    await expect(page.getByText('tried, not taken', { exact: false })).toBeVisible();
    await expect.poll(() => colorOf(page, '--color-accent')).not.toBe(accent);
  }
  await page.keyboard.press('Escape');
  await expect.poll(() => colorOf(page, '--color-accent')).toBe(accent);
  expect((await documentOf(request, id)).color).toEqual(before.color);
  await whole.nth(0).focus();
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await documentOf(request, id)).color).not.toEqual(before.color);
  const after = await documentOf(request, id);
  for (const one of [first, 'success', 'warning', 'danger', 'notice'])
    expect([one, after.color.sources.items[one]]).toEqual([one, before.color.sources.items[one]]);
  expect(after.layout.logo).toEqual(before.layout.logo);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await documentOf(request, id)).color).toEqual(before.color);
});

test('the density of all spaces is turned down by keys, seen, taken, and one inset stays as it was', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=dials');
  const inset = await colorOf(page, '--space-inset-large');
  const stack = await colorOf(page, '--space-stack');
  await page.getByRole('searchbox', { name: 'Find a decision to lock' }).fill('inset large');
  await page
    .getByRole('list', { name: 'Decisions that can be locked' })
    .getByRole('button', { name: /inset large$/ })
    .click();
  const before = await documentOf(request, id);
  const dial = page.getByRole('slider', { name: 'all spaces' });
  await dial.focus();
  for (let presses = 0; presses < 6; presses += 1) await page.keyboard.press('ArrowLeft');
  await expect.poll(() => colorOf(page, '--space-stack')).not.toBe(stack);
  expect(await colorOf(page, '--space-inset-large')).toBe(inset);
  expect((await documentOf(request, id)).space).toEqual(before.space);
  // Escape leads back, all of it.
  await page.keyboard.press('Escape');
  await expect.poll(() => colorOf(page, '--space-stack')).toBe(stack);
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled();
  for (let presses = 0; presses < 6; presses += 1) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await documentOf(request, id)).space).not.toEqual(before.space);
  expect(await colorOf(page, '--space-inset-large')).toBe(inset);
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled();
  await page
    .getByText(/stays? as/)
    .first()
    .click();
  await expect(page.getByRole('list', { name: 'What stays beside all spaces' })).toContainText(
    'inset large',
  );
});
