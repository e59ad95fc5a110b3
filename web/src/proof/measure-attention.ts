import {
  missed,
  type Miss,
  type Painted,
  type Rgba,
  type Seen,
} from '@garnish/core/checks/attention';
import { attentionRepairs } from '@garnish/core/checks/attention-repairs';
import type { Finding, Repair } from '@garnish/core/checks/finding';
import { inOrder } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { patched } from '@garnish/core/system/patch';
import { createViewer, type View } from '../system/views.ts';
import { breathe } from '../ui/in-breaths.ts';
import { inEachTheme, inHiddenPage, type HiddenPage } from './hidden-page.ts';

/** The first screen of a phone and of a desktop. Common practice. */
const SCREENS = [
  [375, 700],
  [1440, 900],
] as const;
/** So many elements are read before the page may answer to its keys again. */
const SLICE = 120;
/** Pictures are looked at in so many cells on either side. */
const PICTURE_CELLS = 16;
const LONGEST_NAME = 40;
const LOGO_INK = 0.5;
/** The class of a text style. */
const STYLE = /(?:^| )type-([\w-]+)/;
/** More ways to mend one thing help nobody. */
const MOST_WAYS = 2;

function rgbaOf(css: string): Rgba | undefined {
  const found = /^rgba?\(([\d.]+), ([\d.]+), ([\d.]+)(?:, ([\d.]+))?\)$/.exec(css);
  if (!found) return undefined;
  const [red = 0, green = 0, blue = 0] = found.slice(1, 4).map((value) => Number(value) / 255);
  return [red, green, blue, found[4] === undefined ? 1 : Number(found[4])];
}

/** A picture in a few cells; nothing where its pixels are not there or may not be read. */
function seenIn(image: HTMLImageElement): Seen | undefined {
  if (!image.complete || image.naturalWidth === 0) return undefined;
  const canvas = new OffscreenCanvas(PICTURE_CELLS, PICTURE_CELLS);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  // What `object-fit: cover` shows: the middle, in the shape of its room.
  const { width, height } = image.getBoundingClientRect();
  const scale = Math.min(image.naturalWidth / width, image.naturalHeight / height);
  const [wide, high] = [width * scale, height * scale];
  const [left, top] = [(image.naturalWidth - wide) / 2, (image.naturalHeight - high) / 2];
  try {
    context.drawImage(image, left, top, wide, high, 0, 0, PICTURE_CELLS, PICTURE_CELLS);
    const { data } = context.getImageData(0, 0, PICTURE_CELLS, PICTURE_CELLS);
    const values = [...data].filter((_, at) => at % 4 !== 3).map((value) => value / 255);
    return { columns: PICTURE_CELLS, rows: PICTURE_CELLS, values };
  } catch {
    return undefined;
  }
}

/** Where something is from the corner of the page, however far it is scrolled. */
const placed = ({ left, top, width, height }: DOMRect, { scrollX, scrollY }: Window) => ({
  left: left + scrollX,
  top: top + scrollY,
  width,
  height,
});

/** A way to an element that finds it in any frame which shows the same page. */
function wayTo(element: Element): string {
  const steps: string[] = [];
  for (let one: Element | null = element; one && !one.matches('.site'); one = one.parentElement)
    steps.unshift(
      `${one.localName}:nth-child(${1 + [...(one.parentElement?.children ?? [])].indexOf(one)})`,
    );
  return ['.site', ...steps].join(' > ');
}

/** What an element paints, and what of it is looked at as one thing. */
function paintedOf(
  element: HTMLElement,
  style: CSSStyleDeclaration,
  view: Window & typeof globalThis,
): Painted[] {
  const rect = element.getBoundingClientRect();
  const ground = rgbaOf(style.backgroundColor);
  const isImage = element instanceof view.HTMLImageElement;
  const isLogo = element.classList.contains('logo');
  const picture = isImage ? seenIn(element) : undefined;
  const nodes = [...element.childNodes].filter(
    (node) => node.nodeType === 3 && (node.textContent ?? '').trim() !== '',
  );
  const color = rgbaOf(style.color);
  // A drawing is about half ink: what of it is in which color, its own paths know.
  const drawn: Rgba | undefined =
    isLogo && color ? [color[0], color[1], color[2], LOGO_INK] : undefined;
  const own: Painted = {
    ...placed(rect, view),
    ground: drawn ?? ground,
    ...(picture && { picture }),
  };
  if (nodes.length === 0 || !color)
    return isImage || isLogo
      ? [
          own,
          {
            ...placed(rect, view),
            thing: {
              at: isLogo ? '/layout/logo' : undefined,
              name: isLogo ? 'the logo' : 'a picture',
              selector: wayTo(element),
              ...(isImage && { isPicture: true as const }),
            },
          },
        ]
      : [own];
  const range = element.ownerDocument.createRange();
  range.selectNodeContents(element);
  const lines = range.getBoundingClientRect();
  const fontPx = Number.parseFloat(style.fontSize);
  const said = element.textContent.trim().replaceAll(/\s+/g, ' ');
  const hasGround = ground !== undefined && ground[3] > 0;
  return [
    own,
    {
      ...placed(lines, view),
      words: {
        ...{ color, width: lines.width, height: lines.height, fontPx },
        weight: Number(style.fontWeight) || 400,
        linePx: Number.parseFloat(style.lineHeight) || 1.2 * fontPx,
      },
    },
    {
      ...placed(hasGround ? rect : lines, view),
      thing: {
        at: element.closest<HTMLElement>('[data-content]')?.dataset['content'],
        name: `“${said.length > LONGEST_NAME ? `${said.slice(0, LONGEST_NAME - 1)}…` : said}”`,
        selector: wayTo(element),
        style: STYLE.exec(element.closest('[class*="type-"]')?.className ?? '')?.[1],
      },
    },
  ];
}

/** What a page paints down to some height, element by element; nothing where it was called off. */
export async function paintedOn(
  page: Document,
  heightPx: number,
  isOff: () => boolean,
): Promise<readonly Painted[] | undefined> {
  const view = page.defaultView;
  const site = page.querySelector<HTMLElement>('.site');
  if (!view || !site) return [];
  const painted: Painted[] = [];
  let read = 0;
  for (const element of [page.body, site, ...site.querySelectorAll<HTMLElement>('*')]) {
    if (element.parentElement?.closest('svg')) continue;
    read += 1;
    if (read % SLICE === 0) await breathe();
    if (isOff()) return undefined;
    const { top, bottom, width, height } = element.getBoundingClientRect();
    if (top + view.scrollY >= heightPx || bottom + view.scrollY <= 0 || width === 0 || height === 0)
      continue;
    const style = view.getComputedStyle(element);
    if (style.visibility === 'hidden' || Number(style.opacity) === 0) continue;
    painted.push(...paintedOf(element, style, view));
  }
  return painted;
}

/** What is missed on a page of a view, on every screen in every theme; nothing where it was called off. */
async function missesOn(
  hidden: HiddenPage,
  view: View,
  page: string,
  isOff: () => boolean,
  /** Whether one is enough to know. */
  stopsAtFirst = false,
): Promise<readonly Miss[] | undefined> {
  const misses: Miss[] = [];
  hidden.show(view, page);
  for (const [widthPx, heightPx] of SCREENS) {
    await hidden.resize(widthPx);
    const seen = await inEachTheme(hidden, modesOf(view.derived.themes), async (mode) => {
      await breathe();
      const painted = await paintedOn(hidden.document, heightPx, isOff);
      return painted && missed({ page, widthPx, heightPx, mode, painted }, view.document);
    });
    if (!seen) return undefined;
    misses.push(...seen.flat());
    if (stopsAtFirst && misses.length > 0) return misses;
  }
  return misses;
}

/** Changes of size after which nothing is missed on a page: each is tried on the page itself, the smallest first. */
async function repairsOn(
  hidden: HiddenPage,
  { document, derived }: View,
  page: string,
  misses: readonly Miss[],
  isOff: () => boolean,
): Promise<readonly Repair[] | undefined> {
  const viewOf = createViewer();
  const good: Repair[] = [];
  for (const repair of attentionRepairs(document, derived.styles, misses)) {
    if (good.length === MOST_WAYS) break;
    const next = patched(document, repair.patch);
    if (!next.ok) continue;
    await breathe();
    const left = await missesOn(hidden, viewOf(next.document), page, isOff, true);
    if (!left) return undefined;
    if (left.length === 0) good.push({ ...repair, ends: misses.map(({ finding }) => finding.id) });
  }
  return good;
}

/**
 * What is meant to be seen first on pages and is not, on a phone and a desktop in every theme that the site has, in the
 * frame that nobody sees and in slices between keys, with the changes of size that mend it. Pages of which nothing is
 * said are not looked at.
 */
export async function measureAttention(
  view: View,
  isOff: () => boolean,
): Promise<readonly Finding[] | undefined> {
  const { document } = view;
  const wanted = inOrder(document.content.pages).filter(
    ([, { isOff: off, intended }]) => !off && intended !== undefined,
  );
  if (wanted.length === 0) return [];
  return inHiddenPage(async (hidden) => {
    const found: Finding[] = [];
    for (const [page] of wanted) {
      if (isOff()) return undefined;
      const misses = await missesOn(hidden, view, page, isOff);
      if (!misses) return undefined;
      if (misses.length === 0) continue;
      const repairs = await repairsOn(hidden, view, page, misses, isOff);
      if (!repairs) return undefined;
      const [repair, ...ways] = repairs;
      found.push(
        ...misses.map(({ finding }) => ({
          ...finding,
          ...(repair && { repair }),
          ...(ways.length > 0 && { ways }),
        })),
      );
    }
    return found;
  });
}
