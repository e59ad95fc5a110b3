/**
 * Takes the current picture of each main view from the demo data. Names as arguments take only
 * those; `--to FOLDER` puts them somewhere else, `--size 1680x1050` takes them at another size.
 */
import { AREAS, type AreaId } from '@garnish/core/system/areas';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import type { Page } from '@playwright/test';
import { launch } from './browser.ts';
import { demoServer } from './demo-server.ts';
import { end, say } from './say.ts';

interface View {
  readonly name: string;
  /** The demo system by its name; none for the list. */
  readonly system?: string;
  readonly area?: string;
  readonly preferences?: Readonly<Record<string, unknown>>;
  readonly act?: (page: Page) => Promise<unknown>;
  /** Whether the pointer stays where that left it. */
  readonly isPointing?: boolean;
}

const BRACKWATER = 'Brackwater Ferries';
const KESTREL = 'Kestrel Hill Planetarium';
const TALLOW = 'Tallow Lane Candles';

/** Areas that say more of another system, or with something open. */
const TELLING: ReadonlyMap<AreaId, Partial<View>> = new Map<AreaId, Partial<View>>([
  ['tokens', { area: 'tokens?token=color.action' }],
  ['review', { system: TALLOW }],
  [
    'handoff',
    {
      area: 'handoff?view=releases',
      act: (page) => page.getByRole('region', { name: 'Looks different' }).waitFor(),
    },
  ],
]);

const VIEWS: readonly View[] = [
  { name: 'systems' },
  // Each area once as it opens; where that says little, with something open in it.
  ...AREAS.map(({ id }): View => ({ name: id, system: BRACKWATER, area: id, ...TELLING.get(id) })),
  {
    name: 'pairs',
    system: BRACKWATER,
    area: 'review?view=page',
    act: async (page) => {
      // Tried on one's own page, as it was before.
      await page
        .locator('main input[type=file]')
        .first()
        .setInputFiles('samples/before-garnish.html');
      await page.getByRole('button', { name: 'Prove the system on it' }).click();
      await page.frameLocator('iframe[title$=", in this system"]').locator('h1').waitFor();
      await page.getByRole('button', { name: 'divider' }).click();
      await page.frameLocator('iframe[title$=", as it was read"]').locator('h1').waitFor();
      await page.getByRole('link', { name: /Fonts/ }).first().click();
      await page.getByRole('button', { name: 'pairs', exact: true }).click();
      const list = page.getByRole('listbox');
      await list.getByRole('option').first().waitFor();
      await list.focus();
      await page.keyboard.press('Home');
    },
  },
  {
    name: 'drift',
    system: BRACKWATER,
    area: 'review?view=drift',
    act: async (page) => {
      await page.getByLabel('Choose files').setInputFiles('samples/before-garnish.html');
      await page.getByRole('list', { name: 'Values' }).waitFor();
    },
  },
  {
    name: 'drawing',
    system: BRACKWATER,
    area: 'handoff?view=drawings&thing=card&variant=picture',
    act: (page) => page.getByRole('img', { name: /^Card: with a picture/ }).waitFor(),
  },
  {
    name: 'icons',
    system: BRACKWATER,
    area: 'components?view=icons',
    act: async (page) => {
      await page.getByRole('button', { name: 'Boat' }).click();
      await page.getByRole('searchbox', { name: 'by a word' }).fill('ship');
      await page
        .getByRole('option', { name: /^ship,/ })
        .first()
        .waitFor();
    },
  },
  {
    name: 'brief-pages',
    system: KESTREL,
    area: 'brief?view=pages',
    act: async (page) => {
      await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('evening');
      await page.getByRole('button', { name: /^Steps/ }).click();
      await page.evaluate(() => document.querySelector('main')?.scrollTo(0, 0));
    },
  },
  {
    name: 'parts',
    system: BRACKWATER,
    area: 'type',
    preferences: { proofWidth: 1240, wide: true },
    act: (page) =>
      page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('Sheet of parts'),
  },
  {
    name: 'color-contrast',
    system: TALLOW,
    area: 'color?view=contrast',
    act: async (page) => {
      await page.getByRole('button', { name: /^falls short/ }).click();
      await page.getByRole('option').first().click();
    },
  },
  {
    name: 'guest',
    system: BRACKWATER,
    area: 'handoff?view=links',
    isPointing: true,
    act: async (page) => {
      await page.goto(
        (await page.getByRole('button', { name: /\/g\// }).last().textContent()) ?? '',
      );
      await page.getByText('How to read this').click();
      const cards = page.frameLocator('iframe[title="Page Home"]').locator('.card');
      await cards.first().scrollIntoViewIfNeeded();
      await cards.first().click({ position: { x: 4, y: 4 } });
      await cards.nth(1).hover({ position: { x: 5, y: 5 } });
    },
  },
  {
    name: 'color-pictures',
    system: BRACKWATER,
    area: 'color?view=pictures',
    act: async (page) => {
      await page.getByRole('table', { name: 'Lowest contrast on estuary' }).waitFor();
      await page.getByRole('button', { name: 'without the veil' }).first().click();
    },
  },
];

async function take(page: Page, url: string, view: View, file: string): Promise<void> {
  await page.goto(url);
  await page.evaluate(
    (preferences) => localStorage.setItem('garnish-preferences', JSON.stringify(preferences)),
    view.preferences ?? {},
  );
  await page.goto(url);
  if (view.system !== undefined) {
    await page.getByRole('heading', { name: view.system }).getByRole('link').click();
    await page.getByRole('navigation', { name: 'Areas' }).waitFor();
    const base = page.url().replace(/\/[^/]*$/, '');
    await page.goto(`${base}/${view.area ?? 'fonts'}`);
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
    await page.frameLocator('iframe[title="Proof"]').getByRole('heading', { level: 1 }).waitFor();
  } else await page.getByRole('heading', { name: BRACKWATER }).waitFor();
  await view.act?.(page);
  if (view.isPointing !== true) await page.mouse.move(1, 1);
  await page.evaluate(async () => {
    await document.fonts.ready;
    await document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]')?.contentDocument?.fonts
      .ready;
  });
  // The checks are fetched two seconds after an area has opened.
  await page.waitForTimeout(view.system === undefined ? 700 : 3500);
  // Repairs are shown once they were tried.
  await page.waitForFunction(
    () => document.querySelector('main [aria-busy="true"]') === null,
    undefined,
    { timeout: 60_000 },
  );
  await page.screenshot({ path: file });
}

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { to: { type: 'string' }, size: { type: 'string' } },
  });
  const folder = path.resolve(values.to ?? 'docs/screenshots');
  mkdirSync(folder, { recursive: true });
  const [width = 1280, height = 800] = (values.size ?? '1280x800').split('x').map(Number);
  const server = await demoServer('pictures');
  const browser = await launch();
  try {
    const page = await browser.newPage({ viewport: { width, height } });
    const chosen = VIEWS.filter(
      ({ name }) => positionals.length === 0 || positionals.includes(name),
    );
    page.on('console', (message) => {
      if (message.type() === 'error') say(`the page says: ${message.text()}`);
    });
    for (const view of chosen) {
      await take(page, server.url, view, path.join(folder, `${view.name}.png`));
      say(`took ${view.name}`);
    }
  } finally {
    await browser.close();
    await server.close();
  }
}

main().catch(end);
