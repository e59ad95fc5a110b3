import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { lineAbove, space } from './pieces.ts';

/** What speaks for it. */
export const point = component({
  id: 'point',
  name: 'Selling point',
  group: 'together',
  says: 'what speaks for it',
  classes: [
    {
      name: 'points',
      says: 'what speaks for it, in a row without marks',
      markup: `<ul class="grid points"><li class="point span-4">…</li></ul>`,
      own: { margin: '0', padding: '0', 'list-style': 'none' },
    },
    {
      name: 'point',
      says: 'one of them',
      markup: `<li class="point span-4"><h3 class="type-h6">…</h3><p class="type-small">…</p></li>`,
      own: { display: 'grid', 'align-content': 'start', 'border-block-start-style': 'solid' },
    },
  ],
  parts: lineAbove('point'),
  variants: [
    {
      id: 'usual',
      of: 'point',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'point' },
          element('p', { class: 'type-h6' }, 'Near'),
          element('p', { class: 'type-small' }, 'Ten minutes on foot.'),
        ),
    },
  ],
  spaces: {
    'points.gap': space('.points', 'row-gap', 'gutter', 'between rows of selling points'),
    'point.inset': space('.point', 'padding-block-start', 'tight', 'above a selling point'),
    'point.gap': space('.point', 'gap', 'closest', 'between the words of a selling point'),
  },
});
