import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { LINK, space, ROW } from './pieces.ts';

/** A line that stays clear of the words. */
const CLEAR = { 'text-underline-offset': '0.3em' } as const;

/** The way to every page. */
export const navigation = component({
  id: 'navigation',
  name: 'Navigation',
  group: 'ways',
  says: 'the way to every page',
  classes: [
    {
      name: 'site-nav',
      says: 'the links of the navigation in a row',
      markup: `<nav class="site-nav" aria-label="Site"><a class="nav-link" href="/times">Times</a></nav>`,
      own: { ...ROW, margin: '0', padding: '0', 'list-style': 'none' },
    },
    {
      name: 'nav-link',
      says: 'a link of the navigation',
      markup: `<a class="nav-link" href="/times">Times</a>`,
      text: 'label',
      own: LINK,
      inside: { '& > .icon': { 'margin-inline-end': '0.4em' } },
    },
    {
      name: 'nav-open',
      says: 'what opens the navigation where it is behind a button',
      markup: `<button class="quiet-button nav-open" type="button" popovertarget="site-nav">Menu</button>`,
      own: { flex: 'none' },
    },
    {
      name: 'nav-close',
      says: 'what closes it again, first in the navigation',
      markup: `<nav class="site-nav" id="site-nav" popover><button class="quiet-button nav-close" type="button" popovertarget="site-nav">Close</button>…</nav>`,
      own: { 'align-self': 'flex-start' },
    },
    {
      name: 'nav-group',
      says: 'a link of the navigation with those under it',
      markup: `<div class="nav-group"><a class="nav-link" href="/times">Times</a><ul class="footer-links">…</ul></div>`,
      own: { display: 'grid', 'align-content': 'start' },
    },
  ],
  fixed: [
    {
      of: 'nav-link',
      state: 'hover',
      declarations: { 'text-decoration-line': 'underline', ...CLEAR },
    },
    {
      of: 'nav-link',
      state: 'pressed',
      declarations: {
        'text-decoration-line': 'underline',
        'text-decoration-thickness': '0.25em',
        ...CLEAR,
      },
    },
    {
      of: 'nav-link',
      state: 'current',
      declarations: {
        'text-decoration-line': 'underline',
        'text-decoration-thickness': '0.14em',
        ...CLEAR,
      },
    },
  ],
  parts: [
    {
      of: 'nav-link',
      part: 'line-current',
      property: 'text-decoration-color',
      from: ['color.action-edge', 'color.action'],
      state: 'current',
    },
  ],
  variants: [
    {
      id: 'wide',
      of: 'nav-link',
      name: 'in a row',
      states: ['hover', 'pressed', 'focus', 'current'],
      specimen: (state) =>
        element(
          'a',
          { class: 'nav-link', href: '#to-be-written', ...state },
          element('span', { class: 'type-label' }, 'Times'),
        ),
    },
    {
      id: 'foot',
      of: 'footer-link',
      name: 'in the foot',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'a',
          { class: 'footer-link', href: '#to-be-written', ...state },
          element('span', { class: 'type-small' }, 'Times'),
        ),
    },
  ],
  spaces: {
    'nav.gap': space('.site-nav', 'gap', 'inline', 'between links of the navigation'),
    'nav-link.target': space(
      '.nav-link',
      'min-block-size',
      'target',
      'height of a navigation link',
    ),
  },
});
