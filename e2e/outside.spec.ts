import { sectionsOf } from '@garnish/core/proof/texts';
import { derive } from '@garnish/core/derive/derive';
import { namedClasses, type Naming } from '@garnish/core/formats/naming';
import { sitePage } from '@garnish/core/proof/site';
import { writeHtml } from '@garnish/core/proof/node';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import type { Page } from '@playwright/test';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  KESTREL,
  openArea,
  proof,
  setWidth,
  TALLOW,
  test,
} from './garnish.ts';

/** The page of a site as a developer has it: its HTML and `tokens.css`, nothing else. */
function plainHtml(body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Plain</title><link rel="stylesheet" href="tokens.css"></head><body>${body}</body></html>`;
}

const renamed = (html: string, naming: Naming): string =>
  html.replaceAll(
    / class="([^"]*)"/g,
    (_, names: string) => ` class="${namedClasses(names, naming)}"`,
  );

/** Serves a plain page beside the application, from the exported sheet with its fonts. */
async function servePlain(
  page: Page,
  id: string,
  bodies: ReadonlyMap<string, string>,
): Promise<void> {
  await page.route('**/plain/**', async (route) => {
    const { origin, pathname } = new URL(route.request().url());
    if (pathname.endsWith('/tokens.css'))
      await route.fulfill({
        contentType: 'text/css',
        body: await (
          await page.request.get(`${origin}/api/systems/${id}/export/tokens.css`)
        ).text(),
      });
    else if (pathname.includes('/fonts/')) {
      const font = await page.request.get(
        `${origin}/proof/fonts/${pathname.split('/').at(-1) ?? ''}`,
      );
      await route.fulfill({ contentType: 'font/woff2', body: await font.body() });
    } else
      await route.fulfill({
        contentType: 'text/html',
        body: plainHtml(bodies.get(pathname.split('/').at(-1) ?? '') ?? ''),
      });
  });
}

/** What belongs to the window: what is out of sight rests, its size remembered. Nothing else may differ. */
const OF_THE_WINDOW = [
  'contain-intrinsic-block-size',
  'contain-intrinsic-height',
  'contain-intrinsic-inline-size',
  'contain-intrinsic-size',
  'contain-intrinsic-width',
  'overflow-clip-margin',
];

/** The root alone scrolls one way in the window. */
const OF_THE_ROOT = ['overflow-x', 'overflow-inline'];

interface Compared {
  readonly elements: number;
  readonly properties: number;
  readonly differences: readonly string[];
}

/** Compares every computed property of every element of the proof with the plain page’s. */
const compare = (
  page: Page,
  width: number,
  theme: string,
  /** What stands on the plain page beside what is compared. */
  beside = 'nothing',
  prefix = '',
  /** The page of the site, by id. */
  own = 'home',
): Promise<Compared> =>
  page.evaluate(
    async ([wide, mode, ofWindow, ofRoot, without, names, id]) => {
      const shown = document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]');
      let plain = document.querySelector<HTMLIFrameElement>('iframe[title="Plain"]');
      if (!shown?.contentDocument || !shown.contentWindow) throw new Error('no proof');
      if (plain?.src.endsWith(`/${id}`) !== true) {
        plain?.remove();
        plain = document.createElement('iframe');
        plain.title = 'Plain';
        plain.src = `/plain/${id}`;
        plain.style.cssText = 'position: fixed; inset-inline-start: -9999px; border: 0';
        const loaded = new Promise((done) => plain?.addEventListener('load', done, { once: true }));
        document.body.append(plain);
        await loaded;
      }
      plain.style.width = `${wide}px`;
      plain.style.height = shown.style.height;
      const [one, other] = [shown.contentDocument, plain.contentDocument];
      const [ownWindow, otherWindow] = [shown.contentWindow, plain.contentWindow];
      if (!other || !otherWindow) throw new Error('no plain page');
      other.documentElement.dataset['theme'] = mode;
      one.documentElement.dataset['theme'] = mode;
      // What rests out of sight has no size of its own; while it is compared, everything is laid out.
      const Sheet = (ownWindow as Window & typeof globalThis).CSSStyleSheet;
      const awake = new Sheet();
      awake.replaceSync('* { content-visibility: visible !important; }');
      const before = [...one.adoptedStyleSheets];
      one.adoptedStyleSheets = [...before, awake];
      // Both take the faces that the width needs.
      for (const each of [one, other]) {
        each.body.getBoundingClientRect();
        await each.fonts.ready;
      }
      const [all, others] = [one, other].map((each) => [
        each.documentElement,
        ...[...each.body.querySelectorAll('*')].filter((element) => !element.closest(without)),
      ]);
      const differences: string[] = [];
      let properties = 0;
      if (all?.length !== others?.length)
        differences.push(`${all?.length} elements, not ${others?.length}`);
      all?.forEach((element, index) => {
        const partner = others?.[index];
        if (!partner) return;
        if (partner.tagName !== element.tagName)
          differences.push(`${index}: ${element.tagName}, not ${partner.tagName}`);
        for (const pseudo of [undefined, '::before', '::after']) {
          const own = ownWindow.getComputedStyle(element, pseudo);
          const theirs = otherWindow.getComputedStyle(partner, pseudo);
          if (pseudo !== undefined && own.content === 'none' && theirs.content === 'none') continue;
          for (const property of own) {
            if (ofWindow.includes(property) || (index === 0 && ofRoot.includes(property))) continue;
            // Custom properties stand on the root, and elements take them from there.
            if (property.startsWith('--') && index > 0) continue;
            properties += 1;
            const [mine, yours] = [
              own.getPropertyValue(property),
              theirs.getPropertyValue(property.replace('--', `--${names}`)),
            ];
            const same = (value: string): string => value.replaceAll(/\/(proof|plain)\//g, '/');
            if (same(mine) !== same(yours))
              differences.push(
                `${element.tagName}.${element.getAttribute('class') ?? ''}${pseudo ?? ''} ${property}: ${mine}, outside ${yours}`,
              );
          }
        }
      });
      one.adoptedStyleSheets = before;
      return { elements: all?.length ?? 0, properties, differences: differences.slice(0, 30) };
    },
    [width, theme, OF_THE_WINDOW, OF_THE_ROOT, beside, prefix, own] as const,
  );

const bodyOf = (document: StyleDocument, page?: string): string =>
  writeHtml(sitePage(document, derive(document), page), (svg) => svg);

/** Every page of a site, by its id. */
const bodiesOf = (document: StyleDocument): ReadonlyMap<string, string> =>
  new Map(document.content.pages.order.map((page) => [page, bodyOf(document, page)]));

for (const name of [BRACKWATER, KESTREL, TALLOW])
  test(`${name}: with tokens.css alone every computed property is that of the proof`, async ({
    page,
    request,
  }) => {
    test.slow();
    const id = await copyOf(request, name);
    const document = await documentOf(request, id);
    await servePlain(page, id, bodiesOf(document));
    await openArea(page, id, 'brief');
    const choice = page.getByRole('combobox', { name: 'Page of the proof' });
    for (const [own, { name: title }] of inOrder(document.content.pages)) {
      await choice.selectOption(own);
      for (const width of [320, 720, 1440]) {
        await setWidth(page, width);
        for (const theme of ['light', 'dark']) {
          const found = await compare(page, width, theme, 'nothing', '', own);
          expect(found.elements).toBeGreaterThan(30);
          expect(found.properties).toBeGreaterThan(found.elements * 300);
          expect(found.differences, `${title}, ${width} px, ${theme}`).toEqual([]);
        }
      }
    }
  });

test('a look that differs outside would be seen', async ({ page, request }) => {
  const id = await copyOf(request, TALLOW);
  await servePlain(page, id, bodiesOf(await documentOf(request, id)));
  await openArea(page, id, 'brief');
  await setWidth(page, 720);
  expect((await compare(page, 720, 'light')).differences).toEqual([]);
  await page
    .frameLocator('iframe[title="Plain"]')
    .locator('.nav-link')
    .first()
    .evaluate((link) => link.setAttribute('style', 'text-decoration-line: underline'));
  expect((await compare(page, 720, 'light')).differences.join()).toContain('text-decoration-line');
});

test('with a prefix, in a layer, the page of one’s own looks the same, and so does one’s own markup', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    {
      op: 'add',
      path: '/tokens/sheet',
      value: { properties: 'rc', classes: 'rcc', layer: 'look' },
    },
  ]);
  const document = await documentOf(request, id);
  const { nav } = document.content;
  const [hero, form, table] = (['opening', 'form', 'table'] as const).map(
    (kind) => sectionsOf(document.content, kind)[0]?.own,
  );
  if (hero?.kind !== 'opening' || table?.kind !== 'table') throw new Error('no such sections');
  const [cell] = table.columns.order;
  const words = (path: string, tag: string, attributes: string, inside: string): string =>
    `<${tag} id="${path}" ${attributes}>${inside}</${tag}>`;
  const own = [
    `<p class="rcc-actions">`,
    words('own-button', 'button', 'type="button" class="rcc-button"', hero.primary),
    words('own-link', 'a', 'href="#x" class="rcc-button"', hero.primary),
    `</p><nav class="rcc-site-nav">`,
    words(
      'own-nav',
      'a',
      'href="#x" class="rcc-nav-link"',
      nav.items[nav.order[0] ?? '']?.words ?? '',
    ),
    `</nav><div class="rcc-form-row"><input id="own-field" class="rcc-field rcc-width-field"></div>`,
    `<table class="rcc-table" id="own-table"><tr><th>${table.columns.items[cell ?? ''] ?? ''}</th></tr><tr><td>06:40</td></tr></table>`,
  ].join('\n');
  expect(form).toBeDefined();
  await servePlain(
    page,
    id,
    new Map([
      [
        'home',
        `${renamed(bodyOf(document), document.tokens.sheet ?? {})}<div id="own" style="position: absolute; inset-block-start: 0">${own}</div>`,
      ],
    ]),
  );
  await openArea(page, id, 'brief');
  await setWidth(page, 1440);
  const { differences } = await compare(page, 1440, 'light', '#own', 'rc-');
  expect(differences).toEqual([]);
  const plain = page.frameLocator('iframe[title="Plain"]');
  const look = (element: Element) => {
    const style = getComputedStyle(element);
    const of = (names: readonly string[]) =>
      names.map((name) => `${name}: ${style.getPropertyValue(name)}`);
    return of([
      ...['display', 'box-sizing', 'block-size', 'background-color', 'border-radius'],
      ...['padding-block', 'padding-inline', 'border-block-width', 'border-inline-width'],
      ...['border-block-color', 'border-block-style', 'text-decoration-line'],
      ...['min-block-size', 'vertical-align', 'text-align', 'appearance'],
    ]);
  };
  const type = (element: Element) => {
    const style = getComputedStyle(element);
    return [
      ...['font-family', 'font-size', 'font-weight', 'line-height', 'letter-spacing', 'color'],
      'font-variant-numeric',
    ].map((name) => `${name}: ${style.getPropertyValue(name)}`);
  };
  // `text-align` of a button’s box is the browser’s; its words are in the middle of either.
  const button = await proof(page).locator('.button').first().evaluate(look);
  for (const own of ['#own-button', '#own-link'])
    expect([own, await plain.locator(own).evaluate(look)]).toEqual([
      own,
      button.map((line) =>
        own === '#own-button' && line.startsWith('text-align') ? 'text-align: center' : line,
      ),
    ]);
  const label = await proof(page).locator('.button > *').first().evaluate(type);
  for (const own of ['#own-button', '#own-link'])
    expect([own, await plain.locator(own).evaluate(type)]).toEqual([own, label]);
  expect(await plain.locator('#own-nav').evaluate(type)).toEqual(
    await proof(page).locator('.nav-link > *').first().evaluate(type),
  );
  expect(await plain.locator('#own-nav').evaluate(look)).toEqual(
    await proof(page).locator('.nav-link').first().evaluate(look),
  );
  expect(await plain.locator('#own-field').evaluate(look)).toEqual(
    (await proof(page).locator('.field').first().evaluate(look)).map((line) =>
      line.startsWith('display') ? 'display: flex' : line,
    ),
  );
  for (const part of ['th', 'td']) {
    expect(await plain.locator(`#own-table ${part}`).first().evaluate(type)).toEqual(
      await proof(page).locator(`.table ${part}`).first().evaluate(type),
    );
    expect(await plain.locator(`#own-table ${part}`).first().evaluate(look)).toEqual(
      await proof(page).locator(`.table ${part}`).first().evaluate(look),
    );
  }
});
