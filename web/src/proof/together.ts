import { useEffect } from 'react';

/** A spot of a page: an element by its places from the body on, how far down in it, and where that is on the screen. */
interface Spot {
  readonly path: readonly number[];
  readonly within: number;
  readonly on: number;
}

/** Where the eye is: a third down the screen. */
const EYE = 1 / 3;

/** What is looked at on a page. */
function spotOf(page: Document): Spot | undefined {
  const view = page.defaultView;
  if (!view) return undefined;
  const y = view.innerHeight * EYE;
  const element = page.elementFromPoint(view.innerWidth / 2, y);
  if (!element || !page.body.contains(element)) return undefined;
  const path: number[] = [];
  for (let one = element; one !== page.body && one.parentElement; one = one.parentElement)
    path.unshift([...one.parentElement.children].indexOf(one));
  const { top, height } = element.getBoundingClientRect();
  return { path, within: height > 0 ? (y - top) / height : 0, on: EYE };
}

/** The very beginning and the very end of a page are those of every other. */
function atAnEnd({ documentElement: { scrollTop, scrollHeight, clientHeight } }: Document) {
  if (scrollTop < 2) return 'beginning';
  return scrollTop > scrollHeight - clientHeight - 2 ? 'end' : undefined;
}

/** Scrolls a page to a spot of another one that is made of the same elements. */
function scrollTo(page: Document, { path, within, on }: Spot): void {
  const view = page.defaultView;
  if (!view) return;
  let element: Element = page.body;
  for (const index of path) {
    const next = element.children[index];
    if (!next) break;
    element = next;
  }
  const { top, height } = element.getBoundingClientRect();
  view.scrollBy(0, top + within * height - view.innerHeight * on);
}

/** So long after it was scrolled along, what a page does is not somebody’s scrolling, in ms. */
const FOLLOWS_MS = 200;

const HANDS = ['wheel', 'pointerdown', 'keydown', 'touchmove'] as const;

/** Pages of different widths stay at the same element: whichever is scrolled, the others follow. */
export function useTogether(pages: readonly Document[]): void {
  useEffect(() => {
    const followsUntil = new Map<Document, number>();
    let frame = 0;
    const put = (page: Document): void => {
      const others = pages.filter((other) => other !== page);
      for (const other of others) followsUntil.set(other, performance.now() + FOLLOWS_MS);
      const end = atAnEnd(page);
      const spot = spotOf(page);
      for (const other of others) {
        const root = other.documentElement;
        if (end) root.scrollTop = end === 'end' ? root.scrollHeight : 0;
        else if (spot) scrollTo(other, spot);
      }
    };
    const follow = (page: Document): void => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        put(page);
        // What came into sight is laid out only now.
        frame = requestAnimationFrame(() => put(page));
      });
    };
    const stops = pages.map((page) => {
      const scroll = (): void => {
        if (performance.now() >= (followsUntil.get(page) ?? 0)) follow(page);
      };
      // A hand on a page leads, whatever the page did a moment ago.
      const lead = (): void => {
        followsUntil.delete(page);
        follow(page);
      };
      page.addEventListener('scroll', scroll, { passive: true });
      for (const sign of HANDS) page.addEventListener(sign, lead, { passive: true });
      return () => {
        page.removeEventListener('scroll', scroll);
        for (const sign of HANDS) page.removeEventListener(sign, lead);
      };
    });
    if (pages[0]) follow(pages[0]);
    return () => {
      cancelAnimationFrame(frame);
      for (const stop of stops) stop();
    };
  }, [pages]);
}
