import { oklabOf, oklchOf } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import type { Mode } from '../system/document.ts';
import type { Finding } from './finding.ts';
import type { Measurement } from './measurement.ts';

export interface Share {
  readonly hex: Hex;
  readonly share: number;
}

/** How much of a page each color covers, as ground and as text. */
export interface Presence {
  readonly areas: readonly Share[];
  readonly texts: readonly Share[];
}

/** What is measured of colors holds until a color or a word of the page changes. */
export const measuredColors: Measurement = {
  reads: ({ color, content }) => [color, content],
  outlives: false,
};

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
