import { AREAS, viewAddresses } from '@garnish/core/system/areas';
import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  goOn,
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

  const slider = page.getByRole('slider', { name: /^base on the narrow screen, slider/ });
  await slider.press('ArrowRight');
  // What is moved by keys is taken with Enter, or undone before that.
  await undone();
  await slider.press('ArrowRight');
  await slider.press('Enter');
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
  const take = page.getByRole('button', { name: /^Use #/ }).first();
  await take.focus();
  await page.keyboard.press('Enter');
  await expect.poll(focused).not.toBe('nothing');
});

test('focus goes on after a finding is accepted, a candidate taken and a choice in Find', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  const focused = () =>
    page.evaluate(() => {
      const { activeElement } = document;
      return activeElement?.closest('main') &&
        activeElement.matches('a, button, input, select, summary')
        ? 'a control'
        : (activeElement?.tagName ?? 'nothing');
    });
  await openArea(page, id, 'review');
  await page.getByText('Source, accept', { exact: true }).first().click();
  const accept = page.getByRole('button', { name: /^Accept/ }).first();
  await accept.focus();
  await page.keyboard.press('Enter');
  await expect.poll(focused).toBe('a control');
  await page.keyboard.type('as agreed');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect.poll(focused).toBe('a control');

  await openArea(page, id, 'color');
  await page
    .getByRole('button', { name: /^Related colors of/ })
    .first()
    .click();
  const candidate = page.getByRole('button', { name: /^Take # beside|^Take #/ }).first();
  await candidate.focus();
  await page.keyboard.press('Enter');
  await saved(page);
  await expect.poll(focused).toBe('a control');

  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find a decision, token, command' }).fill('base unit');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/space/);
  await expect.poll(focused).toBe('a control');
});

test('an empty name is refused beside its field, and the old one stays', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'color');
  const name = page.getByRole('textbox', { name: 'Name of sand', exact: true });
  const old = await name.inputValue();
  await name.fill('  ');
  await name.press('Enter');
  await expect(name).toHaveValue(old);
  await expect(page.getByText(`A name needs a letter or a sign. It stays “${old}”.`)).toBeVisible();
  await name.fill(`${old} two`);
  await name.press('Enter');
  await saved(page);
  await expect(page.getByText('A name needs')).toHaveCount(0);
});

test('text roles and space roles are found by a part of their names', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  for (const [view, sought] of [
    ['type', 'lead'],
    ['space?view=roles', 'gutter'],
  ] as const) {
    await page.goto(`/systems/${id}/${view}`);
    const field = page.getByRole('searchbox', { name: 'Part of a role’s name' });
    await field.fill(sought.toUpperCase());
    await expect(page.locator(`main [data-decision*="/roles/items/"]`)).toHaveCount(1);
    await expect(page.locator(`main [data-decision*="/roles/items/"]`)).toContainText(sought);
    await field.fill('no such role');
    await expect(page.getByText('No role is called so.')).toBeVisible();
  }
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
    .getByRole('article', { name: /^quiet falls short/ })
    .getByRole('button', { name: /^Use #/ })
    .first();
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
  await openArea(page, id, 'tokens?view=files');
  const prevented = await page.evaluate(() => {
    const dropped = new DragEvent('drop', { bubbles: true, cancelable: true });
    document.body.dispatchEvent(dropped);
    return dropped.defaultPrevented;
  });
  expect(prevented).toBe(true);
});

/** What is too small to be hit, too narrow to write in, or out of reach; empty where all is well. */
function misfits(): readonly string[] {
  const found: string[] = [];
  const { scrollWidth, clientWidth } = document.documentElement;
  if (scrollWidth > clientWidth) found.push(`scrolls sideways by ${scrollWidth - clientWidth} px`);
  const controls = document.querySelectorAll<HTMLElement>(
    'a[href], button, input, select, textarea, summary, [role="slider"]',
  );
  for (const control of controls) {
    if (!control.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })) continue;
    const own = control.getBoundingClientRect();
    if (own.width <= 1 || own.height <= 1) continue; // for screen readers only
    const isBox = control.matches('[type="checkbox"], [type="radio"]');
    const label = isBox ? control.closest('label')?.getBoundingClientRect() : undefined;
    const [width, height] = [label?.width ?? own.width, label?.height ?? own.height];
    const inText = getComputedStyle(control).display === 'inline'; // WCAG 2.2, 2.5.8: inline
    const name = `${control.tagName.toLowerCase()} “${control.getAttribute('aria-label') ?? control.textContent}”`;
    if (!inText && Math.min(width, height) < 23.9)
      found.push(`${name} is ${Math.round(width)} by ${Math.round(height)} px`);
    const isWritten = control.matches(
      'select, textarea, input:not([type="checkbox"], [type="radio"], [type="range"], [type="file"], [type="color"])',
    );
    if (isWritten && width < 44) found.push(`${name} is ${Math.round(width)} px wide`);
    let holder = control.parentElement;
    while (holder && !/auto|scroll/.test(getComputedStyle(holder).overflowX))
      holder = holder.parentElement;
    if (!holder && own.right > clientWidth + 1) found.push(`${name} is out of reach`);
  }
  return found;
}

test('at 320 px nothing scrolls sideways and every control of every view can be used', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await page.setViewportSize({ width: 320, height: 640 });
  await page.goto(`/systems/${id}/brief`);
  await expect(page.locator('main h2').first()).toBeAttached();
  for (const view of viewAddresses()) {
    await goOn(page, id, view);
    const { name } = AREAS.find((area) => area.id === view.split('?')[0]) ?? { name: '' };
    await expect(page.getByRole('heading', { level: 1, name, exact: true })).toBeAttached();
    await expect(page.locator('main h2').first()).toBeAttached();
    await expect.poll(() => page.evaluate(misfits), { message: view }).toEqual([]);
  }
});

test('the proof stays in sight at 800 px', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await page.setViewportSize({ width: 800, height: 1000 });
  await openArea(page, id, 'type');
  await page.getByRole('region', { name: 'Tools' }).scrollIntoViewIfNeeded();
  await expect(proof(page).locator('.site-name')).toBeInViewport();
});
