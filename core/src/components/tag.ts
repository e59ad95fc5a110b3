import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CONTROL_CORNER, space } from './pieces.ts';

/** A word as a label. */
export const tag = component({
  id: 'tag',
  name: 'Tag',
  group: 'telling',
  says: 'a word as a label',
  classes: [
    {
      name: 'tag',
      says: 'a word as a label',
      markup: `<span class="tag fill-success">Running</span>`,
      text: 'label',
      hasInk: true,
      own: { display: 'inline-block' },
    },
  ],
  parts: [{ of: 'tag', part: 'corner', ...CONTROL_CORNER }],
  variants: [
    {
      id: 'usual',
      of: 'tag',
      name: 'usual',
      states: [],
      specimen: () => element('span', { class: 'tag fill-success' }, 'Running'),
    },
  ],
  spaces: {
    'tag.inset': space('.tag', 'padding', 'control-small', 'inside a label'),
  },
});
