import type { Screen } from './lengths.ts';
import { inCascade, inFullCascade } from './cascade.ts';
import type { ReadDeclaration, ReadSheet } from './read-sheet.ts';
import { isDark, isOfRoot, rootPxOf } from './theme-of.ts';
import { filling } from './variables.ts';

const USUAL_ROOT_PX = 16;
export const WIDE: Screen = { widthPx: 1440, heightPx: 900, rootPx: 16 };
export const NARROW: Screen = { widthPx: 360, heightPx: 780, rootPx: 16 };

/** A declaration with its custom properties filled in, on the usual screen and in the usual theme. */
export interface Said extends ReadDeclaration {
  readonly isNarrow: boolean;
}

/** Whether what stands in some at-rules holds on a screen; what is asked of anything but its width holds. */
export function holdsOn(within: readonly string[], { widthPx, rootPx }: Screen): boolean {
  return within.every((one) => {
    // What asks whether something is not there is for browsers of old.
    if (/^@media\s+print|^@supports\s+not\b/i.test(one)) return false;
    if (!/^@media/i.test(one)) return true;
    const bounds = [
      ...one.matchAll(/\((min|max)-width\s*:\s*([\d.]+)(px|r?em)\)/gi),
    ] as unknown as readonly [string, string, string, string][];
    const ranges = [
      ...one.matchAll(/\(width\s*([<>])=?\s*([\d.]+)(px|r?em)\)/gi),
    ] as unknown as readonly [string, string, string, string][];
    const px = (number: string, unit: string): number =>
      Number(number) * (unit.toLowerCase() === 'px' ? 1 : rootPx);
    return (
      bounds.every(([, bound, number, unit]) =>
        bound.toLowerCase() === 'min' ? widthPx >= px(number, unit) : widthPx <= px(number, unit),
      ) &&
      ranges.every(([, sign, number, unit]) =>
        sign === '>' ? widthPx >= px(number, unit) : widthPx <= px(number, unit),
      )
    );
  });
}

/** Everything that the sheets say in the usual theme, with custom properties filled in. */
export function saidIn(sheets: readonly ReadSheet[]): readonly Said[] {
  const all = inCascade(sheets).filter((one) => !isDark(one));
  const ofRoot = new Map<string, string>();
  const own = all.filter(({ property }) => property.startsWith('--'));
  for (const one of own)
    if (!isOfRoot(one) && !ofRoot.has(one.property)) ofRoot.set(one.property, one.value);
  for (const one of inFullCascade(own.filter(isOfRoot), sheets))
    ofRoot.set(one.property, one.value);
  const filled = filling((name) => ofRoot.get(name));
  const rootPx = rootPxOf(sheets) ?? USUAL_ROOT_PX;
  /** A value as if the root had the usual size: what a rem is there, and what an em of the page itself is. */
  const atUsualRoot = ({ selector, property }: ReadDeclaration, value: string): string => {
    const times = rootPx / USUAL_ROOT_PX;
    const rooted =
      times === 1 || !/rem/i.test(value)
        ? value
        : value.replaceAll(
            /(?<![\w#.-])((?:\d+\.?\d*|\.\d+))rem(?![\w-])/gi,
            (_, number: string) => `${round(Number(number) * times, 6)}rem`,
          );
    const ofPage = /^([\d.]+)(em|%)$/i.exec(rooted.trim());
    // On the page itself an em, and a share, are of the root.
    return property === 'font-size' && ofPage && /^body$/i.test(selector.trim())
      ? `${round(Number(ofPage[1]) * rootPx * (ofPage[2] === '%' ? 0.01 : 1), 4)}px`
      : rooted;
  };
  return all
    .filter(({ property }) => !property.startsWith('--'))
    .flatMap((one) => {
      const full = filled(one.value);
      if (full === undefined) return [];
      const value = atUsualRoot(one, full);
      const isWide = holdsOn(one.within, WIDE);
      const isNarrow = holdsOn(one.within, NARROW);
      return isWide || isNarrow ? [{ ...one, value, isNarrow: !isWide }] : [];
    });
}

export const round = (value: number, digits: number): number => Number(value.toFixed(digits));
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Values with how often each stands, the most frequent first. */
export function counted<Value>(values: readonly Value[]): readonly (readonly [Value, number])[] {
  const counts = new Map<Value, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].toSorted(([, one], [, other]) => other - one);
}

/** The value that stands most often among some, and how often. */
export const mostOften = <Value>(values: readonly Value[]): readonly [Value, number] | undefined =>
  counted(values)[0];
