import {
  color as colorOf,
  ColorNotation,
  computedValue,
  serializeOKLCH,
  SyntaxFlag,
  type ColorData,
} from '@csstools/css-color-parser';
import {
  isCommentNode,
  isWhitespaceNode,
  parseListOfComponentValues,
} from '@csstools/css-parser-algorithms';
import { tokenize } from '@csstools/css-tokenizer';
import { toSrgb } from './gamut.ts';
import { oklabOfOklch, rgbOfOklab, type Oklch } from './oklab.ts';
import { hexOf, type Hex, type Rgb } from './srgb.ts';
import { oklchCss, WIDE_SPACES, wideOklch } from './wide.ts';

export type ReadColor =
  | {
      readonly ok: true;
      /** The color, or the one that stands for it within sRGB. */
      readonly hex: Hex;
      /** The color itself, as CSS writes it, where sRGB does not hold it. */
      readonly wide?: string;
    }
  | { readonly ok: false; readonly problem: string };

/** What rounding leaves of a color at the edge of sRGB, in channels of 0 to 1. */
const AT_THE_EDGE = 0.0005;

export type ReadTransparent =
  | {
      readonly ok: true;
      readonly hex: Hex;
      readonly wide?: string;
      /** 0 for fully transparent to 1 for opaque. */
      readonly alpha: number;
    }
  | { readonly ok: false; readonly problem: string };

/** Longer texts than this are no color that somebody writes. */
const LONGEST = 400;

/** Source: CSS Color 4, 6.2 and appendix A, system colors and those that are deprecated. */
const SYSTEM_COLORS = new Set(
  `accentcolor accentcolortext activetext buttonborder buttonface buttontext canvas canvastext field
  fieldtext graytext highlight highlighttext linktext mark marktext selecteditem selecteditemtext
  visitedtext activeborder activecaption appworkspace background buttonhighlight buttonshadow
  captiontext inactiveborder inactivecaption inactivecaptiontext infobackground infotext menu menutext
  scrollbar threeddarkshadow threedface threedhighlight threedlightshadow threedshadow window
  windowframe windowtext`.split(/\s+/),
);

/** Why something that CSS takes as a color is not one fixed color, by what it contains. */
const NOT_FIXED: readonly (readonly [RegExp, string])[] = [
  [/\bcurrentcolor\b/, '“currentColor” takes the color of the text around it; type that color.'],
  [/\bvar\(/, 'var() refers to a custom property that is not known here; type its value.'],
  [/\b(env|attr|if)\(/, 'This color depends on where it is used; type the color itself.'],
  [
    /\blight-dark\(/,
    'light-dark() is one color in light and another in dark; type one of them here, and the other in the other theme.',
  ],
  [
    /\b(device-cmyk\(|color\(\s*--)/,
    'Ink colors have no fixed color on a screen; type the color for screens.',
  ],
];

/** The true reason why a text is no fixed color. */
function problemOf(text: string): string {
  const plain = text.toLowerCase().replaceAll(/\/\*.*?\*\//gs, ' ');
  for (const [form, reason] of NOT_FIXED) if (form.test(plain)) return reason;
  const system = plain.match(/[a-z]+/g)?.find((word) => SYSTEM_COLORS.has(word));
  if (system !== undefined)
    return `“${system}” is chosen by the reader’s system; type a color that stays.`;
  return `“${text.slice(0, 60)}” is not a color that CSS knows.`;
}

const present = (channel: number): number => (Number.isNaN(channel) ? 0 : channel);

const held = (channel: number): number => Math.min(1, Math.max(0, present(channel)));

/**
 * A color of `hsl()` or `hwb()` in sRGB. Source: CSS Color 4, 7 and 8; shares out of range are
 * clamped.
 */
function polarRgb({ colorNotation, channels }: ColorData): Rgb {
  const hue = present(channels[0]);
  const [second, third] = [held(channels[1] / 100), held(channels[2] / 100)];
  const turn = ((hue % 360) + 360) % 360;
  if (colorNotation === ColorNotation.HSL) {
    const at = (n: number): number => {
      const k = (n + turn / 30) % 12;
      return held(
        third - second * Math.min(third, 1 - third) * Math.max(-1, Math.min(k - 3, 9 - k, 1)),
      );
    };
    return [at(0), at(8), at(4)];
  }
  const [white, black] = [present(channels[1]), present(channels[2])].map((part) =>
    Math.max(0, part),
  ) as [number, number];
  if (white + black >= 100) {
    const gray = white / (white + black);
    return [gray, gray, gray];
  }
  const at = (n: number): number => {
    const k = (n + turn / 30) % 12;
    const pure = 0.5 - 0.5 * Math.max(-1, Math.min(k - 3, 9 - k, 1));
    return held(pure * (1 - second - third) + second);
  };
  return [at(0), at(8), at(4)];
}

/** OKLCH of any color; absent channels count as 0. */
function oklchOfData(data: ColorData): Oklch {
  // The newest draft gives Rec. 2020 another transfer function than browsers have: theirs counts.
  const known = data.colorNotation === ColorNotation.Rec2020 && wideOklch(writtenOut(data));
  if (known) return known;
  const [lightness = 0, chroma = 0, hue = 0] = serializeOKLCH(data)
    .toString()
    .replace(/^oklch\(/, '')
    .split(/[\s/)]+/)
    .map((part) => present(Number.parseFloat(part)));
  return { lightness, chroma, hue };
}

const rounded = (css: string): string =>
  css.replaceAll(/-?\d+\.\d{6,}(e-?\d+)?/g, (number) => String(Number(Number(number).toFixed(5))));

const writtenOut = (data: ColorData): string =>
  rounded(computedValue(data) || '').replaceAll(/\bnone\b/g, '0');

/** A color beyond sRGB as it is kept: as it was written, or in OKLCH where its space is seldom. */
function wideCss(data: ColorData, oklch: Oklch): string {
  const css = writtenOut({ ...data, alpha: 1 });
  return WIDE_SPACES.has(data.colorNotation) && css.length <= 80 ? css : oklchCss(oklch);
}

/** What the parser makes of a text that is one color; nothing where it is none. */
function dataOf(css: string): ColorData | undefined {
  try {
    const [node, ...more] = parseListOfComponentValues(tokenize({ css })).filter(
      (part) => !isWhitespaceNode(part) && !isCommentNode(part),
    );
    return (node !== undefined && more.length === 0 && colorOf(node)) || undefined;
  } catch {
    // It throws at some sums that are none, `clamp(3 / 5{%)` among them.
    return undefined;
  }
}

/** Reads any fixed color that CSS can write, as `parseColor` does, with how opaque it is. */
export function parseTransparentColor(text: string): ReadTransparent {
  const trimmed = text
    .slice(0, 10 * LONGEST)
    .trim()
    .replace(/[\s;]{1,40}$/, '');
  if (trimmed === '') return { ok: false, problem: 'Type a color, for example #b5391a.' };
  if (trimmed.length > LONGEST)
    return {
      ok: false,
      problem: `A color has at most ${LONGEST} signs; this has ${trimmed.length}.`,
    };
  const css = /^([0-9a-f]{3}|[0-9a-f]{6})$/i.test(trimmed) ? `#${trimmed}` : trimmed;
  const data = dataOf(css);
  if (!data || data.syntaxFlags.has(SyntaxFlag.Experimental))
    return { ok: false, problem: problemOf(trimmed) };
  if (typeof data.alpha !== 'number') return { ok: false, problem: problemOf(trimmed) };
  const alpha = held(data.alpha);
  const { colorNotation: notation, channels } = data;
  const plain: Rgb = [held(channels[0]), held(channels[1]), held(channels[2])];
  if (
    notation === ColorNotation.sRGB &&
    channels.every((channel, at) => present(channel) === plain[at])
  )
    return { ok: true, hex: hexOf(plain), alpha };
  const old = !data.syntaxFlags.has(SyntaxFlag.RelativeColorSyntax);
  if (old && (notation === ColorNotation.HEX || notation === ColorNotation.RGB))
    return { ok: true, hex: hexOf(plain), alpha };
  if (old && (notation === ColorNotation.HSL || notation === ColorNotation.HWB))
    return { ok: true, hex: hexOf(polarRgb(data)), alpha };
  const oklch = oklchOfData(data);
  const rgb = rgbOfOklab(oklabOfOklch(oklch));
  if (rgb.every((channel) => Math.abs(channel - held(channel)) < AT_THE_EDGE))
    return { ok: true, hex: hexOf(rgb), alpha };
  return { ok: true, hex: hexOf(toSrgb(oklch)), wide: wideCss(data, oklch), alpha };
}

/**
 * Reads any fixed, opaque color that CSS can write: names, hex with or without the number sign, every
 * function of CSS Color 4 and 5 with calc(), comments, mixes and relative colors, in upper or lower
 * case; a semicolon behind it is let go. `rgb()`, `hsl()` and `hwb()` are clamped to sRGB as CSS does,
 * an absent channel (`none`) counts as 0. Any other color that sRGB does not hold is mapped into it at
 * equal lightness and hue, and comes back as it was in `wide` beside. Anything else comes back as a
 * problem in words. Source: CSS Color 4 and 5.
 */
export function parseColor(text: string): ReadColor {
  const read = parseTransparentColor(text);
  if (!read.ok) return read;
  const { alpha, ...color } = read;
  return alpha < 1
    ? { ok: false, problem: 'A color here is opaque; leave the transparency out.' }
    : color;
}
