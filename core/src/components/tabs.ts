import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** Several views of one thing, one of which is shown. */
export const tabs = component({
  id: 'tabs',
  name: 'Tabs',
  group: 'ways',
  says: 'several views of one thing, one of which is shown',
  classes: [
    {
      name: 'tabs',
      says: 'the names of the views in a row',
      markup: `<nav class="tabs" aria-label="Views"><a class="tab" aria-current="page" href="#out">Out</a> <a class="tab" href="#back">Back</a></nav>`,
      own: { display: 'flex', 'overflow-x': 'auto', 'border-block-end-style': 'solid' },
    },
    {
      name: 'tab',
      groundless: {},
      says: 'one of them',
      markup: `<a class="tab" aria-current="page" href="#out">Out</a>`,
      text: 'label',
      own: {
        display: 'inline-flex',
        'align-items': 'center',
        'white-space': 'nowrap',
        'text-decoration-line': 'none',
        'border-block-end-style': 'solid',
        'border-block-end-color': 'transparent',
      },
    },
  ],
  parts: [
    { of: 'tabs', part: 'line', property: 'border-block-end-color', from: ['color.line'] },
    { of: 'tabs', part: 'line-width', property: 'border-block-end-width', from: ['edge.line'] },
    { of: 'tab', part: 'line-width', property: 'border-block-end-width', from: ['edge.strong'] },
    {
      of: 'tab',
      part: 'line-hover',
      property: 'border-block-end-color',
      from: ['color.line-strong', 'color.line'],
      state: 'hover',
    },
    {
      of: 'tab',
      part: 'line-pressed',
      property: 'border-block-end-color',
      from: ['color.text'],
      state: 'pressed',
    },
    {
      of: 'tab',
      part: 'line-current',
      property: 'border-block-end-color',
      from: ['color.action-edge', 'color.action'],
      state: 'current',
    },
  ],
  spaces: {
    'tabs.gap': space('.tabs', 'gap', 'inline', 'between tabs'),
    'tab.target': space('.tab', 'min-block-size', 'target', 'height of a tab'),
  },
  variants: [
    {
      id: 'row',
      of: 'tabs',
      name: 'in a row',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'tabs' },
          element('a', { class: 'tab', href: '#to-be-written', 'aria-current': 'page' }, 'Out'),
          element('a', { class: 'tab', href: '#to-be-written' }, 'Back'),
          element('a', { class: 'tab', href: '#to-be-written' }, 'Both ways'),
        ),
    },
    {
      id: 'tab',
      of: 'tab',
      name: 'tab',
      states: ['hover', 'pressed', 'focus', 'current'],
      specimen: (state) => element('a', { class: 'tab', href: '#to-be-written', ...state }, 'Out'),
    },
  ],
});
