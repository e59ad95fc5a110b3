import type { StyleDocument } from '../system/document.ts';
import type { Rule } from './derived.ts';

/**
 * A navigation that is behind a button on narrow screens, without script: the nav is a `popover`, which the browser
 * takes out of the accessibility tree and of the order of focus while it is closed. Wider, it stands in its row
 * whether it is open or not. Nothing where it stands in its row everywhere. Source: HTML, the popover attribute.
 */
export function narrowNavigationRules(
  narrow: StyleDocument['components']['narrow'],
  page: string | undefined,
  entry: string | undefined,
): readonly Rule[] {
  if (!narrow) return [];
  const wide = `@media (width >= ${narrow.below}px)`;
  const small = `@media (width < ${narrow.below}px)`;
  return [
    {
      selector: '.site-nav',
      within: wide,
      declarations: [
        ['position', 'static'],
        ['inset', 'auto'],
        ['inline-size', 'auto'],
        ['block-size', 'auto'],
        ['border-style', 'none'],
        ['background-color', 'transparent'],
        ['color', 'inherit'],
        ['overflow', 'visible'],
      ],
    },
    {
      selector: '.nav-open, .nav-close, .nav-action',
      within: wide,
      declarations: [['display', 'none']],
    },
    {
      selector: '.site-nav',
      within: small,
      declarations: [
        // What the browser says of a popover: nothing while it is closed.
        ['display', 'revert'],
        ['inset', '0'],
        ['inline-size', 'auto'],
        ['block-size', 'auto'],
        ['border-style', 'none'],
        ['padding', '1.5rem'],
        ['opacity', '0'],
        ...(page === undefined ? [] : [['background-color', `var(--color-${page})`] as const]),
      ],
    },
    {
      selector: '.site-nav:popover-open',
      within: small,
      declarations: [
        ['display', 'grid'],
        ['opacity', '1'],
        ['justify-items', 'start'],
        ['align-content', 'start'],
      ],
    },
    {
      selector: '.site-nav:popover-open',
      within: '@starting-style',
      declarations: [['opacity', '0']],
    },
    // The head stays one row: a long name breaks within itself.
    { selector: '.site-header', within: small, declarations: [['flex-wrap', 'nowrap']] },
    { selector: '.site-nav > .nav-link', within: small, declarations: [['display', 'flex']] },
    { selector: '.nav-group', within: small, declarations: [['align-items', 'flex-start']] },
    {
      selector: '.site-nav > .nav-link, .nav-group > .nav-link',
      within: small,
      declarations: [
        ...(entry === undefined ? [] : [['font-size', `var(--type-${entry}-size)`] as const]),
      ],
    },
    // Words with a class of their own are as large as the entry that they stand in.
    {
      selector: '.site-nav > .nav-link > [class], .nav-group > .nav-link > [class]',
      within: small,
      declarations: [['font-size', 'inherit']],
    },
    {
      selector: '.nav-panel',
      within: small,
      declarations: [
        ['position', 'static'],
        ['border-style', 'none'],
        ['background-color', 'transparent'],
        ['box-shadow', 'none'],
      ],
    },
    ...(narrow.action === 'inside'
      ? [{ selector: '.head-action', within: small, declarations: [['display', 'none'] as const] }]
      : []),
  ];
}
