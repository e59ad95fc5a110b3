import type { Finding } from '@garnish/core/checks/finding';
import type { Mode } from '@garnish/core/system/document';
import { oklabOf, oklchOf } from '@garnish/core/color/oklab';
import { hexOf, rgbOf, type Hex } from '@garnish/core/color/srgb';

export interface Share {
  readonly hex: Hex;
  readonly share: number;
}

/** How much of a page each color covers, as ground and as text. */
export interface Presence {
  readonly areas: readonly Share[];
  readonly texts: readonly Share[];
}

/** How finely the page is looked at, in px. */
const CELL = 8;

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
export function presenceOf(page: Document): Presence {
  const root = page.documentElement;
  const columns = Math.ceil(root.scrollWidth / CELL);
  const rows = Math.ceil(root.scrollHeight / CELL);
  const grid = new Array<Hex | undefined>(columns * rows);
  const view = page.defaultView;
  const texts = new Map<Hex, number>();
  if (!view) return { areas: [], texts: [] };
  for (const element of [page.body, ...page.body.querySelectorAll<HTMLElement>('*')]) {
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

/** From this chroma on a color is called colored, and from the other vivid. In OKLCH; common practice. */
const COLORED = 0.045;
const VIVID = 0.1;
/** A vivid color that covers less than this of the page does not compete. */
const COMPETES = 0.002;
const MOST_VIVID = 3;
const MOST_COLORED = 0.5;

const chromaOf = (hex: Hex): number => oklchOf(oklabOf(rgbOf(hex))).chroma;

/** What is too much: most of the text colored, or more than three vivid hues beside each other. */
export function tooMuch({ areas, texts }: Presence, mode: Mode): readonly Finding[] {
  const colored = texts
    .filter(({ hex }) => chromaOf(hex) >= COLORED)
    .reduce((sum, { share }) => sum + share, 0);
  const hues = new Set(
    areas
      .filter(({ hex, share }) => share >= COMPETES && chromaOf(hex) >= VIVID)
      .map(({ hex }) => Math.round(oklchOf(oklabOf(rgbOf(hex))).hue / 30) % 12),
  );
  const finding = (id: string, title: string, figures: string, reason: string): Finding => ({
    id: `${id}:${mode}`,
    severity: 'look',
    area: 'color',
    decision: '/color/roles',
    title,
    figures,
    reason,
    source: 'measured in the proof, on a grid of 8 px and by characters; common practice',
    where: { selector: '.site', mode },
  });
  return [
    ...(colored > MOST_COLORED
      ? [
          finding(
            'colored-text',
            `Most of the text is colored in ${mode}`,
            `${Math.round(colored * 100)} % of the characters; ${MOST_COLORED * 100} % is the most`,
            'Where everything speaks in color, nothing is heard.',
          ),
        ]
      : []),
    ...(hues.size > MOST_VIVID
      ? [
          finding(
            'vivid-hues',
            `${hues.size} vivid hues compete in ${mode}`,
            `each covers ${COMPETES * 100} % of the page or more; ${MOST_VIVID} hues are the most`,
            'Beside each other they all ask to be looked at first.',
          ),
        ]
      : []),
  ];
}
