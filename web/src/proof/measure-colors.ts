import type { Presence, Share } from '@garnish/core/checks/measured-colors';
import { hexOf, type Hex } from '@garnish/core/color/srgb';
import { breathe } from '../ui/in-breaths.ts';

/** How finely the page is looked at, in px. */
const CELL = 8;
/** So many elements are read before the page may answer to its keys again. */
const SLICE = 120;

const hexOfCss = (css: string): Hex | undefined => {
  const match = /^rgba?\((\d+), (\d+), (\d+)(?:, ([\d.]+))?\)$/.exec(css);
  if (!match || match[4] === '0') return undefined;
  return hexOf([Number(match[1]) / 255, Number(match[2]) / 255, Number(match[3]) / 255]);
};

const shares = (counts: ReadonlyMap<Hex, number>): Share[] => {
  const sum = [...counts.values()].reduce((total, count) => total + count, 0);
  return [...counts]
    .map(([hex, count]) => ({ hex, share: sum === 0 ? 0 : count / sum }))
    .sort((one, other) => other.share - one.share);
};

/**
 * What is painted where, as the browser laid it out: every element's background in the order in which
 * they cover each other, on a grid of 8 px; every text by the number of its characters. Pictures count
 * as nothing: their colors are not the palette's.
 */
function* presence(page: Document): Generator<undefined, Presence> {
  const root = page.documentElement;
  const columns = Math.ceil(root.scrollWidth / CELL);
  const rows = Math.ceil(root.scrollHeight / CELL);
  const grid = new Array<Hex | undefined>(columns * rows);
  const view = page.defaultView;
  const texts = new Map<Hex, number>();
  if (!view) return { areas: [], texts: [] };
  let read = 0;
  for (const element of [page.body, ...page.body.querySelectorAll<HTMLElement>('*')]) {
    read += 1;
    if (read % SLICE === 0) yield undefined;
    const style = view.getComputedStyle(element);
    const ground = hexOfCss(style.backgroundColor);
    const isPicture = element.tagName === 'IMG';
    if (ground !== undefined || isPicture) {
      const box = element.getBoundingClientRect();
      const top = Math.max(0, Math.round((box.top + view.scrollY) / CELL));
      const bottom = Math.min(rows, Math.round((box.bottom + view.scrollY) / CELL));
      const left = Math.max(0, Math.round(box.left / CELL));
      const right = Math.min(columns, Math.round(box.right / CELL));
      for (let row = top; row < bottom; row += 1)
        grid.fill(isPicture ? undefined : ground, row * columns + left, row * columns + right);
    }
    const color = hexOfCss(style.color);
    if (color === undefined) continue;
    for (const node of element.childNodes) {
      const length = node.nodeType === 3 ? (node.textContent ?? '').trim().length : 0;
      if (length > 0) texts.set(color, (texts.get(color) ?? 0) + length);
    }
  }
  const areas = new Map<Hex, number>();
  for (const hex of grid) if (hex !== undefined) areas.set(hex, (areas.get(hex) ?? 0) + 1);
  return { areas: shares(areas), texts: shares(texts) };
}

/** What is painted where, at once. */
export function presenceOf(page: Document): Presence {
  const steps = presence(page);
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

/** The same in slices, between which the window answers; nothing where it was called off. */
export async function presenceLater(
  page: Document,
  isOff: () => boolean,
): Promise<Presence | undefined> {
  const steps = presence(page);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done === true) return step.value;
    await breathe();
    if (isOff()) return undefined;
  }
}
