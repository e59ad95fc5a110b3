import { firstText, sectionsOf, siteTexts } from '@garnish/core/proof/texts';
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

test('pages and sections are added, named, moved, switched off and taken out in the brief', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = await documentOf(request, id);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'Another page' }).click();
  const name = page.getByRole('textbox', { name: 'Name of page Page' });
  await name.fill('Prices');
  await name.press('Enter');
  await page.getByRole('button', { name: 'Show page Prices' }).click();
  await expect(page.getByRole('combobox', { name: 'Page of the proof' })).toHaveValue(/./);
  await page.getByRole('button', { name: 'Another section' }).click();
  await page.getByRole('button', { name: 'Add Table' }).click();
  await expect(proof(page).locator('.table')).toBeVisible();
  // A price list from a spreadsheet takes the place of what the table began with.
  const field = page.getByRole('textbox', { name: 'Paste a table' });
  await field.fill('Seat\tPrice\nStalls\t9.50\nBalcony\t12.00');
  await expect(page.getByRole('status').filter({ hasText: '2 rows with 2 columns' })).toBeVisible();
  await expect(proof(page).locator('.table')).toContainText('Balcony');
  await page.getByRole('button', { name: 'Remove section Opening' }).click();
  await saved(page);
  const after = await documentOf(request, id);
  const added = after.content.pages.order.at(-1) ?? '';
  expect(after.content.pages.items[added]?.name).toBe('Prices');
  const [table] = sectionsOf(after.content, 'table').filter((one) => one.page === added);
  expect(Object.values(table?.own.rows.items ?? {}).map((row) => Object.values(row))).toEqual([
    ['Stalls', '9.50'],
    ['Balcony', '12.00'],
  ]);
  // Back to the home page: a section is moved with the keyboard, another one rests.
  await page.getByRole('button', { name: 'Show page Home' }).click();
  await page.getByRole('grid', { name: 'Sections of Home' }).getByRole('row').first().focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Alt+ArrowUp');
  await saved(page);
  await expect
    .poll(
      async () => (await documentOf(request, id)).content.pages.items['home']?.sections.order[0],
    )
    .toBe('notice');
  await page.getByRole('button', { name: 'Switch off section Questions' }).click();
  await expect(proof(page).locator('.questions')).toHaveCount(0);
  await saved(page);
  // Each was one change: all of it goes back.
  const undo = page.getByRole('button', { name: /^Undo/ });
  // The keys work where the focus is, in the list too.
  await page.keyboard.press('Control+z');
  await expect(proof(page).locator('.questions')).toHaveCount(1);
  await saved(page);
  for (let changes = 0; changes < 6; changes += 1) {
    await undo.click();
    await saved(page);
  }
  await expect.poll(async () => (await documentOf(request, id)).content).toEqual(before.content);
});

test('in the proof a card is added, moved and taken out by keys, a row by the pointer', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await page.getByRole('button', { name: 'write', exact: true }).click();
  const titles = () => proof(page).locator('.card .type-h4').allTextContents();
  const before = await titles();
  await proof(page).locator('.card .type-h4').first().click();
  // The bar comes a moment after writing began, and its keys with it.
  await expect(page.getByRole('toolbar', { name: 'Shape the page' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect.poll(titles).toHaveLength(before.length + 1);
  // The caret stands in what was made.
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Night boats');
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(async () => (await titles()).slice(0, 2)).toEqual(['Night boats', before[0]]);
  // Nobody waits for the page between two keys.
  for (const key of ['Alt+ArrowDown', 'Alt+ArrowDown', 'Alt+ArrowUp', 'Control+Shift+Backspace'])
    await page.keyboard.press(key);
  await expect.poll(titles).toEqual(before);
  const rows = () => proof(page).locator('.table').first().locator('tbody tr').count();
  const many = await rows();
  await proof(page).locator('.table tbody td').first().hover();
  const bar = page.getByRole('toolbar', { name: 'Shape the page' });
  await bar.getByRole('button', { name: 'Double: row' }).click();
  await expect.poll(rows).toBe(many + 1);
  await bar.getByRole('button', { name: 'Remove: column' }).click();
  await saved(page);
  const [table] = sectionsOf((await documentOf(request, id)).content, 'table');
  expect(table?.own.rows.order).toHaveLength(many + 1);
  for (const row of Object.values(table?.own.rows.items ?? {}))
    expect(Object.keys(row).sort()).toEqual([...(table?.own.columns.order ?? [])].sort());
});

test('an article is pasted as HTML with scripts: its words come, nothing acts', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'Another section' }).click();
  await page.getByRole('button', { name: 'Add Article' }).click();
  const field = page.getByRole('textbox', { name: 'Paste an article' });
  await field.fill(
    '<h1>Low water</h1><p onclick="parent.ran = true">The <b>slip</b> is dry.</p><script>parent.ran = true</script><ul><li>Ring first</li></ul>',
  );
  await expect(page.getByRole('status').filter({ hasText: '2 parts came in' })).toBeVisible();
  await expect(proof(page).locator('article.width-text')).toContainText('The slip is dry.');
  await expect(proof(page).locator('article.width-text .list li')).toHaveText(['Ring first']);
  expect(await page.evaluate(() => 'ran' in globalThis)).toBe(false);
  await saved(page);
  expect(JSON.stringify((await documentOf(request, id)).content)).not.toContain('script');
});

test('empty pages, long names, words from the right and 200 sections are shown and kept', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  const { content } = await documentOf(request, id);
  const pages = content.pages.order;
  const parts = content.parts?.order.length ?? 0;
  const ids = Array.from({ length: 200 }, (_, index) => `s${index}`);
  const long =
    'Ä very long name of a page that nobody would give, and yet somebody has given it'.slice(0, 80);
  await change(request, id, [
    {
      op: 'add',
      path: '/content/pages/items/many',
      value: {
        name: long,
        sections: {
          order: ids,
          items: Object.fromEntries(
            ids.map((one) => [one, { kind: 'notice', title: `No. ${one}`, text: 'שלום לכולם' }]),
          ),
        },
      },
    },
    {
      op: 'add',
      path: '/content/pages/items/empty',
      value: { name: 'Empty', sections: { order: [], items: {} } },
    },
    { op: 'replace', path: '/content/pages/order', value: [...pages, 'many', 'empty'] },
  ]);
  await openArea(page, id, 'brief?view=pages');
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await choice.selectOption('many');
  await expect(proof(page).locator('.notice')).toHaveCount(200);
  await expect(page.getByRole('row')).toHaveCount(pages.length + 2 + 200 + parts + 4);
  await choice.selectOption('empty');
  await expect(proof(page).locator('main .notice')).toHaveCount(0);
  await expect(proof(page).locator('.site-header')).toBeVisible();
  await expect(page.getByText('This page is empty')).toBeVisible();
  const document = await documentOf(request, id);
  expect(siteTexts(document.content).filter(({ page: on }) => on === 'many')).toHaveLength(200);
  expect(firstText(document.content, 'h1')?.page).toBe('home');
});

test('the proof turns to where a decision is used, goes through its places, and stays when it is held', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const place = page.getByRole('status', { name: 'Place of what is decided' });
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await expect(choice).toHaveValue('home');
  // Steps stand on the page about booking alone.
  await goOn(page, id, 'space?at=%2Fspace%2Fparts%2Fsteps.gap');
  await expect(choice).toHaveValue('booking');
  await expect(place).toHaveText('1 of 1');
  await expect(proof(page).locator('.steps')).toBeInViewport();
  // A text role is used in many places.
  await goOn(page, id, 'type?at=%2Ftype%2Froles%2Fitems%2Fbody%2Fplace');
  await expect(place).toHaveText(/^\d+ of \d+$/);
  const before = await place.textContent();
  await page.getByRole('button', { name: 'The next place' }).click();
  await expect(place).not.toHaveText(before ?? '');
  await expect(page.locator('[data-shown]')).toBeVisible();
  await page.getByRole('button', { name: 'hold', exact: true }).click();
  await goOn(page, id, 'color?at=%2Fcolor%2Fveils%2Fitems%2Festuary');
  await expect(page.getByRole('group', { name: 'Picture estuary' })).toBeVisible();
  await expect(choice).toHaveValue('booking');
});

test('sections are dragged by hand, stand on a surface and take some columns, as drawn and as exported', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = (await documentOf(request, id)).content.pages.items['home']?.sections.order ?? [];
  await openArea(page, id, 'brief?view=pages');
  const list = page.getByRole('grid', { name: 'Sections of Home' });
  const rows = list.getByRole('row');
  await expect(rows.first()).toContainText('Opening');
  await rows.first().dragTo(rows.nth(2), {
    sourcePosition: { x: 14, y: 14 },
    targetPosition: { x: 40, y: 26 },
  });
  await expect(rows.nth(2)).toContainText('Opening');
  const [first, second, third] = before;
  await expect(async () => {
    const { order } = (await documentOf(request, id)).content.pages.items['home']?.sections ?? {};
    expect(order?.slice(0, 3)).toEqual([second, third, first]);
  }).toPass();
  // A ground of its own, and eight of the twelve columns.
  await list.getByRole('button', { name: /^Questions / }).click();
  const ground = page.getByRole('group', { name: 'Ground of the section' });
  await ground.getByRole('button', { name: 'surface' }).click();
  const panel = proof(page).locator('.ground.on-surface:has(.questions)');
  await expect(panel).toHaveCount(1);
  await page.getByRole('button', { name: 'Limit its width' }).click();
  await setWidth(page, 1440);
  await expect(panel.locator('.span-8')).toHaveCount(1);
  const share = await panel.evaluate((one) => {
    const grid = one.querySelector('.grid')?.getBoundingClientRect().width ?? 0;
    return (one.querySelector('.span-8')?.getBoundingClientRect().width ?? 0) / grid;
  });
  expect(share).toBeGreaterThan(0.6);
  expect(share).toBeLessThan(0.7);
  const fill = await panel.evaluate((one) => getComputedStyle(one).backgroundColor);
  const page1 = await proof(page)
    .locator('.site')
    .evaluate((one) => getComputedStyle(one).backgroundColor);
  expect(fill).not.toBe(page1);
});
