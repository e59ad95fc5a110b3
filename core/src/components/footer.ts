import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { LINK, outwardSign, space } from './pieces.ts';

/** The foot of every page. */
export const footer = component({
  id: 'footer',
  name: 'Footer',
  group: 'together',
  says: 'the foot of every page',
  classes: [
    {
      name: 'site-footer',
      says: 'the foot of every page',
      markup: `<footer><div class="grid-frame"><div class="site-footer">…</div></div></footer>`,
      own: { display: 'grid', 'border-block-start-style': 'solid' },
    },
    {
      name: 'footer-group',
      says: 'links of the footer under a title',
      markup: `<div class="footer-group span-3"><p class="type-label">…</p><ul class="footer-links"><li><a class="footer-link" href="/times">Times</a></li></ul></div>`,
      own: { display: 'grid', 'align-content': 'start', 'justify-items': 'start' },
    },
    {
      name: 'footer-links',
      says: 'a list of links without marks',
      markup: `<ul class="footer-links"><li><a class="footer-link" href="/times">Times</a></li></ul>`,
      own: {
        display: 'grid',
        'justify-items': 'start',
        margin: '0',
        padding: '0',
        'list-style': 'none',
      },
    },
    {
      name: 'footer-link',
      groundless: {},
      says: 'a link of the footer',
      markup: `<a class="footer-link" href="/times">Times</a>`,
      text: 'small',
      own: LINK,
    },
  ],
  parts: [
    { of: 'footer', part: 'line', from: ['color.line'], property: 'border-block-start-color' },
    { of: 'footer', part: 'line-width', from: ['edge.line'], property: 'border-block-start-width' },
  ],
  selectors: { footer: '.site-footer&' },
  fixed: [
    { of: 'footer-link', state: 'hover', declarations: { 'text-decoration-line': 'underline' } },
    {
      of: 'footer-link',
      state: 'pressed',
      declarations: { 'text-decoration-line': 'underline', 'text-decoration-thickness': '0.2em' },
    },
  ],
  variants: [
    {
      id: 'usual',
      of: 'footer',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'site-footer' },
          element(
            'a',
            { class: 'footer-link', href: '#to-be-written' },
            element('span', { class: 'type-small' }, 'Write to us'),
          ),
        ),
    },
    {
      id: 'signs',
      of: 'footer',
      name: 'with signs',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'site-footer' },
          element(
            'ul',
            { class: 'site-nav' },
            ...['Pictures', 'Newsletter'].map((words) =>
              element(
                'li',
                {},
                element(
                  'a',
                  { class: 'nav-link', href: '#to-be-written' },
                  outwardSign(),
                  element('span', { class: 'type-label' }, words),
                ),
              ),
            ),
          ),
        ),
    },
  ],
  spaces: {
    'footer.gap': space('.site-footer', 'gap', 'inset-large', 'between the parts of the footer'),
    'footer-groups.gap': space(
      '.footer-groups',
      'row-gap',
      'stack',
      'between groups of the footer',
    ),
    'footer-group.gap': space('.footer-group', 'gap', 'closest', 'under the title of a group'),
    'footer-link.target': space(
      '.footer-link',
      'min-block-size',
      'target-small',
      'height of a link in the footer',
    ),
    'footer.inset': space('.site-footer', 'padding-block', 'inset', 'above and below the footer'),
  },
});
