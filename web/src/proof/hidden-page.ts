import { joinRules } from '@garnish/core/formats/css';
import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { homePage } from '@garnish/core/proof/home';
import { writeHtml } from '@garnish/core/proof/node';
import type { View } from '../system/store.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';

const HEIGHT_PX = 900;

/** What is measured is laid out whole. */
const ALL_LAID_OUT = '* { content-visibility: visible !important; }';

/** The site's page in a frame that nobody sees, with the exported sheet. */
export interface HiddenPage {
  readonly document: Document;
  /** Makes the screen so wide, and waits for the faces that it needs. */
  readonly resize: (widthPx: number) => Promise<void>;
  readonly remove: () => void;
}

/** Opens such a page; nothing where the frame cannot be read. */
export async function openHiddenPage(view: View): Promise<HiddenPage | undefined> {
  const frame = document.createElement('iframe');
  frame.src = '/proof/';
  frame.title = 'Measured, not shown';
  frame.setAttribute('aria-hidden', 'true');
  frame.tabIndex = -1;
  frame.style.position = 'fixed';
  frame.style.insetInlineStart = '-9999px';
  frame.style.visibility = 'hidden';
  frame.style.height = `${HEIGHT_PX}px`;
  await new Promise((resolve) => {
    frame.addEventListener('load', resolve, { once: true });
    document.body.append(frame);
  });
  const page = frame.contentDocument;
  const FrameSheet = page?.defaultView?.CSSStyleSheet;
  if (!page || !FrameSheet) {
    frame.remove();
    return undefined;
  }
  const [exported, arrangement] = ['', ARRANGEMENT + ALL_LAID_OUT].map((css) => {
    const sheet = new FrameSheet();
    sheet.replaceSync(css);
    return sheet;
  });
  if (exported && arrangement) page.adoptedStyleSheets = [exported, arrangement];
  exported?.replaceSync(joinRules(view.rules));
  page.body.innerHTML = writeHtml(homePage(view.document, view.derived), sanitizedSvg);
  return {
    document: page,
    async resize(widthPx) {
      frame.style.width = `${widthPx}px`;
      await page.fonts.ready;
    },
    remove: () => frame.remove(),
  };
}
