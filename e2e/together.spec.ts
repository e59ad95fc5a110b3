import { BRACKWATER, copyOf, documentOf, expect, openArea, saved, test } from './garnish.ts';

test('undo and redo reach across areas, one gesture at a time, and survive a reload', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.press('ArrowUp');
  await unit.press('ArrowUp');
  await expect(unit).toHaveValue('10');
  await page.getByRole('link', { name: /Type/ }).click();
  const base = page.getByRole('spinbutton', { name: 'base on the wide screen' });
  await base.fill('22');
  await base.press('Enter');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Undo: base at 1440 px' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo: base at 1440 px' }).click();
  await expect(base).toHaveValue('20');
  await page.getByRole('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await documentOf(request, id)).space.unit).toBe(8);
  await page.keyboard.press('Control+Shift+z');
  await page.keyboard.press('Control+Shift+z');
  await saved(page);
  const document = await documentOf(request, id);
  expect([document.space.unit, document.type.anchors.items['wide']?.base]).toEqual([10, 22]);
});

test('a change in one window shows in the other, without a reload', async ({
  page,
  context,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  const other = await context.newPage();
  await openArea(other, id, 'space');
  const unit = other.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('12');
  await unit.press('Enter');
  await page.bringToFront();
  await expect(page.getByRole('spinbutton', { name: 'unit', exact: true })).toHaveValue('12');
});

for (const [choice, kept] of [
  ['All from here', 6],
  ['All from there', 12],
] as const)
  test(`two changes of the same value at once are offered as a choice: ${choice}`, async ({
    page,
    request,
    quietConsole,
  }) => {
    const id = await copyOf(request, BRACKWATER);
    await openArea(page, id, 'space');
    // Somebody else is faster: their change is there before this one arrives, and the news is held back.
    await page.route('**/events', (route) => route.abort());
    await page.route('**/changes', async (route) => {
      if (route.request().method() !== 'POST') return route.continue();
      await page.unroute('**/changes');
      await request.post(`/api/systems/${id}/changes`, {
        data: {
          id: crypto.randomUUID(),
          base: 0,
          patch: [{ op: 'replace', path: '/space/unit', value: 12 }],
          label: 'base unit',
          window: crypto.randomUUID(),
          gesture: crypto.randomUUID(),
        },
      });
      await route.continue();
    });
    const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
    await unit.fill('6');
    await unit.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Changed in two places at once' });
    await expect(dialog).toContainText('12');
    await expect(dialog).toContainText('6');
    await dialog.getByRole('button', { name: choice }).click();
    await expect(unit).toHaveValue(String(kept));
    await saved(page);
    expect((await documentOf(request, id)).space.unit).toBe(kept);
    // The browser reports the answer of 409 and the closed stream on the console.
    quietConsole.length = 0;
  });

test('three values changed in two windows at once are asked about one by one; focus goes on after', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await page.route('**/events', (route) => route.abort());
  // What is typed meanwhile waits; then it arrives after somebody else's.
  await page.route('**/changes', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  const fields = ['what it is for', 'who reads it'].map((name) =>
    page.getByRole('textbox', { name }),
  );
  for (const field of fields) {
    await field.fill('from here');
    await field.blur();
  }
  const name = page.getByRole('textbox', { name: 'Name of the system' });
  await name.fill('Named here');
  await name.press('Enter');
  await request.post(`/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: 0,
      patch: ['/brief/purpose', '/brief/audience', '/name'].map((path) => ({
        op: 'replace',
        path,
        value: 'from there',
      })),
      label: 'three',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
    },
  });
  await page.unroute('**/changes');
  const dialog = page.getByRole('dialog', { name: 'Changed in two places at once' });
  const sides = [
    'From there: from there',
    'From here: from here',
    'From here: Named here',
  ] as const;
  await expect(dialog).toContainText('These 3 values');
  await dialog
    .getByRole('group', { name: 'brief › purpose' })
    .getByRole('radio', { name: sides[0] })
    .check();
  await dialog
    .getByRole('group', { name: 'brief › audience' })
    .getByRole('radio', { name: sides[1] })
    .check();
  const goOn = dialog.getByRole('button', { name: 'Go on with these' });
  await expect(goOn).toBeDisabled();
  await dialog.getByRole('radio', { name: sides[2] }).check();
  await goOn.click();
  await expect(dialog).toHaveCount(0);
  await saved(page);
  const { brief, name: named } = await documentOf(request, id);
  expect([brief.purpose, brief.audience, named]).toEqual(['from there', 'from here', 'Named here']);
  const focused = () => page.evaluate(() => document.activeElement?.tagName);
  await expect.poll(focused).not.toBe('BODY');
  quietConsole.length = 0;
});

test('a duplicated tab is a window of its own: what both change is asked about', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  const [copy] = await Promise.all([
    page.waitForEvent('popup'),
    // Opened so, it begins with a copy of what the first keeps for its session.
    page.evaluate(() => void open(location.href)),
  ]);
  const unitOf = (window: typeof page) =>
    window.getByRole('spinbutton', { name: 'unit', exact: true });
  await expect(unitOf(copy)).toHaveValue('8');
  const windows = new Set<string>();
  for (const one of [page, copy])
    one.on('request', (sent) => {
      if (sent.method() === 'POST' && sent.url().endsWith('/changes'))
        windows.add((sent.postDataJSON() as { window: string }).window);
    });
  for (const [one, value] of [
    [page, '6'],
    [copy, '10'],
  ] as const) {
    await unitOf(one).fill(value);
    await unitOf(one).press('Enter');
    await saved(one);
  }
  expect(windows.size).toBe(2);
  // Undo belongs to the person, in every window.
  await page.bringToFront();
  await expect(unitOf(page)).toHaveValue('10');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(unitOf(page)).toHaveValue('6');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(unitOf(page)).toHaveValue('8');
  await saved(page);
  quietConsole.length = 0;
});

test('while the server does not answer, work goes on, says so, and is saved when it is back', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  await page.route('**/changes', (route) => route.abort());
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('6');
  await unit.press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toContainText(
    'the server does not answer',
  );
  await expect(unit).toHaveValue('6');
  await page.unroute('**/changes');
  await saved(page);
  expect((await documentOf(request, id)).space.unit).toBe(6);
  quietConsole.length = 0;
});

test('a system that is deleted elsewhere says so', async ({ page, request, quietConsole }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  await request.delete(`/api/systems/${id}`);
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('6');
  await unit.press('Enter');
  await expect(page.getByRole('heading', { name: /was deleted$/ })).toBeVisible();
  quietConsole.length = 0;
});
