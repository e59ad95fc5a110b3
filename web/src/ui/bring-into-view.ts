/** Sections that were never seen have a guessed height; by then those on the way have their own. */
const FRAMES = 6;

/**
 * Scrolls to an element, and again while what lies on the way is drawn for the first time and pushes
 * it out of view. Gives back how to stop.
 */
export function bringIntoView(element: HTMLElement, block: ScrollLogicalPosition): () => void {
  let frame = 0;
  let handle = 0;
  const scroll = (): void => {
    element.scrollIntoView({ block });
    frame += 1;
    if (frame < FRAMES) handle = requestAnimationFrame(scroll);
  };
  scroll();
  return () => cancelAnimationFrame(handle);
}
