import type { Stress } from '@garnish/core/checks/page/measured-page';
import { SPACED } from './measure-text.ts';

/** What one acts with or finds one’s way by: words that grow when they are translated. */
const LABELS = 'a, button, label, legend, summary, th, dt, .tag, .step-mark, .required, .counter';
/** So much longer are labels in other languages. Common practice. */
const LONGER = 1 / 3;

/** Lays a sheet over a page until it is taken away. */
function laidOver(page: Document, css: string): () => void {
  const style = page.createElement('style');
  style.textContent = css;
  page.head.append(style);
  return () => style.remove();
}

/** Labels with a third of their own letters after them, in one word. */
function lengthened(page: Document): () => void {
  const before = new Map<Text, string>();
  for (const label of page.querySelectorAll(LABELS)) {
    const walker = page.createTreeWalker(label, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node as Text;
      const words = text.data.trimEnd();
      if (words === '' || before.has(text)) continue;
      before.set(text, text.data);
      text.data = words + words.trimStart().slice(0, Math.ceil(words.length * LONGER));
    }
  }
  return () => before.forEach((data, text) => (text.data = data));
}

/** Puts a page under stress; what is given back takes it off again. */
export function stressed(page: Document, stress: Stress): () => void {
  const { documentElement: root } = page;
  switch (stress) {
    case 'longer':
      return lengthened(page);
    case 'right to left':
      root.dir = 'rtl';
      return () => root.removeAttribute('dir');
    case 'spaced':
      return laidOver(page, SPACED);
    case 'twice as large':
      return laidOver(page, 'html { font-size: 200% !important; }');
  }
}
