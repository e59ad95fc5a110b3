import { expect, test, BRACKWATER, KESTREL, TALLOW } from './garnish.ts';

test('the list shows the three demo systems with what waits in them', async ({ page }) => {
  await page.goto('/');
  for (const name of [BRACKWATER, KESTREL, TALLOW])
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
  const tallow = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: TALLOW, exact: true }) });
  await expect(tallow).toContainText('to repair');
});

test('a system is made, renamed, duplicated, deleted and brought back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New system' }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('alert')).toHaveText('Give it a name first.');
  await page.getByLabel('Name of the site').fill('Alder Street Bakery');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
  await page.getByRole('link', { name: 'All systems' }).click();

  await page.getByRole('button', { name: 'Rename Alder Street Bakery' }).click();
  await page.getByLabel('New name').fill('Birch Street Bakery');
  await page.getByRole('button', { name: 'Rename it' }).click();
  await expect(page.getByRole('heading', { name: 'Birch Street Bakery' })).toBeVisible();

  await page.getByRole('button', { name: 'Duplicate Birch Street Bakery' }).click();
  await expect(page.getByRole('heading', { name: 'Birch Street Bakery copy' })).toBeVisible();

  await page.getByRole('button', { name: 'Delete Birch Street Bakery copy' }).click();
  await expect(page.getByRole('heading', { name: 'Birch Street Bakery copy' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('heading', { name: 'Birch Street Bakery copy' })).toBeVisible();
});

test('an address that leads nowhere says so, and leads back', async ({ page }) => {
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await page.getByRole('link', { name: 'All systems' }).click();
  await expect(page.getByRole('heading', { name: 'Garnish' })).toBeVisible();
});

test.describe('of systems that are not there', () => {
  test('is said too', async ({ page, quietConsole }) => {
    await page.goto('/systems/8d5f7c1e-6a39-4f0a-9f68-0d5c9f1a2b3c/type');
    await expect(page.getByRole('heading', { name: 'There is no such system' })).toBeVisible();
    // The browser itself reports the answers of 404 on the console.
    quietConsole.length = 0;
  });
});

test('a name of 80 letters neither breaks the bar nor is lost', async ({ page, request }) => {
  const name = 'The Society of Friends of Very Long and Winding Names of Small Estuary Ports';
  const made = await request.post('/api/systems', { data: { name } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/systems/${id}/type`);
  await expect(page.getByLabel('Name of the system')).toHaveValue(name);
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow).toBeLessThanOrEqual(0);
});
