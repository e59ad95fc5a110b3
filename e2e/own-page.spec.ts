import { derive } from '@garnish/core/derive/derive';
import { keptPageSchema } from '@garnish/core/worn/wearing';
import { readFileSync } from 'node:fs';
import type { APIRequestContext, FrameLocator, Page } from '@playwright/test';
import * as z from 'zod';
import { BRACKWATER, copyOf, documentOf, expect, openArea, test, violationsOf } from './garnish.ts';

const SAMPLE = new URL('../samples/before-garnish.html', import.meta.url);
const worn = (page: Page): FrameLocator => page.frameLocator('iframe[title$=", in this system"]');
const original = (page: Page): FrameLocator =>
  page.frameLocator('iframe[title$=", as it was read"]');

/** Reads a page in Review and makes it one of the proof. */
async function prove(page: Page, name: string, html: string): Promise<void> {
  await page
    .locator('main input[type=file]')
    .first()
    .setInputFiles({ name, mimeType: 'text/html', buffer: Buffer.from(html) });
  await page.getByRole('button', { name: 'Prove the system on it' }).click();
  await expect(worn(page).locator('body')).toHaveAttribute('data-worn', /./);
}

/** The only page that is kept with a system, as the server has it. */
async function keptOf(request: APIRequestContext, id: string) {
  const path = `/api/systems/${id}/kept-pages`;
  const { pages } = z
    .object({ pages: z.array(z.object({ id: z.string() })) })
    .parse(await (await request.get(path)).json());
  return keptPageSchema.parse(await (await request.get(`${path}/${pages[0]?.id}`)).json());
}

const styleOf = (frame: FrameLocator, selector: string, property: string): Promise<string> =>
  frame
    .locator(selector)
    .first()
    .evaluate((one, name) => getComputedStyle(one).getPropertyValue(name), property);

test('one’s own page wears the system: what is decided and what is tried is seen on it, beside how it was', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const system = await documentOf(request, id);
  await openArea(page, id, 'review?view=page');
  await prove(page, 'before.html', readFileSync(SAMPLE, 'utf8'));
  expect(await styleOf(worn(page), 'h1', 'font-family')).toContain(
    system.fonts.roles.heading.family.name,
  );
  const { light } = derive(system).tokenById.get('color.action')?.values ?? {};
  const action = await page.evaluate((css) => {
    const probe = document.createElement('i');
    probe.style.color = css;
    document.body.append(probe);
    const { color } = getComputedStyle(probe);
    probe.remove();
    return color;
  }, light?.css ?? '');
  expect(await styleOf(worn(page), '[data-worn~="button"]', 'background-color')).toBe(action);

  // Beside how it was: scrolled in step, and untouched.
  const shown = page.getByRole('group', { name: 'The page as it was read' });
  await shown.getByRole('button', { name: 'divider' }).click();
  expect(await styleOf(original(page), 'h1', 'font-family')).not.toContain(
    system.fonts.roles.heading.family.name,
  );
  const divider = page.getByRole('slider', { name: /^Divider between/ });
  await divider.focus();
  await page.keyboard.press('Home');
  await expect(divider).toHaveAttribute('aria-valuetext', '0 % in this system');
  await shown.getByRole('button', { name: 'beside' }).click();
  await worn(page)
    .locator('body')
    .evaluate(({ ownerDocument: { documentElement } }) => {
      documentElement.dispatchEvent(new WheelEvent('wheel', { bubbles: true }));
      documentElement.scrollTop = documentElement.scrollHeight;
    });
  await expect
    .poll(() =>
      original(page)
        .locator('html')
        .evaluate((one) => Math.round(one.scrollHeight - one.clientHeight - one.scrollTop)),
    )
    .toBeLessThan(3);
  await shown.getByRole('button', { name: 'none' }).click();
  expect(await violationsOf(page, { within: 'section[aria-label="Proof"]' })).toEqual([]);

  // A candidate face is tried on it, and not taken.
  const before = await styleOf(worn(page), 'h1', 'font-family');
  await page.getByRole('link', { name: /Fonts/ }).first().click();
  await page.getByRole('button', { name: 'pairs', exact: true }).click();
  const list = page.getByRole('listbox', { name: 'Pairs, the best first' });
  await expect(list.getByRole('option').first()).toBeVisible();
  await list.focus();
  await page.keyboard.press('Home');
  // Ranked anew while the keys are pressed, the list begins anew: then it is stepped down once more.
  await expect(async () => {
    await page.keyboard.press('ArrowDown');
    expect(await styleOf(worn(page), 'h1', 'font-family')).not.toBe(before);
  }).toPass();
  const family = await styleOf(worn(page), 'h1', 'font-family');
  await expect
    .poll(() =>
      worn(page)
        .locator('h1')
        .evaluate(
          ({ ownerDocument }, first) =>
            [...ownerDocument.fonts].some(
              (face) => first.includes(face.family.replaceAll('"', '')) && face.status === 'loaded',
            ),
          family,
        ),
    )
    .toBe(true);
  await page.keyboard.press('Escape');
  await expect.poll(() => styleOf(worn(page), 'h1', 'font-family')).toBe(before);
  expect((await documentOf(request, id)).fonts).toEqual(system.fonts);

  // The pages of the site are there as before.
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await choice.selectOption('home');
  await expect(page.frameLocator('iframe[title="Proof"]').locator('h1').first()).toBeVisible();
});

test('what a thing is, is said by pointing, goes back, stays with the system, and is deleted with its page', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'review?view=page');
  await prove(
    page,
    'small.html',
    `<title>Small</title><style>body{background:#fff;color:#222;font:16px serif}p{margin:0 0 20px}</style>
     <h1>Nine crossings</h1><p class="a">First words of it.</p><p class="a">And more of the same.</p><p class="b" style="font-size:13px !important">Small</p>`,
  );
  const bar = page.getByRole('group', { name: 'What p.a takes' });
  await worn(page).locator('p.a').first().click();
  await expect(bar).toContainText('2 alike');
  await expect(page.locator('svg[data-marked]').last()).toHaveAttribute('data-marked', '2');
  const was = await styleOf(worn(page), 'p.a', 'font-size');
  await bar.getByRole('combobox', { name: 'text' }).selectOption('type-h3');
  await expect.poll(() => styleOf(worn(page), 'p.a >> nth=1', 'font-size')).not.toBe(was);
  const kindOf = async () =>
    (await keptOf(request, id)).alike.find(({ name }) => name === 'p.a')?.wearing.classes;
  await expect.poll(kindOf).toEqual(['type-h3']);

  // Ctrl+Z here goes back here, and undoes nothing of the system.
  await bar.getByRole('combobox', { name: 'text' }).focus();
  await page.keyboard.press('Control+z');
  await expect.poll(() => styleOf(worn(page), 'p.a', 'font-size')).toBe(was);
  await expect.poll(kindOf).toEqual(['type-body']);
  await bar.getByRole('button', { name: 'as it was', exact: true }).click();
  await expect.poll(() => styleOf(worn(page), 'p.a', 'font-family')).toBe('serif');
  await bar.getByRole('button', { name: 'as proposed' }).click();
  await expect.poll(kindOf).toEqual(['type-body']);

  // Opened again it is there, with what was said; its name is changed, and it goes.
  await bar.getByRole('combobox', { name: 'on' }).selectOption('on-action');
  await expect.poll(kindOf).toEqual(['type-body', 'on-action']);
  await page.reload();
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await choice.selectOption({ label: 'Small' });
  await expect(worn(page).locator('p.a').first()).toHaveAttribute('data-worn', /on-action/);
  await page.getByRole('button', { name: 'name, delete …' }).click();
  const dialog = page.getByRole('dialog', { name: 'A page that the system is proved on' });
  await dialog.getByLabel('Name').fill('Small, of 2019');
  await dialog.getByLabel('Name').press('Enter');
  await expect(choice.getByRole('option', { name: 'Small, of 2019' })).toBeAttached();
  await dialog.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.frameLocator('iframe[title="Proof"]').locator('h1').first()).toBeVisible();
  await expect(choice.getByRole('option', { name: /Small/ })).toHaveCount(0);
});

test('a link opens one’s own page only where it was asked to, in the looks of the system and as it was', async ({
  page,
  request,
  browser,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const system = await documentOf(request, id);
  await openArea(page, id, 'review?view=page');
  await prove(page, 'before.html', readFileSync(SAMPLE, 'utf8'));
  const { name } = await keptOf(request, id);
  await openArea(page, id, 'handoff?view=links');
  const make = async (label: string): Promise<string> => {
    await page.getByLabel('for whom, in words of your own').fill(label);
    await page.getByRole('button', { name: 'Make the link' }).click();
    const row = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('heading', { name: label }) });
    await expect(row).toBeVisible();
    return new URL(/http\S+\/g\/[\w-]+/.exec(await row.innerText())?.[0] ?? '').pathname;
  };
  const without = await make('the site alone');
  await page
    .getByRole('group', { name: 'Pages that were read from outside' })
    .getByLabel(name)
    .check();
  const asked = await make('with the page as it is');
  await page.getByRole('checkbox', { name: /^for a client/ }).check();
  const client = await make('for the client');
  const guest = await (await browser.newContext()).newPage();
  await guest.goto(without);
  await expect(guest.getByRole('navigation', { name: 'Pages' })).toBeVisible();
  await expect(guest.getByRole('button', { name: name })).toHaveCount(0);
  for (const path of [asked, client]) {
    await guest.goto(path);
    await guest.getByRole('button', { name: name }).click();
    expect(await styleOf(worn(guest), 'h1', 'font-family')).toContain(
      system.fonts.roles.heading.family.name,
    );
    // Nothing on it leads anywhere.
    await worn(guest).locator('a').first().click();
    await expect(guest).toHaveURL(new RegExp(`${path}\\?page=`));
    await guest.getByRole('button', { name: 'as it was read' }).click();
    expect(await styleOf(original(guest), 'h1', 'font-family')).not.toContain(
      system.fonts.roles.heading.family.name,
    );
    expect(await violationsOf(guest, {})).toEqual([]);
  }
  // At a phone’s width nothing stands beside the screen.
  await guest.setViewportSize({ width: 375, height: 700 });
  await guest.goto(asked);
  await guest.getByRole('button', { name: name }).click();
  expect(await guest.evaluate(() => document.documentElement.scrollWidth)).toBe(375);
  await guest.context().close();
});

test('a hostile page that is kept asks for nothing and does nothing, and gives way all the same', async ({
  page,
  context,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'review?view=page');
  const asked: string[] = [];
  context.on('request', (one) => asked.push(one.url()));
  await prove(
    page,
    'hostile.html',
    `<title>Hostile</title><style>@import url(https://evil.example/a.css);
      @font-face{font-family:E;src:url(https://evil.example/x.woff2)}
      :root{--color-text:red;--type-h1-size:99px}
      #deep#deep h1{color:rgb(1,2,3) !important;font-size:9px !important}
      section{background:url(/api/systems)}
      body{background:#fff}section{background:#fff url(https://evil.example/1.png)}</style>
     <div id="deep"><h1 onclick="window.pwned=1">Words that stay</h1><script>window.pwned=1</script>
     <img src="/api/systems" onerror="window.pwned=1"><iframe src="/"></iframe><p data-worn="button">Text</p></div><section><h2 style="color:rgb(4,5,6)">Over a picture</h2></section>`,
  );
  expect(await styleOf(worn(page), 'h1', 'font-size')).not.toBe('9px');
  expect(await styleOf(worn(page), 'h1', 'color')).not.toBe('rgb(1, 2, 3)');
  // Where a picture would be, nobody knows what stands out: the color that was chosen for it stays.
  expect(await styleOf(worn(page), 'h2', 'color')).toBe('rgb(4, 5, 6)');
  // What the page calls by the same name stays its own, and nothing of it passes for ours.
  expect(await styleOf(worn(page), 'html', '--color-text')).toBe('red');
  await expect(worn(page).locator('p')).not.toHaveAttribute('data-worn', 'button');
  expect(await page.evaluate(() => 'pwned' in globalThis)).toBe(false);
  expect(
    asked.filter(
      (url) =>
        !url.startsWith('data:') &&
        !/^http:\/\/127\.0\.0\.1:\d+\/(?:reading\/|assets\/|api\/systems\/|proof\/$|proof\/worn$|proof\/fonts\/|proof\/pictures\/)/.test(
          url,
        ),
    ),
  ).toEqual([]);
});
