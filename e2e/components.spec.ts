import sharp from 'sharp';
import { COMPONENTS } from '@garnish/core/components/components';
import { DRAWN, drawnAttributes, type StateId } from '@garnish/core/components/states';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { variantsOf } from '@garnish/core/proof/specimens';
import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
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
  violationsOf,
} from './garnish.ts';
import { bodiesOf, compare, servePlain } from './plain.ts';

/** What a state may change; sizes are asked for too, because nothing may jump. */
const LOOKS = [
  ...['color', 'background-color', 'background-image', 'box-shadow', 'opacity', 'translate'],
  ...['border-top-color', 'border-bottom-color', 'border-top-style', 'border-bottom-width'],
  ...['outline-style', 'outline-width', 'outline-color', 'outline-offset', 'accent-color'],
  ...['text-decoration-line', 'text-decoration-thickness', 'text-decoration-color'],
  ...['inline-size', 'block-size'],
] as const;

test('every state that is drawn is the real one: pointed at, pressed, focused, in both themes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption(SHEET_OF_PARTS);
  await expect(proof(page).locator('.sheet-of-states .sheet-states').first()).toBeAttached();
  // The sheet as the proof has it, in a window of its own: nothing else answers to the pointer there.
  const html = await proof(page)
    .locator('body')
    .evaluate((body) => {
      const css = body.ownerDocument.adoptedStyleSheets.flatMap(({ cssRules }) =>
        [...cssRules].map(({ cssText }) => cssText),
      );
      return `<!doctype html><style>${css.join('\n')} * { content-visibility: visible !important }</style>${body.outerHTML}`;
    });
  await page.route('**/sheet-alone', (route) =>
    route.fulfill({ contentType: 'text/html', body: html }),
  );
  await page.goto('/sheet-alone');
  const states = ['hover', 'pressed', 'focus'].map((state) => [
    state,
    drawnAttributes(state as StateId)[DRAWN] ?? '',
  ]);
  let compared = 0;
  for (const theme of ['light', 'dark']) {
    // Everything that is drawn, and beside each the element at rest that is to be brought into its state.
    const drawn = await page.evaluate(
      ([mode, looks, those, attribute]) => {
        document.documentElement.dataset['theme'] = mode;
        for (const moving of document.getAnimations()) moving.finish();
        const rows = [...document.querySelectorAll('.sheet-of-states .sheet-states')];
        return rows.flatMap((row) =>
          those.flatMap(([state = '', value = '']) => {
            const element = row.querySelector(`[${attribute}="${value}"]`);
            if (!element) return [];
            const names = element.getAttribute('class') ?? '';
            const named = `${element.tagName.toLowerCase()}${names === '' ? '' : `[class="${names}"]`}`;
            const real = row.querySelector('.sheet-named')?.querySelector(named);
            const is = `${named} ${state}`;
            real?.setAttribute(`data-real-${state}`, is);
            const style = getComputedStyle(element);
            const look = Object.fromEntries(
              looks.map((name) => [name, style.getPropertyValue(name)]),
            );
            return [{ state, is, isThere: real !== undefined && real !== null, look }];
          }),
        );
      },
      [theme, LOOKS, states, DRAWN] as const,
    );
    for (const [index, { state, is, isThere, look }] of drawn.entries()) {
      expect(isThere, is).toBe(true);
      const ofState = drawn.slice(0, index).filter((one) => one.state === state).length;
      const at = [`[data-real-${state}]`, ofState] as const;
      const [x, y] = await page.evaluate(([selector, place]) => {
        const real = document.querySelectorAll<HTMLElement>(selector)[place];
        real?.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
        const [box = new DOMRect()] = real?.getClientRects() ?? [];
        return [box.x + box.width / 2, box.y + box.height / 2] as const;
      }, at);
      if (state === 'focus') {
        await page.mouse.move(2, 2);
        // Who works with keys sees where the focus is.
        await page.keyboard.press('Tab');
      } else {
        await page.mouse.move(x, y);
        if (state === 'pressed') await page.mouse.down();
      }
      const found = await page.evaluate(
        ([selector, place, looks, isFocused]) => {
          const real = document.querySelectorAll<HTMLElement>(selector)[place];
          if (!real) return {};
          if (isFocused) real.focus();
          // What moves has arrived.
          for (const moving of real.getAnimations({ subtree: true })) moving.finish();
          const style = getComputedStyle(real);
          const found = looks.map((name) => [name, style.getPropertyValue(name)] as const);
          if (isFocused) real.blur();
          return Object.fromEntries(found);
        },
        [...at, LOOKS, state === 'focus'] as const,
      );
      if (state === 'pressed') {
        // Released elsewhere, so that nothing is done.
        await page.mouse.move(2, 2);
        await page.mouse.up();
      }
      expect(found, `${is} ${theme}`).toEqual(look);
      compared += 1;
    }
  }
  const { components } = await documentOf(request, id);
  const byHand = COMPONENTS.flatMap((component) =>
    variantsOf(component, ownVariantsOf(components)).flatMap(({ states }) =>
      states.filter((state) => ['hover', 'pressed', 'focus'].includes(state)),
    ),
  );
  expect(byHand.length).toBeGreaterThan(40);
  expect(compared).toBe(byHand.length * 2);
});

test('a manner is chosen for all, one corner departs, stays when the corner of all changes, and is let go', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  const button = proof(page).locator('.hero-words .button, .hero .button').first();
  const radius = (): Promise<string> =>
    button.evaluate((element) => getComputedStyle(element).borderTopLeftRadius);
  const usual = await radius();
  // The main button departs to the corner of pictures.
  const takes = page.getByRole('button', { name: 'button.corner takes', exact: true });
  await takes.click();
  // Reached by key it is tried; Escape goes back.
  await page.keyboard.press('End');
  await expect.poll(radius).not.toBe(usual);
  await page.keyboard.press('Escape');
  await expect.poll(radius).toBe(usual);
  await expect(takes).toBeFocused();
  await takes.click();
  await page.getByRole('option', { name: 'corner picture' }).click();
  await expect(takes).toBeFocused();
  await expect(page.getByText('1 part departs')).toBeVisible();
  const departed = await radius();
  await page
    .getByRole('group', { name: 'What the main action stands out by' })
    .getByText('outlined')
    .click();
  await expect
    .poll(() => button.evaluate((element) => getComputedStyle(element).backgroundColor))
    .toBe('rgba(0, 0, 0, 0)');
  expect(await radius()).toBe(departed);
  await saved(page);
  const { components } = await documentOf(request, id);
  expect(components).toMatchObject({
    manner: { surface: 'outlined', states: 'shade' },
    departures: { 'button.corner': 'corner.picture' },
  });
  await page.getByRole('button', { name: 'let it go: button.corner' }).click();
  await expect(page.getByText('nothing departs')).toBeVisible();
  await expect.poll(radius).toBe(usual);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('1 part departs')).toBeVisible();
});

test('two states made alike are found on the part, and its repair lets the departure go', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  await page.getByRole('button', { name: 'button.background-hover takes', exact: true }).click();
  await page.getByRole('option', { name: 'action', exact: true }).click();
  await expect(page.getByText('Button, main: pointed at looks as at rest in light')).toBeVisible();
  await expect(page.getByRole('cell', { name: 'nothing' }).first()).toBeVisible();
  await page
    .getByRole('button', { name: 'Let button.background-hover follow again' })
    .first()
    .click();
  await expect(page.getByText('looks as at rest')).toHaveCount(0);
  await expect(page.getByText('nothing departs')).toBeVisible();
});

test('each part is opened by key, stands on every ground in both themes, and axe finds nothing', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  const shelf = page.getByRole('group', { name: 'Parts' });
  await expect(shelf).toBeVisible();
  const count = await shelf.getByRole('button').count();
  expect(count).toBeGreaterThan(15);
  await shelf.getByRole('button', { name: /^Field/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: 'Field' })).toBeVisible();
  const drawn = page.frameLocator('iframe[title="Field in its states"]');
  await expect(drawn.locator('input.field[aria-invalid="true"]').first()).toBeVisible();
  await page
    .getByRole('group', { name: 'What it stands on' })
    .getByRole('button', { name: 'surface', exact: true })
    .click();
  await expect(drawn.locator('.drawn')).toHaveClass(/on-surface/);
  await page.getByRole('group', { name: 'Theme of the specimens' }).getByText('dark').click();
  await expect(drawn.locator('html')).toHaveAttribute('data-theme', 'dark');
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);
});

for (const [part, title] of [
  ['button', 'Button'],
  ['link', 'Link'],
] as const)
  test(`${part}: every state is legible on every ground, as axe finds it, and stands on a picture too`, async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, BRACKWATER);
    await openArea(page, id, `components?part=${part}`);
    const drawn = page.frameLocator(`iframe[title="${title} in its states"]`);
    const grounds = page.getByRole('group', { name: 'What it stands on' }).getByRole('button');
    await expect(grounds.first()).toBeVisible();
    const names = await grounds.evaluateAll((all) => all.map((one) => one.ariaLabel ?? ''));
    expect(names.length).toBeGreaterThan(8);
    const frame = await (
      await page.locator(`iframe[title="${title} in its states"]`).elementHandle()
    ).contentFrame();
    if (!frame) throw new Error('nothing is drawn');
    for (const theme of ['light', 'dark']) {
      await page.getByRole('group', { name: 'Theme of the specimens' }).getByText(theme).click();
      await expect(drawn.locator('html')).toHaveAttribute('data-theme', theme);
      for (const name of names) {
        const ground = page.getByRole('group', { name: 'What it stands on' });
        await ground.getByRole('button', { name, exact: true }).click();
        if (name === 'a picture') {
          await expect(drawn.locator('.over-picture > img')).toBeVisible();
          continue;
        }
        await expect(drawn.locator('.drawn')).toHaveClass(`drawn on-${name.replaceAll(' ', '-')}`);
        await expect
          .poll(() =>
            drawn.locator('body').evaluate((body) => {
              const moving = body.ownerDocument.getAnimations();
              for (const one of moving) one.finish();
              return moving.length;
            }),
          )
          .toBe(0);
        const found = await violationsOf(frame, { rules: ['color-contrast'] });
        expect(found.map((one) => [theme, name, ...one])).toEqual([]);
      }
    }
  });

test('words that are too large for their place when text is twice as large or labels are longer are found', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    { op: 'add', path: '/components/departures/tag.text', value: 'type.h1' },
    { op: 'add', path: '/components/departures/step-mark.text', value: 'type.h1' },
  ]);
  await openArea(page, id, 'review');
  const told = (of: string, when: string) =>
    page.getByRole('listitem').filter({ hasText: new RegExp(`^${of} does not fit ${when}`) });
  await expect(told('tag', 'with labels a third longer').first()).toBeVisible({ timeout: 60_000 });
  await expect(told('“Quay works”', 'with text twice as large').first()).toBeVisible();
});

test('words that only fit from left to right, or only with letters close together, are found', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('Sheet of parts');
  const tags = proof(page).locator('.tag');
  await expect(tags.first()).toBeVisible();
  const ems = await tags.evaluateAll((all) =>
    Math.max(
      ...all.map((tag) => {
        const words = document.createRange();
        words.selectNodeContents(tag);
        return (
          words.getBoundingClientRect().width / Number.parseFloat(getComputedStyle(tag).fontSize)
        );
      }),
    ),
  );
  // No decision makes such a fault, so it is planted in the page that is measured.
  await page.route('**/proof/', async (route) => {
    const answer = await route.fetch();
    const planted = `.tag { inline-size: ${(ems + 0.1).toFixed(2)}em; white-space: nowrap; padding-inline: 0 !important }
      [dir="rtl"] .required { display: block; inline-size: 1em; white-space: nowrap }`;
    const body = (await answer.text()).replace('</head>', `<style>${planted}</style></head>`);
    await route.fulfill({ response: answer, body });
  });
  await openArea(page, id, 'review');
  const told = (of: string, when: string) =>
    page.getByRole('listitem').filter({ hasText: new RegExp(`^${of} does not fit ${when}`) });
  await expect(told('tag', 'with text spaced widely').first()).toBeVisible({ timeout: 60_000 });
  await expect(told('.*required', 'from right to left').first()).toBeVisible();
});

/** What each part is to those who do not see it, by its address. Source: HTML-AAM 1.0, the role of each element. */
const ROLES = [
  ['button', 'button', 'Send'],
  ['link', 'link', 'all times'],
  ['navigation', 'link', 'Times'],
  ['tabs', 'link', 'Out'],
  ['skip', 'link', 'To the content'],
  ['field', 'textbox', 'Name'],
  ['field', 'combobox', 'From'],
  ['choice', 'checkbox', 'With a bicycle'],
  ['choice', 'radio', 'With a bicycle'],
  ['choice', 'switch', 'Tell me'],
  ['slider', 'slider', 'How far'],
  ['progress', 'progressbar', 'Sent'],
  ['dialog', 'dialog', undefined],
  ['table', 'cell', '06:40'],
] as const;

test('each part has its role, name and states in the accessibility tree', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  for (const [part, role, name] of ROLES) {
    await goOn(page, id, `components?part=${part}`);
    const own = COMPONENTS.find((one) => one.id === part);
    const drawn = page.frameLocator(`iframe[title="${own?.name ?? ''} in its states"]`);
    await expect(
      drawn.getByRole(role, { ...(name !== undefined && { name }) }).first(),
      `${part}: ${role}`,
    ).toBeVisible();
  }
  const of = async (part: string, name: string) => {
    await goOn(page, id, `components?part=${part}`);
    return page.frameLocator(`iframe[title="${name} in its states"]`);
  };
  await expect((await of('choice', 'Choice')).getByRole('checkbox', { checked: true })).toHaveCount(
    1,
  );
  await expect((await of('button', 'Button')).getByRole('button', { disabled: true })).toHaveCount(
    10,
  );
  await expect(
    (await of('field', 'Field')).getByRole('textbox', { disabled: true }).first(),
  ).toBeVisible();
});

test('colors that the reader forces keep edges and focus, and less motion moves nothing', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  const main = page.frameLocator('iframe[title="Button in its states"]').locator('.button').first();
  const of = (property: string): Promise<string> =>
    main.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
  await expect(main).toBeVisible();
  expect(await of('transition-duration')).toBe('0.12s');
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await of('transition-duration')).toBe('0s');
  await page.emulateMedia({ forcedColors: 'active' });
  // The edge that is not seen otherwise has the color of the reader’s own edges.
  expect(await of('border-top-style')).toBe('solid');
  expect(await of('border-top-color')).not.toMatch(/rgba\(.*, 0\)|transparent/);
  await page.keyboard.press('Tab');
  await main.focus();
  expect(await of('outline-style')).toBe('solid');
  expect(await of('outline-color')).not.toMatch(/rgba\(.*, 0\)|transparent/);
});

test('a navigation behind a button opens by key without script, is out of reach while closed, and closes again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  await page
    .getByRole('group', { name: 'Parts' })
    .getByRole('button', { name: 'Navigation' })
    .click();
  const behind = page.getByRole('checkbox', { name: 'behind a button on narrow screens' });
  // In the demo it is; let go of and taken again it begins as usual.
  await expect(behind).toBeChecked();
  await behind.click();
  await expect(proof(page).locator('.nav-open')).toHaveCount(0);
  await behind.click();
  await setWidth(page, 375);
  const shown = proof(page);
  const nav = shown.getByRole('navigation', { name: 'Site' });
  const open = shown.getByRole('button', { name: 'Menu' });
  await expect(open).toBeVisible();
  // Hidden to the eye is hidden to everybody: it is in no tree, and no key gets there.
  await expect(nav).toHaveCount(0);
  await expect(shown.locator('.nav-link').first()).toBeHidden();
  await open.focus();
  await page.keyboard.press('Enter');
  await expect(nav.getByRole('link', { name: 'Crossings' })).toBeVisible();
  const target = await nav.getByRole('link', { name: 'Crossings' }).boundingBox();
  expect(target?.height).toBeGreaterThanOrEqual(24);
  await page.keyboard.press('Tab');
  await expect(shown.getByRole('button', { name: 'Close' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(nav).toHaveCount(0);
  await expect(open).toBeFocused();
  // From the width on that is decided it stands in its row, without a button.
  await page.getByRole('spinbutton', { name: 'below', exact: true }).fill('360');
  await page.keyboard.press('Enter');
  await expect(nav.getByRole('link', { name: 'Crossings' })).toBeVisible();
  await expect(open).toHaveCount(0);
  // The page taken away behaves as it does here.
  await page.getByRole('spinbutton', { name: 'below', exact: true }).fill('720');
  await page.keyboard.press('Enter');
  await saved(page);
  await servePlain(page, id, bodiesOf(await documentOf(request, id)));
  for (const width of [375, 1440]) {
    await setWidth(page, width);
    expect((await compare(page, width, 'light')).differences).toEqual([]);
  }
});

test('the page of components that is taken away looks and answers as here, and axe finds nothing', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await servePlain(page, id, new Map());
  await page.goto('/plain/components.html');
  const row = page.locator('#button [data-doc="states"]').first();
  const look = (element: Element) => {
    for (const moving of element.getAnimations({ subtree: true })) moving.finish();
    const { backgroundColor, color, boxShadow, height } = getComputedStyle(element);
    return { backgroundColor, color, boxShadow, height };
  };
  const [rest, drawn] = [row.locator('.button').first(), row.locator('[data-drawn="hover"]')];
  const wanted = await drawn.evaluate(look);
  expect(await rest.evaluate(look)).not.toEqual(wanted);
  await rest.hover();
  expect(await rest.evaluate(look)).toEqual(wanted);
  await page.mouse.move(2, 2);
  expect(await violationsOf(page)).toEqual([]);
  await openArea(page, id, 'components');
  const shown = page
    .frameLocator('iframe[title="Button in its states"]')
    .locator('[data-drawn="hover"]')
    .first();
  expect((await shown.evaluate(look)).backgroundColor).toBe(wanted.backgroundColor);
});

test('a focus that cannot be seen and a control of 20 px are found, and repaired where they are told', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    {
      op: 'replace',
      path: '/color/roles/items/focus/light',
      value: { kind: 'own', value: '#fdfaf4' },
    },
    ...[
      ['target-small/value', 1.25],
      ['control-small/value', 0.2],
      ['control-small/block', 0],
      ['target/value', 1.25],
    ].map(([where, value]) => ({
      op: 'replace' as const,
      path: `/space/roles/items/${where ?? ''}`,
      value: { kind: 'own', value: value ?? 0, unit: 'rem' },
    })),
  ]);
  await openArea(page, id, 'review');
  await expect(page.getByText(/^focus .*falls short in light/).first()).toBeVisible();
  // No page has small controls: they are measured where all components stand.
  const small = page.getByRole('listitem').filter({ hasText: /is small to press/ });
  await expect(small.first()).toBeVisible({ timeout: 60_000 });
  const count = await small.count();
  await small
    .first()
    .getByRole('button', { name: / to 24 px$/ })
    .click();
  await expect.poll(() => small.count()).toBeLessThan(count);
  const ring = page.getByRole('listitem').filter({ hasText: /^focus .*falls short in light/ });
  await ring.getByRole('button', { name: /^Use / }).first().click();
  await expect(ring).toHaveCount(0);
});

test('a variant of one’s own follows the button but for its color, in the sheet, in its states and handed over', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components?part=button');
  const drawn = page.frameLocator('iframe[title="Button in its states"]');
  const look = (element: Element) => {
    const { backgroundColor, borderTopLeftRadius } = getComputedStyle(element);
    return { backgroundColor, borderTopLeftRadius };
  };
  const [main, own] = ['.button:not(.by-phone)', '.by-phone'].map((one) =>
    drawn.locator(`${one}:not([data-drawn])`).first(),
  );
  if (!main || !own) throw new Error('no such buttons');
  const before = { main: await main.evaluate(look), own: await own.evaluate(look) };
  expect(before.own.backgroundColor).not.toBe(before.main.backgroundColor);
  expect(before.own.borderTopLeftRadius).toBe(before.main.borderTopLeftRadius);
  // What the original changes, the copy follows.
  await page
    .getByRole('group', { name: 'Corners of controls' })
    .getByRole('button', { name: 'round' })
    .click();
  await expect
    .poll(async () => (await own.evaluate(look)).borderTopLeftRadius)
    .not.toBe(before.own.borderTopLeftRadius);
  expect((await own.evaluate(look)).borderTopLeftRadius).toBe(
    (await main.evaluate(look)).borderTopLeftRadius,
  );
  expect((await own.evaluate(look)).backgroundColor).toBe(before.own.backgroundColor);
  await saved(page);
  const sheet = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(sheet).toContain('.button.by-phone:hover');
  await page.getByRole('button', { name: 'Take by phone out' }).click();
  await expect(drawn.locator('.by-phone')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(drawn.locator('.by-phone').first()).toBeVisible();
});

test('where a component stands is counted, and leads there', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components?part=table');
  const uses = page.getByRole('button', { name: /^Timetable \d+$/ });
  const count = Number(/\d+$/.exec((await uses.textContent()) ?? '')?.[0]);
  await uses.click();
  await expect(page.getByRole('combobox', { name: 'Page of the proof' })).toHaveValue('timetable');
  await expect(proof(page).locator('table.table')).toHaveCount(count);
  // What is on no page is said to be.
  await goOn(page, id, 'components?part=dialog');
  await expect(page.getByText('on no page; on the sheet of parts')).toBeVisible();
});

test('words stand in the middle of their control, from left to right and from right to left', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await servePlain(page, id, new Map());
  await page.goto('/plain/components.html');
  for (const direction of ['ltr', 'rtl']) {
    const uneven = await page.evaluate((dir) => {
      document.documentElement.dir = dir;
      const found: string[] = [];
      const middles =
        '.button, .quiet-button, .danger-button, .plain-button, .nav-link, .tab, .tag, .marker';
      for (const control of document.querySelectorAll<HTMLElement>(middles)) {
        // A sign beside the words takes room of its own.
        if (control.matches('[aria-busy="true"], .outward-link')) continue;
        const words = document.createRange();
        words.selectNodeContents(control);
        const [one, other] = [control.getBoundingClientRect(), words.getBoundingClientRect()];
        const off = other.left - one.left - (one.right - other.right);
        if (one.width > 0 && Math.abs(off) > 1)
          found.push(`${control.className} ${off.toFixed(2)}`);
      }
      return found;
    }, direction);
    expect(uneven).toEqual([]);
  }
});

test('what is drawn in fields turns with the direction: the arrow ends the line, off is where it begins', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await servePlain(
    page,
    id,
    new Map([
      [
        'drawn',
        '<select class="field choice-field"><option>Oxney Quay</option></select><input class="switch" type="checkbox" role="switch">',
      ],
    ]),
  );
  await page.setViewportSize({ width: 400, height: 300 });
  await page.goto('/plain/drawn');
  /** Where the ink of a picture of a control has its middle along the line, as a share of its width. */
  const middleOf = async (selector: string, from: number, to: number): Promise<number> => {
    const control = page.locator(selector);
    const box = await control.boundingBox();
    if (!box) throw new Error('nothing is drawn');
    // A strip along the middle, without the edge of the control.
    const inset = 3;
    const clip = {
      x: box.x + box.width * from + inset,
      y: box.y + box.height * 0.35,
      width: box.width * (to - from) - 2 * inset,
      height: box.height * 0.3,
    };
    const { data, info } = await sharp(await page.screenshot({ clip, animations: 'disabled' }))
      .grayscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    // What there is most of is the ground.
    const counts = new Uint32Array(256);
    for (let at = 0; at < data.length; at += info.channels)
      counts[data[at] ?? 0] = (counts[data[at] ?? 0] ?? 0) + 1;
    const ground = counts.indexOf(Math.max(...counts));
    let [sum, weight] = [0, 0];
    for (let at = 0; at < data.length; at += info.channels) {
      const ink = Math.abs((data[at] ?? 0) - ground);
      sum += ink * ((at / info.channels) % info.width);
      weight += ink;
    }
    return weight === 0 ? NaN : sum / weight / info.width;
  };
  const look = async (dir: string) => {
    await page.evaluate((direction) => {
      document.documentElement.dir = direction;
    }, dir);
    return {
      arrow: [await middleOf('.choice-field', 0, 0.2), await middleOf('.choice-field', 0.8, 1)],
      off: await middleOf('.switch', 0, 1),
    };
  };
  await page.locator('option').evaluate((option) => (option.textContent = ' '));
  const ltr = await look('ltr');
  const rtl = await look('rtl');
  expect(ltr.arrow[0]).toBeNaN();
  expect(ltr.arrow[1]).toBeGreaterThan(0.3);
  expect(rtl.arrow[1]).toBeNaN();
  expect(rtl.arrow[0]).toBeCloseTo(1 - (ltr.arrow[1] ?? 0), 1);
  expect(ltr.off).toBeLessThan(0.5);
  expect(rtl.off).toBeCloseTo(1 - ltr.off, 1);
});

test('the strip shows the main button in its states, as it is decided', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components?part=button');
  const picture = page
    .getByRole('navigation', { name: 'Areas' })
    .getByRole('link', { name: /Components/ });
  const drawn = (): Promise<readonly string[]> =>
    picture
      .locator('[style]')
      .evaluateAll((all) => all.map((one) => one.getAttribute('style') ?? ''));
  const before = await drawn();
  expect(before).toHaveLength(3);
  await page.getByRole('button', { name: 'button.background takes', exact: true }).click();
  await page.getByRole('option', { name: 'support', exact: true }).click();
  await expect.poll(drawn).not.toEqual(before);
  await page.keyboard.press('Control+z');
  await expect.poll(drawn).toEqual(before);
});
