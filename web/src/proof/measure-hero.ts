import type { View } from '../system/views.ts';
import { inHiddenPage } from './hidden-page.ts';

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

/** The lines of a text, not the box around them. */
function linesOf(element: Element): DOMRect | undefined {
  const range = element.ownerDocument.createRange();
  range.selectNodeContents(element);
  const box = range.getBoundingClientRect();
  return box.width > 0 && box.height > 0 ? box : undefined;
}

/** The texts over the picture: those of the opening, and what its quiet button says. */
const textsOver = (
  page: Document,
  { derived: { styles } }: View,
): readonly { readonly text: string; readonly element: Element }[] => [
  ...[...styles.values()].flatMap(({ id, slug }) =>
    [...page.querySelectorAll(`.hero-words > .type-${slug}`)].map((element) => ({
      text: id,
      element,
    })),
  ),
  ...[...page.querySelectorAll('.hero-words .quiet-button')].map((element) => ({
    text: 'label',
    element,
  })),
];

/**
 * Where the words of the opening stand over their picture at each width, as the browser lays them out
 * in a frame of that width that nobody sees. Nothing where the opening has no picture.
 */
export async function measureHero(
  view: View,
  widths: readonly number[],
  onPage?: string,
): Promise<readonly PictureFrame[]> {
  const frames = await inHiddenPage(async (hidden) => {
    const { document: page } = hidden;
    hidden.show(view, onPage);
    const found: PictureFrame[] = [];
    for (const screenPx of widths) {
      await hidden.resize(screenPx);
      const picture = page.querySelector('.over-picture')?.getBoundingClientRect();
      if (!picture) continue;
      const boxes = textsOver(page, view).flatMap(({ text, element }): TextBox[] => {
        const box = linesOf(element);
        return box
          ? [
              {
                text,
                x: (box.left - picture.left) / picture.width,
                y: (box.top - picture.top) / picture.height,
                width: box.width / picture.width,
                height: box.height / picture.height,
              },
            ]
          : [];
      });
      found.push({ screenPx, width: picture.width, height: picture.height, boxes });
    }
    return found;
  });
  return frames ?? [];
}
