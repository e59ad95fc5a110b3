import { readDocument } from '@garnish/core/system/upgrade';
import type { StyleDocument } from '@garnish/core/system/document';
import {
  test as base,
  expect,
  type APIRequestContext,
  type FrameLocator,
  type Page,
} from '@playwright/test';

/** Every test fails where the page reports an error that nobody asked for. */
export const test = base.extend<{ readonly quietConsole: string[] }>({
  quietConsole: [
    async ({ page }, use) => {
      const said: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'error') said.push(message.text());
      });
      page.on('pageerror', (error) => said.push(error.message));
      await use(said);
      expect(said).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

export const BRACKWATER = 'Brackwater Ferries';
export const TALLOW = 'Tallow Lane Candles';
export const KESTREL = 'Kestrel Hill Planetarium';

interface Summary {
  readonly id: string;
  readonly name: string;
}

/** A copy of a demo system, so that no test sees what another has done. */
export async function copyOf(request: APIRequestContext, name: string): Promise<string> {
  const address = `/api/systems?search=${encodeURIComponent(name)}&order=name&limit=200`;
  const { systems } = (await (await request.get(address)).json()) as { systems: Summary[] };
  const original = systems.find((system) => system.name === name);
  if (!original) throw new Error(`the demo has no ${name}`);
  const copy = await request.post(`/api/systems/${original.id}/duplicate`);
  return ((await copy.json()) as Summary).id;
}

export async function openArea(page: Page, id: string, area: string): Promise<void> {
  await page.goto(`/systems/${id}/${area}`);
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
  await expect(proof(page).getByRole('heading', { level: 1 })).toBeVisible();
}

export const proof = (page: Page): FrameLocator => page.frameLocator('iframe[title="Proof"]');

/** Waits until everything done so far stands in the database. */
export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('banner').getByRole('status')).toHaveText('saved');

export async function documentOf(request: APIRequestContext, id: string): Promise<StyleDocument> {
  const { document } = (await (await request.get(`/api/systems/${id}`)).json()) as {
    document: unknown;
  };
  const read = readDocument(document);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.document;
}
