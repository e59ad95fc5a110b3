import type { Category, FontFamily } from './family.ts';
import { LANGUAGE_CODES } from './languages.ts';
import { LOCAL_FONTS, type LocalFont } from './stand-in.ts';

interface Stack {
  readonly id: string;
  readonly name: string;
  readonly category: Category;
  readonly stack: string;
  readonly font: LocalFont;
  readonly xHeight: number;
  readonly capHeight: number;
  readonly stem: number;
  readonly thinToThick: number;
}

/**
 * Stacks that need no download. Heights: @capsizecss/metrics 4.3.0; strokes: measured from Liberation
 * Sans, Serif and Mono, which are drawn to the same widths. The system interface font differs from
 * computer to computer: told are the figures of the sans, which is near to most of them.
 */
const STACKS: readonly Stack[] = [
  {
    id: 'local-interface',
    name: 'System interface',
    category: 'sans',
    stack: 'system-ui, sans-serif',
    font: LOCAL_FONTS.arial,
    xHeight: 0.5186,
    capHeight: 0.7163,
    stem: 0.0879,
    thinToThick: 0.704,
  },
  {
    id: 'local-sans',
    name: 'Local sans',
    category: 'sans',
    stack: 'Arial, "Liberation Sans", Helvetica, sans-serif',
    font: LOCAL_FONTS.arial,
    xHeight: 0.5186,
    capHeight: 0.7163,
    stem: 0.0879,
    thinToThick: 0.704,
  },
  {
    id: 'local-serif',
    name: 'Local serif',
    category: 'serif',
    stack: '"Times New Roman", "Liberation Serif", Times, serif',
    font: LOCAL_FONTS.times,
    xHeight: 0.4473,
    capHeight: 0.6621,
    stem: 0.0811,
    thinToThick: 0.439,
  },
  {
    id: 'local-mono',
    name: 'Local mono',
    category: 'mono',
    stack: '"Courier New", "Liberation Mono", Courier, monospace',
    font: LOCAL_FONTS.courier,
    xHeight: 0.4229,
    capHeight: 0.5713,
    stem: 0.0205,
    thinToThick: 0.9,
  },
];

const share = (units: number, { unitsPerEm }: LocalFont): number =>
  Number((units / unitsPerEm).toFixed(4));

/** The fonts that most computers have, as families without files. */
export const LOCAL_FAMILIES: readonly FontFamily[] = STACKS.map(
  ({ id, name, category, stack, font, xHeight, capHeight, stem, thinToThick }) => ({
    id,
    name,
    category,
    stack,
    version: 'local',
    licence: 'on the reader’s computer',
    copyright: '',
    figures: 'tabular',
    smallCaps: false,
    embedding: 'installable',
    axes: {},
    languages: LANGUAGE_CODES,
    missing: {},
    metrics: {
      unitsPerEm: font.unitsPerEm,
      ascent: share(font.ascent, font),
      descent: share(font.descent, font),
      lineGap: share(font.lineGap, font),
      xHeight,
      capHeight,
      letterWidths: font.letterWidths,
      stem,
      thinToThick,
    },
    files: [],
  }),
);
