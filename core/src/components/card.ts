import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, space } from './pieces.ts';

/** One of several things side by side. */
export const card = component({
  id: 'card',
  name: 'Card',
  group: 'together',
  says: 'one of several things side by side',
  classes: [
    {
      name: 'card',
      says: 'one of several things side by side',
      markup: `<div class="grid cards"><article class="card on-surface span-4"><h3 class="type-h4">…</h3><p class="type-body">…</p></article></div>`,
      own: { 'container-type': 'inline-size', display: 'grid', 'align-content': 'start' },
    },
    {
      name: 'card-picture',
      says: 'a picture at the head of a card',
      markup: `<img class="card-picture" src="…" alt="…">`,
      own: { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
    },
  ],
  parts: [{ of: 'card', part: 'corner', ...CARD_CORNER }],
  variants: [
    {
      id: 'usual',
      of: 'card',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'card on-surface' },
          element('p', { class: 'type-h4' }, 'From Oxney Quay'),
          element('p', { class: 'type-body' }, 'Nine crossings a day.'),
        ),
    },
  ],
  spaces: {
    'cards.gap': space('.cards', 'row-gap', 'gutter', 'between rows of cards'),
    'card.inset': space('.card', 'padding', 'inset', 'inside a card'),
    'card.gap': space('.card', 'gap', 'tight', 'between the words of a card'),
  },
});
