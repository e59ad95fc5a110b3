import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, LINE_WIDTH, space } from './pieces.ts';

/** A message in its color. */
export const alert = component({
  id: 'alert',
  name: 'Alert',
  group: 'telling',
  says: 'a message in its color',
  classes: [
    {
      name: 'alert',
      says: 'a message with a label, on a wash of its color',
      markup: `<div class="alert wash-success"><span class="tag fill-success">Running</span><p class="type-body">…</p></div>`,
      own: {
        display: 'grid',
        'justify-items': 'start',
        'align-content': 'start',
        'border-style': 'solid',
      },
    },
  ],
  parts: [
    { of: 'alert', part: 'edge-width', ...LINE_WIDTH },
    { of: 'alert', part: 'corner', ...CARD_CORNER },
  ],
  variants: [
    {
      id: 'usual',
      of: 'alert',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'alert wash-success' },
          element('span', { class: 'tag fill-success' }, 'Running'),
          element('p', { class: 'type-body' }, 'Every boat as written.'),
        ),
    },
  ],
  spaces: {
    'alerts.gap': space('.alerts', 'row-gap', 'gutter', 'between rows of messages'),
    'alert.inset': space('.alert', 'padding', 'inset-small', 'inside a message'),
    'alert.gap': space('.alert', 'gap', 'tight', 'between the words of a message'),
  },
});
