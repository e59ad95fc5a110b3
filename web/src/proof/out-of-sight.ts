/** What is nearer to the window than this may be scrolled to in the next moment, in px. */
const NEAR_PX = 120;
/** Nothing moves any more when nothing has moved for so long. */
const REST_MS = 180;

const AWAY = 'data-away';
const MOVING = 'data-moving';

/** What says that parts of a page rest; it goes with the arrangement of the page. */
export const RESTING = `html[${MOVING}] [${AWAY}] { content-visibility: hidden; }`;

/** The parts of a page that can rest by themselves. */
const PARTS = '.block, .site > footer, .sheet-chapter';

/** Lets the parts of a page that nobody sees rest while its sheet moves. */
export interface OutOfSight {
  /** The page has other elements than before. */
  readonly renew: () => void;
  /** The sheet is about to move. */
  readonly moves: () => void;
  readonly close: () => void;
}

/**
 * While a slider moves, style and layout are for what is in sight; the rest of the page follows a moment
 * after it has come to rest. Its size is remembered meanwhile, so that nothing jumps.
 */
export function outOfSight(page: Document): OutOfSight {
  const root = page.documentElement;
  const view = page.defaultView;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const observer =
    view &&
    new view.IntersectionObserver(
      (entries) => {
        for (const { target, isIntersecting } of entries)
          target.toggleAttribute(AWAY, !isIntersecting);
      },
      { rootMargin: `${NEAR_PX}px 0px` },
    );
  return {
    renew() {
      observer?.disconnect();
      for (const part of page.querySelectorAll(PARTS)) observer?.observe(part);
    },
    moves() {
      root.toggleAttribute(MOVING, true);
      clearTimeout(timer);
      timer = setTimeout(() => root.toggleAttribute(MOVING, false), REST_MS);
    },
    close() {
      clearTimeout(timer);
      observer?.disconnect();
    },
  };
}
