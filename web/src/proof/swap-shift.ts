import { BEFORE_FONTS, withoutFonts, type BeforeFonts } from '@garnish/core/proof/without-fonts';
import type { View } from '../system/views.ts';

/** How far things move when the fonts arrive, in CSS px of the proof. */
export interface Shift {
  /** The most that any heading, and any paragraph, changes its height. */
  readonly headings: number;
  readonly paragraphs: number;
  /** How much the whole page changes its height. */
  readonly page: number;
}

const heightsOf = (page: Document, selector: string): number[] =>
  [...page.querySelectorAll(selector)].map((element) => element.getBoundingClientRect().height);

const most = (before: readonly number[], after: readonly number[]): number =>
  Math.max(0, ...after.map((height, index) => Math.abs(height - (before[index] ?? height))));

const HEADINGS = 'h1, h2, h3, h4';
const PARAGRAPHS = 'p';

/** Sections that are not in view are not laid out; while something is measured, all are. */
const ALL_LAID_OUT = '* { content-visibility: visible !important; }';

/** Measures the page as it is with its fonts and as it is before they come, fitted and unfitted. */
export function swapShifts(
  page: Document,
  { derived, document }: View,
): Record<BeforeFonts, Shift> {
  const sheets = page.adoptedStyleSheets;
  const Sheet = page.defaultView?.CSSStyleSheet;
  if (!Sheet) throw new Error('the proof has no window');
  const simulation = new Sheet();
  page.adoptedStyleSheets = [...sheets, simulation];
  const measure = (css: string) => {
    simulation.replaceSync(`${ALL_LAID_OUT} ${css}`);
    return {
      headings: heightsOf(page, HEADINGS),
      paragraphs: heightsOf(page, PARAGRAPHS),
      page: page.body.scrollHeight,
    };
  };
  const arrived = measure('');
  const shifts = BEFORE_FONTS.map((before) => {
    const there = measure(withoutFonts(document.fonts, derived.faces, before));
    return [
      before,
      {
        headings: most(there.headings, arrived.headings),
        paragraphs: most(there.paragraphs, arrived.paragraphs),
        page: Math.abs(there.page - arrived.page),
      },
    ] as const;
  });
  page.adoptedStyleSheets = sheets;
  return Object.fromEntries(shifts) as Record<BeforeFonts, Shift>;
}
