import { joinRules } from '@garnish/core/formats/css';
import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { homePage } from '@garnish/core/proof/home';
import { writeHtml } from '@garnish/core/proof/node';
import type { View } from '../system/store.ts';

/** Where a text stands in a frame, as shares of it. */
export interface TextBox {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The frame of the picture at one width of the screen, with the texts over it. */
export interface PictureFrame {
  readonly screenPx: number;
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly TextBox[];
}

const HEIGHT_PX = 900;

/** The lines of a text, not the box around them. */
function linesOf(element: Element): DOMRect | undefined {
  const range = element.ownerDocument.createRange();
  range.selectNodeContents(element);
  const box = range.getBoundingClientRect();
  return box.width > 0 && box.height > 0 ? box : undefined;
}

/**
 * Where the words of the opening stand over their picture at each width, as the browser lays them out
 * in a frame of that width that nobody sees. Nothing where the opening has no picture.
 */
export async function measureHero(
  { document: system, derived, rules }: View,
  widths: readonly number[],
): Promise<readonly PictureFrame[]> {
  const frame = document.createElement('iframe');
  frame.src = '/proof/';
  frame.setAttribute('aria-hidden', 'true');
  frame.tabIndex = -1;
  frame.style.position = 'fixed';
  frame.style.insetInlineStart = '-9999px';
  frame.style.height = `${HEIGHT_PX}px`;
  try {
    await new Promise((resolve) => {
      frame.addEventListener('load', resolve, { once: true });
      document.body.append(frame);
    });
    const page = frame.contentDocument;
    const FrameSheet = page?.defaultView?.CSSStyleSheet;
    if (!page || !FrameSheet) return [];
    page.adoptedStyleSheets = [joinRules(rules), ARRANGEMENT].map((css) => {
      const sheet = new FrameSheet();
      sheet.replaceSync(css);
      return sheet;
    });
    page.body.innerHTML = writeHtml(homePage(system, derived));
    const found: PictureFrame[] = [];
    for (const screenPx of widths) {
      frame.style.width = `${screenPx}px`;
      await page.fonts.ready;
      const picture = page.querySelector('.over-picture')?.getBoundingClientRect();
      if (!picture) continue;
      const boxes = [...derived.styles.values()].flatMap(({ id, slug }): TextBox[] =>
        [...page.querySelectorAll(`.hero-words > .type-${slug}`)].flatMap((element) => {
          const box = linesOf(element);
          return box
            ? [
                {
                  text: id,
                  x: (box.left - picture.left) / picture.width,
                  y: (box.top - picture.top) / picture.height,
                  width: box.width / picture.width,
                  height: box.height / picture.height,
                },
              ]
            : [];
        }),
      );
      found.push({ screenPx, width: picture.width, height: picture.height, boxes });
    }
    return found;
  } finally {
    frame.remove();
  }
}
