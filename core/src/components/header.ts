import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space, ROW } from './pieces.ts';

/** The head of every page. */
export const header = component({
  id: 'header',
  name: 'Header',
  group: 'together',
  says: 'the head of every page',
  classes: [
    {
      name: 'site-header',
      says: 'the head of every page: name, navigation, one action',
      markup: `<header class="grid-frame"><div class="site-header"><a class="site-name type-h5" href="/">Name</a> <nav class="site-nav" aria-label="Site">…</nav></div></header>`,
      own: {
        ...ROW,
        'align-items': 'center',
        'justify-content': 'space-between',
        'border-block-end-style': 'solid',
      },
    },
    {
      name: 'head-action',
      says: 'the action of the header, where it goes into the navigation on narrow screens',
      markup: `<a class="quiet-button head-action" href="/book">Book</a>`,
      own: { flex: 'none' },
    },
    {
      name: 'nav-action',
      says: 'the same action in the navigation, shown on narrow screens alone',
      markup: `<a class="quiet-button nav-action" href="/book">Book</a>`,
      own: { flex: 'none' },
    },
    {
      name: 'site-name',
      says: 'the logo and the name beside it',
      markup: `<a class="site-name type-h5" href="/">Name</a>`,
      own: {
        display: 'flex',
        'align-items': 'center',
        'min-inline-size': '0',
        'text-decoration-line': 'none',
      },
    },
  ],
  parts: [
    { of: 'header', part: 'line', from: ['color.line'], property: 'border-block-end-color' },
    { of: 'header', part: 'line-width', from: ['edge.line'], property: 'border-block-end-width' },
  ],
  selectors: { header: '.site-header&' },
  variants: [
    {
      id: 'usual',
      of: 'header',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'site-header' },
          element('div', { class: 'site-name type-h5' }, 'Name'),
          element(
            'nav',
            { class: 'site-nav', 'aria-label': 'Specimen' },
            element(
              'a',
              { class: 'nav-link', href: '#to-be-written' },
              element('span', { class: 'type-label' }, 'Times'),
            ),
          ),
        ),
    },
  ],
  spaces: {
    'header.inset': space('.site-header', 'padding-block', 'inset', 'above and below the header'),
    'header.gap': space('.site-header', 'gap', 'inline', 'between name and navigation'),
  },
});
