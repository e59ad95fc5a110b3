import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** Questions that open, and dialogs: real `details` and `dialog`, without script. */
export const fold = component({
  id: 'fold',
  name: 'Fold',
  group: 'telling',
  says: 'what opens where it stands',
  classes: [
    {
      name: 'fold',
      says: 'a question whose answer opens below it',
      markup: `<details class="fold"><summary class="fold-head type-h5">What if I miss it?</summary><p class="type-body">The next one takes you.</p></details>`,
      own: { 'border-block-end-style': 'solid' },
    },
    {
      name: 'fold-head',
      says: 'what opens it',
      markup: `<summary class="fold-head type-h5">What if I miss it?</summary>`,
      own: { cursor: 'pointer', 'align-content': 'center' },
    },
  ],
  parts: [
    { of: 'fold', part: 'line', property: 'border-block-end-color', from: ['color.line'] },
    { of: 'fold', part: 'line-width', property: 'border-block-end-width', from: ['edge.line'] },
    {
      of: 'fold',
      part: 'line-open',
      property: 'border-block-end-color',
      from: ['color.action-edge', 'color.action'],
      state: 'open',
    },
  ],
  fixed: [
    { of: 'fold-head', state: 'hover', declarations: { 'text-decoration-line': 'underline' } },
    {
      of: 'fold-head',
      state: 'pressed',
      declarations: { 'text-decoration-line': 'underline', 'text-decoration-thickness': '0.16em' },
    },
  ],
  spaces: {
    'fold.inset': space('.fold', 'padding-block-end', 'tight', 'below a fold'),
    'fold-head.target': space('.fold-head', 'min-block-size', 'target', 'height of what opens'),
  },
  variants: [
    {
      id: 'head',
      of: 'fold-head',
      name: 'what opens',
      states: ['hover', 'pressed', 'focus'],
      specimen: (state) =>
        element(
          'details',
          { class: 'fold' },
          element('summary', { class: 'fold-head type-h5', ...state }, 'What if?'),
          element('p', { class: 'type-body' }, 'The next one takes you.'),
        ),
    },
    {
      id: 'fold',
      of: 'fold',
      name: 'fold',
      states: ['open'],
      specimen: (state) =>
        element(
          'details',
          { class: 'fold', ...state },
          element('summary', { class: 'fold-head type-h5' }, 'What if?'),
          element('p', { class: 'type-body' }, 'The next one takes you.'),
        ),
    },
  ],
});
