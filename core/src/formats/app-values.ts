import { parseTransparentColor } from '../color/parse-color.ts';
import type { Mode } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { PlainToken } from './plain-tokens.ts';

/** A value as applications take it, which know no style sheets. */
export type AppValue =
  | { readonly kind: 'color'; readonly rgb: string; readonly alpha: string }
  /** In the unit that does not depend on the screen; as large as a CSS px. */
  | {
      readonly kind: 'length';
      readonly px: number;
      readonly isText: boolean;
      readonly told?: string;
    }
  /** A multiple of the size of the text. */
  | { readonly kind: 'em'; readonly value: number }
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'duration'; readonly ms: number }
  | { readonly kind: 'text'; readonly value: string };

const LENGTH = /^(-?[\d.]+)(px|rem)$/;
const TIME = /^([\d.]+)(ms|s)$/;

const round = (value: number): number => Number(value.toFixed(4));

const byte = (share: number): string =>
  Math.round(share * 255)
    .toString(16)
    .padStart(2, '0')
    .toUpperCase();

const isText = ({ path }: PlainToken): boolean => path[0] === 'scale' || path.at(-1) === 'size';

const inPx = (length: string): number => {
  const [, number = '', unit] = LENGTH.exec(length) ?? [];
  return number === '' ? NaN : Number(number) * (unit === 'rem' ? ROOT_PX : 1);
};

/** A length that flows, at its smallest: its fixed part, and the least of each part that flows. */
function smallestPx(css: string): number | undefined {
  const sum = /^calc\(([^*/]*)\)$/.exec(css)?.[1] ?? css;
  const least = sum.replaceAll(/clamp\((-?[\d.]+(?:px|rem)), [^()]*\)/g, '$1');
  const px = least.split(' + ').reduce((all, part) => all + inPx(part.trim()), 0);
  return Number.isFinite(px) ? px : undefined;
}

/** What the open format says of a length that CSS computes in another way: the nearest that stands still. */
function stillPx({ values }: PlainToken, mode: Mode): number | undefined {
  const { json } = values[mode];
  if (typeof json !== 'object' || json === null || !('value' in json) || !('unit' in json))
    return undefined;
  const { value, unit } = json;
  if (typeof value !== 'number') return undefined;
  return unit === 'px' ? value : unit === 'rem' ? value * ROOT_PX : undefined;
}

/**
 * A token in a theme as an application takes it; undefined where it has no such value (shadows, gradients, curves).
 * A length that flows with the width of a page stands still at its smallest, and says so in `told`.
 */
export function appValue(token: PlainToken, mode: Mode): AppValue | undefined {
  const { css, json } = token.values[mode];
  switch (token.type) {
    case 'color': {
      const read = parseTransparentColor(css);
      return read.ok
        ? { kind: 'color', rgb: read.hex.slice(1).toUpperCase(), alpha: byte(read.alpha) }
        : undefined;
    }
    case 'dimension': {
      const [, length, unit] = LENGTH.exec(css) ?? [];
      if (length !== undefined) {
        const px = round(Number(length) * (unit === 'rem' ? ROOT_PX : 1));
        return { kind: 'length', px, isText: isText(token) };
      }
      const em = /^(-?[\d.]+)em$/.exec(css)?.[1];
      if (em !== undefined) return { kind: 'em', value: Number(em) };
      const px = smallestPx(css) ?? stillPx(token, mode);
      return px === undefined
        ? undefined
        : { kind: 'length', px: round(px), isText: isText(token), told: css };
    }
    case 'number':
    case 'fontWeight':
      return typeof json === 'number' ? { kind: 'number', value: json } : undefined;
    case 'duration': {
      const [, time, unit] = TIME.exec(css) ?? [];
      return time === undefined
        ? undefined
        : { kind: 'duration', ms: round(Number(time) * (unit === 's' ? 1000 : 1)) };
    }
    case 'fontFamily': {
      const first = Array.isArray(json) ? (json as readonly unknown[])[0] : json;
      return typeof first === 'string' ? { kind: 'text', value: first } : undefined;
    }
    default:
      return undefined;
  }
}

/** Tokens that have no value in an application, by their type: told in the file. */
export const untold = (tokens: readonly PlainToken[], mode: Mode): readonly string[] =>
  tokens
    .filter((token) => appValue(token, mode) === undefined)
    .map(({ id, type }) => `${id} (${type})`);
