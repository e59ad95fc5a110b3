import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CONTROL, CONTROL_CORNER, LINE_WIDTH, space } from './pieces.ts';

/** What stands at the end of a list and makes it longer. */
export const addOne = component({
  id: 'add-one',
  name: 'Add one',
  group: 'acting',
  says: 'what makes a list longer, at its end',
  classes: [
    {
      name: 'add-one',
      groundless: {},
      says: 'one more of what stands above it',
      markup: `<button class="add-one" type="button">Another passenger</button>`,
      text: 'label',
      own: {
        ...CONTROL,
        display: 'flex',
        'align-items': 'center',
        'inline-size': '100%',
        'border-style': 'dashed',
        'background-color': 'transparent',
        'text-align': 'start',
        'transition-property': 'background-color, border-color',
      },
      inside: { '&::before': { content: '"+ "', 'white-space': 'pre' } },
    },
  ],
  parts: [
    {
      of: 'add-one',
      part: 'edge',
      property: 'border-color',
      from: ['color.line-strong'],
      isEdge: true,
    },
    { of: 'add-one', part: 'edge-width', ...LINE_WIDTH },
    { of: 'add-one', part: 'corner', ...CONTROL_CORNER },
    { of: 'add-one', part: 'lasts', property: 'transition-duration', from: ['duration.1'] },
    {
      of: 'add-one',
      part: 'edge-hover',
      property: 'border-color',
      from: ['color.action-edge', 'color.action'],
      state: 'hover',
    },
    {
      of: 'add-one',
      part: 'ground-pressed',
      property: 'background-color',
      from: ['color.action-wash', 'color.surface'],
      state: 'pressed',
    },
    { of: 'add-one', part: 'ink-off', property: 'color', from: ['color.faint'], state: 'off' },
  ],
  fixed: [
    { of: 'add-one', state: 'hover', declarations: { 'border-style': 'solid' } },
    { of: 'add-one', state: 'off', declarations: { cursor: 'not-allowed' } },
  ],
  spaces: {
    'add-one.inset': space('.add-one', 'padding', 'control', 'inside what adds one'),
    'add-one.target': space('.add-one', 'min-block-size', 'target', 'height of what adds one'),
  },
  variants: [
    {
      id: 'usual',
      of: 'add-one',
      name: 'usual',
      states: ['hover', 'pressed', 'focus', 'off'],
      specimen: (state) =>
        element('button', { class: 'add-one', type: 'button', ...state }, 'Another passenger'),
    },
  ],
});
