import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { ROW, space, UNMARKED } from './pieces.ts';

/** Where a page stands among the others, and the pages of a list. */
export const breadcrumb = component({
  id: 'breadcrumb',
  name: 'Breadcrumb',
  group: 'ways',
  says: 'where a page stands among the others',
  classes: [
    {
      name: 'breadcrumb',
      says: 'the pages above this one, each after a stroke',
      markup: `<nav aria-label="Breadcrumb"><ol class="breadcrumb"><li><a class="crumb" href="/">Home</a></li><li><a class="crumb" aria-current="page" href="/times">Times</a></li></ol></nav>`,
      own: { ...ROW, ...UNMARKED, 'align-items': 'center' },
      inside: { '& > li + li::before': { content: '"/"', 'margin-inline-end': '0.6em' } },
    },
    {
      name: 'crumb',
      groundless: {},
      says: 'one of them',
      markup: `<a class="crumb" href="/">Home</a>`,
      text: 'small',
      own: { display: 'inline-flex', 'align-items': 'center' },
    },
    {
      name: 'page-links',
      says: 'the pages of a list',
      markup: `<nav class="page-links" aria-label="Pages"><a class="page-link" aria-current="page" href="?page=1">1</a> <a class="page-link" href="?page=2">2</a></nav>`,
      own: ROW,
    },
    {
      name: 'page-link',
      groundless: {},
      says: 'one of them',
      markup: `<a class="page-link" href="?page=2">2</a>`,
      text: 'label',
      own: {
        display: 'inline-flex',
        'align-items': 'center',
        'justify-content': 'center',
        'min-inline-size': '2.75rem',
        'border-style': 'solid',
        'border-color': 'transparent',
        'text-decoration-line': 'none',
      },
    },
  ],
  parts: [
    { of: 'page-link', part: 'edge-width', property: 'border-width', from: ['edge.line'] },
    { of: 'page-link', part: 'corner', property: 'border-radius', from: ['corner.control'] },
    {
      of: 'page-link',
      part: 'edge-hover',
      property: 'border-color',
      from: ['color.line-strong'],
      state: 'hover',
    },
    {
      of: 'page-link',
      part: 'edge-pressed',
      property: 'border-color',
      from: ['color.text'],
      state: 'pressed',
    },
    {
      of: 'page-link',
      part: 'edge-current',
      property: 'border-color',
      from: ['color.action-edge', 'color.action'],
      state: 'current',
    },
  ],
  fixed: [
    { of: 'crumb', state: 'hover', declarations: { 'text-decoration-thickness': '0.14em' } },
    { of: 'crumb', state: 'pressed', declarations: { 'text-decoration-thickness': '0.22em' } },
    { of: 'crumb', state: 'current', declarations: { 'text-decoration-line': 'none' } },
  ],
  spaces: {
    'breadcrumb.gap': space('.breadcrumb', 'gap', 'tight', 'between the parts of a breadcrumb'),
    'crumb.target': space('.crumb', 'min-block-size', 'target-small', 'height of a crumb'),
    'page-links.gap': space('.page-links', 'gap', 'closest', 'between the pages of a list'),
    'page-link.target': space(
      '.page-link',
      'min-block-size',
      'target',
      'height of a page of a list',
    ),
  },
  variants: [
    {
      id: 'trail',
      of: 'breadcrumb',
      name: 'trail',
      states: [],
      specimen: () =>
        element(
          'ol',
          { class: 'breadcrumb' },
          element('li', {}, element('a', { class: 'crumb', href: '#to-be-written' }, 'Home')),
          element(
            'li',
            {},
            element(
              'a',
              { class: 'crumb', href: '#to-be-written', 'aria-current': 'page' },
              'Times',
            ),
          ),
        ),
    },
    {
      id: 'pages',
      of: 'page-links',
      name: 'pages of a list',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'page-links' },
          ...['1', '2', '3'].map((page) =>
            element(
              'a',
              {
                class: 'page-link',
                href: '#to-be-written',
                ...(page === '1' && { 'aria-current': 'page' }),
              },
              page,
            ),
          ),
        ),
    },
    {
      id: 'crumb',
      of: 'crumb',
      name: 'crumb',
      states: ['hover', 'pressed', 'focus', 'current'],
      specimen: (state) =>
        element('a', { class: 'crumb', href: '#to-be-written', ...state }, 'Times'),
    },
    {
      id: 'page',
      of: 'page-link',
      name: 'one page',
      states: ['hover', 'pressed', 'focus', 'current'],
      specimen: (state) =>
        element('a', { class: 'page-link', href: '#to-be-written', ...state }, '2'),
    },
  ],
});
