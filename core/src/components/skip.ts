import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** The first link of a page: seen only when it is reached by key. Source: WCAG 2.2, technique G1. */
export const skip = component({
  id: 'skip',
  name: 'Skip link',
  group: 'ways',
  says: 'the way past head and navigation, for keys',
  classes: [
    {
      name: 'skip-link',
      says: 'the first link of a page, shown when it has the focus',
      markup: `<a class="skip-link" href="#main">To the content</a>`,
      text: 'label',
      hasInk: true,
      own: {
        position: 'absolute',
        'inset-block-start': '0',
        'inset-inline-start': '0',
        translate: '0 -110%',
      },
    },
  ],
  parts: [
    { of: 'skip-link', part: 'background', property: 'background-color', from: ['color.text'] },
    { of: 'skip-link', part: 'ink', property: 'color', from: ['color.page'] },
    // Above all that may lie over the head of a page.
    { of: 'skip-link', part: 'layer', property: 'z-index', from: ['layer.last'] },
  ],
  fixed: [
    { of: 'skip-link', declarations: { 'z-index': '1' } },
    { of: 'skip-link', state: 'focus', declarations: { translate: 'none' } },
  ],
  spaces: { 'skip-link.inset': space('.skip-link', 'padding', 'control', 'inside a skip link') },
  variants: [
    {
      id: 'skip',
      of: 'skip-link',
      name: 'skip link',
      states: ['focus'],
      specimen: (state) =>
        element('a', { class: 'skip-link', href: '#to-be-written', ...state }, 'To the content'),
    },
  ],
});
