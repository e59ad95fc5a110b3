/** What reads and measures SVG: a part of its own, fetched when somebody brings some. */
export { cropped } from '@garnish/core/icons/crop';
export { evened } from '@garnish/core/icons/drawing';
export { measureIcon } from '@garnish/core/icons/measure';
export { readIcon } from '@garnish/core/icons/read-svg';
