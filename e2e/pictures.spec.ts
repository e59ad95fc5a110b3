import { relativeLuminance } from '@garnish/core/color/contrast';
import { derive } from '@garnish/core/derive/derive';
import { veilIn } from '@garnish/core/system/veils';
import { fileURLToPath } from 'node:url';
import { sectionsOf } from '@garnish/core/proof/texts';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  goOn,
  openArea,
  proof,
  saved,
  setWidth,
  test,
} from './garnish.ts';

const PICTURE = fileURLToPath(new URL('../server/src/demo/estuary.webp', import.meta.url));

test('a gallery and cards show pictures from a file or from the system, told for who does not see them', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'Another section' }).click();
  await page.getByRole('button', { name: 'Add Gallery' }).click();
  const first = page.getByRole('group', { name: 'Picture of In the morning', exact: true });
  await first.getByLabel('A picture from a file').setInputFiles(PICTURE);
  const shown = proof(page).locator('.gallery img');
  await expect(shown).toHaveAttribute('alt', 'estuary');
  const says = page.getByRole('textbox', { name: 'What the picture of In the morning shows' });
  await says.fill('The ferry before sunrise');
  await says.press('Enter');
  await expect(shown).toHaveAttribute('alt', 'The ferry before sunrise');
  await page.getByRole('button', { name: 'The picture of In the morning is decoration' }).click();
  await expect(shown).toHaveAttribute('alt', '');
  await page.keyboard.press('ControlOrMeta+z');
  await expect(shown).toHaveAttribute('alt', 'The ferry before sunrise');
  // What the system has already is chosen without a file.
  await page
    .getByRole('combobox', { name: 'Picture of At noon that is here already' })
    .selectOption({ index: 1 });
  await expect(shown).toHaveCount(2);
  await page.getByRole('button', { name: 'No picture of At noon' }).click();
  await expect(shown).toHaveCount(1);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(shown).toHaveCount(2);
  // No picture at all is refused, and what was there stays.
  await first.getByLabel('Another file').setInputFiles({
    name: 'words.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByRole('alert')).toContainText('words.png is no picture');
  await expect(shown).toHaveCount(2);
  await saved(page);
});

test('an opening goes over a picture and as high as the screen, its quiet button legible there', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const { color } = await documentOf(request, id);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: /^Opening / }).click();
  const opening = proof(page).locator('main section').first();
  await expect(opening).toHaveClass(/over-picture/);
  const quiet = opening.locator('.quiet-button');
  const heading = opening.getByRole('heading', { level: 1 });
  const ink = await heading.evaluate((element) => getComputedStyle(element).color);
  await expect(quiet).toHaveCSS('color', ink);
  await expect(quiet.locator('span')).toHaveCSS('color', ink);
  await expect(quiet).toHaveCSS('border-top-color', ink);
  await page.getByRole('checkbox', { name: 'as high as the screen' }).check();
  const screen = await proof(page)
    .locator('html')
    .evaluate(() => innerHeight);
  await expect
    .poll(async () => opening.evaluate((element) => element.getBoundingClientRect().height))
    .toBeGreaterThanOrEqual(screen);
  const stands = page.getByRole('combobox', { name: 'its words stand over' });
  await expect(stands).toHaveValue(color.veils.order[0] ?? '');
  await stands.selectOption('no picture');
  await expect(opening).toHaveClass(/hero width-opening screen-high/);
  await expect(quiet).not.toHaveCSS('color', ink);
});

test('links of the navigation get links under them, and lose them as a whole', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'Links under Fares' }).click();
  const group = proof(page).locator('.site-nav .nav-group');
  await expect(group.locator('.footer-link')).toHaveText(['Link']);
  await page
    .getByRole('grid', { name: 'Links under it' })
    .getByRole('button', { name: 'Double link Link' })
    .click();
  await expect(group.locator('.footer-link')).toHaveCount(2);
  // They drop down below their link, opened by key and without script; closed, nobody comes across them.
  const link = proof(page).locator('.site-nav .nav-group .nav-link');
  const sign = group.locator('.nav-sign');
  await expect(proof(page).getByRole('link', { name: 'Link' })).toHaveCount(0);
  await sign.focus();
  await page.keyboard.press('Enter');
  const panel = group.locator('.nav-panel');
  await expect(panel).toBeVisible();
  await expect(proof(page).getByRole('link', { name: 'Link' })).toHaveCount(2);
  const [above, below, row] = [
    await link.boundingBox(),
    await panel.boundingBox(),
    await group.boundingBox(),
  ];
  expect((below?.y ?? 0) >= (above?.y ?? 0) + (above?.height ?? 0) - 1).toBe(true);
  expect((below?.y ?? 0) - (row?.y ?? 0) - (row?.height ?? 0)).toBeLessThan(2);
  await page.keyboard.press('Enter');
  await expect(panel).toBeHidden();
  await page.getByRole('button', { name: 'No links under Fares' }).click();
  await expect(group).toHaveCount(0);
  await expect(proof(page).locator('.site-nav .nav-link')).toHaveCount(4);
});

test('the logo that the site has is sampled without a file', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  await page.getByRole('button', { name: 'Sample the site’s logo' }).click();
  await expect(page.getByRole('list', { name: 'Colors of the logo.svg' })).toBeVisible();
});

test('a card with the room puts its picture beside its words, a narrow one above them', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const { content, color } = await documentOf(request, id);
  const [cards] = sectionsOf(content, 'cards');
  const [veil] = Object.values(color.veils.items);
  if (!cards || !veil) throw new Error('no cards, or no picture for them');
  const { name, file, width, height } = veil.picture;
  await change(request, id, [
    {
      op: 'add',
      path: `${cards.path}/cards/items/${cards.own.cards.order[0] ?? ''}/picture`,
      value: { name, file, width, height },
    },
  ]);
  await openArea(page, id, 'components?part=card');
  const image = proof(page).locator('.card .card-picture').first();
  const heading = proof(page).locator('.card:has(.card-picture) .type-h4').first();
  const places = async () => {
    const [one, other] = [await image.boundingBox(), await heading.boundingBox()];
    if (!one || !other) throw new Error('the card is not shown');
    return { image: one, heading: other };
  };
  await setWidth(page, 375);
  await expect
    .poll(async () => {
      const now = await places();
      return now.heading.y >= now.image.y + now.image.height;
    })
    .toBe(true);
  await setWidth(page, 640);
  await expect
    .poll(async () => {
      const now = await places();
      return (
        now.heading.x >= now.image.x + now.image.width &&
        now.heading.y < now.image.y + now.image.height
      );
    })
    .toBe(true);
});

test('words over a picture are judged in both themes without anybody asking, and repaired in both', async ({
  page,
  request,
}) => {
  test.slow();
  const made = await request.post('/api/systems', { data: { name: 'Bright Day' } });
  const { id } = (await made.json()) as { id: string };
  await openArea(page, id, 'color?view=pictures');
  const light = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 600;
    canvas.height = 400;
    const context = canvas.getContext('2d');
    if (!context) return '';
    for (let y = 0; y < 400; y += 4)
      for (let x = 0; x < 600; x += 4) {
        context.fillStyle = `hsl(40 30% ${20 + ((x * 7 + y * 13) % 76)}%)`;
        context.fillRect(x, y, 4, 4);
      }
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await page.getByLabel('Import a picture').setInputFiles({
    name: 'bright.png',
    mimeType: 'image/png',
    buffer: Buffer.from(light, 'base64'),
  });
  const picture = page.getByRole('group', { name: 'Picture bright' });
  await picture.getByRole('checkbox', { name: 'in the opening of the proof' }).check();
  await saved(page);
  const started = await documentOf(request, id);
  const [veil = ''] = started.color.veils.order;
  // It starts in the color that reads with the least veil: dark words on a bright picture, in each theme.
  const derived = derive(started);
  for (const mode of ['light', 'dark'] as const) {
    const own = started.color.veils.items[veil];
    if (!own) throw new Error('there is no picture');
    const ink = derived.colors.get(veilIn(own, mode).ink)?.colors[mode] ?? '#ffffff';
    expect(relativeLuminance(ink), mode).toBeLessThan(0.2);
  }
  const path = `/color/veils/items/${veil}`;
  // Ink and veil change places from one theme to the other; the veil is too weak in both.
  await change(request, id, [
    { op: 'replace', path: `${path}/ink`, value: 'page' },
    { op: 'replace', path: `${path}/color`, value: 'text' },
    { op: 'replace', path: `${path}/strength`, value: 10 },
    { op: 'add', path: `${path}/dark`, value: {} },
  ]);
  await goOn(page, id, 'review');
  const found = page.getByRole('listitem').filter({ hasText: /^Words over bright fall short in / });
  await expect(found).toHaveText([/fall short in light/, /fall short in dark/], {
    timeout: 60_000,
  });
  // The handoff tells what was measured, a few seconds later.
  await expect
    .poll(async () => (await request.get(`/api/systems/${id}/export/handoff.md`)).text(), {
      timeout: 60_000,
    })
    .toContain('Words over bright fall short in dark');
  const says = await found.first().innerText();
  expect(says).toMatch(/[\d.]+ of (3|4\.5) for .* at \d+ px, where [\d.]+ % of its pixels pass/);
  await found
    .first()
    .getByRole('button', { name: /^Veil of \d+ in light$/ })
    .click();
  // The other theme is as it was, and has a repair of its own.
  await expect(found).toHaveText([/fall short in dark/], { timeout: 60_000 });
  await found.getByRole('button', { name: /^Veil of \d+ in dark$/ }).click();
  await expect(found).toHaveCount(0, { timeout: 60_000 });
  await saved(page);
  const { color } = await documentOf(request, id);
  expect(color.veils.items[veil]?.strength).toBeGreaterThan(100);
  expect(color.veils.items[veil]?.dark?.strength).toBeGreaterThan(100);
  // What was repaired is what the browser draws.
  const blank = await page.context().newPage();
  for (const theme of ['light', 'dark'] as const) {
    await page
      .getByRole('region', { name: 'Proof' })
      .getByRole('button', { name: theme, exact: true })
      .click();
    await expect(proof(page).locator('html')).toHaveAttribute('data-theme', theme);
    const heading = proof(page).locator('.hero-words h1');
    const ink = await heading.evaluate((element) => getComputedStyle(element).color);
    await proof(page)
      .locator('.hero-words')
      .evaluate((words) => words.setAttribute('style', 'visibility: hidden'));
    const clip = await heading.boundingBox();
    if (!clip) throw new Error('there is no heading');
    const shot = await page.screenshot({ clip });
    await proof(page)
      .locator('.hero-words')
      .evaluate((words) => words.removeAttribute('style'));
    const lowest = await blank.evaluate(
      async ([png, color]) => {
        const image = await createImageBitmap(await (await fetch(png)).blob());
        const canvas = new OffscreenCanvas(image.width, image.height);
        const context = canvas.getContext('2d');
        context?.drawImage(image, 0, 0);
        const data = context?.getImageData(0, 0, image.width, image.height).data ?? [];
        // WCAG 2.2, relative luminance.
        const lift = (levels: readonly number[]) =>
          levels
            .map((level) => level / 255)
            .map((share) => (share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4))
            .reduce((sum, share, at) => sum + share * ([0.2126, 0.7152, 0.0722][at] ?? 0), 0.05);
        const own = lift((color.match(/\d+/g) ?? []).map(Number));
        let least = Infinity;
        for (let at = 0; at < data.length; at += 4) {
          const ground = lift([data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0]);
          least = Math.min(least, own > ground ? own / ground : ground / own);
        }
        return least;
      },
      [`data:image/png;base64,${shot.toString('base64')}`, ink] as const,
    );
    // The picture is scaled on the way to the screen.
    expect(lowest, theme).toBeGreaterThan(2.9);
  }
});

test('words change their end of a picture, another part of it stays in view, and both are exported', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=pictures');
  const picture = page.getByRole('group', { name: 'Picture estuary' });
  const words = proof(page).locator('.hero-words');
  const image = proof(page).locator('.hero-picture');
  const above = async (): Promise<number> =>
    ((await words.boundingBox())?.y ?? 0) - ((await image.boundingBox())?.y ?? 0);
  await expect.poll(above).toBeGreaterThan(100);
  await picture.getByRole('button', { name: 'head' }).click();
  await expect.poll(above).toBeLessThan(5);
  const across = picture.getByRole('spinbutton', { name: 'in view, across' });
  await across.fill('20');
  await across.press('Enter');
  await expect(image).toHaveCSS('object-position', '20% 50%');
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toMatch(
    /\.over-picture\.over-estuary:not\(\.picture-band\) \{\s*grid-template-rows: auto minmax/,
  );
  expect(css).toMatch(
    /\.over-estuary > \.hero-picture, \.over-estuary > \.ground-picture \{\s*object-position: 20% 50%/,
  );
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(above).toBeGreaterThan(100);
});

test('who comes from a finding over a picture sees which pixels fail', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=pictures&at=%2Fcolor%2Fveils%2Fitems%2Festuary%2Fstrength');
  const picture = page.getByRole('group', { name: 'Picture estuary' });
  await expect(
    picture
      .getByRole('group', { name: 'Mark failing pixels' })
      .getByRole('button', { name: 'with it', exact: true }),
  ).toHaveAttribute('aria-pressed', 'true');
});

test('a section stands on a gradient, its text is judged there, and the gradient can go again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    { op: 'add', path: '/color/gradients/items/dawn/ink', value: 'page' },
  ]);
  await openArea(page, id, 'brief?view=pages');
  await page
    .getByRole('grid', { name: 'Sections of Home' })
    .getByRole('button', { name: /^Questions / })
    .first()
    .click();
  await page.getByRole('combobox', { name: 'or on a gradient' }).selectOption({ label: 'dawn' });
  const ground = proof(page).locator('.ground.gradient-dawn');
  await expect(ground).toHaveCount(1);
  await goOn(page, id, 'review');
  const found = page.getByRole('listitem').filter({ hasText: /^Text on dawn falls short in / });
  await expect(found.first()).toBeVisible({ timeout: 20_000 });
  await goOn(page, id, 'color');
  await page.getByRole('button', { name: 'Remove gradient dawn' }).click();
  await expect(ground).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(ground).toHaveCount(1);
});

test('words over a picture that is broken are told as not judged, also in the handoff', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  // It begins as a picture does, and is none.
  const kept = await request.post('/api/pictures', {
    multipart: {
      picture: {
        name: 'broken.png',
        mimeType: 'image/png',
        buffer: Buffer.concat([
          Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]),
          Buffer.alloc(40, 7),
        ]),
      },
    },
  });
  const { file } = (await kept.json()) as { file: string };
  await change(request, id, [
    { op: 'replace', path: '/color/veils/items/estuary/picture/file', value: file },
  ]);
  await openArea(page, id, 'review');
  await expect(
    page.getByRole('listitem').filter({ hasText: /^Words over estuary could not be judged/ }),
  ).toBeVisible({ timeout: 60_000 });
  await expect
    .poll(async () => (await request.get(`/api/systems/${id}/export/handoff.md`)).text(), {
      timeout: 60_000,
    })
    .toContain('Words over estuary could not be judged');
  await goOn(page, id, 'color?view=pictures');
  await expect(
    page
      .getByRole('group', { name: 'Picture estuary' })
      .getByText('The pixels of this picture cannot be read'),
  ).toBeVisible();
});
