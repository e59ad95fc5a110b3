/** What does not fit on a page as the browser laid it out. */
export interface Misfits {
  /** Headings with a word that is wider than their column. */
  readonly words: readonly string[];
  /** Texts that stick out when lines, letters, words and paragraphs are spaced widely. */
  readonly clipped: readonly string[];
  readonly sideways: boolean;
}

/** A sign that hangs in the margin is meant to stick out. */
const TEXTS = 'h1, h2, h3, h4, h5, h6, p, td, th, a, span:not([aria-hidden])';

/** WCAG 2.2, 1.4.12: line height 1.5, paragraphs 2, letters 0.12 and words 0.16 times the size. */
export const SPACED = `
* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }
p { margin-block-end: 2em !important; }
`;
const UNBROKEN = 'h1, h2, h3, h4, h5, h6 { overflow-wrap: normal !important; }';

const LONGEST = 40;

/** What sticks out of its own box, by its words, while a sheet is laid over the page. */
function sticking(page: Document, css: string, selector: string): string[] {
  const style = page.createElement('style');
  style.textContent = css;
  page.head.append(style);
  const screen = page.documentElement.clientWidth;
  const found = [...page.querySelectorAll<HTMLElement>(selector)]
    .filter((element) => {
      const { clientWidth, scrollWidth } = element;
      const { right } = element.getBoundingClientRect();
      return (clientWidth > 0 && scrollWidth > clientWidth + 1) || right > screen + 1;
    })
    .map(({ textContent }) => textContent.trim().slice(0, LONGEST));
  style.remove();
  return [...new Set(found)];
}

/** Measures the page as it stands: unbroken words of headings, and room for wider text spacing. */
export function misfitsOf(page: Document): Misfits {
  const { documentElement: root } = page;
  const clipped = sticking(page, SPACED, TEXTS);
  const style = page.createElement('style');
  style.textContent = SPACED;
  page.head.append(style);
  const sideways = root.scrollWidth > root.clientWidth;
  style.remove();
  return { words: sticking(page, UNBROKEN, 'h1, h2, h3, h4, h5, h6'), clipped, sideways };
}
