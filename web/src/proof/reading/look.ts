import type { SeenElement } from '@garnish/core/reading/seen';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { inBreaths } from '../../ui/in-breaths.ts';
import { openHiddenFrame } from '../hidden-frame.ts';
import { dressPage } from './dress-page.ts';
import { seeing } from './see.ts';

/** A page as it was looked at: its elements, and what is told of each. */
export type Sight = readonly (readonly [element: Element, seen: SeenElement])[];

/** Reads what a page shows that was dressed, between other things. Nothing where it was called off. */
export async function lookOver(
  document: Document,
  isOff: () => boolean,
): Promise<Sight | undefined> {
  // Layout asks for the faces; only then is there anything to wait for.
  document.body.getBoundingClientRect();
  await document.fonts.ready;
  return isOff() ? undefined : inBreaths(seeing(document), isOff);
}

const HIGH_PX = 900;

/**
 * Looks at a page where nobody sees it, and tells what is to be told while it stands there.
 * @returns nothing where it was called off, or the browser lets nobody read such a page
 */
export async function lookAt<Told>(
  page: ShownPage,
  widthPx: number,
  tell: (sight: Sight, document: Document) => Told,
  isOff: () => boolean,
): Promise<Told | undefined> {
  const hidden = await openHiddenFrame('Page that is read', '/reading/');
  if (!hidden) return undefined;
  try {
    hidden.frame.style.width = `${widthPx}px`;
    hidden.frame.style.height = `${HIGH_PX}px`;
    dressPage(hidden.page, page, 'light');
    const sight = await lookOver(hidden.page, isOff);
    return sight && !isOff() ? tell(sight, hidden.page) : undefined;
  } finally {
    hidden.frame.remove();
  }
}
