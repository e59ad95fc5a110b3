import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, space } from './pieces.ts';

/** What has to be known first. */
export const notice = component({
  id: 'notice',
  name: 'Notice',
  group: 'telling',
  says: 'what has to be known first',
  classes: [
    {
      name: 'notice',
      says: 'what has to be known before anything else',
      markup: `<aside class="notice on-surface" aria-label="Notice"><p class="type-body">…</p></aside>`,
      own: { 'border-inline-start-style': 'solid' },
    },
  ],
  parts: [
    {
      of: 'notice',
      part: 'background',
      from: ['color.notice-wash', 'color.surface'],
      property: 'background-color',
    },
    {
      of: 'notice',
      part: 'edge',
      from: ['color.notice-edge', 'color.link'],
      property: 'border-inline-start-color',
    },
    {
      of: 'notice',
      part: 'edge-width',
      from: ['edge.strong'],
      property: 'border-inline-start-width',
    },
    { of: 'notice', part: 'corner', ...CARD_CORNER },
  ],
  variants: [
    {
      id: 'usual',
      of: 'notice',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'notice on-surface' },
          element('p', { class: 'type-body' }, 'No boats on the 24th.'),
        ),
    },
  ],
  spaces: {
    'notice.inset': space('.notice', 'padding', 'inset', 'inside a notice'),
  },
});
