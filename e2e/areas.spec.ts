import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  test,
  TALLOW,
} from './garnish.ts';

test('fonts: arrow keys try a face in the proof, Escape goes back, Enter takes it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  const title = proof(page).getByRole('heading', { level: 1 });
  const face = () => title.evaluate((element) => getComputedStyle(element).fontFamily);
  await expect.poll(face).toContain('Archivo');
  const list = page.getByRole('listbox', { name: 'Families for the heading face' });
  await list.focus();
  await page.keyboard.press('ArrowDown');
  await expect.poll(face).toContain('Arvo');
  await page.keyboard.press('Escape');
  await expect.poll(face).toContain('Archivo');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(face).toContain('Asap');
  await saved(page);
  expect((await documentOf(request, id)).fonts.roles.heading.family.id).toBe('asap');
});

test('fonts: pointing at a family tries it, leaving goes back, and nothing is taken', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'text', exact: true }).click();
  const words = proof(page).locator('.type-body').first();
  const face = () => words.evaluate((element) => getComputedStyle(element).fontFamily);
  await page.getByRole('button', { name: 'hand', exact: true }).click();
  await page.getByRole('option', { name: 'Caveat, hand' }).hover();
  await expect.poll(face).toContain('Caveat');
  await page.mouse.move(900, 20);
  await expect.poll(face).toContain('Literata');
  expect((await documentOf(request, id)).fonts.roles.text.family.id).toBe('literata');
});

test('fonts: the list is filtered by kind and by name, and says when nothing is left', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'mono', exact: true }).click();
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(14);
  await page.getByLabel('Search by name').fill('zzz');
  await expect(page.getByText('No family is like this.')).toBeVisible();
});

test('type: a base is typed with arithmetic, moved by keys, refused in words, and flows into the proof', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const base = page.getByRole('spinbutton', { name: 'base on the narrow screen' });
  await base.fill('1rem + 2');
  await base.press('Enter');
  await expect(base).toHaveValue('18');
  await base.press('ArrowUp');
  await expect(base).toHaveValue('18.5');
  await base.press('Shift+ArrowUp');
  await expect(base).toHaveValue('23.5');
  await base.press('Alt+ArrowDown');
  await expect(base).toHaveValue('23.45');
  await base.fill('a lot');
  await base.press('Enter');
  await expect(page.getByRole('alert')).toContainText('23.45 px stays in force');
  await base.press('Escape');
  await page.getByRole('spinbutton', { name: 'Width of the proof' }).fill('360');
  await page.keyboard.press('Enter');
  const words = proof(page).locator('.type-body').first();
  await expect
    .poll(() => words.evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize)))
    .toBeCloseTo(23.45, 2);
  await saved(page);
  expect((await documentOf(request, id)).type.anchors.items['narrow']?.base).toBe(23.45);
});

test('type: an interval gives the ratio, a role takes another place, and the drawing follows the proof', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page
    .getByRole('combobox', { name: 'interval on the wide screen' })
    .selectOption('perfect fourth');
  await expect(page.getByRole('spinbutton', { name: 'ratio on the wide screen' })).toHaveValue(
    '1.3333',
  );
  await page.getByRole('combobox', { name: 'Place of h3' }).selectOption('up 2');
  await saved(page);
  expect((await documentOf(request, id)).type.roles.items['h3']?.place).toBe(2);
  await page.getByRole('button', { name: '1440 px wide' }).click();
  await expect(page.getByRole('slider', { name: 'Sizes over the screen width' })).toHaveAttribute(
    'aria-valuenow',
    '1440',
  );
});

test('color: a new brand color stands unchanged in its ramp and reaches the proof', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  const field = page.getByRole('textbox', { name: 'Value of buoy', exact: true });
  await field.fill('rebeccapurple');
  await field.press('Enter');
  const button = proof(page).locator('.button').first();
  await expect
    .poll(() => button.evaluate((element) => getComputedStyle(element).backgroundColor))
    .toBe('rgb(102, 51, 153)');
  await field.fill('nonsense');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toContainText('#663399 stays in force');
  await saved(page);
  expect((await documentOf(request, id)).color.sources.items['buoy']?.value).toBe('#663399');
});

test('color: a role takes another rung', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=roles');
  await page.getByRole('button', { name: /^link in light/ }).click();
  const rung = page.getByRole('button', { name: /^marsh 12,/ });
  await rung.click();
  await saved(page);
  expect((await documentOf(request, id)).color.roles.items['link']?.light).toEqual({
    kind: 'rung',
    ramp: 'marsh',
    rung: 12,
  });
  await expect(page.getByRole('link', { name: /^Review/ })).toContainText('0');
});

test('color: which text stands in which color on which surface is decided, and judged at once', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color?view=contrast');
  await page.getByRole('combobox', { name: 'Color of small' }).first().selectOption('mudflat');
  await expect(
    page.getByRole('article', { name: /mudflat.* falls short in light$/ }).first(),
  ).toBeVisible();
  const words = proof(page).locator('.site-footer > .type-small');
  await expect
    .poll(() => words.evaluate((element) => getComputedStyle(element).color))
    .toBe(
      await proof(page)
        .locator('body')
        .evaluate((body) => {
          const probe = body.ownerDocument.createElement('i');
          probe.style.color = 'var(--color-mudflat)';
          body.append(probe);
          const { color } = getComputedStyle(probe);
          probe.remove();
          return color;
        }),
    );
});

test('space: the unit and a step change, a nonsense unit is explained, and the proof follows', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('0');
  await unit.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Between 1 and 400 px');
  await unit.fill('10');
  await unit.press('Enter');
  const block = proof(page).locator('.block').first();
  const gap = () => block.evaluate((element) => getComputedStyle(element).rowGap);
  await expect.poll(gap).toBe('20px');
  await page.getByRole('button', { name: 'Roles', exact: true }).click();
  await page.getByRole('button', { name: 'stack', exact: true }).click();
  await page
    .getByRole('combobox', { name: 'stack at 360 px' })
    .selectOption({ label: 'xl, 50 px' });
  await expect.poll(gap).toBe('50px');
});

test('findings: notes beside the decision, marks in the proof, show, repair and accept', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'review');
  const notes = page.getByRole('main').getByRole('article');
  await expect.poll(() => notes.count()).toBeGreaterThan(5);
  // One color that is too pale is told once, with every place of it, and one repair ends all of them.
  const quiet = page.getByRole('article', { name: 'quiet falls short in light' });
  await quiet.getByText(/^\d places$/).click();
  const places = quiet.getByRole('list', { name: /^Places/ }).getByRole('listitem');
  const count = await places.count();
  expect(count).toBeGreaterThan(3);
  await quiet.getByRole('button', { name: /^Show in the proof: lead in quiet on page/ }).click();
  await expect(page.locator('[data-shown]')).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^lead in quiet on page falls short.*go to the decision/ }),
  ).toBeVisible();
  await expect(quiet).toContainText(`ends all ${count}`);
  const strip = page.getByRole('link', { name: /^Color/ }).first();
  const before = await strip.innerText();
  await quiet
    .getByRole('button', { name: /^Use #/ })
    .first()
    .click();
  await expect(quiet).toHaveCount(0);
  await expect(page.getByRole('article', { name: / in quiet on .* falls short/ })).toHaveCount(0);
  await expect.poll(() => strip.innerText()).not.toBe(before);
  // By keys alone the same: back, and taken again where the focus is.
  await page.keyboard.press('Control+z');
  await expect(quiet).toBeVisible();
  await quiet
    .getByRole('button', { name: /^Use #/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(quiet).toHaveCount(0);

  const body = page.getByRole('article', { name: 'body is under 16 px' });
  await body.getByText('Source, accept').click();
  await body.getByRole('button', { name: 'Accept with a reason' }).click();
  await body.getByLabel('Why it stays as it is').fill('the shop window is small');
  await body.getByRole('button', { name: 'Keep it as it is' }).click();
  await expect(page.getByRole('region', { name: 'Accepted as it is' })).toContainText(
    'the shop window is small',
  );
  await saved(page);
  expect(Object.keys((await documentOf(request, id)).accepted)).toEqual(['size:body']);
});

test('findings: every repair that is on offer can be taken until nothing is left to repair', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'review');
  const findings = page
    .getByRole('main')
    .getByRole('article')
    .filter({ has: page.getByTitle(/ becomes /) });
  await expect(findings.first()).toBeVisible();
  // Repairs were tried before they are offered; one can end several, and open the way to another.
  const tried = () => expect(page.getByRole('main').locator('[aria-busy="true"]')).toHaveCount(0);
  for (let taken = 0; taken < 40; taken += 1) {
    await tried();
    if ((await findings.count()) === 0) break;
    const name = (await findings.first().getAttribute('aria-label')) ?? '';
    // The first way on offer; others stand folded behind it.
    await findings
      .first()
      .getByTitle(/ becomes /)
      .first()
      .click();
    await expect(page.getByRole('main').getByRole('article', { name, exact: true })).toHaveCount(0);
  }
  await expect(findings).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'To repair' })).toHaveCount(0);
});

test('pointing at the proof names its tokens, and a click leads to the decision', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  await proof(page).getByRole('heading', { level: 1 }).hover();
  await expect(page.getByText('type.h1.size')).toBeVisible();
  await proof(page).getByRole('heading', { level: 1 }).click();
  await expect(page).toHaveURL(/\/type\?at=/);
  await expect(page.getByRole('group', { name: 'Text role h1' })).toBeInViewport();
});

test('find leads to a decision, a token or a command by the keyboard', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find a decision, token, command' }).fill('base unit');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/space\?at=/);
  await page.keyboard.press('Control+k');
  await page
    .getByRole('combobox', { name: 'Find a decision, token, command' })
    .fill('proof in dark');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'dark', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('an address leads to its token and to its decision, however long the bench is', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?token=button.background');
  await expect(
    page.getByRole('region', { name: 'button.background', exact: true }),
  ).toBeInViewport();
  await openArea(page, id, `type?at=${encodeURIComponent('/type/roles/items/code')}`);
  await expect(page.getByRole('group', { name: 'Text role code' })).toBeInViewport();
});
