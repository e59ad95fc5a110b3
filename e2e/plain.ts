import { derive } from '@garnish/core/derive/derive';
import { namedClasses, type Naming } from '@garnish/core/formats/naming';
import { writeHtml } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import type { StyleDocument } from '@garnish/core/system/document';
import type { Page } from '@playwright/test';

/** The page of a site as a developer has it: its HTML and `tokens.css`, nothing else. */
function plainHtml(body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Plain</title><link rel="stylesheet" href="tokens.css"></head><body>${body}</body></html>`;
}

export const renamed = (html: string, naming: Pick<Naming, 'classes'>): string =>
  html.replaceAll(
    / class="([^"]*)"/g,
    (_, names: string) => ` class="${namedClasses(names, naming)}"`,
  );

/** Serves a plain page beside the application, from the exported sheet with its fonts. */
export async function servePlain(
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
    else if (pathname.endsWith('/components.html'))
      await route.fulfill({
        contentType: 'text/html',
        body: await (
          await page.request.get(`${origin}/api/systems/${id}/export/components.html`)
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

/**
 * What belongs to the window: what is out of sight rests, its size remembered, and nothing moves by itself while one
 * decides beside it. Nothing else may differ.
 */
const OF_THE_WINDOW = [
  'contain-intrinsic-block-size',
  'contain-intrinsic-height',
  'contain-intrinsic-inline-size',
  'contain-intrinsic-size',
  'contain-intrinsic-width',
  'overflow-clip-margin',
  'transition-duration',
];

/** The root alone scrolls one way in the window. */
const OF_THE_ROOT = ['overflow-x', 'overflow-inline'];

interface Compared {
  readonly elements: number;
  readonly properties: number;
  readonly differences: readonly string[];
}

/** Compares every computed property of every element of the proof with the plain page’s. */
export const compare = (
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
      // What moves from one theme to the other has arrived.
      for (const each of [one, other]) {
        each.body.getBoundingClientRect();
        for (const moving of each.getAnimations()) moving.finish();
      }
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
          // What is written the same is the same; the root is looked at in any case, for its custom properties.
          if (index > 0 && own.cssText !== '' && own.cssText === theirs.cssText) {
            properties += own.length;
            continue;
          }
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

export const bodyOf = (document: StyleDocument, page?: string): string =>
  writeHtml(sitePage(document, derive(document), page), (svg) => svg);

/** Every page of a site, by its id. */
export const bodiesOf = (document: StyleDocument): ReadonlyMap<string, string> =>
  new Map(document.content.pages.order.map((page) => [page, bodyOf(document, page)]));
