import { constructionOf, type Construction } from './construction.ts';
import { letterWidthIn, type FontFamily } from './family.ts';
import type { LanguageCode } from './languages.ts';
import type { MeasuredLanguage } from './letter-width.ts';

/** A font that most computers have. */
export interface LocalFont {
  readonly name: string;
  /** The same by its full names, upright and bold, and what has its widths on other systems. */
  readonly local: readonly string[];
  readonly localBold: readonly string[];
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly letterWidths: Readonly<Record<MeasuredLanguage, number>>;
}

/**
 * Vertical metrics: @capsizecss/metrics 4.3.0. Letter widths: the advances of Helvetica, Times and
 * Courier in Adobe's Core 14 AFM files, to which these three are drawn, weighted as ours are.
 */
export const LOCAL_FONTS = {
  arial: {
    name: 'Arial',
    local: ['Arial', 'Liberation Sans'],
    localBold: ['Arial Bold', 'Liberation Sans Bold'],
    unitsPerEm: 2048,
    ascent: 1854,
    descent: -434,
    lineGap: 67,
    letterWidths: {
      en: 0.4343,
      de: 0.448,
      fr: 0.434,
      es: 0.4449,
      pt: 0.453,
      pl: 0.4648,
      no: 0.4314,
    },
  },
  times: {
    name: 'Times New Roman',
    local: ['Times New Roman', 'Liberation Serif'],
    localBold: ['Times New Roman Bold', 'Liberation Serif Bold'],
    unitsPerEm: 2048,
    ascent: 1825,
    descent: -443,
    lineGap: 87,
    letterWidths: {
      en: 0.3948,
      de: 0.4042,
      fr: 0.3895,
      es: 0.3984,
      pt: 0.4034,
      pl: 0.4254,
      no: 0.3927,
    },
  },
  courier: {
    name: 'Courier New',
    local: ['Courier New', 'Liberation Mono'],
    localBold: ['Courier New Bold', 'Liberation Mono Bold'],
    unitsPerEm: 2048,
    ascent: 1705,
    descent: -615,
    lineGap: 0,
    letterWidths: { en: 0.6, de: 0.6, fr: 0.6, es: 0.6, pt: 0.6, pl: 0.6, no: 0.6 },
  },
} as const satisfies Record<string, LocalFont>;

/** By how a face is built: a display face with serifs is stood in for by one with serifs. */
const BY_CONSTRUCTION: Readonly<Record<Construction, LocalFont>> = {
  sans: LOCAL_FONTS.arial,
  hand: LOCAL_FONTS.arial,
  serif: LOCAL_FONTS.times,
  slab: LOCAL_FONTS.times,
  mono: LOCAL_FONTS.courier,
};

/** How a local font is fitted to a web font; each a share, as CSS writes in percent. */
export interface StandIn {
  readonly font: LocalFont;
  readonly sizeAdjust: number;
  readonly ascentOverride: number;
  readonly descentOverride: number;
  readonly lineGapOverride: number;
}

const rounded = (share: number): number => Number(share.toFixed(4));

/**
 * The local font nearest in kind, fitted so that lines break and stand as they will when the web
 * font has come: scaled until its mean character is as wide, with the web font's line metrics.
 * Source: CSS Fonts 5, size-adjust and the metric overrides, which apply after the scaling.
 */
export function standInFor(family: FontFamily, language: LanguageCode): StandIn {
  const font = BY_CONSTRUCTION[constructionOf(family)];
  const width = letterWidthIn(family, language);
  const local =
    font.letterWidths[
      (Object.hasOwn(font.letterWidths, language) ? language : 'en') as MeasuredLanguage
    ];
  const sizeAdjust = rounded(width / local);
  const { ascent, descent, lineGap } = family.metrics;
  return {
    font,
    sizeAdjust,
    ascentOverride: rounded(ascent / sizeAdjust),
    descentOverride: rounded(-descent / sizeAdjust),
    lineGapOverride: rounded(lineGap / sizeAdjust),
  };
}
