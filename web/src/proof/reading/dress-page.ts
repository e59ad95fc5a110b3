import { inTheme } from '@garnish/core/reading/sheltered';
import { LEFT_OUT, type ShownPage } from '@garnish/core/reading/shown-page';
import createDOMPurify from 'dompurify';

const takeAttributes = (from: Element, to: Element): void => {
  for (const { name } of [...to.attributes]) to.removeAttribute(name);
  for (const { name, value } of from.attributes) to.setAttribute(name, value);
};

/**
 * Shows a page of somebody else’s in a document of its own, as whoever prefers a theme sees it, cleaned once more:
 * nothing of it acts, nothing is asked for. The policy of that document forbids both as well.
 */
export function dressPage(
  document: Document,
  { html, sheets }: ShownPage,
  theme: 'light' | 'dark',
): void {
  const view = document.defaultView;
  if (!view) return;
  // Within that document, so that its policy holds for what is only read, too.
  const clean = createDOMPurify(view).sanitize(html, {
    WHOLE_DOCUMENT: true,
    RETURN_DOM: true,
    FORBID_TAGS: LEFT_OUT,
    ADD_TAGS: ['use'],
  }) as unknown as HTMLElement;
  const body = clean.querySelector('body') ?? clean;
  const { documentElement: root } = document;
  takeAttributes(clean, root);
  document.head.replaceChildren(
    ...sheets.map((css) => {
      const style = document.createElement('style');
      style.textContent = inTheme(css, theme);
      return style;
    }),
  );
  takeAttributes(body, document.body);
  document.body.replaceChildren(...[...body.childNodes].map((node) => document.adoptNode(node)));
  // Where the page is made for both, it takes the one that is wanted.
  if (view.getComputedStyle(root).colorScheme.split(' ').includes(theme))
    root.style.colorScheme = theme;
}
