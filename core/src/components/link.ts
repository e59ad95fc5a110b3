import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** A link in text: its color is that of its text’s use, its line tells its state. */
export const link = component({
  id: 'link',
  name: 'Link',
  group: 'acting',
  says: 'what leads to another place',
  classes: [
    {
      name: 'more-link',
      groundless: {},
      says: 'a link that stands alone',
      markup: `<a class="more-link" href="/times">All times</a>`,
      text: 'label',
      hasInk: true,
      own: { display: 'inline-flex', 'align-items': 'center', 'text-underline-offset': '0.2em' },
    },
    {
      name: 'outward-link',
      says: 'a link that leads to another site',
      markup: `<a class="more-link outward-link" href="https://example.org">The harbor office</a>`,
      inside: { '&::after': { content: '"↗"', 'margin-inline-start': '0.3em' } },
    },
  ],
  spaces: {
    'more-link.target': space(
      '.more-link',
      'min-block-size',
      'target-small',
      'height of a link alone',
    ),
  },
  selectors: { link: 'a:not([class])&' },
  parts: [
    { of: 'more-link', part: 'ink', property: 'color', from: ['color.link'] },
    { of: 'more-link', part: 'ink-hover', property: 'color', from: ['color.text'], state: 'hover' },
    {
      of: 'more-link',
      part: 'ink-pressed',
      property: 'color',
      from: ['color.text'],
      state: 'pressed',
    },
  ],
  fixed: [
    { of: 'link', state: 'hover', declarations: { 'text-decoration-thickness': '0.14em' } },
    { of: 'link', state: 'pressed', declarations: { 'text-decoration-thickness': '0.22em' } },
    { of: 'more-link', state: 'hover', declarations: { 'text-decoration-thickness': '0.14em' } },
    { of: 'more-link', state: 'pressed', declarations: { 'text-decoration-thickness': '0.22em' } },
  ],
  told: { link: { visited: ['link', 'visited'] } },
  variants: [
    {
      id: 'in-text',
      of: 'link',
      name: 'in text',
      states: ['visited', 'hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'p',
          { class: 'type-body' },
          'Look at ',
          element('a', { href: '#to-be-written', ...state }, 'all times'),
          '.',
        ),
    },
    {
      id: 'alone',
      of: 'more-link',
      name: 'alone',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element('a', { class: 'more-link', href: '#to-be-written', ...state }, 'All times'),
    },
    {
      id: 'outward',
      of: 'more-link',
      name: 'outward',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'a',
          { class: 'more-link outward-link', href: '#to-be-written', ...state },
          'Harbor office',
        ),
    },
  ],
});
