import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { sitePage } from '@garnish/core/proof/site';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { everyComponent } from '@garnish/core/proof/every-component';
import { writeHtml, type ProofNode } from '@garnish/core/proof/node';
import type { Mode } from '@garnish/core/system/document';
import type { View } from '../system/views.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { openHiddenFrame } from './hidden-frame.ts';
import { liveSheet } from './live-sheet.ts';

const HEIGHT_PX = 900;

/** What is measured is laid out whole. */
const ALL_LAID_OUT = '* { content-visibility: visible !important; }';

/** The site's page in a frame that nobody sees, with the exported sheet. */
export interface HiddenPage {
  readonly document: Document;
  /** Makes the page that of another view: only what differs is written. */
  readonly show: (view: View, page?: string) => void;
  /** The same with some elements of that page alone. */
  readonly showNode: (view: View, node: ProofNode) => void;
  /** The same with every component beside each other. */
  readonly showEvery: (view: View) => void;
  /** Makes the screen so wide, and waits for the faces that it needs. */
  readonly resize: (widthPx: number) => Promise<void>;
  readonly remove: () => void;
}

/** Opens such a page; nothing where the frame cannot be read. */
async function openHiddenPage(): Promise<HiddenPage | undefined> {
  const opened = await openHiddenFrame('Measured, not shown');
  const FrameSheet = opened?.page.defaultView?.CSSStyleSheet;
  if (!opened || !FrameSheet) return undefined;
  const { page, frame } = opened;
  frame.style.height = `${HEIGHT_PX}px`;
  const exported = liveSheet(new FrameSheet());
  const arrangement = new FrameSheet();
  arrangement.replaceSync(ARRANGEMENT + ALL_LAID_OUT);
  page.adoptedStyleSheets = [exported.sheet, arrangement];
  let markup = '';
  const put = (view: View, node: ProofNode): void => {
    exported.show(view.sheet);
    const next = writeHtml(node, sanitizedSvg, true);
    if (next !== markup) page.body.innerHTML = next;
    markup = next;
  };
  return {
    document: page,
    show: (view, shown) => put(view, sitePage(view.document, view.derived, shown)),
    showNode: put,
    showEvery: (view) =>
      put(view, everyComponent(view.derived, ownVariantsOf(view.document.components))),
    async resize(widthPx) {
      frame.style.width = `${widthPx}px`;
      await page.fonts.ready;
    },
    remove: () => frame.remove(),
  };
}

let opened: Promise<HiddenPage | undefined> | undefined;
let last: Promise<unknown> = Promise.resolve();

/**
 * Works in the one hidden page that there is, after whoever works there now; it is opened when it is needed first.
 * Nothing where it cannot be.
 */
export function inHiddenPage<Result>(
  work: (page: HiddenPage) => Promise<Result>,
): Promise<Result | undefined> {
  const done = last.then(async () => {
    const page = await (opened ??= openHiddenPage());
    return page && work(page);
  });
  last = done.catch(() => undefined);
  return done;
}

/**
 * Looks at a page in one theme after the other, and leaves it in the one that it had. A look that was called off ends
 * all of it; then the answer is nothing.
 */
export async function inEachTheme<Look>(
  { document }: HiddenPage,
  modes: readonly Mode[],
  look: (mode: Mode) => Promise<Look | undefined>,
): Promise<readonly Look[] | undefined> {
  const root = document.documentElement;
  const before = root.getAttribute('data-theme');
  const seen: Look[] = [];
  try {
    for (const mode of modes) {
      root.setAttribute('data-theme', mode);
      const found = await look(mode);
      if (found === undefined) return undefined;
      seen.push(found);
    }
  } finally {
    if (before === null) root.removeAttribute('data-theme');
    else root.setAttribute('data-theme', before);
  }
  return seen;
}

/** Closes it, once whoever works there is done. */
export function closeHiddenPage(): void {
  const closing = opened;
  opened = undefined;
  last = last.then(async () => (await closing)?.remove());
}
