import type { Mode, StyleDocument } from './document.ts';

/** Which themes a site has, and which one is shown where nothing is said. */
export const THEMES = ['light and dark', 'light only', 'dark only', 'dark first'] as const;
export type Themes = (typeof THEMES)[number];

/** What each choice means, in words. */
export const THEMES_SAY: Readonly<Record<Themes, string>> = {
  'light and dark': 'as the reader prefers, or as data-theme says',
  'light only': 'one theme, whatever the reader prefers',
  'dark only': 'one theme, whatever the reader prefers',
  'dark first': 'dark; light where data-theme asks for it',
};

/** The themes of a site. */
export const themesOf = ({ color }: Pick<StyleDocument, 'color'>): Themes =>
  color.themes ?? 'light and dark';

const BOTH = ['light', 'dark'] as const;
const MODES_OF: Readonly<Record<Themes, readonly [Mode, ...Mode[]]>> = {
  'light and dark': BOTH,
  'light only': ['light'],
  'dark only': ['dark'],
  'dark first': ['dark', 'light'],
};

/** The modes that a site is shown in; the first is the one that stands where no other is asked for. */
export const modesOf = (themes: Themes): readonly [Mode, ...Mode[]] => MODES_OF[themes];
