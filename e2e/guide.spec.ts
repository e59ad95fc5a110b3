import { mkdir, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Route } from '@playwright/test';
import { strFromU8, strToU8, unzipSync } from 'fflate';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  openArea,
  saved,
  setWidth,
  test,
  violationsOf,
} from './garnish.ts';
import { componentsAlone, drawnComponents, drawnSections, faultsOf } from './drawn.ts';
import { compare } from './plain.ts';

const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.webp': 'image/webp',
  '.woff2': 'font/woff2',
  '.js': 'text/javascript',
};

test('the guide is made and read from a disk: pages look as the proof does, drawings are true, and nothing is fetched', async ({
  page,
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  // What has been accepted is told with its reason; hostile words are words.
  await change(request, id, [
    { op: 'replace', path: '/description', value: 'Two ferries <script>alert(1)</script>' },
  ]);
  await openArea(page, id, 'handoff?view=guide');
  await page.getByRole('button', { name: 'Make the guide' }).click();
  await expect(page.getByRole('progressbar', { name: 'The guide' })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  const bench = page.getByRole('main', { name: 'Bench' });
  await expect(bench).toContainText('Given up. Nothing was made.');
  const taken = page.waitForEvent('download', { timeout: 120_000 });
  await page.getByRole('button', { name: 'Make the guide' }).click();
  const archive = unzipSync(new Uint8Array(await readFile(await (await taken).path())));
  await expect(bench).toContainText(/guide\.zip, \d+ kB/);
  const folder = await mkdtemp(path.join(tmpdir(), 'garnish-guide-'));
  try {
    for (const [name, bytes] of Object.entries(archive)) {
      const file = path.join(folder, name);
      await mkdir(path.dirname(file), { recursive: true });
      await writeFile(file, bytes);
    }

    // The same computed styles as the proof, at two widths and in both themes.
    const serve = (route: Route): Promise<void> => {
      const name = decodeURIComponent(new URL(route.request().url()).pathname.slice(7));
      const bytes = archive[name];
      return bytes
        ? route.fulfill({
            contentType: TYPES[path.extname(name)] ?? 'application/octet-stream',
            body: Buffer.from(bytes),
          })
        : route.fulfill({ status: 404, body: '' });
    };
    await page.route('**/plain/**', serve);
    for (const [width, theme] of [
      [720, 'light'],
      [375, 'dark'],
    ] as const) {
      await setWidth(page, width);
      const found = await compare(page, width, theme, 'nothing', '', 'pages/home.html');
      expect(found.elements).toBeGreaterThan(100);
      expect([width, theme, found.differences]).toEqual([width, theme, []]);
    }

    // Every drawing is true to the pages that lie beside it, and to the components alone.
    const system = await documentOf(request, id);
    archive['alone.html'] = strToU8(
      `<!doctype html><meta charset="utf-8"><link rel="stylesheet" href="tokens.css"><body>${componentsAlone(system)}`,
    );
    const plain = await page.context().newPage();
    await plain.setViewportSize({ width: 720, height: 900 });
    await plain.route('**/plain/**', serve);
    let told = 0;
    for (const [where, things] of [
      ['alone', drawnComponents(system)],
      ...system.content.pages.order.map(
        (one) => [`pages/${one}`, drawnSections(system, one)] as const,
      ),
    ] as const) {
      await plain.goto(`/plain/${where}.html`);
      await plain.evaluate(async () => {
        await document.fonts.ready;
      });
      for (const { name, file, selector } of things) {
        const found = await faultsOf(
          plain,
          strFromU8(archive[`drawings/${file}.svg`] ?? new Uint8Array()),
          selector,
        );
        expect([name, found.faults]).toEqual([name, []]);
        told += found.told;
      }
    }
    expect(told).toBeGreaterThan(400);
    await plain.close();

    // From the disk, without script: everything is read.
    const still = await browser.newContext({ javaScriptEnabled: false });
    const reader = await still.newPage();
    const asked: string[] = [];
    reader.on('request', (one) => asked.push(one.url()));
    const failed: string[] = [];
    reader.on('requestfailed', (one) => failed.push(one.url()));
    await reader.goto(pathToFileURL(path.join(folder, 'index.html')).href);
    await expect(reader.getByRole('heading', { level: 1 })).toContainText(BRACKWATER);
    await expect(reader.getByText('Two ferries <script>alert(1)</script>')).toBeVisible();
    await reader.getByRole('link', { name: 'Components' }).click();
    await reader.getByRole('link', { name: 'Button' }).first().click();
    await expect(reader.getByText('pointed at').first()).toBeVisible();
    await expect(reader.getByRole('img', { name: /Measures:/ }).first()).toBeVisible();
    await reader.getByRole('link', { name: 'button.background', exact: true }).click();
    await expect(reader.locator(':target')).toContainText('--button-background');
    await reader.getByRole('link', { name: 'Assets' }).click();
    await expect(reader.getByRole('link', { name: 'boat.svg' })).toBeVisible();
    await reader.getByRole('link', { name: 'Decisions' }).click();
    await expect(reader.getByRole('heading', { name: 'Faces' })).toBeVisible();
    await reader.getByRole('link', { name: 'The system' }).click();
    await reader.getByRole('link', { name: 'The approach, on one page' }).click();
    await expect(reader.locator('svg > title')).toHaveText(/^The approach of/);
    await reader.goBack();
    await reader.getByRole('link', { name: 'Timetable' }).click();
    await expect(reader.locator('.site')).toBeVisible();
    expect(failed).toEqual([]);
    expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('data:'))).toEqual([]);
    await still.close();

    // And with script: what is copied, and axe.
    const other = await browser.newContext();
    await other.grantPermissions(['clipboard-read', 'clipboard-write']);
    const looked = await other.newPage();
    for (const name of [
      'index.html',
      'components.html',
      'components/button.html',
      'sections/home.html',
      'assets.html',
      'decisions.html',
    ]) {
      await looked.goto(pathToFileURL(path.join(folder, name)).href);
      // A component in its states repeats itself, landmarks and fields without names of their own with it.
      expect([name, await violationsOf(looked, { without: '.g-states' })]).toEqual([name, []]);
    }
    await looked.goto(pathToFileURL(path.join(folder, 'components/card.html')).href);
    await looked.getByRole('button', { name: 'Copy' }).first().click();
    await expect(looked.getByRole('button', { name: 'Copied' })).toBeVisible();
    expect(await looked.evaluate(() => navigator.clipboard.readText())).toContain('class="card');
    await other.close();
  } finally {
    await rm(folder, { recursive: true });
  }
});

test('a guest finds components with their drawings and code, and every asset singly and together', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const { address } = (await (
    await request.post(`/api/systems/${id}/links`, { data: { label: 'the builders' } })
  ).json()) as { address: string };
  await page.goto(`/g/${address}`);
  await page.getByText('How to read this').click();
  await page.getByRole('button', { name: 'Components' }).click();
  const list = page.getByRole('navigation', { name: 'Components and sections' });
  await list.getByRole('searchbox').fill('several things');
  await expect(list.getByRole('listitem')).toHaveText(['Card']);
  await list.getByRole('searchbox').fill('nothing of this kind');
  await expect(list).toContainText('None is found so.');
  await list.getByRole('searchbox').fill('');
  await list.getByRole('button', { name: 'Card', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Card: usual/ })).toBeVisible();
  // Nobody but the designer moves labels.
  await expect(page.getByRole('button', { name: /^Label/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Copy the rules of Card' })).toBeVisible();
  expect(await violationsOf(page)).toEqual([]);
  // A part of a page is drawn as it stands there.
  await expect(list.getByRole('heading', { name: 'Sections of Home' })).toBeVisible();
  await list
    .getByRole('list', { name: 'Sections of Home' })
    .getByRole('button', { name: 'Opening' })
    .click();
  await expect(page.getByRole('img', { name: /^Home: opening/ })).toBeVisible();
  await page.getByRole('button', { name: 'On its page' }).click();
  await expect(page.frameLocator('iframe[title="Page Home"]').locator('h1')).toBeVisible();

  await page.getByRole('button', { name: 'Assets' }).click();
  const icons = page.getByRole('region', { name: 'icons' });
  const taken = page.waitForEvent('download');
  await icons.getByRole('button', { name: 'boat.svg' }).click();
  const one = await taken;
  expect(one.suggestedFilename()).toBe('boat.svg');
  expect(await readFile(await one.path(), 'utf8')).toContain('<svg');
  const whole = page.waitForEvent('download');
  await page.getByRole('button', { name: /^All \d+ as one archive/ }).click();
  const files = Object.keys(unzipSync(new Uint8Array(await readFile(await (await whole).path()))));
  for (const file of ['logo/logo-light.svg', 'icons/boat.svg']) expect(files).toContain(file);
  expect(files.some((file) => /^pictures\/.*-1600\.webp$/.test(file))).toBe(true);
  expect(files.some((file) => /^fonts\/.*\.woff2$/.test(file))).toBe(true);
  expect(await violationsOf(page)).toEqual([]);

  // On a phone nothing reaches beyond it.
  await page.setViewportSize({ width: 375, height: 740 });
  await page.goto(`/g/${address}?page=parts&part=button`);
  await expect(page.getByRole('combobox', { name: 'Component or section' })).toHaveValue('button');
  await expect(page.getByRole('img', { name: /^Button: main/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(375);
});

test('pages and components have a state, a group and tags, by which guests find them', async ({
  page,
  request,
  context,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'handoff?view=things');
  const things = page.getByRole('region', { name: 'Pages, sections and components' });
  await things.getByRole('combobox', { name: 'State of Home' }).selectOption('ready');
  await things.getByRole('combobox', { name: 'State of Card', exact: true }).selectOption('built');
  const group = things.getByRole('textbox', { name: 'Group of Card', exact: true });
  await group.fill('Lists');
  await group.press('Enter');
  const tags = things.getByRole('textbox', { name: 'Tags of Card', exact: true });
  await tags.fill('mobile, launch, mobile');
  await tags.press('Enter');
  await expect(tags).toHaveValue('mobile, launch');
  // An order of one's own, by key too; the focus stays.
  const up = things.getByRole('button', { name: 'Move Card up' });
  await up.press('Enter');
  await up.press('Enter');
  await expect(up).toBeFocused();
  await things
    .getByRole('combobox', { name: 'State of Opening, Timetable' })
    .selectOption('in work');
  await saved(page);
  await things.getByRole('searchbox').fill('launch');
  // The head, the kind, the thing.
  await expect(things.getByRole('row')).toHaveCount(3);
  await expect(things.getByRole('button', { name: /^Move/ })).toHaveCount(0);
  await things.getByRole('combobox', { name: 'State', exact: true }).selectOption('ready');
  await expect(things).toContainText('Nothing is found by these words.');
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);

  const { address } = (await (
    await request.post(`/api/systems/${id}/links`, { data: { label: 'the builders' } })
  ).json()) as { address: string };
  const guest = await context.newPage();
  await guest.goto(`/g/${address}`);
  await guest.getByText('How to read this').click();
  const pages = guest.getByRole('navigation', { name: 'Pages' });
  await expect(pages.getByRole('button', { name: /^Home/ })).toHaveText('Home ready');
  // By words that stand on a page, wherever.
  const find = pages.getByRole('searchbox');
  await find.fill('SLIPWAY NOWHERE');
  await expect(pages.getByRole('status')).toHaveText('none is found so');
  await expect(pages.getByRole('button', { name: /^Home/ })).toBeVisible();
  await find.fill('timetable');
  await expect(pages.getByRole('button', { name: /^Timetable/ })).toBeVisible();
  await find.fill('FOG is ours');
  await expect(pages.getByRole('status')).toHaveText('1 of 4');
  await find.fill('');
  await pages.getByRole('combobox', { name: 'State' }).selectOption('built');
  // The page that is open stays.
  await expect(pages.getByRole('button')).toHaveText(['Home ready', 'Components', 'Assets']);
  await pages.getByRole('button', { name: 'Components' }).click();
  const list = guest.getByRole('navigation', { name: 'Components and sections' });
  await list.getByRole('searchbox').fill('mobile');
  await expect(list.getByRole('heading')).toHaveText('Lists');
  await expect(list.getByRole('listitem')).toHaveText('Cardbuilt');
  await list.getByRole('button', { name: 'Card', exact: true }).click();
  await expect(guest.getByText('Lists, mobile, launch')).toBeVisible();
  expect(await violationsOf(guest)).toEqual([]);
});
