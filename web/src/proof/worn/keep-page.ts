import type { ShownPage } from '@garnish/core/reading/shown-page';
import { proposedOn, type Wardrobe } from '@garnish/core/worn/proposed';
import {
  ALIKE_ATTRIBUTE,
  LONGEST_PAGE,
  WORN_ATTRIBUTE,
  type KeptPage,
} from '@garnish/core/worn/wearing';
import { openSight } from '../reading/look.ts';

/** Things are told apart as they are on a wide screen, in px. */
const WIDE_PX = 1280;
const LONGEST_NAME = 120;

/** Why a page cannot be kept. */
export class PageTooLong extends Error {
  override readonly name = 'PageTooLong';
}

/**
 * Makes of a page that was read one that a system is proved on: laid out where nobody sees it, its things told apart
 * by their looks, and what each takes proposed.
 * @param signal calls it off
 * @returns nothing where it was called off, or the browser lets nobody read such a page
 * @throws PageTooLong where it is longer than what is kept
 */
export async function keptFrom(
  page: ShownPage,
  wardrobe: Wardrobe,
  signal: AbortSignal,
): Promise<KeptPage | undefined> {
  const length = page.html.length + page.sheets.reduce((sum, { length: own }) => sum + own, 0);
  if (length > LONGEST_PAGE)
    throw new PageTooLong(
      `The page has ${Math.round(length / 1e6)} million signs with its pictures and sheets; ${LONGEST_PAGE / 1e6} are kept. Save it without its pictures. Nothing was kept.`,
    );
  const open = await openSight(page, WIDE_PX, signal);
  if (!open) return undefined;
  try {
    const { sight, document } = open;
    const kinds = proposedOn(
      sight.map(([, seen]) => seen),
      wardrobe,
    );
    // Nothing of the page passes for what is said of it here.
    for (const own of [ALIKE_ATTRIBUTE, WORN_ATTRIBUTE])
      for (const element of document.querySelectorAll(`[${own}]`)) element.removeAttribute(own);
    for (const { alike, places } of kinds)
      for (const place of places) sight[place]?.[0].setAttribute(ALIKE_ATTRIBUTE, alike.id);
    const root = document.documentElement.cloneNode(true) as HTMLElement;
    root.querySelector('head')?.replaceChildren();
    return {
      name: (page.title || page.file).trim().slice(0, LONGEST_NAME) || 'A page',
      html: root.outerHTML,
      sheets: [...page.sheets],
      alike: kinds.map(({ alike }) => alike),
    };
  } finally {
    open.close();
  }
}
