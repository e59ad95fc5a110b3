import { ROOT_PX } from '../type/fluid.ts';

export const SHRINKING_FORMS = ['min', 'max', 'clamp'] as const;
export const FIXED_UNITS = ['em', 'rem', 'px'] as const;

export interface FixedLength {
  readonly value: number;
  readonly unit: (typeof FIXED_UNITS)[number];
}

/**
 * A length that is held between a fixed one and a share of its container: the smaller of the two
 * (`min`), the larger (`max`), or the share held between two fixed lengths (`clamp`).
 */
export interface Shrinking {
  readonly form: (typeof SHRINKING_FORMS)[number];
  readonly fixed: FixedLength;
  /** Per cent of the container's inline size. */
  readonly share: number;
  /** The lower end of `clamp`. */
  readonly least?: FixedLength | undefined;
}

/** The font size of the element and of the root, in px. */
export interface FontSizes {
  readonly fontPx: number;
  readonly rootPx: number;
}

const USUAL: FontSizes = { fontPx: ROOT_PX, rootPx: ROOT_PX };

export const fixedPx = (
  { value, unit }: FixedLength,
  { fontPx, rootPx }: FontSizes = USUAL,
): number => value * { em: fontPx, rem: rootPx, px: 1 }[unit];

const bounds = ({ form, fixed, least }: Shrinking, sizes: FontSizes): [number, number] => {
  const px = fixedPx(fixed, sizes);
  if (form === 'min') return [-Infinity, px];
  if (form === 'max') return [px, Infinity];
  // CSS Values 4, clamp(): where the bounds cross, the lower one wins.
  const low = least ? fixedPx(least, sizes) : 0;
  return [low, Math.max(low, px)];
};

/** What it is in a container of a width, in px. Source: CSS Values 4, min(), max(), clamp(). */
export function shrinkingPx(
  length: Shrinking,
  containerPx: number,
  sizes: FontSizes = USUAL,
): number {
  const [low, high] = bounds(length, sizes);
  return Math.max(low, Math.min((length.share / 100) * containerPx, high));
}

/**
 * The widths of the container in px at which another part begins to rule, ascending: one for `min`
 * and `max`, two for `clamp` (fewer where a bound is never reached).
 */
export function swapWidths(length: Shrinking, sizes: FontSizes = USUAL): readonly number[] {
  if (!(length.share > 0)) return [];
  return [...new Set(bounds(length, sizes))]
    .filter((px) => Number.isFinite(px) && px > 0)
    .map((px) => (px * 100) / length.share);
}

const lengthCss = ({ value, unit }: FixedLength): string => `${Number(value.toFixed(4))}${unit}`;

/** As CSS writes it: `min(5em, 8%)`. */
export function shrinkingCss({ form, fixed, share, least }: Shrinking): string {
  const part = `${Number(share.toFixed(4))}%`;
  return form === 'clamp'
    ? `clamp(${lengthCss(least ?? { value: 0, unit: 'px' })}, ${part}, ${lengthCss(fixed)})`
    : `${form}(${lengthCss(fixed)}, ${part})`;
}
