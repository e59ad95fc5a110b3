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

/** A page that was looked at where nobody sees it; it stays laid out until it is closed. */
export interface OpenSight {
  readonly sight: Sight;
  readonly document: Document;
  /** Lays it out at another width, and looks again; nothing where it was called off. */
  readonly at: (widthPx: number) => Promise<Sight | undefined>;
  readonly close: () => void;
}

/**
 * Lays a page out where nobody sees it, and looks at it.
 * @param signal closes it at once, whatever it is waiting for
 * @returns nothing where it was called off, or the browser lets nobody read such a page
 */
export async function openSight(
  page: ShownPage,
  widthPx: number,
  signal: AbortSignal,
): Promise<OpenSight | undefined> {
  const hidden = await openHiddenFrame('Reading', '/reading/');
  if (!hidden) return undefined;
  const { frame, page: document } = hidden;
  const close = (): void => frame.remove();
  if (signal.aborted) {
    close();
    return undefined;
  }
  signal.addEventListener('abort', close, { once: true });
  frame.style.width = `${widthPx}px`;
  frame.style.height = `${HIGH_PX}px`;
  try {
    dressPage(document, page, 'light');
    const sight = await lookOver(document, () => signal.aborted);
    const at = (px: number): Promise<Sight | undefined> => {
      frame.style.width = `${px}px`;
      return lookOver(document, () => signal.aborted);
    };
    if (sight) return { sight, document, at, close };
  } catch (error) {
    close();
    throw error;
  }
  close();
  return undefined;
}
