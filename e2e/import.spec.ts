import { derive } from '@garnish/core/derive/derive';
import type { Page } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { BRACKWATER, copyOf, documentOf, expect, openArea, saved, test } from './garnish.ts';

const number = (value: unknown) => ({ $type: 'number', $value: value });
const input = (page: Page) => page.getByLabel('Import a token file');
const json = (name: string, content: unknown) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(JSON.stringify(content)),
});

/** Drops a file of so many tokens, with a text of so many signs beside them, which is made in the page itself. */
async function dropped(
  page: Page,
  name: string,
  what: { readonly tokens: number; readonly filler: number },
): Promise<void> {
  const transfer = await page.evaluateHandle(
    ([file, { tokens, filler }]) => {
      const all: Record<string, unknown> = { filler: 'x'.repeat(filler) };
      for (let at = 0; at < tokens; at += 1) all[`t${at}`] = { $type: 'number', $value: at };
      const given = new DataTransfer();
      given.items.add(new File([JSON.stringify(all)], file, { type: 'application/json' }));
      return given;
    },
    [name, what] as const,
  );
  await page
    .getByRole('group', { name: 'Token files' })
    .dispatchEvent('drop', { dataTransfer: transfer });
}

test('a zip with a resolver document comes in with both themes, references from file to file, words of groups', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const entry = (content: unknown) => strToU8(JSON.stringify(content));
  const zip = zipSync({
    'design/site.resolver.json': entry({
      version: '2025.10',
      sets: { base: { sources: [{ $ref: 'base.json' }] } },
      modifiers: {
        theme: {
          contexts: { light: [], dark: [{ $ref: 'dark.json' }] },
          default: 'light',
        },
      },
      resolutionOrder: [{ $ref: '#/sets/base' }, { $ref: '#/modifiers/theme' }],
    }),
    'design/base.json': entry({
      mood: { $description: 'How it feels', calm: number(1), ref: number('{mood.calm}') },
    }),
    'design/dark.json': entry({ mood: { calm: number(2) } }),
    'design/.git/junk.json': strToU8('{'),
    'design/picture.png': strToU8('nothing'),
  });
  await input(page).setInputFiles({
    name: 'design.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(zip),
  });
  await page.getByRole('button', { name: 'Take 2 tokens' }).click();
  await expect(page.getByText('2 tokens came in.')).toBeVisible();
  await saved(page);
  const document = await documentOf(request, id);
  const { tokenById } = derive(document);
  expect(tokenById.get('mood.calm')?.values).toMatchObject({
    light: { json: 1 },
    dark: { json: 2 },
  });
  expect(tokenById.get('mood.ref')?.values.dark).toMatchObject({ reference: 'mood.calm' });
  const tree = JSON.parse(
    await (await request.get(`/api/systems/${id}/export/tokens.json`)).text(),
  ) as { mood: { $description: string } };
  expect(tree.mood.$description).toBe('How it feels');
});

test('what is far too large is answered in words, or called off, and is read beside the window', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  // It is read elsewhere than in the window.
  const worker = page.waitForEvent('worker', (one) => one.url().includes('import-worker'));
  await dropped(page, 'many.json', { tokens: 200_000, filler: 0 });
  await expect(page.getByRole('alert')).toContainText(
    'This file cannot be taken: it has more than 200000 parts. Nothing was taken.',
  );
  await worker;
  // A long one is called off.
  await dropped(page, 'long.json', { tokens: 1, filler: 60_000_000 });
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Reading was called off. Nothing was changed.')).toBeVisible();
  expect((await documentOf(request, id)).tokens.custom.order).toEqual([]);
});

test('other encodings are read, and what is no text is refused in words', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const text = JSON.stringify({ größe: number(3) });
  await input(page).setInputFiles({
    name: 'wide.json',
    mimeType: 'application/json',
    buffer: Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')]),
  });
  await expect(page.getByText('größe', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: /Leave/ }).click();
  await input(page).setInputFiles({
    name: 'odd.json',
    mimeType: 'application/json',
    buffer: Buffer.from([0x7b, 0xc3, 0x28, 0xa0, 0x7d]),
  });
  await expect(page.getByRole('alert')).toHaveText(
    'odd.json is no text in UTF-8 or UTF-16. Nothing was changed.',
  );
  // Several: what cannot be read is named, the rest waits to be chosen.
  await input(page).setInputFiles([
    json('good.json', { mine: { one: number(1) } }),
    { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{') },
  ]);
  await expect(page.getByText('mine.one', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('bad.json')).toBeVisible();
});
