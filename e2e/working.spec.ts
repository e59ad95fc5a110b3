import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  TALLOW,
  test,
} from './garnish.ts';

/** A server that does not answer is told in the console by the browser itself; nothing else is. */
function onlyOfTheServer(said: string[]): void {
  expect(said.filter((words) => !words.startsWith('Failed to load resource'))).toEqual([]);
  said.length = 0;
}

test('undo acts on the system after a select, a slider, a checkbox and a taken field', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = await documentOf(request, id);
  await openArea(page, id, 'type');
  const undone = async (): Promise<void> => {
    await page.keyboard.press('Control+z');
    await saved(page);
    expect(await documentOf(request, id)).toEqual(before);
  };
  const rounding = page.getByRole('combobox', { name: /^rounded to/ });
  await rounding.selectOption('px');
  await saved(page);
  expect((await documentOf(request, id)).type.rounding).toBe('px');
  await undone();

  await page
    .getByRole('slider', { name: /^base on the narrow screen, slider/ })
    .press('ArrowRight');
  await saved(page);
  expect(await documentOf(request, id)).not.toEqual(before);
  await undone();

  const base = page.getByRole('spinbutton', { name: 'base on the narrow screen' });
  await base.fill('19');
  await base.press('Enter');
  await saved(page);
  await undone();
  await expect(base).toHaveValue('17');
  // Leaving the field records nothing new.
  await base.blur();
  await saved(page);
  expect(await documentOf(request, id)).toEqual(before);

  // While words are typed and not taken, it is the field that goes back.
  await base.fill('2');
  await page.keyboard.press('Control+z');
  await base.press('Escape');
  expect(await documentOf(request, id)).toEqual(before);

  await page.goto(`/systems/${id}/color?view=roles`);
  const box = page.getByRole('main').getByRole('checkbox').first();
  await box.check();
  await saved(page);
  expect(await documentOf(request, id)).not.toEqual(before);
  await undone();
});

test('an area that the server does not send is asked for again, and opens by itself', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await page.context().setOffline(true);
  await page
    .getByRole('navigation', { name: 'Areas' })
    .getByRole('link', { name: /Space/ })
    .click();
  await expect(page.getByRole('alert')).toContainText('tried again every moment');
  // Nothing else is lost meanwhile.
  await expect(proof(page).getByRole('heading', { level: 1 })).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByRole('spinbutton', { name: 'unit' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  onlyOfTheServer(quietConsole);
});

test('what was not saved survives a reload, and is sent when the server answers', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  await page.route('**/api/systems/*/changes', (route) => route.abort());
  const unit = page.getByRole('spinbutton', { name: 'unit' });
  await unit.fill('6');
  await unit.press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('not saved');
  await page.reload();
  await expect(unit).toHaveValue('6');
  expect((await documentOf(request, id)).space.unit).toBe(8);
  await page.unroute('**/api/systems/*/changes');
  await saved(page);
  expect((await documentOf(request, id)).space.unit).toBe(6);
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await documentOf(request, id)).space.unit).toBe(8);
  onlyOfTheServer(quietConsole);
});

test('focus goes to what is added, and on when something is removed or repaired', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'color');
  const focused = () =>
    page.evaluate(() => {
      const { activeElement } = document;
      if (!activeElement || activeElement === document.body) return 'nothing';
      const label = activeElement instanceof HTMLInputElement && activeElement.labels?.[0];
      return label ? label.textContent : (activeElement.getAttribute('aria-label') ?? 'unnamed');
    });
  await page
    .getByRole('button', { name: /^Another gradient|^A gradient|gradient$/ })
    .first()
    .click();
  await expect.poll(focused).toMatch(/Name of gradient/);
  await expect(page.locator('[data-announcer]')).toContainText('added');
  await page.getByRole('button', { name: /^Remove gradient/ }).click();
  await expect.poll(focused).not.toBe('nothing');

  await openArea(page, id, 'review');
  const take = page.getByRole('button', { name: /^Take #/ }).first();
  await take.focus();
  await page.keyboard.press('Enter');
  await expect.poll(focused).not.toBe('nothing');
});

test('the way back goes through the views of an area, and the first Tab skips the strip', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  for (const [area, first, second] of [
    ['fonts', 'pairs', 'delivery'],
    ['type', 'table', 'words'],
  ] as const) {
    await openArea(page, id, area);
    await page.getByRole('button', { name: first, exact: true }).click();
    await expect(page).toHaveURL(new RegExp(`view=${first}`));
    await page.getByRole('button', { name: second, exact: true }).click();
    await page.goBack();
    await expect(page.getByRole('button', { name: first, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await page.reload();
    await expect(page.getByRole('button', { name: first, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  }
  await openArea(page, id, 'space');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the bench' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main', { name: 'Bench' })).toBeFocused();
});

test('pointing at a repair shows it in the proof, and leaving takes it back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'review');
  const lead = proof(page).locator('.type-lead').first();
  const color = () => lead.evaluate((element) => getComputedStyle(element).color);
  const before = await color();
  const take = page
    .getByRole('article', { name: /^lead in quiet on page/ })
    .getByRole('button', { name: /^Take #/ });
  await take.hover();
  await expect.poll(color).not.toBe(before);
  await page.mouse.move(700, 20);
  await expect.poll(color).toBe(before);
});

test('a file that is dropped beside its place changes nothing, and the page stays', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  const prevented = await page.evaluate(() => {
    const dropped = new DragEvent('drop', { bubbles: true, cancelable: true });
    document.body.dispatchEvent(dropped);
    return dropped.defaultPrevented;
  });
  expect(prevented).toBe(true);
});

test('nothing scrolls sideways at 320 px, and the proof stays in sight at 800 px', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await page.setViewportSize({ width: 320, height: 640 });
  for (const area of ['brief', 'fonts', 'type', 'color', 'space', 'tokens', 'review']) {
    await openArea(page, id, area);
    await expect
      .poll(
        () =>
          page.evaluate(
            () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
          ),
        { message: area },
      )
      .toBe(0);
  }
  await page.setViewportSize({ width: 800, height: 1000 });
  await openArea(page, id, 'type');
  await page.getByRole('region', { name: 'Tools' }).scrollIntoViewIfNeeded();
  await expect(proof(page).getByRole('heading', { level: 1 })).toBeInViewport();
});
