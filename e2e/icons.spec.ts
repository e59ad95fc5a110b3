import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { capitalsShift } from '@garnish/core/derive/icons/icons';
import { jsonOf } from '@garnish/core/system/patch';
import { sampleFamily } from '@garnish/core/system/sample';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  KESTREL,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

const finder = (page: Page) => page.getByRole('searchbox', { name: 'by a word' });
const results = (page: Page) => page.getByRole('listbox', { name: /^Icons/ });
const site = (page: Page) => page.getByRole('list', { name: 'Icons of the site' });

/** Takes the first icon that is found by a word. */
async function take(page: Page, words: string): Promise<void> {
  await finder(page).fill(words);
  const first = results(page).getByRole('option').first();
  await expect(first).toHaveAccessibleName(new RegExp(words));
  await first.click();
}

test('a set for the faces, twelve icons named, one swapped by key, one departing through a change of all', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'components?view=icons');
  // The set whose strokes are the nearest to the stems comes first.
  const sets = page.getByRole('table', { name: /stems of/ });
  const figures = await sets.getByRole('row').locator('td:nth-child(3)').allInnerTexts();
  const off = figures
    .slice(0, 8)
    .map((text) => /(\d+) % (thicker|thinner)/.exec(text))
    .map((found) =>
      found ? Math.log2(1 + (found[2] === 'thicker' ? 1 : -1) * (Number(found[1]) / 100)) : 0,
    )
    .map(Math.abs);
  for (const [index, one] of off.entries())
    if (index > 0) expect(one).toBeGreaterThanOrEqual((off[index - 1] ?? 0) - 0.02);
  await sets
    .getByRole('button', { name: /^Look into/ })
    .first()
    .click();
  const before = (await documentOf(request, id)).icons.named.order.length;
  const words = [
    'house',
    'clock',
    'camera',
    'heart',
    'bell',
    'book',
    'cloud',
    'eye',
    'flag',
    'gift',
    'key',
    'leaf',
  ];
  for (const word of words) await take(page, word);
  await saved(page);
  const named = (await documentOf(request, id)).icons.named;
  expect(named.order).toHaveLength(before + words.length);
  for (const { from } of Object.values(named.items))
    expect(['MIT', 'ISC']).toContain(from?.license);
  // One opened is swapped by keys: trying shows it, Escape goes back, Enter takes.
  await site(page).getByRole('button', { name: 'School' }).click();
  await finder(page).fill('book');
  await results(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/tried, not taken/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/tried, not taken/)).toBeHidden();
  expect((await documentOf(request, id)).icons.named.items['school']?.from?.icon).toBe(
    'student-duotone',
  );
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await documentOf(request, id)).icons.named.items['school']?.from?.icon)
    .toMatch(/^book/);
  // It departs in size and color; another stroke and size for all leave that alone.
  await page.getByRole('button', { name: 'Another size' }).click();
  await page.getByRole('combobox', { name: 'size', exact: true }).selectOption({ label: 'large' });
  await page.getByRole('combobox', { name: 'color', exact: true }).selectOption('link');
  const shown = proof(page).locator('.icon-school').first();
  const large = await shown.evaluate((one) => one.getBoundingClientRect().width);
  await page.locator('[data-decision="/icons/size"] input').first().fill('1.5');
  await page.keyboard.press('Enter');
  await saved(page);
  expect(await shown.evaluate((one) => one.getBoundingClientRect().width)).toBeCloseTo(large, 1);
  const other = proof(page).locator('.icon-quiet').first();
  const ratio = await other.evaluate(
    (one) => one.getBoundingClientRect().width / Number.parseFloat(getComputedStyle(one).fontSize),
  );
  expect(ratio).toBeCloseTo(1.5, 2);
  // Undone, all of it is as before.
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await documentOf(request, id)).icons.size).not.toBe(1.5);
});

test('SVG of one’s own is cleaned, cropped and told; broken and hostile files answer in words', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components?view=icons');
  const bring = page.getByLabel('Bring SVG files');
  const svg = (inside: string): Buffer =>
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inside}</svg>`);
  await bring.setInputFiles([
    {
      name: 'lamp-post.svg',
      mimeType: 'image/svg+xml',
      buffer: svg(
        '<script>window.bad = true</script><path d="M10 40H30V50H10Z" onclick="window.bad = true"/><path d="M10 60H30" stroke="#f00" stroke-width="2"/><path d="M10 70H30" stroke="#f00" stroke-width="5"/>',
      ),
    },
    { name: 'empty.svg', mimeType: 'image/svg+xml', buffer: svg('') },
    { name: 'notes.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('no drawing at all') },
    {
      name: 'bomb.svg',
      mimeType: 'image/svg+xml',
      buffer: svg('<g>'.repeat(9000)),
    },
  ]);
  const told = page.getByRole('listitem');
  await expect(told.filter({ hasText: 'lamp-post.svg' })).toContainText(
    'Cropped to what is drawn: 40 %, 70 %',
  );
  await expect(told.filter({ hasText: 'lamp-post.svg' })).toContainText('A script was left out.');
  await expect(told.filter({ hasText: 'empty.svg' })).toContainText(
    'Nothing is drawn in it. Nothing was changed.',
  );
  await expect(told.filter({ hasText: 'notes.svg' })).toContainText('It is no SVG.');
  await expect(told.filter({ hasText: 'bomb.svg' })).toContainText(/more than an icon|more levels/);
  await page.getByRole('button', { name: 'Make them even' }).click();
  await saved(page);
  const { named } = (await documentOf(request, id)).icons;
  const brought = Object.values(named.items).find(({ name }) => name === 'lamp post');
  expect(new Set(brought?.drawing.shapes.map(({ width }) => width).filter(Boolean)).size).toBe(1);
  expect(JSON.stringify(brought)).not.toMatch(/script|bad|onclick/);
  expect(await page.evaluate(() => 'bad' in globalThis)).toBe(false);
  // It is taken out again.
  await site(page).getByRole('button', { name: 'lamp post' }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(site(page).getByRole('button', { name: 'lamp post' })).toHaveCount(0);
});

test.describe('at four pixels a pixel', () => {
  test.use({ deviceScaleFactor: 4 });

  test('beside words an icon is in the middle of the capitals, and its stroke is as thick as decided', async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, BRACKWATER);
    // A face whose capitals stand well above the middle of its line.
    const family = sampleFamily('overpass');
    const shift = capitalsShift(family.metrics, undefined);
    expect(shift).toBeLessThan(-0.08);
    await change(request, id, [
      { op: 'add', path: '/fonts/roles/label', value: jsonOf({ family, weight: 600 }) },
    ]);
    await openArea(page, id, 'components?part=button');
    await page
      .getByRole('combobox', { name: 'Page of the proof' })
      .selectOption({ label: 'Sheet of parts' });
    const button = proof(page).locator('.sign-before').first();
    await button.scrollIntoViewIfNeeded();
    const { off, fontPx } = await button.evaluate((one) => {
      const [icon, words] = [one.querySelector('.icon'), one.querySelector('span:not(.icon)')];
      if (!icon || !words) throw new Error('there is no icon beside words');
      const foot = document.createElement('span');
      foot.style.cssText = 'display:inline-block;inline-size:0;block-size:0';
      words.append(foot);
      const baseline = foot.getBoundingClientRect().bottom;
      foot.remove();
      const canvas = document.createElement('canvas').getContext('2d');
      if (!canvas) throw new Error('there is no canvas');
      const { fontStyle, fontWeight, fontSize, fontFamily } = getComputedStyle(words);
      // Chromium measures letters in whole pixels: of large ones that is no matter.
      canvas.font = `${fontStyle} ${fontWeight} 1000px ${fontFamily}`;
      const capitals =
        (canvas.measureText('H').actualBoundingBoxAscent / 1000) * Number.parseFloat(fontSize);
      const { top, height } = icon.getBoundingClientRect();
      return {
        off: top + height / 2 - (baseline - capitals / 2),
        fontPx: Number.parseFloat(fontSize),
      };
    });
    // Chromium puts the foot of a line on a whole pixel. In the middle of the line it would be farther off.
    expect(Math.abs(off)).toBeLessThan(1);
    expect(Math.abs(off - shift * fontPx)).toBeGreaterThan(1.5);
    // The shaft of the arrow, counted on the screen in the middle of what is drawn.
    const shot = await button.locator('.icon').screenshot();
    const blank = await page.context().newPage();
    await blank.setContent(`<img src="data:image/png;base64,${shot.toString('base64')}">`);
    const thick = await blank.locator('img').evaluate(async (image) => {
      if (!(image instanceof HTMLImageElement)) throw new Error('there is no picture');
      await image.decode();
      const canvas = document.createElement('canvas');
      canvas.width = image.naturalWidth;
      canvas.height = image.naturalHeight;
      const context = canvas.getContext('2d');
      if (!context) throw new Error('there is no canvas');
      context.drawImage(image, 0, 0);
      const column = context.getImageData(
        Math.floor(canvas.width * 0.35),
        0,
        1,
        canvas.height,
      ).data;
      const levels = Array.from({ length: canvas.height }, (_, y) => column[y * 4 + 1] ?? 0);
      const [ground, ink] = [
        levels[0] ?? 0,
        levels.reduce(
          (far, one) =>
            Math.abs(one - (levels[0] ?? 0)) > Math.abs(far - (levels[0] ?? 0)) ? one : far,
          levels[0] ?? 0,
        ),
      ];
      return levels.reduce((sum, one) => sum + (one - ground) / (ink - ground), 0) / 4;
    });
    await blank.close();
    const { stroke } = (await documentOf(request, id)).icons;
    expect(Math.abs(thick - stroke)).toBeLessThan(0.15);
  });
});

test('where colors are forced, icons stay in the color of words', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await page.emulateMedia({ forcedColors: 'active' });
  await openArea(page, id, 'components?part=button');
  await page
    .getByRole('combobox', { name: 'Page of the proof' })
    .selectOption({ label: 'Sheet of parts' });
  const [seen, words] = await proof(page)
    .locator('.sign-before')
    .first()
    .evaluate((one) => {
      const icon = one.querySelector('.icon');
      if (!icon) throw new Error('there is no icon');
      return [getComputedStyle(icon).backgroundColor, getComputedStyle(one).color];
    });
  expect(seen).toBe(words);
});

test('the files of the icons: sprite, single files and licenses', async ({ request }) => {
  const id = await copyOf(request, BRACKWATER);
  const zip = unzipSync(
    new Uint8Array(await (await request.get(`/api/systems/${id}/export/icons.zip`)).body()),
  );
  const { named } = (await documentOf(request, id)).icons;
  expect(Object.keys(zip)).toContain('boat.svg');
  expect(Object.keys(zip).length).toBeGreaterThan(named.order.length);
  const text = (file: string): string => new TextDecoder().decode(zip[file]);
  expect(text('licenses.txt')).toMatch(/ISC License[\s\S]*Permission to use/);
  expect(text('icons.svg')).toContain('<symbol id="icon-boat"');
});

test('all empty places filled at once, one drawn anew, one replaced, all undone together', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  const order = (await documentOf(request, id)).content.pages.items['home']?.sections.order ?? [];
  const empty = (caption: string) => ({ caption });
  await change(request, id, [
    {
      op: 'add',
      path: '/content/pages/items/home/sections/items/looks',
      value: {
        kind: 'gallery',
        title: 'To look at',
        pictures: {
          order: ['a', 'b', 'c'],
          items: { a: empty('Morning'), b: empty('Noon'), c: empty('Night') },
        },
      },
    },
    { op: 'replace', path: '/content/pages/items/home/sections/order', value: [...order, 'looks'] },
  ]);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'dusk' }).click();
  await page.getByRole('button', { name: 'Fill 3 empty places' }).click();
  const shown = proof(page).locator('.gallery img');
  await expect(shown).toHaveCount(3);
  await saved(page);
  const picturesNow = async () => {
    const { content } = await documentOf(request, id);
    const own = content.pages.items['home']?.sections.items['looks'];
    return own?.kind === 'gallery'
      ? Object.values(own.pictures.items).map((one) => one.picture)
      : [];
  };
  const filled = await picturesNow();
  for (const picture of filled)
    expect(picture?.made).toMatchObject({ of: 'scene', manner: 'dusk' });
  expect(new Set(filled.map((picture) => picture?.file)).size).toBe(3);
  for (const image of await shown.all())
    expect(await image.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(1200);
  // Another drawing for one leaves the others.
  await page.getByRole('button', { name: /^Gallery/ }).click();
  await page.getByRole('button', { name: 'Another drawing for Noon' }).click();
  await expect.poll(async () => (await picturesNow())[1]?.file).not.toBe(filled[1]?.file);
  expect((await picturesNow())[0]?.file).toBe(filled[0]?.file);
  // One’s own takes its place, and is no drawing any more.
  const dot = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await page
    .getByRole('group', { name: 'Picture of Morning' })
    .getByLabel('Another file')
    .setInputFiles({ name: 'own.png', mimeType: 'image/png', buffer: dot });
  await expect.poll(async () => (await picturesNow())[0]?.file).toMatch(/png$/);
  expect((await picturesNow())[0]?.made).toBeUndefined();
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('Control+z');
  await expect(shown).toHaveCount(0);
});

test('a logo on an empty artboard is cropped and told; icons and the picture for links are made of it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space?view=page');
  const group = page.getByRole('group', { name: 'Logo for light grounds from a file' });
  await group.getByLabel(/Import/).setInputFiles({
    name: 'logo.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 400"><path fill="#b5391a" d="M100 160H300V240H100Z"/></svg>',
    ),
  });
  await expect(
    page.getByText(/Cropped to what is drawn: of the artboard 40 %, 25 %, 40 %, 25 %/),
  ).toBeVisible();
  await saved(page);
  const { light } = (await documentOf(request, id)).layout.logo;
  const box =
    /viewBox="([^"]+)"/
      .exec(light ?? '')?.[1]
      ?.split(' ')
      .map(Number) ?? [];
  // Looked at pixel by pixel: within half a unit of 400.
  for (const [index, side] of [100, 160, 200, 80].entries())
    expect(Math.abs((box[index] ?? 0) - side)).toBeLessThan(0.6);
  // In one color it stands at the foot of every page, in the color of the text there.
  await change(request, id, [{ op: 'remove', path: '/layout/logo/one' }]);
  const atFoot = proof(page).locator('.site-footer .logo svg');
  await expect(atFoot).toHaveCount(0);
  await page.getByRole('button', { name: 'Make it from the light one' }).click();
  await expect(atFoot).toHaveCount(1);
  const inkOf = (locator: Locator): Promise<string> =>
    locator.evaluate((element) => getComputedStyle(element).color);
  expect(await atFoot.locator('path').evaluate((path) => getComputedStyle(path).fill)).toBe(
    await inkOf(proof(page).locator('.site-footer')),
  );
  await saved(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Browser, touch and application icons/ }).click();
  const path = await (await waiting).path();
  const zip = unzipSync(new Uint8Array(readFileSync(path)));
  // Width and height of a PNG stand in its head. Source: PNG specification, IHDR.
  const sizeOf = (file: string): readonly number[] => {
    const bytes = Buffer.from(zip[file] ?? []);
    return [bytes.readUInt32BE(16), bytes.readUInt32BE(20)];
  };
  expect(strFromU8(zip['logo-one-color.svg'] ?? new Uint8Array())).toContain('currentcolor');
  expect(sizeOf('icon-32.png')).toEqual([32, 32]);
  expect(sizeOf('touch-icon-180.png')).toEqual([180, 180]);
  expect(sizeOf('app-icon-192.png')).toEqual([192, 192]);
  expect(sizeOf('app-icon-512.png')).toEqual([512, 512]);
  expect(sizeOf('shared.png')).toEqual([1200, 630]);
  // What a mask cuts away is ground: nothing of the logo lies outside the circle of 80 %.
  const blank = await page.context().newPage();
  await blank.setContent(
    `<img src="data:image/png;base64,${Buffer.from(zip['app-icon-512.png'] ?? []).toString('base64')}">`,
  );
  const outside = await blank.locator('img').evaluate(async (image: HTMLImageElement) => {
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 512;
    const context = canvas.getContext('2d');
    if (!context) throw new Error('there is no canvas');
    context.drawImage(image, 0, 0);
    const { data } = context.getImageData(0, 0, 512, 512);
    let other = 0;
    let inside = 0;
    for (let place = 0; place < 512 * 512; place += 1) {
      const isGround = Math.abs((data[place * 4 + 2] ?? 0) - (data[2] ?? 0)) < 24;
      const far = Math.hypot((place % 512) - 255.5, Math.floor(place / 512) - 255.5);
      if (!isGround && far > 0.4 * 512) other += 1;
      if (!isGround) inside += 1;
    }
    return [other, inside];
  });
  await blank.close();
  expect(outside[0]).toBe(0);
  expect(outside[1]).toBeGreaterThan(10_000);
});
