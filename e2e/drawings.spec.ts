import { derive } from '@garnish/core/derive/derive';
import { writeHtml } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { Resvg } from '@resvg/resvg-js';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  goOn,
  openArea,
  saved,
  test,
  violationsOf,
} from './garnish.ts';
import { componentsAlone, drawnComponents, drawnSections, faultsOf } from './drawn.ts';
import { servePlain } from './plain.ts';

/** The SVG of the drawing that is shown, once it is that of a component on a screen. */
async function drawn(page: Page, title: string, screenPx: number): Promise<string> {
  const source = await page.waitForFunction(
    ([wanted, foot]) => {
      const image = document.querySelector<HTMLImageElement>('img[alt*="Measures:"]');
      if (!image || image.closest('[aria-busy="true"]')) return false;
      const svg = decodeURIComponent(image.src.slice(image.src.indexOf(',') + 1));
      return svg.includes(`aria-label="${wanted}"`) && svg.includes(foot) && svg;
    },
    [title, `on a screen of ${screenPx} px`] as const,
  );
  return String(await source.jsonValue());
}

// At 720 px they are checked in the guide.
for (const screenPx of [375, 1440])
  test(`on ${screenPx} px every measure of every component and of sections equals the layout of the exported sheet, and no label covers another`, async ({
    page,
    context,
    request,
  }) => {
    const id = await copyOf(request, BRACKWATER);
    const system = await documentOf(request, id);
    const derived = derive(system);
    const plain = await context.newPage();
    const home = writeHtml(sitePage(system, derived, 'home'), () => '');
    await servePlain(
      plain,
      id,
      new Map([
        ['all', componentsAlone(system)],
        ['home', home],
      ]),
    );
    await openArea(page, id, 'handoff?view=drawings');
    await page.getByText('How it is drawn').click();
    for (const chapter of ['parts', 'states', 'narrow to wide'])
      await page.getByRole('checkbox', { name: chapter, exact: true }).uncheck();
    let told = 0;
    await plain.setViewportSize({ width: screenPx, height: 900 });
    for (const [where, things] of [
      ['all', drawnComponents(system)],
      ['home', drawnSections(system, 'home').slice(0, 5)],
    ] as const) {
      await plain.goto(`/plain/${where}`);
      await plain.evaluate(async () => {
        await document.fonts.ready;
      });
      for (const { name, title, key, variant, selector } of things) {
        await goOn(page, id, `handoff?view=drawings&thing=${key}&variant=${variant}`);
        await page
          .getByRole('group', { name: 'Width of the screen, px' })
          .getByRole('button', { name: String(screenPx) })
          .click();
        const svg = await drawn(page, title, screenPx);
        const found = await faultsOf(plain, svg, selector);
        expect([name, screenPx, found.faults]).toEqual([name, screenPx, []]);
        told += found.told;
      }
    }
    expect(told).toBeGreaterThan(200);
  });

test('a component is drawn, a label moved by hand and by key, a corner changed: the drawing stays right, and is taken', async ({
  page,
  context,
  request,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'handoff?view=drawings&thing=card');
  const image = page.getByRole('img', { name: /^Card: usual/ });
  const label = page.getByRole('button', { name: /^Label inset 16 all round/ });
  await expect(label).toBeVisible();
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);

  // By hand: it is kept, and goes back with an undo.
  const before = await label.boundingBox();
  await label.hover();
  await page.mouse.down();
  await page.mouse.move((before?.x ?? 0) + 60, (before?.y ?? 0) + 70, { steps: 4 });
  await page.mouse.up();
  await expect(label).toHaveAccessibleName(/, moved$/);
  const after = await label.boundingBox();
  expect((after?.y ?? 0) - (before?.y ?? 0)).toBeGreaterThan(30);
  await saved(page);
  const [kept] = Object.values((await documentOf(request, id)).components.labels?.items ?? {});
  expect(kept).toMatchObject({ drawing: 'card usual', measure: 'inset card top' });
  // By key, and back where it stood by itself.
  await label.press('ArrowDown');
  await expect
    .poll(async () => {
      await saved(page);
      const { labels } = (await documentOf(request, id)).components;
      return Object.values(labels?.items ?? {})[0]?.y;
    })
    .toBe((kept?.y ?? 0) + 4);
  await expect(label).toBeFocused();
  await label.press('Home');
  await expect(label).not.toHaveAccessibleName(/, moved$/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(label).toHaveAccessibleName(/, moved$/);

  // Made again after a change: the corner in its list of parts, the moved label where it was put.
  await expect(image).toHaveAccessibleName(/corner 4 card\.corner/);
  await change(request, id, [{ op: 'replace', path: '/shape/radii/items/soft/px', value: 9 }]);
  await expect(image).toHaveAccessibleName(/corner 9 card\.corner/);
  await expect(label).toHaveAccessibleName(/, moved$/);

  // How it is drawn.
  await page.getByText('How it is drawn').click();
  await page.getByRole('group', { name: 'What labels tell' }).getByText('value').click();
  await page.getByRole('group', { name: 'Unit of the drawing' }).getByText('rem').click();
  await expect(image).toHaveAccessibleName(/inset 1rem all round gap/);
  await page.getByText('everything in it is measured').click();
  await page.getByRole('checkbox', { name: 'card', exact: true }).uncheck();
  await expect(image).not.toHaveAccessibleName(/inset 1rem all round/);
  await page.getByRole('checkbox', { name: 'card', exact: true }).check();

  // Taken: as a file, at twice its size, and on the clipboard.
  const taken = page.waitForEvent('download');
  await page.getByRole('button', { name: 'SVG', exact: true }).click();
  const svg = await readFile(await (await taken).path(), 'utf8');
  expect(svg).toContain('<title>Card: usual</title>');
  // A program that draws no XHTML draws the card too: another renderer sees its ground and its words.
  const card0 = svg.replaceAll(/<image [^>]*>/g, '');
  const [drawnBy, without] = [svg, card0].map((one) => new Resvg(one).render().asPng());
  const inked = async (png: Buffer | undefined): Promise<number> => {
    const { data } = await sharp(png).grayscale().raw().toBuffer({ resolveWithObject: true });
    return data.filter((value) => value < 128).length;
  };
  expect(await inked(drawnBy)).toBeGreaterThan((await inked(without)) + 1000);
  // Nothing in it is fetched.
  expect(svg.match(/(?:src|href)="(?!data:)[^"]+"|url\((?!"?(?:data:|#))[^)]+\)/g) ?? []).toEqual(
    [],
  );
  const picture = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PNG, twice its size' }).click();
  const bytes = await readFile(await (await picture).path());
  const [, width = '0'] = /<svg[^>]* width="(\d+)"/.exec(svg) ?? [];
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  expect(bytes.readUInt32BE(16)).toBe(2 * Number(width));
  await page.getByRole('button', { name: 'Copy as SVG' }).click();
  await expect(page.getByRole('button', { name: 'copied' })).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(svg);
  await page.getByRole('button', { name: 'Copy as picture' }).click();
  await expect
    .poll(() => page.evaluate(async () => (await navigator.clipboard.read())[0]?.types))
    .toContain('image/png');

  // One page explains the others.
  await page.getByRole('combobox', { name: 'drawn' }).selectOption('approach');
  await expect(page.getByRole('img', { name: /^The approach of .* unit of 8 px/ })).toBeVisible();

  // The picture in the drawing looks as the sheet has it: its own layout equals what was measured.
  const other = await context.newPage();
  await other.setContent(svg);
  const px = (key: string): number =>
    Number(new RegExp(`data-measure="${key}" data-px="([\\d.]+)"`).exec(svg)?.[1]);
  const card = other.locator('foreignObject .card').first();
  await expect
    .poll(async () =>
      card.evaluate((one) => {
        const { width: w, height: h } = one.getBoundingClientRect();
        return [w, h];
      }),
    )
    .toEqual([px('size card width'), px('size card height')]);
  expect(await card.evaluate((one) => getComputedStyle(one).borderRadius)).toBe('9px');
});
