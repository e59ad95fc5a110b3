import { modesOf, type Themes } from '../system/themes.ts';
import {
  contrastRatio,
  isLargeText,
  ratioOfLuminances,
  relativeLuminance,
} from '../color/contrast.ts';
import { wideLuminance } from '../color/wide.ts';
import { partSelector } from '../derive/color/color.ts';
import type { Derived, DerivedColorRole, Need } from '../derive/derived.ts';
import { FAMILIES } from '../system/families.ts';
import { type Mode } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';

/** A need as judged in one mode: its ratio, and whether that is enough. */
export interface Judged {
  readonly need: Need;
  readonly mode: Mode;
  /** Of the emitted 8-bit colors. */
  readonly ratio: number;
  /** On screens with a wide gamut, where one of the two is beyond sRGB. */
  readonly wideRatio?: number;
  readonly needed: number;
  readonly passes: boolean;
  /** The sizes of the text over all widths, in px: a fluid text is judged by its smallest. */
  readonly fromPx?: number;
  readonly toPx?: number;
  readonly large: boolean;
}

const luminanceIn = ({ painted }: DerivedColorRole, mode: Mode): number => {
  const { hex, wide } = painted[mode];
  return (wide === undefined ? undefined : wideLuminance(wide)) ?? relativeLuminance(hex);
};

function wideRatio({ color, on }: Need, mode: Mode): number | undefined {
  if (color.painted[mode].wide === undefined && on.painted[mode].wide === undefined)
    return undefined;
  return ratioOfLuminances(luminanceIn(color, mode), luminanceIn(on, mode));
}

/** Judges the emitted colors of a need, and beside them those of wide-gamut screens. */
export function judge(need: Need, mode: Mode): Judged {
  const { style, color, on, needed } = need;
  const ratio = contrastRatio(color.colors[mode], on.colors[mode]);
  const wide = wideRatio(need, mode);
  return {
    need,
    mode,
    ratio,
    needed,
    passes: ratio >= needed && (wide ?? ratio) >= needed,
    ...(wide !== undefined && { wideRatio: wide }),
    ...(style && {
      fromPx: style.size.minRem * ROOT_PX,
      toPx: style.size.maxRem * ROOT_PX,
    }),
    large: style !== undefined && isLargeText(style.size.minRem * ROOT_PX, style.weight),
  };
}

/** What was judged of the same needs; they stay themselves while no color and no size changes. */
const known = new WeakMap<Derived['needs'], Map<Themes, readonly Judged[]>>();

/** Every need in every theme of the site. */
export function judgedAll({ needs, themes }: Pick<Derived, 'needs' | 'themes'>): readonly Judged[] {
  const byThemes = known.get(needs) ?? new Map<Themes, readonly Judged[]>();
  known.set(needs, byThemes);
  const found =
    byThemes.get(themes) ??
    needs.flatMap((need) => modesOf(themes).map((mode) => judge(need, mode)));
  byThemes.set(themes, found);
  return found;
}

/** Two decimals, cut and never rounded up: a ratio of 4.499 is not 4.5. */
export const ratioText = (ratio: number): string => (Math.floor(ratio * 100) / 100).toFixed(2);

const px = (value: number): string => String(Number(value.toFixed(1)));

export const sizesText = ({ fromPx, toPx }: Pick<Judged, 'fromPx' | 'toPx'>): string => {
  if (fromPx === undefined || toPx === undefined) return '';
  return px(fromPx) === px(toPx) ? `${px(fromPx)} px` : `${px(fromPx)} to ${px(toPx)} px`;
};

/** The rule of the proof that shows a need. */
export function selectorOf({ style, part, on, color, decided, of }: Need): string {
  if (of !== undefined) return `.${of}`;
  if (decided && style && part) return `.on-${on.slug} ${partSelector(part, style)}`;
  const family = FAMILIES.find((id) => on.id.startsWith(id) || color.id.startsWith(id));
  if (family !== undefined) return on.id.endsWith('-wash') ? `.wash-${family}` : `.fill-${family}`;
  return color.id === 'line-strong' ? '.field' : `.on-${on.slug}`;
}

/** What a need is called, with its colors. */
export function titleOf({ kind, what, color, on, part }: Need): string {
  if (kind === 'beside') return `${color.name} ${what}`;
  if (kind === 'part') return `${what} in ${color.name} on ${on.name}`;
  return part === 'link'
    ? `${color.name} in ${what.replace(/^link in /, '')} on ${on.name}`
    : `${what} in ${color.name} on ${on.name}`;
}
