import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** How far something is: a bar, and the steps of a way. */
export const progress = component({
  id: 'progress',
  name: 'Progress',
  group: 'telling',
  says: 'how far something is',
  classes: [
    {
      name: 'progress',
      says: 'how much of it is done',
      markup: `<label class="type-label" for="done">Sent</label><progress class="progress" id="done" max="100" value="40">40 %</progress>`,
      own: { display: 'block', 'inline-size': '100%', 'block-size': '0.75rem' },
    },
    {
      name: 'step-bar',
      says: 'the steps of a way, with the one that is taken',
      markup: `<ol class="step-bar"><li class="step-mark">Day</li><li class="step-mark" aria-current="step">Place</li><li class="step-mark">Pay</li></ol>`,
      own: {
        display: 'flex',
        'flex-wrap': 'wrap',
        margin: '0',
        padding: '0',
        'list-style': 'none',
      },
    },
    {
      name: 'step-mark',
      says: 'one of them',
      markup: `<li class="step-mark" aria-current="step">Place</li>`,
      text: 'label',
      own: { flex: '1 1 6rem', 'border-block-start-style': 'solid' },
    },
  ],
  parts: [
    {
      of: 'progress',
      part: 'ink',
      property: 'accent-color',
      from: ['color.action-edge', 'color.action'],
    },
    {
      of: 'step-mark',
      part: 'line',
      property: 'border-block-start-color',
      from: ['color.line'],
    },
    {
      of: 'step-mark',
      part: 'line-width',
      property: 'border-block-start-width',
      from: ['edge.strong'],
    },
    {
      of: 'step-mark',
      part: 'line-current',
      property: 'border-block-start-color',
      from: ['color.action-edge', 'color.action'],
      state: 'current',
    },
  ],
  fixed: [
    { of: 'step-mark', state: 'current', declarations: { 'text-decoration-line': 'underline' } },
  ],
  spaces: {
    'step-bar.gap': space('.step-bar', 'gap', 'closest', 'between the steps of a way'),
    'step-mark.inset': space(
      '.step-mark',
      'padding-block-start',
      'closest',
      'above a step of a way',
    ),
  },
  variants: [
    {
      id: 'way',
      of: 'step-bar',
      name: 'steps of a way',
      states: [],
      specimen: () =>
        element(
          'ol',
          { class: 'step-bar' },
          element('li', { class: 'step-mark' }, 'Day'),
          element('li', { class: 'step-mark', 'aria-current': 'step' }, 'Place'),
          element('li', { class: 'step-mark' }, 'Pay'),
        ),
    },
    {
      id: 'bar',
      of: 'progress',
      name: 'bar',
      states: [],
      specimen: () =>
        element(
          'progress',
          { class: 'progress', 'aria-label': 'Sent', max: '100', value: '40' },
          '40 %',
        ),
    },
    {
      id: 'step',
      of: 'step-mark',
      name: 'one step',
      states: ['current'],
      specimen: (state) => element('div', { class: 'step-mark', ...state }, 'Place'),
    },
  ],
});
