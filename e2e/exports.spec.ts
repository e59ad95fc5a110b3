import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  openArea,
  saved,
  test,
  TALLOW,
} from './garnish.ts';

const download = async (page: Page, file: string): Promise<Buffer> => {
  const started = page.waitForEvent('download');
  await page.getByRole('link', { name: file }).click();
  return readFileSync(await (await started).path());
};

test('the three files are taken away, and the token file restores its system in another', async ({
  page,
  request,
}) => {
  const from = await copyOf(request, BRACKWATER);
  await openArea(page, from, 'tokens?view=files');
  const css = (await download(page, 'tokens.css')).toString();
  const json = (await download(page, 'tokens.json')).toString();
  const archive = unzipSync(new Uint8Array(await download(page, 'tokens.zip')));
  expect(strFromU8(archive['tokens.css'] ?? new Uint8Array())).toBe(css);
  expect(strFromU8(archive['tokens.json'] ?? new Uint8Array())).toBe(json);

  const to = await copyOf(request, TALLOW);
  await openArea(page, to, 'tokens?view=files');
  await page.getByLabel('Import a token file').setInputFiles({
    name: 'tokens.json',
    mimeType: 'application/json',
    buffer: Buffer.from(json),
  });
  await expect(page.getByText(/^All decisions of Brackwater Ferries/)).toBeVisible();
  await saved(page);
  expect(await documentOf(request, to)).toEqual(await documentOf(request, from));
  await page.getByRole('button', { name: /^Undo: decisions of/ }).click();
  await saved(page);
  expect((await documentOf(request, to)).color.sources.order).toContain('brand');
});

test('a token file from elsewhere adds its tokens, and says what it left out', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const file = {
    motion: {
      $type: 'duration',
      quick: { $value: { value: 120, unit: 'ms' } },
      usual: { $value: '{motion.quick}' },
    },
    lost: { $type: 'number', $value: '{nowhere}' },
  };
  await page.getByLabel('Import a token file').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await expect(page.getByText('1 that cannot come in')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2 tokens' }).click();
  await expect(page.getByText('2 tokens came in.')).toBeVisible();
  await expect(page.getByText('1 left out')).toBeVisible();
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('--motion-usual: var(--motion-quick);');
});

test('a file that is no token file changes nothing and is answered in words', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = await documentOf(request, id);
  await openArea(page, id, 'tokens?view=files');
  for (const text of ['not json at all', '{"a": 1}', '[]']) {
    await page.getByLabel('Import a token file').setInputFiles({
      name: 'broken.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  }
  expect(await documentOf(request, id)).toEqual(before);
});

test('the zip that was exported is read back in, and a broken one is refused in words', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = await documentOf(request, id);
  const zip = await (await request.get(`/api/systems/${id}/export/tokens.zip`)).body();
  await openArea(page, id, 'space');
  const unit = page.getByRole('spinbutton', { name: 'unit' });
  await unit.fill('6');
  await unit.press('Enter');
  await saved(page);
  await openArea(page, id, 'tokens?view=files');
  const input = page.getByLabel('Import a token file');
  const put = (buffer: Buffer) =>
    input.setInputFiles({ name: 'tokens.zip', mimeType: 'application/zip', buffer });
  await put(zip.subarray(0, zip.length / 2));
  await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  await put(zip);
  await expect(page.getByText(/^All decisions of Brackwater/)).toBeVisible();
  await saved(page);
  expect({ ...(await documentOf(request, id)), name: '' }).toEqual({ ...before, name: '' });
});
