import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { BESIDE_WORDS, FADING, LINK, ROW, sign, space } from './pieces.ts';

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
      own: { ...ROW, ...FADING, margin: '0', padding: '0', 'list-style': 'none' },
    },
    {
      name: 'nav-link',
      groundless: {},
      says: 'a link of the navigation',
      markup: `<a class="nav-link" href="/times">Times</a>`,
      text: 'label',
      own: LINK,
      inside: { '& > .icon': { ...BESIDE_WORDS, 'margin-inline-end': 'var(--icon-gap)' } },
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
      markup: `<div class="nav-group"><a class="nav-link" href="/times">Times</a><details class="nav-fold" name="site-nav"><summary class="nav-sign" aria-label="Times"><span class="icon icon-open" aria-hidden="true"></span></summary><ul class="nav-panel">…</ul></details></div>`,
      own: { position: 'relative', display: 'flex', 'align-items': 'center' },
    },
    {
      name: 'nav-fold',
      says: 'what opens the links under a link; of those with one name, one is open',
      markup: `<details class="nav-fold" name="site-nav">…</details>`,
      own: { flex: 'none' },
    },
    {
      name: 'nav-sign',
      groundless: {},
      says: 'the sign that there are links under a link',
      markup: `<summary class="nav-sign" aria-label="Times"><span class="icon icon-open" aria-hidden="true"></span></summary>`,
      own: {
        display: 'grid',
        'place-content': 'center',
        'inline-size': '1.75rem',
        'list-style': 'none',
        cursor: 'pointer',
      },
      inside: {
        '& > .icon': {
          'inline-size': 'calc(var(--icon-size) * 0.7)',
          'block-size': 'calc(var(--icon-size) * 0.7)',
        },
        '[open] > & > .icon': { rotate: '180deg' },
      },
    },
    {
      name: 'nav-panel',
      says: 'the links under a link, below it',
      markup: `<ul class="nav-panel"><li><a class="footer-link" href="/times/winter">Winter</a></li></ul>`,
      own: {
        position: 'absolute',
        'inset-block-start': '100%',
        'inset-inline-start': '0',
        'inline-size': 'max-content',
        'max-inline-size': '18rem',
        margin: '0',
        'list-style': 'none',
        'border-style': 'solid',
      },
    },
  ],
  fixed: [
    { of: 'nav-panel', declarations: { 'z-index': '1' } },
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
    { of: 'site-nav', part: 'lasts', property: 'transition-duration', from: ['duration.1'] },
    { of: 'nav-panel', part: 'layer', property: 'z-index', from: ['layer.3', 'layer.last'] },
    { of: 'nav-sign', part: 'ink', property: 'color', from: ['color.text'], isSign: true },
    {
      of: 'nav-sign',
      part: 'ground-hover',
      property: 'background-color',
      from: ['color.surface'],
      state: 'hover',
    },
    {
      of: 'nav-sign',
      part: 'ground-pressed',
      property: 'background-color',
      from: ['color.text'],
      state: 'pressed',
    },
    {
      of: 'nav-sign',
      part: 'ink-pressed',
      property: 'color',
      from: ['color.page'],
      state: 'pressed',
    },
    { of: 'nav-sign', part: 'corner', property: 'border-radius', from: ['corner.control'] },
    {
      of: 'nav-panel',
      part: 'background',
      property: 'background-color',
      from: ['color.raised', 'color.page'],
    },
    { of: 'nav-panel', part: 'edge', property: 'border-color', from: ['color.line'] },
    { of: 'nav-panel', part: 'edge-width', property: 'border-width', from: ['edge.line'] },
    { of: 'nav-panel', part: 'corner', property: 'border-radius', from: ['corner.card'] },
    { of: 'nav-panel', part: 'level', property: 'box-shadow', from: ['shadow.2', 'shadow.1'] },
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
      id: 'sign',
      of: 'nav-sign',
      name: 'with links under it',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'div',
          { class: 'nav-group' },
          element(
            'a',
            { class: 'nav-link', href: '#to-be-written' },
            element('span', { class: 'type-label' }, 'Times'),
          ),
          element(
            'details',
            { class: 'nav-fold' },
            element(
              'summary',
              { class: 'nav-sign', 'aria-label': 'Times', ...state },
              sign('open'),
            ),
          ),
        ),
    },
    {
      id: 'panel',
      of: 'nav-panel',
      name: 'the links under it',
      states: [],
      specimen: () =>
        element(
          'ul',
          { class: 'nav-panel' },
          ...['Summer', 'Winter'].map((words) =>
            element(
              'li',
              {},
              element(
                'a',
                { class: 'footer-link', href: '#to-be-written' },
                element('span', { class: 'type-small' }, words),
              ),
            ),
          ),
        ),
    },
    {
      id: 'opener',
      of: 'quiet-button',
      name: 'behind a button',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'button',
          { class: 'quiet-button', type: 'button', ...state },
          element('span', { class: 'type-label' }, 'Menu'),
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
    'nav-sign.target': space(
      '.nav-sign',
      'min-block-size',
      'target',
      'height of the sign for links under a link',
    ),
    'nav-panel.inset': space(
      '.nav-panel',
      'padding',
      'inset-small',
      'inside the links under a link',
    ),
    'nav-link.target': space(
      '.nav-link',
      'min-block-size',
      'target',
      'height of a navigation link',
    ),
  },
});
