import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, space, ROW } from './pieces.ts';

/** A band with one thing to do. */
export const band = component({
  id: 'band',
  name: 'Action band',
  group: 'together',
  says: 'a band with one thing to do',
  classes: [
    {
      name: 'band',
      says: 'a band with one thing to do',
      markup: `<section class="band on-surface"><div class="band-words"><h2 class="type-h3">…</h2><p class="type-body">…</p></div><p class="actions">…</p></section>`,
      own: { ...ROW, 'align-items': 'center', 'justify-content': 'space-between' },
    },
    {
      name: 'band-words',
      says: 'what the band says',
      markup: `<div class="band-words">…</div>`,
      own: { display: 'grid' },
    },
  ],
  parts: [{ of: 'band', part: 'corner', ...CARD_CORNER }],
  variants: [
    {
      id: 'usual',
      of: 'band',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'band on-surface' },
          element(
            'div',
            { class: 'band-words' },
            element('p', { class: 'type-h4' }, 'Sail with us'),
            element('p', { class: 'type-body' }, 'Every hour.'),
          ),
          element(
            'button',
            { class: 'button on-action', type: 'button' },
            element('span', { class: 'type-label' }, 'Book'),
          ),
        ),
    },
  ],
  spaces: {
    'band.inset': space('.band', 'padding', 'inset-large', 'around a band'),
    'band.gap': space('.band', 'gap', 'stack', 'between the words of a band and its button'),
    'band-words.gap': space('.band-words', 'row-gap', 'closest', 'between the words of a band'),
  },
});
