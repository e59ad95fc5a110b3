import { BRACKWATER, copyOf, expect, openArea, proof, setWidth, test } from './garnish.ts';

test('over the full window up to three widths stand beside each other, scrolled to the same element', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const more = page.getByRole('button', { name: '+ width beside' });
  await expect(more).toHaveCount(0);
  await page.getByRole('button', { name: 'Proof over the full window' }).click();
  await more.click();
  await expect(page.getByTitle('Proof at 375 px')).toBeVisible();
  await more.click();
  await expect(more).toHaveCount(0);
  const narrow = page.frameLocator('iframe[title="Proof at 375 px"]');
  const wide = page.frameLocator('iframe[title="Proof at 1440 px"]');
  // Each is a screen of its own: the sheet’s media queries and lengths are those of its width.
  for (const [frame, px] of [
    [narrow, 375],
    [proof(page), 720],
    [wide, 1440],
  ] as const)
    expect(await frame.locator('html').evaluate(() => innerWidth)).toBe(px);
  const sizes = await Promise.all(
    [narrow, proof(page), wide].map((frame) =>
      frame
        .getByRole('heading', { level: 1 })
        .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize)),
    ),
  );
  expect(sizes).toEqual([...sizes].sort((one, other) => one - other));
  expect(sizes[0]).toBeLessThan(sizes[2] ?? 0);
  // Whichever is scrolled leads the others.
  await wide.locator('.questions').hover();
  await expect(narrow.locator('.questions')).toBeInViewport();
  await expect(proof(page).locator('.questions')).toBeInViewport();
  await proof(page).locator('.site-header').hover();
  await page.mouse.wheel(0, -20_000);
  await expect(narrow.locator('.site-header')).toBeInViewport();
  await expect(wide.locator('.site-header')).toBeInViewport();
  // A width is another one, or gone; what is decided shows in all of them.
  const field = page.getByRole('spinbutton', { name: 'Width beside, 1440 px' });
  await field.fill('5120');
  await field.press('Enter');
  await expect(page.getByTitle('Proof at 5120 px')).toBeVisible();
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  for (const frame of [narrow, page.frameLocator('iframe[title="Proof at 5120 px"]')])
    await expect(frame.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByRole('button', { name: 'Not at 375 px' }).click();
  await expect(page.getByTitle('Proof at 375 px')).toHaveCount(0);
  await page.getByRole('button', { name: 'Show the bench' }).click();
  await expect(page.locator('iframe[title^="Proof"]')).toHaveCount(1);
});

test('the proof is as wide as the anchors go, on a ruler of proportions', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await setWidth(page, 5120);
  await expect(page.getByText(/shown at \d+ %/)).toBeVisible();
  const ruler = page.getByRole('slider', { name: 'Width of the proof on the ruler' });
  await expect(ruler).toHaveAttribute('aria-valuenow', '5120');
  await ruler.focus();
  await page.keyboard.press('Home');
  await expect(ruler).toHaveAttribute('aria-valuenow', '320');
});

test('pointing names the layers of an element; keys and clicks step outward, a click leads on from there', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await proof(page).locator('.card h3').first().hover();
  const layers = page.getByRole('group', { name: 'Layers from the inside outward' });
  const pressed = layers.getByRole('button', { pressed: true });
  await expect(layers.getByRole('button')).toHaveText([
    'words',
    'card',
    'grid',
    'section',
    'site-main',
    'grid-frame',
    'ground',
    'page',
  ]);
  await expect(pressed).toHaveText('words');
  await expect(page.getByText('type.h4.size: scale.up-2')).toBeVisible();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(pressed).toHaveText('card');
  await expect(page.getByText('card.corner: corner.card')).toBeVisible();
  await expect(page.locator('[data-layer]')).toBeVisible();
  // A click in the proof goes to what the card stands on, not to its words.
  await proof(page).locator('.card h3').first().click();
  await expect(page).toHaveURL(/color\?.*surface/);
  await layers.getByRole('button', { name: 'words' }).click();
  await expect(page.locator('[data-layer]')).toHaveCount(0);
  await expect(page.getByText('type.h4.size: scale.up-2')).toBeVisible();
  // A field has these keys for itself: it takes a smaller step, and the layer stays.
  const width = page.getByRole('spinbutton', { name: 'Width of the proof' });
  const before = Number(await width.inputValue());
  await width.press('Alt+ArrowUp');
  await expect(width).toHaveValue(String(before + 1));
  await expect(pressed).toHaveText('words');
});
