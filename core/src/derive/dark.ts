import type { Rule } from './derived.ts';

/** The same declarations wherever the dark theme stands: by preference, and by attribute. */
export const inDark = (selector: string, declarations: Rule['declarations']): readonly Rule[] => [
  {
    selector: `:root:not([data-theme="light"]) ${selector}`.trim(),
    within: '@media (prefers-color-scheme: dark)',
    declarations,
  },
  { selector: `:root[data-theme="dark"] ${selector}`.trim(), declarations },
];
