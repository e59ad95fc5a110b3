import { differenceOf } from '../color/difference.ts';
import { parseTransparentColor } from '../color/parse-color.ts';
import type { Hex } from '../color/srgb.ts';
import { pxOn } from './lengths.ts';
import type { ValueKind } from './values.ts';

/** A value in a form that can be compared, as it is on each of some screens. */
export type Measured =
  | { readonly kind: 'color'; readonly hex: Hex; readonly alpha: number }
  | { readonly kind: 'length'; readonly px: readonly number[] }
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'curve'; readonly points: readonly number[] }
  | { readonly kind: 'face'; readonly family: string }
  | { readonly kind: 'shadow'; readonly layers: readonly Layer[] };

interface Layer {
  readonly px: readonly number[];
  readonly color: Measured & { readonly kind: 'color' };
  readonly isInset: boolean;
}

/** Screens that lengths are compared on: from the narrowest to the widest of a system. */
export interface Compared {
  readonly widthsPx: readonly number[];
  /** What a rem is, in px; 16 where absent. */
  readonly rootPx?: number;
}

const HEIGHT_PX = 900;
const ROOT_PX = 16;

/** Weights by their words. Source: CSS Fonts 4, 2.4. */
const WEIGHTS: Readonly<Record<string, number>> = { normal: 400, bold: 700 };

/** The curves of the words for easing. Source: CSS Easing 2, 2.2.2. */
const CURVES: Readonly<Record<string, readonly number[]>> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
};

const NUMBER = /^[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?$/i;

function colorOf(text: string): (Measured & { readonly kind: 'color' }) | undefined {
  const read = parseTransparentColor(text);
  // Transparency is told in a byte by browsers; what differs by less is one color.
  return read.ok
    ? { kind: 'color', hex: read.hex, alpha: Math.round(read.alpha * 255) / 255 }
    : undefined;
}

function lengthOf(text: string, { widthsPx, rootPx = ROOT_PX }: Compared): Measured | undefined {
  const px = widthsPx.map((widthPx) => pxOn(text, { widthPx, heightPx: HEIGHT_PX, rootPx }));
  return px.some((one) => one === undefined) ? undefined : { kind: 'length', px: px as number[] };
}

/** Parts of a list outside of parentheses. */
function apart(text: string, by: RegExp): readonly string[] {
  const parts: string[] = [];
  let [depth, part] = [0, ''];
  for (const sign of text) {
    if (sign === '(') depth += 1;
    if (sign === ')') depth -= 1;
    if (depth === 0 && by.test(sign)) {
      if (part !== '') parts.push(part);
      part = '';
    } else part += sign;
  }
  return part === '' ? parts : [...parts, part];
}

/** A layer of a shadow. Source: CSS Backgrounds 3, box-shadow. */
function layerOf(text: string, compared: Compared): Layer | undefined {
  const words = apart(text.trim(), /\s/);
  const isInset = words.some((word) => word.toLowerCase() === 'inset');
  const lengths: number[] = [];
  let color: Layer['color'] | undefined;
  for (const word of words.filter((one) => one.toLowerCase() !== 'inset')) {
    const length = lengthOf(word, compared);
    if (length?.kind === 'length') lengths.push(length.px[0] ?? 0);
    else if (color) return undefined;
    else color = colorOf(word);
  }
  if (lengths.length < 2 || lengths.length > 4 || !color) return undefined;
  return { px: [...lengths, 0, 0].slice(0, 4), color, isInset };
}

function shadowOf(text: string, compared: Compared): Measured | undefined {
  const layers = apart(text, /,/).map((layer) => layerOf(layer, compared));
  return layers.length === 0 || layers.some((layer) => !layer)
    ? undefined
    : { kind: 'shadow', layers: layers as Layer[] };
}

function timeOf(text: string): Measured | undefined {
  const found = /^([-+]?(?:\d+\.?\d*|\.\d+))(m?s)$/i.exec(text);
  return found
    ? { kind: 'number', value: Number(found[1]) * (found[2]?.toLowerCase() === 's' ? 1000 : 1) }
    : undefined;
}

function curveOf(text: string): Measured | undefined {
  const word = text.toLowerCase();
  if (Object.hasOwn(CURVES, word)) return { kind: 'curve', points: CURVES[word] ?? [] };
  const points = /^cubic-bezier\(([^()]*)\)$/i.exec(text)?.[1]?.split(',').map(Number);
  return points?.length === 4 && points.every(Number.isFinite)
    ? { kind: 'curve', points }
    : undefined;
}

const numberOf = (text: string): Measured | undefined =>
  NUMBER.test(text) ? { kind: 'number', value: Number(text) } : undefined;

/** Line heights as a number, or letter spacing in em: what follows the size of its text. */
function shareOf(text: string, unit: 'em' | ''): Measured | undefined {
  const found = /^([-+]?(?:\d+\.?\d*|\.\d+))(em|%)?$/i.exec(text);
  if (!found) return undefined;
  const [, number, own = ''] = found;
  if (own === '%') return { kind: 'number', value: Number(number) / 100 };
  return own.toLowerCase() === unit || (unit === '' && own === '')
    ? { kind: 'number', value: Number(number) }
    : undefined;
}

/**
 * A value in a form that can be compared.
 * @returns nothing where it hangs on what is not known without a page: the text around it, a share of something
 */
export function measured(kind: ValueKind, text: string, compared: Compared): Measured | undefined {
  const value = text.trim();
  switch (kind) {
    case 'color':
      return colorOf(value);
    case 'face': {
      const family = apart(value, /,/)[0]
        ?.trim()
        .replaceAll(/^["']|["']$/g, '');
      return family ? { kind: 'face', family: family.toLowerCase() } : undefined;
    }
    case 'weight':
      return Object.hasOwn(WEIGHTS, value.toLowerCase())
        ? { kind: 'number', value: WEIGHTS[value.toLowerCase()] ?? 400 }
        : numberOf(value);
    case 'line height':
      return shareOf(value, '');
    case 'letter spacing':
      return shareOf(value, 'em');
    case 'duration':
      return timeOf(value);
    case 'easing':
      return curveOf(value);
    case 'shadow':
      return shadowOf(value, compared);
    case 'space': {
      // What is pulled back is as long as what is pushed away.
      const length = lengthOf(value, compared);
      return length?.kind === 'length' ? { ...length, px: length.px.map(Math.abs) } : length;
    }
    case 'size':
    case 'corner':
    case 'edge':
      return lengthOf(value, compared);
  }
}

/** How far two values are from each other, and whether nobody would tell them apart, or hardly. */
export interface Distance {
  /** 0 for the same; 1 where they are as far apart as what is still near. */
  readonly far: number;
  /** In words: `1 px`, `ΔE 1.3`. */
  readonly words: string;
}

/**
 * What is still near; common practice. A color: CIEDE2000 of 3, where 1 is just seen. A length: a pixel, of short ones a
 * fifth, of long ones 5 %. A weight: 50. A share of the size (line height): 0.06; letter spacing: 0.006 em.
 */
const NEAR = {
  color: 3,
  alpha: 0.05,
  px: 1,
  short: 0.2,
  long: 0.05,
  weight: 50,
  lines: 0.06,
  letters: 0.006,
  ms: 30,
  curve: 0.1,
};
/** What rounding makes: lengths of a sheet have four decimals of rem. */
const SAME_PX = 0.02;

const words = (value: number, unit: string): string =>
  `${Number(value.toFixed(value < 1 ? 3 : 2))}${unit}`;

function lengthsApart(one: readonly number[], other: readonly number[]): Distance {
  const off = one.map((px, at) => Math.abs(px - (other[at] ?? Number.NaN)));
  const most = Math.max(...off);
  if (most <= SAME_PX) return { far: 0, words: '' };
  const far = Math.max(
    ...off.map((px, at) => {
      const long = Math.abs(other[at] ?? 0);
      return px / Math.max(Math.min(NEAR.px, NEAR.short * long), NEAR.long * long, SAME_PX);
    }),
  );
  return { far, words: words(most, ' px') };
}

function colorsApart(
  one: Measured & { kind: 'color' },
  other: Measured & { kind: 'color' },
): Distance {
  const alpha = Math.abs(one.alpha - other.alpha);
  if (one.hex === other.hex && alpha < 1 / 255) return { far: 0, words: '' };
  const difference = one.hex === other.hex ? 0 : differenceOf(one.hex, other.hex);
  return {
    far: Math.max(difference / NEAR.color, alpha / NEAR.alpha, 1e-6),
    words: [
      ...(difference > 0 ? [`ΔE ${words(difference, '')}`] : []),
      ...(alpha >= 1 / 255 ? [`${Math.round(alpha * 100)} % transparency`] : []),
    ].join(', '),
  };
}

const NUMBERS: Readonly<Partial<Record<ValueKind, readonly [near: number, unit: string]>>> = {
  weight: [NEAR.weight, ''],
  'line height': [NEAR.lines, ''],
  'letter spacing': [NEAR.letters, ' em'],
  duration: [NEAR.ms, ' ms'],
};

/** How far a value is from another of its kind; nothing where the two cannot be compared. */
export function distanceOf(kind: ValueKind, one: Measured, other: Measured): Distance | undefined {
  if (one.kind === 'color' && other.kind === 'color') return colorsApart(one, other);
  if (one.kind === 'length' && other.kind === 'length') return lengthsApart(one.px, other.px);
  if (one.kind === 'face' && other.kind === 'face')
    return one.family === other.family ? { far: 0, words: '' } : undefined;
  if (one.kind === 'number' && other.kind === 'number') {
    const [near, unit] = NUMBERS[kind] ?? [1, ''];
    const off = Math.abs(one.value - other.value);
    return off < 1e-4 ? { far: 0, words: '' } : { far: off / near, words: words(off, unit) };
  }
  if (one.kind === 'curve' && other.kind === 'curve') {
    const off = Math.max(
      ...one.points.map((point, at) => Math.abs(point - (other.points[at] ?? 0))),
    );
    return off < 1e-4 ? { far: 0, words: '' } : { far: off / NEAR.curve, words: words(off, '') };
  }
  if (one.kind !== 'shadow' || other.kind !== 'shadow') return undefined;
  if (one.layers.length !== other.layers.length) return undefined;
  const all = one.layers.map((layer, at): Distance | undefined => {
    const partner = other.layers[at];
    if (!partner || partner.isInset !== layer.isInset) return undefined;
    const color = colorsApart(layer.color, partner.color);
    const lengths = lengthsApart(layer.px, partner.px);
    return color.far > lengths.far ? color : lengths;
  });
  return all.reduce<Distance | undefined>(
    (most, each) => (!most || !each ? undefined : each.far > most.far ? each : most),
    { far: 0, words: '' },
  );
}
