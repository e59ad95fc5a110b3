import { SHIPPED_PALETTES } from '@garnish/core/color/palettes';
import { relativeLuminance } from '@garnish/core/color/contrast';
import { derive } from '@garnish/core/derive/derive';
import type { Page } from '@playwright/test';
import {
  BRACKWATER,
  TALLOW,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

/** A logo as a file: areas of flat color, drawn by the browser itself. */
const logo = (extra = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200">
    <rect width="400" height="200" fill="#ffffff"/>
    <rect width="200" height="200" fill="#1f4e79"/>
    <circle cx="320" cy="100" r="24" fill="#e6007e"/>${extra}
  </svg>`;

test('a logo’s colors are sampled with their shares, one is taken, and bad files lose nothing', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  const choose = (name: string, mimeType: string, content: string | Buffer): Promise<void> =>
    page
      .getByLabel('Sample a logo or a picture')
      .setInputFiles({ name, mimeType, buffer: Buffer.from(content) });
  await choose('logo.svg', 'image/svg+xml', logo('<script>globalThis.hacked = 1</script>'));
  const colors = page.getByRole('list', { name: 'Colors of logo.svg' }).getByRole('listitem');
  await expect(colors.first()).toContainText('#1f4e79');
  await expect(colors.first()).toContainText('50 %');
  await expect(page.getByRole('list', { name: 'Colors of logo.svg' })).toContainText('near white');
  await page.getByRole('button', { name: 'Take #e6007e as a color' }).click();
  await saved(page);
  const { sources } = (await documentOf(request, id)).color;
  expect(Object.values(sources.items).map(({ value }) => value)).toContain('#e6007e');
  expect(await page.evaluate(() => 'hacked' in globalThis)).toBe(false);
  await choose('broken.png', 'image/png', 'no picture at all');
  await expect(page.getByRole('alert')).toContainText('broken.png is no picture');
  await choose(
    'huge.svg',
    'image/svg+xml',
    '<svg xmlns="http://www.w3.org/2000/svg" width="12000" height="9000"><rect width="9" height="9"/></svg>',
  );
  await expect(page.getByRole('alert')).toContainText('108 megapixels; up to 60 are read');
  expect((await documentOf(request, id)).color.sources.order).toHaveLength(8);
});

test('a color is moved by lightness, chroma and hue with the keyboard, and undone', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await page.getByRole('button', { name: 'Value of buoy, picker' }).focus();
  await page.keyboard.press('Enter');
  const picker = page.getByRole('group', { name: 'Value of buoy', exact: true });
  const hue = picker.getByRole('slider', { name: 'hue' });
  await hue.focus();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
  // The hue moves on at the same chroma, which sRGB does not hold there.
  await expect(hue).toHaveAttribute('aria-valuetext', /on wide-gamut screens/);
  await picker.getByRole('slider', { name: 'chroma' }).focus();
  // The first Escape leads back to what was there, in sight all the while; the next closes the picker.
  await page.keyboard.press('Home');
  await expect(page.getByText('tried, not taken: Enter takes it')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(hue).toHaveAttribute('aria-valuetext', /on wide-gamut screens/);
  await page.keyboard.press('End');
  await expect(picker).toContainText('Beyond sRGB');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(picker).toHaveCount(0);
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.value).not.toBe('#b5391a');
  const value = async () =>
    (await documentOf(request, id)).color.sources.items['buoy']?.value ?? '';
  // Movements that follow closely are one step; a slow machine may make several of them.
  await expect
    .poll(async () => {
      if ((await value()) !== '#b5391a') await page.keyboard.press('Control+z');
      await saved(page);
      return value();
    })
    .toBe('#b5391a');
});

test('the whole palette is shifted in the proof, but for what is locked, and taken', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=whole');
  const background = () =>
    proof(page)
      .locator('.button')
      .first()
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  const before = await background();
  const hue = page.getByRole('spinbutton', { name: 'hue', exact: true });
  await hue.fill('90');
  await hue.press('Enter');
  await expect.poll(background).not.toBe(before);
  await page.getByRole('checkbox', { name: 'buoy' }).check();
  await expect.poll(background).toBe(before);
  const { items } = (await documentOf(request, id)).color.sources;
  await page
    .getByRole('region', { name: 'All at once' })
    .getByRole('button', { name: 'Take it' })
    .click();
  await saved(page);
  const after = (await documentOf(request, id)).color.sources.items;
  expect(after['buoy']?.value).toBe(items['buoy']?.value);
  expect(after['marsh']?.value).not.toBe(items['marsh']?.value);
});

test('two colors that are nearly the same become one', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  const before = (await documentOf(request, id)).color.sources.order;
  await openArea(page, id, 'color?view=whole');
  await expect(page.getByText('No two colors are so near to each other.')).toBeVisible();
  await page.getByRole('button', { name: 'Palette', exact: true }).click();
  await page.getByRole('button', { name: 'Another color', exact: true }).click();
  const field = page.getByRole('textbox', { name: 'Value of color 8', exact: true });
  await field.fill('#b63b1c');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Whole', exact: true }).click();
  await page.getByRole('button', { name: 'Make it buoy' }).click();
  await saved(page);
  expect((await documentOf(request, id)).color.sources.order).toEqual(before);
});

test('the proof is seen with other eyes: the browser draws what the model computes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await page.getByRole('button', { name: 'reader', exact: true }).click();
  await page.getByRole('button', { name: 'gray', exact: true }).click();
  await expect(page.getByText(/^Relative luminance: no model of an eye/)).toBeVisible();
  await proof(page).locator('.button').first().scrollIntoViewIfNeeded();
  const box = await page.locator('iframe[title="Proof"]').boundingBox();
  const button = await proof(page).locator('.button').first().boundingBox();
  if (!box || !button) throw new Error('nothing to look at');
  // A page without the policy of ours, to read the picture with.
  const blank = await page.context().newPage();
  const shot = await page.screenshot({
    clip: { x: button.x + 4, y: button.y + 4, width: 2, height: 2 },
  });
  const pixel = await blank.evaluate(async (data) => {
    const image = await createImageBitmap(
      await (await fetch(`data:image/png;base64,${data}`)).blob(),
    );
    const context = new OffscreenCanvas(2, 2).getContext('2d');
    context?.drawImage(image, 0, 0);
    return [...(context?.getImageData(0, 0, 1, 1).data ?? [])];
  }, shot.toString('base64'));
  // The relative luminance of #b5391a, encoded again: arithmetic.
  const [red = 0, green = 0, blue = 0] = pixel;
  expect(red).toBe(green);
  expect(green).toBe(blue);
  expect(Math.abs(red - 100)).toBeLessThan(6);
});

test('rungs at which every text reads are found, seen, taken, and what is pinned is told', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=roles');
  await page.getByRole('button', { name: /^link in light/ }).click();
  await page.getByRole('button', { name: /^marsh 7,/ }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  const group = page.getByRole('group', { name: 'Rungs that read' });
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  await expect(group.getByRole('status')).toContainText('1 role moves');
  await expect(group).toContainText('link in light');
  await group.getByRole('button', { name: 'Take them' }).click();
  await saved(page);
  await expect(page.getByRole('link', { name: /^Review/ })).toContainText('0');
  const link = (await documentOf(request, id)).color.roles.items['link']?.light;
  expect(link && 'rung' in link ? link.rung : 0).toBeGreaterThan(8);
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  await expect(group.getByRole('status')).toHaveText(
    'Every text reads already, in light and in dark.',
  );
  // A pinned color that nothing can read against is told; let go, it is found.
  await page.getByRole('button', { name: /^quiet in light/ }).click();
  const own = page.getByRole('textbox', { name: 'a color of its own' });
  await own.fill('#c8c8c8');
  await own.press('Enter');
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  await expect(group).toContainText(/stays short in light: one of the two is pinned/);
});

test('a pair is looked at closely and repaired by a rung, and the list keeps what falls short', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'color?view=contrast');
  const table = page.getByRole('listbox', { name: 'Contrast of every pair' });
  await expect(table.getByRole('option').first()).toBeVisible();
  await page.getByRole('button', { name: /^falls short/ }).click();
  const short = table.getByRole('option', { name: /small in quiet on page/ });
  await short.click();
  const detail = page.getByRole('group', { name: 'small in quiet on page, closely' });
  await expect(detail).toContainText('legibility, our own aid');
  const background = () =>
    proof(page)
      .locator('.site-footer .type-small')
      .evaluate((element) => getComputedStyle(element).color);
  const before = await background();
  const way = detail
    .getByRole('button', { name: /^Make page #/ })
    .or(detail.getByRole('button', { name: /^Use #/ }));
  await way.first().click();
  await expect(short).toHaveCount(0);
  await expect.poll(background).not.toBe(before);
  await page.getByRole('button', { name: 'all', exact: true }).click();
  await page.getByRole('checkbox', { name: 'every color on every color' }).check();
  await expect(page.getByText(/^\d{4,5} pairs$/)).toBeVisible();
  await table.focus();
  await page.keyboard.press('PageDown');
  await expect(table.getByRole('option', { selected: true })).toBeVisible();
});

test('a color beyond sRGB is kept, and shown where the screen can', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  const field = page.getByRole('textbox', { name: 'Value of buoy', exact: true });
  await field.fill('color(display-p3 0.9 0.2 0.1)');
  await field.press('Enter');
  await saved(page);
  const source = (await documentOf(request, id)).color.sources.items['buoy'];
  expect(source?.wide).toBe('color(display-p3 0.9 0.2 0.1)');
  const background = () =>
    proof(page)
      .locator('.button')
      .first()
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  const fallback = await background();
  expect(fallback).toMatch(/^rgb\(/);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setEmulatedMedia', {
    features: [{ name: 'color-gamut', value: 'p3' }],
  });
  await expect.poll(background).toBe('color(display-p3 0.9 0.2 0.1)');
});

test('a ramp is moved on its drawing, its rungs take other names, related colors and gradients come of it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await page.getByRole('button', { name: 'Adjust the ramp of marsh' }).click();
  const knob = page.getByRole('slider', { name: 'Lightness of rung 4 of marsh' });
  await knob.focus();
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect(knob).toHaveAttribute('aria-valuetext', /by hand/);
  await page.keyboard.press('Enter');
  await saved(page);
  const moved = (await documentOf(request, id)).color.sources.items['marsh'];
  expect(moved?.ramp?.positions?.['4']).toBeGreaterThan(0.83);
  expect(moved?.value).toBe('#2a6365');
  await page.keyboard.press('Delete');
  await expect(knob).not.toHaveAttribute('aria-valuetext', /by hand/);

  await page.getByRole('button', { name: 'words', exact: true }).click();
  const property = () =>
    proof(page)
      .locator(':root')
      .evaluate((root) => getComputedStyle(root).getPropertyValue('--palette-marsh-ink'));
  await expect.poll(property).toMatch(/^#/);

  await page.getByRole('button', { name: 'Related colors of buoy' }).click();
  const related = page.getByRole('group', { name: 'Related to buoy' });
  await related.getByRole('button', { name: 'triad' }).click();
  await related
    .getByRole('button', { name: /^Take #/ })
    .first()
    .click();
  await saved(page);
  expect((await documentOf(request, id)).color.sources.order).toHaveLength(8);

  await page.getByRole('button', { name: 'Another gradient' }).click();
  const gradient = page.getByRole('group', { name: 'Gradient gradient 2' });
  await gradient.getByRole('button', { name: 'oklch' }).click();
  await expect(gradient).toContainText('at its lowest');
  const image = () =>
    proof(page)
      .locator(':root')
      .evaluate((root) => getComputedStyle(root).getPropertyValue('--gradient-gradient-2'));
  await expect.poll(image).toContain('in oklch');
});

test('palettes are searched, taken from, set aside, read from a file and let go', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  const region = page.getByRole('region', { name: 'Palettes' });
  await region.getByRole('searchbox').fill('ferry');
  await expect(region).toContainText('No palette answers to all of these words.');
  await region.getByRole('searchbox').fill('morning fog');
  const fog = SHIPPED_PALETTES.find(({ name }) => name === 'Fog bell')?.colors[2] ?? 'none';
  await region.getByRole('button', { name: `of Fog bell, ${fog}` }).click();
  await saved(page);
  const { sources } = (await documentOf(request, id)).color;
  expect(Object.values(sources.items).map(({ value }) => value)).toContain(fog);
  const words = `tide ${id.slice(0, 8)}`;
  await region.getByRole('textbox', { name: /^Words to find/ }).fill(words);
  await region.getByRole('button', { name: 'Set these sources aside' }).click();
  await region.getByRole('searchbox').fill(words);
  const kept = region.getByRole('list', { name: 'Palettes set aside' });
  await expect(kept.getByRole('listitem')).toHaveCount(1);
  await kept.getByRole('button', { name: /^Remove/ }).click();
  await expect(kept).toHaveCount(0);
  const file = (name: string, content: string): Promise<void> =>
    region
      .getByLabel('Read a palette file')
      .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });
  await file('empty.gpl', 'GIMP Palette\n#\n');
  await expect(region.getByRole('alert')).toContainText('has no color that can be read');
  await file('q.gpl', `GIMP Palette\nName: Quay ${id.slice(0, 8)}\n#\n10 20 30\tbollard\n`);
  await region.getByRole('searchbox').fill(`Quay ${id.slice(0, 8)}`);
  const download = page.waitForEvent('download');
  await region.getByRole('combobox', { name: /^Save Quay/ }).selectOption('css');
  expect((await download).suggestedFilename()).toMatch(/^quay-.*\.css$/);
  await kept.getByRole('button', { name: /^Remove/ }).click();
});

test('a limited display: nearest colors, snap, the proof as it would be seen there', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=displays');
  await page.getByRole('button', { name: 'Snap buoy to #cc3300' }).click();
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.value).toBe('#cc3300');

  // Told beside every color field from then on, and snapped there.
  await page.getByRole('checkbox', { name: 'told beside every color field' }).check();
  const views = page.getByRole('navigation', { name: 'Views of color' });
  await views.getByRole('button', { name: 'Palette', exact: true }).click();
  await expect(page.getByText(/^shown as it is: /)).toHaveCount(1);
  await page.getByRole('button', { name: /^Snap marsh to #/ }).click();
  await expect(page.getByText(/^shown as it is: /)).toHaveCount(2);
  await views.getByRole('button', { name: 'Displays', exact: true }).click();
  await page.getByRole('button', { name: 'black and white' }).click();
  await expect(page.getByText(/texts read on it in flat colors/)).toBeVisible();
  await page.getByRole('button', { name: 'Show the proof' }).click();
  const canvas = page.getByRole('img', { name: /^the proof in 2 colors/ });
  await expect(canvas).toBeVisible();
  const colors = () =>
    canvas.evaluate((element) => {
      const { width, height } = element as HTMLCanvasElement;
      const data = (element as HTMLCanvasElement)
        .getContext('2d')
        ?.getImageData(0, 0, width, height).data;
      const seen = new Set<number>();
      for (let at = 0; at < (data?.length ?? 0); at += 4) seen.add(data?.[at] ?? 0);
      return [...seen].sort((one, other) => one - other);
    });
  await expect.poll(colors).toEqual([0, 255]);
  await page.getByRole('button', { name: 'a list of your own' }).click();
  await page.getByRole('textbox', { name: 'Colors of the display' }).fill('nonsense');
  await expect(page.getByText('A display shows one color at least.')).toBeVisible();
});

test('SVG artwork is cleaned, follows the palette, and keeps its own colors when locked', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=pictures');
  const choose = (name: string, content: string): Promise<void> =>
    page
      .getByLabel('Import an SVG')
      .setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(content) });
  await choose('not.svg', 'plain words');
  await expect(page.getByRole('alert')).toContainText('not.svg is no SVG');
  await choose(
    'boat.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 30" width="90" height="30" onload="globalThis.hacked=1">
      <script>globalThis.hacked = 2</script><foreignObject><b onclick="x()">x</b></foreignObject>
      <image href="https://example.com/x.png"/><path d="M0 0h90v30H0z" style="fill:#b5391a"/></svg>`,
  );
  await expect(page.getByRole('alert')).toContainText('was taken out');
  await saved(page);
  const { artwork } = (await documentOf(request, id)).content;
  expect(artwork?.svg).not.toMatch(/script|foreignObject|onload|onclick|href/i);
  expect(Object.keys(artwork?.fills ?? {})).toEqual(['#b5391a']);
  const fill = () =>
    proof(page)
      .locator('.artwork path')
      .evaluate((element) => getComputedStyle(element).fill);
  await expect.poll(fill).toBe('rgb(181, 57, 26)');
  await page.getByRole('combobox', { name: 'Role of #b5391a' }).selectOption('danger');
  await expect.poll(fill).toBe('rgb(143, 29, 44)');
  await page.getByRole('checkbox', { name: /^locked/ }).check();
  await expect.poll(fill).toBe('rgb(181, 57, 26)');
  expect(await page.evaluate(() => 'hacked' in globalThis)).toBe(false);
});

/** The lowest contrast of a luminance over every pixel of a part of the page, read back from a picture. */
async function lowestOverPixels(
  page: Page,
  ink: number,
  clip: { x: number; y: number; width: number; height: number },
): Promise<number> {
  const shot = await page.screenshot({ clip });
  const blank = await page.context().newPage();
  const lowest = await blank.evaluate(
    async ([data, own]) => {
      const image = await createImageBitmap(
        await (await fetch(`data:image/png;base64,${data}`)).blob(),
      );
      const context = new OffscreenCanvas(image.width, image.height).getContext('2d');
      context?.drawImage(image, 0, 0);
      const pixels = context?.getImageData(0, 0, image.width, image.height).data ?? [];
      const linear = (level: number): number => {
        const channel = level / 255;
        return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
      };
      let least = 21;
      for (let at = 0; at < pixels.length; at += 4) {
        const luminance =
          0.2126 * linear(pixels[at] ?? 0) +
          0.7152 * linear(pixels[at + 1] ?? 0) +
          0.0722 * linear(pixels[at + 2] ?? 0);
        const pair = [luminance + 0.05, own + 0.05];
        least = Math.min(least, Math.max(...pair) / Math.min(...pair));
      }
      return least;
    },
    [shot.toString('base64'), ink] as const,
  );
  await blank.close();
  return lowest;
}

test('logo in, readable palette out, opening proved over a photo, merged, repaired, exported, measured', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/systems', { data: { name: 'Lighthouse Walks' } });
  const { id } = (await made.json()) as { id: string };
  await openArea(page, id, 'color');
  await page
    .getByLabel('Sample a logo or a picture')
    .setInputFiles({ name: 'logo.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(logo()) });
  await page.getByRole('button', { name: 'Take #e6007e as a color' }).click();
  await page.getByRole('button', { name: 'Take #1f4e79 as a color' }).click();
  const brand = page.getByRole('textbox', { name: 'Value of brand', exact: true });
  await brand.fill('#204f7a');
  await brand.press('Enter');
  await page.getByRole('button', { name: 'Whole', exact: true }).click();
  await page
    .getByRole('button', { name: /^Make it brand/ })
    .first()
    .click();
  // Every text reads in both themes, whatever the brand.
  await expect(page.getByRole('link', { name: /^Review/ })).toContainText(/^0/);

  await page.getByRole('button', { name: 'Roles', exact: true }).click();
  await page.getByRole('button', { name: /^quiet in light/ }).click();
  const own = page.getByRole('textbox', { name: 'a color of its own' });
  await own.fill('#b9b9b9');
  await own.press('Enter');
  await page.getByRole('button', { name: 'Contrast', exact: false }).first().click();
  const table = page.getByRole('listbox', { name: 'Contrast of every pair' });
  await table.getByRole('option', { name: /^small in quiet on page/ }).click();
  await page
    .getByRole('group', { name: 'small in quiet on page, closely' })
    .getByRole('button', { name: /^Use #/ })
    .first()
    .click();

  await page.getByRole('button', { name: 'Pictures', exact: true }).click();
  const photo = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 900;
    canvas.height = 500;
    const context = canvas.getContext('2d');
    if (!context) return '';
    for (let y = 0; y < 500; y += 2)
      for (let x = 0; x < 900; x += 2) {
        context.fillStyle = `hsl(${(x / 3 + y) % 360} 60% ${35 + ((x * 7 + y * 13) % 55)}%)`;
        context.fillRect(x, y, 2, 2);
      }
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await page.getByLabel('Import a picture').setInputFiles({
    name: 'walk.png',
    mimeType: 'image/png',
    buffer: Buffer.from(photo, 'base64'),
  });
  const picture = page.getByRole('group', { name: 'Picture walk' });
  await picture.getByRole('checkbox', { name: 'in the opening of the proof' }).check();
  await picture.getByRole('button', { name: 'The same in both' }).click();
  await picture.getByRole('combobox', { name: 'text in' }).selectOption('page');
  await picture.getByRole('combobox', { name: 'veil of' }).selectOption('#000000');
  await expect(picture.getByRole('table')).toBeVisible();
  await picture.getByRole('button', { name: /^Take the least veil/ }).click();
  await expect(picture.getByRole('button', { name: 'This is the least veil' })).toBeVisible();
  await saved(page);

  const decided = await documentOf(request, id);
  const { colors, tokenById } = derive(decided);
  const ink = relativeLuminance(colors.get('page')?.colors.light ?? '#ffffff');
  const [veil] = Object.values(decided.color.veils.items);
  expect(veil?.strength).toBeGreaterThan(40);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain(`--veil-walk: ${tokenById.get('veil.walk')?.values.light.css ?? '?'}`);

  // The pixels under the words, as Chromium draws them, with the words taken away.
  for (const width of [375, 720] as const) {
    await page.getByRole('spinbutton', { name: 'Width of the proof' }).fill(String(width));
    await page.keyboard.press('Enter');
    const heading1 = proof(page).locator('.hero-words h1');
    await proof(page)
      .locator('.hero-words')
      .evaluate((words) => words.setAttribute('style', 'visibility: hidden'));
    await heading1.scrollIntoViewIfNeeded();
    await page.waitForTimeout(300);
    const box = await heading1.boundingBox();
    if (!box) throw new Error('there is no heading over the picture');
    const lowest = await lowestOverPixels(page, ink, {
      x: Math.ceil(box.x),
      y: Math.ceil(box.y),
      width: Math.floor(box.width * 0.9),
      height: Math.min(120, Math.floor(box.height)),
    });
    // Large text: 3 is needed, and the browser may round a level the other way.
    expect(lowest).toBeGreaterThan(2.97);
  }
});

test('where a color is used is told and marked, and how much is colored is measured', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=whole');
  await page.getByRole('combobox', { name: 'The color whose uses are told' }).selectOption('buoy');
  await expect(page.getByLabel('Uses of buoy')).toContainText('button');
  await page.getByRole('checkbox', { name: /^mark its spots/ }).check();
  const outline = () =>
    proof(page)
      .locator('.button')
      .first()
      .evaluate((element) => getComputedStyle(element).outlineStyle);
  await expect.poll(outline).toBe('dashed');
  // It is measured by itself.
  const measured = page.getByRole('region', { name: 'How much is colored' }).getByRole('status');
  await expect(measured.getByRole('list', { name: 'Share of the area' })).toContainText('page');
  await page.getByRole('button', { name: 'Name all by their hex' }).click();
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.name).toBe('#b5391a');
});
