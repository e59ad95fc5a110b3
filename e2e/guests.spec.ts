import { derive } from '@garnish/core/derive/derive';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  openArea,
  test,
  violationsOf,
} from './garnish.ts';

test('a link is made, opened elsewhere on a phone, a distance is read, and it is taken back', async ({
  page,
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'handoff?view=links');
  await page.getByRole('textbox', { name: 'for whom' }).fill('the builders');
  await page
    .getByRole('group', { name: 'Pages' })
    .getByRole('checkbox', { name: 'Booking' })
    .uncheck();
  await page.getByRole('textbox', { name: 'passphrase' }).fill('low');
  await expect(page.getByRole('alert')).toContainText('4 signs at least');
  await page.getByRole('textbox', { name: 'passphrase' }).fill('low tide');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const links = page.getByRole('list', { name: 'Links' });
  await expect(links).toContainText('as it stands, Home, Timetable');
  await expect(links).toContainText('with a passphrase');
  await expect(links).toContainText('not used yet');
  const address = (await links.getByRole('button', { name: /\/g\// }).textContent())?.trim() ?? '';
  expect(address).toMatch(/\/g\/[\w-]{22}$/);

  // Another browser: nothing of the first is known there.
  const elsewhere = await browser.newContext({ viewport: { width: 375, height: 740 } });
  const guest = await elsewhere.newPage();
  const asked: string[] = [];
  guest.on('request', (one) => asked.push(new URL(one.url()).pathname));
  await guest.goto(address);
  await guest.getByLabel('passphrase').fill('high tide');
  await guest.getByRole('button', { name: 'Open' }).click();
  await expect(guest.getByRole('alert')).toContainText('not the words');
  await guest.getByLabel('passphrase').fill('low tide');
  await guest.getByRole('button', { name: 'Open' }).click();
  await expect(guest.getByRole('heading', { name: BRACKWATER })).toBeVisible();
  // A first visit says how to read it; the next one does not.
  const how = guest.getByText('How to read this');
  await expect(guest.getByText('Click, and it is chosen', { exact: false })).toBeVisible();
  await how.click();
  await expect(guest.getByRole('navigation', { name: 'Pages' }).getByRole('button')).toHaveText([
    'Home',
    'Timetable',
    /^Notice/,
    'Components',
    'Assets',
  ]);
  expect(await guest.evaluate(() => document.documentElement.scrollWidth)).toBe(375);
  expect(await violationsOf(guest)).toEqual([]);

  // The page is as wide as the phone; what is chosen has the size that the browser lays out.
  const frame = guest.frameLocator('iframe[title="Page Home"]');
  const card = frame.locator('.card').first();
  await card.scrollIntoViewIfNeeded();
  await card.click({ position: { x: 3, y: 3 } });
  const facts = guest.getByRole('region', { name: 'What is chosen' });
  const laidOut = await card.evaluate((element) => {
    const { width, height } = element.getBoundingClientRect();
    return [width, height].map((px) => String(Number(px.toFixed(2)))).join(' × ');
  });
  await expect(facts.getByRole('row', { name: /^size/ })).toContainText(laidOut);
  const derived = derive(await documentOf(request, id));
  await expect(facts.getByRole('row', { name: /^ground/ })).toContainText(
    derived.tokenById.get('color.surface')?.values.light.css ?? '',
  );
  await expect(facts.getByRole('row', { name: /^ground/ })).toContainText('color.surface');
  await expect(facts.getByRole('row', { name: /^level/ })).toContainText('shadow.');
  const second = frame.locator('.card').nth(1);
  await second.hover({ position: { x: 3, y: 3 } });
  const between = await frame.locator('.card').evaluateAll(([one, other]) => {
    const [a, b] = [one?.getBoundingClientRect(), other?.getBoundingClientRect()];
    return a && b ? Number((b.top - a.bottom).toFixed(2)) : NaN;
  });
  const distance = guest.locator('[data-distance="y"] text').first();
  // With the token that makes it; the others of the same length light up without their words.
  await expect(distance).toHaveText(`${between} cards.gap`);
  const cards = await second.evaluate((one) => one.parentElement?.childElementCount ?? 0);
  await expect(guest.locator('[data-distance="y"][data-equal]')).toHaveCount(cards - 2);
  await expect(guest.locator('[data-equal] text')).toHaveCount(0);
  await guest.getByRole('group', { name: 'Unit' }).getByRole('button', { name: 'rem' }).click();
  await second.hover({ position: { x: 4, y: 4 } });
  await expect(distance).toHaveText(`${between / 16}rem cards.gap`);

  // Pointing at nothing else, the room to what is around it; within a card, its inset.
  await guest.getByRole('group', { name: 'Unit' }).getByRole('button', { name: 'px' }).click();
  const title = card.locator('h3');
  await title.click();
  await title.hover();
  await expect(guest.locator('[data-distance="x"] text').first()).toHaveText(/card\.inset/);
  const spoken = await guest.locator('[data-distance] text').allTextContents();
  for (const words of spoken.filter((one) => one.includes('+'))) {
    const [whole = '', ...parts] = words.split(/ (?=\d)/).map((one) => Number.parseFloat(one));
    expect(parts.reduce((sum, px) => sum + px, 0)).toBeCloseTo(Number(whole), 1);
  }
  await card.click({ position: { x: 3, y: 3 } });

  // A line of one's own, held against what is chosen: moved by key, there again after a reload.
  const lines = guest.getByRole('region', { name: 'Lines' });
  await lines.getByRole('button', { name: 'across', exact: true }).click();
  const line = guest.getByRole('slider', { name: 'Line across the page 1' });
  const laid = Number(await line.getAttribute('aria-valuenow'));
  await line.press('ArrowDown');
  await expect(line).toHaveAttribute('aria-valuenow', String(laid + 1));
  await expect(line).toHaveAttribute('aria-valuetext', /from the edge$/);

  // What it is elsewhere: at other widths, in other places, as a component.
  await facts.getByText('At other widths').click();
  const widths = facts.getByRole('table').last();
  await expect(widths.getByRole('columnheader')).toHaveText(['375', '720', '1280']);
  const [narrow = '', wide = ''] = await Promise.all(
    [1, 3].map((cell) =>
      widths
        .getByRole('row', { name: /^size/ })
        .getByRole('cell')
        .nth(cell - 1)
        .textContent(),
    ),
  );
  expect(narrow).toBe(laidOut);
  expect(wide).not.toBe(laidOut);
  await expect(facts.getByRole('button', { name: `1 of ${cards} here` })).toBeVisible();
  await facts.getByRole('button', { name: `1 of ${cards} here` }).click();
  await expect(facts.getByRole('button', { name: `2 of ${cards} here` })).toBeVisible();

  // Its code, bare and whole, some lines of it.
  await elsewhere.grantPermissions(['clipboard-read', 'clipboard-write']);
  const code = facts.getByRole('region', { name: 'Code' });
  await code.getByRole('button', { name: 'tokens' }).click();
  await code.getByRole('button', { name: 'bare' }).click();
  await code.getByRole('button', { name: /^--color-surface: #/ }).click();
  await code.getByRole('button', { name: /^Copy 1 of \d+ lines$/ }).click();
  expect(await guest.evaluate(() => navigator.clipboard.readText())).toMatch(
    /^--color-surface: #[\da-f]{6};$/,
  );
  await code.getByRole('button', { name: 'HTML' }).click();
  await expect(code.getByRole('button', { name: /<article class="card/ })).toHaveText(/…</);
  await code.getByRole('button', { name: 'whole' }).click();
  await expect(code.getByRole('button', { name: '</article>' })).toBeVisible();

  await facts.getByText('At other widths').click();

  // A component in its states, drawn where it stands; something else chosen, it is at rest again.
  const button = frame.locator('a.button').first();
  await button.scrollIntoViewIfNeeded();
  await button.click({ position: { x: 3, y: 3 } });
  const ground = facts.getByRole('row', { name: /^ground/ });
  const atRest = (await ground.textContent()) ?? '';
  await facts.getByRole('group', { name: 'States of Button' }).getByText('pointed at').click();
  await expect(ground).not.toHaveText(atRest);
  await card.click({ position: { x: 3, y: 3 } });
  await expect(button).not.toHaveAttribute('data-drawn');
  expect(await violationsOf(guest)).toEqual([]);

  // By key: outward, and on to the next.
  await guest.getByRole('button', { name: 'next', exact: true }).focus();
  await guest.keyboard.press('ArrowUp');
  await expect(facts.getByRole('heading', { level: 2 })).not.toHaveText('card');
  await guest.keyboard.press('ArrowDown');
  await expect(facts.getByRole('heading', { level: 2 })).toHaveText('card');

  // What is changed here is seen there, within a moment.
  await guest.getByRole('group', { name: 'Unit' }).getByRole('button', { name: 'px' }).click();
  const inset = await facts
    .getByRole('row', { name: /^inset/ })
    .first()
    .textContent();
  await change(request, id, [{ op: 'replace', path: '/space/unit', value: 12 }]);
  await expect(facts.getByRole('row', { name: /^inset/ }).first()).not.toHaveText(inset ?? '');

  // Whoever comes back is told what became of it meanwhile.
  await expect(guest.getByText('since you were here')).toHaveCount(0);
  await guest.goto('about:blank');
  await change(request, id, [{ op: 'replace', path: '/space/unit', value: 14 }]);
  await guest.goto(address);
  await expect(line).toHaveAttribute('aria-valuenow', String(laid + 1));
  await lines.getByRole('button', { name: /^Remove the line across/ }).click();
  await expect(line).toHaveCount(0);
  await guest.getByRole('button', { name: /^\d+ changes since you were here$/ }).click();
  const since = guest.getByRole('dialog', { name: 'Since you were here' });
  await expect(since.getByRole('heading', { name: 'base unit: 12 px → 14 px' })).toBeVisible();
  expect(await violationsOf(guest, { within: 'dialog' })).toEqual([]);
  await guest.keyboard.press('Escape');

  // Nothing of the application was asked for.
  expect(asked.filter((path) => !/^\/(?:g|guest|assets|proof)\/|^\/mark\.svg$/.test(path))).toEqual(
    [],
  );

  await page.reload();
  await expect(links).toContainText('last used');
  await page.getByRole('button', { name: 'Take back the link the builders' }).click();
  await expect(page.getByText('None yet.')).toBeVisible();
  await expect(guest.getByRole('heading', { name: 'This link leads nowhere' })).toBeVisible();
  await elsewhere.close();
});

test('a guest is told when nobody answers, and how to read where a browser keeps nothing', async ({
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const { address } = (await (
    await request.post(`/api/systems/${id}/links`, { data: { label: 'the builders' } })
  ).json()) as { address: string };
  const elsewhere = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await elsewhere.addInitScript(() => {
    Object.defineProperty(globalThis, 'localStorage', {
      get: () => {
        throw new Error('nothing is kept here');
      },
    });
  });
  const guest = await elsewhere.newPage();
  for (const visit of ['first', 'second']) {
    await guest.goto(`/g/${address}`);
    await expect(guest.getByText('Click, and it is chosen', { exact: false }), visit).toBeVisible();
  }
  const state = guest.getByRole('status').first();
  await expect(state).toHaveText('as it stands');
  await elsewhere.setOffline(true);
  await expect(state).toContainText('out of touch');
  // What was read stays.
  await expect(guest.frameLocator('iframe[title="Page Home"]').locator('h1')).toBeVisible();
  await change(request, id, [{ op: 'replace', path: '/name', value: 'Meanwhile renamed' }]);
  await elsewhere.setOffline(false);
  await expect(state).toHaveText('as it stands');
  await expect(guest.getByRole('heading', { name: 'Meanwhile renamed' })).toBeVisible();
  await elsewhere.close();
});
