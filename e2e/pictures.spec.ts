import { fileURLToPath } from 'node:url';
import { sectionsOf } from '@garnish/core/proof/texts';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
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
