import type { SheetPlace } from './read-sheet.ts';

/** Where the dark theme is declared: by the reader’s preference, or by an attribute or a class on the root. Common practice. */
export const DARK_MEDIA = /prefers-color-scheme\s*:\s*dark/i;
export const DARK_ROOT =
  /^(?:html|:root|body|\*|)?(?:\[data-[\w-]*(?:theme|mode|scheme)[\w-]*~?=["']?dark["']?\]|\.(?:theme-)?dark(?:-(?:theme|mode))?)$/i;
/** And where the usual one is; a light one by attribute says the same in sheets that have both. */
export const USUAL_ROOT =
  /^(?::root|html|body|:host|\*|(?:html|:root)?(?:\[data-[\w-]*(?:theme|mode|scheme)[\w-]*~?=["']?light["']?\]|\.(?:theme-)?light(?:-(?:theme|mode))?)|:root:not\(\[data-[^\]]+\]\))$/i;

const DARK_AROUND =
  /^(?:html|:root|body)?(?:\[data-[\w-]*(?:theme|mode|scheme)[\w-]*~?=["']?dark["']?\]|\.(?:theme-)?dark(?:-(?:theme|mode))?)[\s>]/i;

/** Whether a place of a sheet is for the dark theme. */
export const isDark = ({ selector, within }: Pick<SheetPlace, 'selector' | 'within'>): boolean =>
  within.some((one) => /^@media/i.test(one) && DARK_MEDIA.test(one)) ||
  DARK_ROOT.test(selector.trim()) ||
  DARK_AROUND.test(selector.trim());

/** Whether what is said there holds for the whole page. */
export const isOfRoot = ({ selector }: Pick<SheetPlace, 'selector'>): boolean =>
  selector.split(',').some((one) => USUAL_ROOT.test(one.trim()) || DARK_ROOT.test(one.trim()));

const HTML = /^(?:html|:root)$/i;

/**
 * The size of the root’s text that some sheets say, in px at the usual size of a browser: what a rem is there. Source:
 * CSS Values 4, 6.1.1. Nothing where they say none, or one that grows with the screen.
 */
export function rootPxOf(
  sheets: readonly { readonly declarations: readonly RootSize[] }[],
): number | undefined {
  const said = sheets
    .flatMap(({ declarations }) => declarations)
    .findLast(
      ({ property, selector, within }) =>
        property === 'font-size' &&
        within.every((one) => !/^@(?:media|container)/i.test(one)) &&
        selector.split(',').some((one) => HTML.test(one.trim())),
    );
  const [, number, unit] = /^([\d.]+)(px|%|r?em)$/i.exec(said?.value.trim() ?? '') ?? [];
  if (number === undefined || unit === undefined) return undefined;
  const px = unit === '%' ? (Number(number) / 100) * 16 : Number(number) * (unit === 'px' ? 1 : 16);
  return px > 0 ? px : undefined;
}

type RootSize = SheetPlace & { readonly property: string; readonly value: string };
