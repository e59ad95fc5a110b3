import type { Mode } from '../system/document.ts';
import { modesOf, type Themes } from '../system/themes.ts';
import type { Rule } from './derived.ts';

const NOT_LIGHT = ':root:not([data-theme="light"])';
const PREFERS_DARK = '@media (prefers-color-scheme: dark)';

/** Where a theme stands that is not the first one: at a selector of the root, in an at-rule. */
export interface ThemePlace {
  readonly root: string;
  readonly within?: string;
}

/**
 * Where the second theme of a site stands: dark by the reader’s preference and by attribute, or light by attribute
 * alone where dark comes first. Nowhere where there is one theme.
 */
export const placesOfSecond = (themes: Themes): readonly ThemePlace[] => {
  const [, second] = modesOf(themes);
  if (second === undefined) return [];
  const chosen = { root: `:root[data-theme="${second}"]` };
  return themes === 'light and dark'
    ? [{ root: NOT_LIGHT, within: PREFERS_DARK }, chosen]
    : [chosen];
};

/** Declarations for each theme of a site: those of the first plainly, those of the second where it stands. */
export const byTheme = (
  themes: Themes,
  selector: string,
  declarations: (mode: Mode) => Rule['declarations'],
): readonly Rule[] => {
  const [first, second] = modesOf(themes);
  const plain = declarations(first);
  const other = second === undefined ? [] : declarations(second);
  return [
    ...(plain.length > 0 ? [{ selector, declarations: plain }] : []),
    ...(other.length > 0
      ? placesOfSecond(themes).map(({ root, within }) => ({
          selector: `${root} ${selector}`.trim(),
          ...(within !== undefined && { within }),
          declarations: other,
        }))
      : []),
  ];
};
