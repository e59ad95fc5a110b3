import { expect, test, BRACKWATER, KESTREL, TALLOW } from './garnish.ts';

test('the list shows the three demo systems with what waits in them', async ({ page }) => {
  await page.goto('/');
  // Other tests have made more than one page of the list holds: each is found by its name, before its copies.
  await page.getByRole('button', { name: 'name', exact: true }).click();
  for (const name of [BRACKWATER, KESTREL, TALLOW]) {
    await page.getByRole('searchbox').fill(name);
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
  }
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

test('everything is exported as one archive and comes back; what is deleted for good is gone', async ({
  page,
  request,
  quietConsole,
}) => {
  const made = await request.post('/api/systems', { data: { name: 'Short-lived' } });
  const { id } = (await made.json()) as { id: string };
  await page.goto('/');
  await page.getByRole('link', { name: 'Storage and backup' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export everything' }).click(),
  ]);
  const file = await download.path();
  expect(download.suggestedFilename()).toMatch(/^garnish-\d{4}-\d\d-\d\d\.zip$/);

  await request.delete(`/api/systems/${id}`);
  await page.reload();
  await page.getByRole('button', { name: 'Delete for good: Short-lived' }).click();
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.getByRole('status')).toHaveText('Short-lived is deleted for good.');
  expect((await request.post(`/api/systems/${id}/restore`)).status()).toBe(404);

  await page.getByLabel('Import an archive').setInputFiles(file);
  // Other tests have changed their systems meanwhile: that is asked about first.
  const replace = page.getByRole('button', { name: 'Not now' });
  const back = page.getByText(/^Brought back/);
  await expect(replace.or(back)).toBeVisible();
  await page.getByLabel('Import an archive').setInputFiles({
    name: 'none.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('not an archive'),
  });
  if (await replace.isVisible()) await replace.click();
  await expect(page.getByRole('alert')).toContainText('no archive that can be unpacked');
  // The browser reports the answers that refuse.
  quietConsole.length = 0;
});
