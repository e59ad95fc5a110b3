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
  expect((await documentOf(request, id)).color.sources.order).toHaveLength(4);
});

test('a color is moved by lightness, chroma and hue with the keyboard, as one step of undo', async ({
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
  await page.keyboard.press('End');
  await expect(picker).toContainText('Beyond sRGB');
  await page.keyboard.press('Escape');
  await expect(picker).toHaveCount(0);
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.value).not.toBe('#b5391a');
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.value).toBe('#b5391a');
});

test('the whole palette is shifted in the proof, but for what is locked, and taken', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
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

test('two colors that are nearly the same become one, and every use follows', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await expect(page.getByText('No two colors are so near to each other.')).toBeVisible();
  await page.getByRole('button', { name: 'Another color' }).click();
  const field = page.getByRole('textbox', { name: 'Value of color 4', exact: true });
  await field.fill('#b63b1c');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Make it buoy' }).click();
  await saved(page);
  expect((await documentOf(request, id)).color.sources.order).toEqual(['marsh', 'buoy', 'sand']);
});

test('the proof is seen with other eyes: the browser draws what the model computes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await page.getByRole('button', { name: 'reader', exact: true }).click();
  await page.getByRole('button', { name: 'grey', exact: true }).click();
  const box = await page.locator('iframe').boundingBox();
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
  await openArea(page, id, 'color');
  const group = page.getByRole('group', { name: 'Rungs that read' });
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  // The link on the surface falls short by a rung.
  await expect(group.getByRole('status')).toContainText('1 role moves');
  await expect(group).toContainText('link in light');
  await group.getByRole('button', { name: 'Take them' }).click();
  await saved(page);
  await expect(page.getByRole('link', { name: /^Review/ })).toContainText('0');
  expect((await documentOf(request, id)).color.roles.items['link']?.light).toEqual({
    kind: 'rung',
    ramp: 'marsh',
    rung: 11,
  });
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  await expect(group.getByRole('status')).toHaveText(
    'Every text reads already, in light and in dark.',
  );

  const other = await copyOf(request, TALLOW);
  await openArea(page, other, 'color');
  await group.getByRole('button', { name: 'Find rungs at which every text reads' }).click();
  await expect(group).toContainText(/stays short in light: one of the two is pinned/);
});
