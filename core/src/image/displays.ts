import { oklabDistance, oklabOf, type Oklab } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';

/** A fixed set of colors that a display can show, and no others. */
export interface DisplayPalette {
  readonly id: string;
  readonly name: string;
  readonly colors: readonly Hex[];
}

const WEB_LEVELS = ['00', '33', '66', '99', 'cc', 'ff'] as const;

/** The 216 of the classical web: six levels a channel, 256 less the 40 that systems kept. Common practice. */
const webColors = (): readonly Hex[] =>
  WEB_LEVELS.flatMap((red) =>
    WEB_LEVELS.flatMap((green) => WEB_LEVELS.map((blue): Hex => `#${red}${green}${blue}`)),
  );

/** The sixteen colors that HTML 4 names. Source: HTML 4.01, 6.5. */
const HTML_16 = [
  '#000000',
  '#c0c0c0',
  '#808080',
  '#ffffff',
  '#800000',
  '#ff0000',
  '#800080',
  '#ff00ff',
  '#008000',
  '#00ff00',
  '#808000',
  '#ffff00',
  '#000080',
  '#0000ff',
  '#008080',
  '#00ffff',
] as const;

/** The corners of the RGB cube: what a display with one bit a channel shows. */
const EIGHT = [
  '#000000',
  '#0000ff',
  '#00ff00',
  '#00ffff',
  '#ff0000',
  '#ff00ff',
  '#ffff00',
  '#ffffff',
] as const;

export const DISPLAY_PALETTES: readonly DisplayPalette[] = [
  { id: 'web', name: '216 of the web', colors: webColors() },
  { id: 'sixteen', name: '16 of HTML', colors: HTML_16 },
  { id: 'eight', name: '8, one bit a channel', colors: EIGHT },
  {
    id: 'paper-four',
    name: '4, e-paper with red',
    colors: ['#000000', '#ffffff', '#c8102e', '#f2c500'],
  },
  {
    id: 'gray-four',
    name: '4 grays',
    colors: ['#000000', '#555555', '#aaaaaa', '#ffffff'],
  },
  { id: 'two', name: 'black and white', colors: ['#000000', '#ffffff'] },
];

export interface Nearest {
  readonly hex: Hex;
  /** In OKLab. */
  readonly difference: number;
}

/** OKLab of the colors of a palette, found out once. */
const known = new WeakMap<readonly Hex[], readonly Oklab[]>();

function labsOf(colors: readonly Hex[]): readonly Oklab[] {
  const found = known.get(colors) ?? colors.map((hex) => oklabOf(rgbOf(hex)));
  known.set(colors, found);
  return found;
}

/**
 * The member of a palette that is nearest to a color in OKLab, and how far it is. Throws a RangeError
 * where the palette is empty.
 */
export function nearestOf(colors: readonly Hex[], hex: Hex): Nearest {
  const labs = labsOf(colors);
  const here = oklabOf(rgbOf(hex));
  let best: Nearest | undefined;
  labs.forEach((lab, index) => {
    const difference = oklabDistance(lab, here);
    const color = colors[index];
    if (color !== undefined && difference < (best?.difference ?? Infinity))
      best = { hex: color, difference };
  });
  if (!best) throw new RangeError('a palette has one color at least');
  return best;
}
