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
