import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, drawnPicture, lineAbove, space } from './pieces.ts';

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
      own: {
        position: 'relative',
        'container-type': 'inline-size',
        display: 'grid',
        'align-content': 'start',
      },
      // A card that has the room puts its picture beside its words.
      wide: {
        fromRem: 30,
        inside: {
          '& > .card-picture': {
            position: 'absolute',
            'inset-block': '0',
            'inset-inline-start': '0',
            'inline-size': '38%',
            'block-size': '100%',
            'aspect-ratio': 'auto',
            'object-fit': 'cover',
          },
          '& > .card-picture ~ *': { 'margin-inline-start': '40%' },
        },
      },
    },
    {
      name: 'side-box',
      says: 'what is said beside the text, for who wants more',
      markup: `<aside class="side-box on-surface"><h3 class="type-h6">…</h3><p class="type-small">…</p></aside>`,
      own: { display: 'grid', 'align-content': 'start', 'border-block-start-style': 'solid' },
    },
    {
      name: 'card-picture',
      says: 'a picture at the head of a card',
      markup: `<img class="card-picture" src="…" alt="…">`,
      own: { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
    },
  ],
  parts: [{ of: 'card', part: 'corner', ...CARD_CORNER }, ...lineAbove('side-box')],
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
    ...(
      [
        ['picture', 'with a picture', 'div'],
        ['wide', 'with a picture, in a wide place', 'section'],
      ] as const
    ).map(([id, name, around]) => ({
      id,
      of: 'card',
      name,
      states: [],
      specimen: () =>
        element(
          around,
          { class: 'block' },
          element(
            'article',
            { class: 'card on-surface' },
            drawnPicture('card-picture', 480),
            element('p', { class: 'type-h4' }, 'From Oxney Quay'),
            element('p', { class: 'type-body' }, 'Nine crossings a day.'),
          ),
        ),
    })),
    {
      id: 'side',
      of: 'side-box',
      name: 'side box',
      states: [],
      specimen: () =>
        element(
          'aside',
          { class: 'side-box on-surface' },
          element('p', { class: 'type-h6' }, 'In winter'),
          element('p', { class: 'type-small' }, 'Boats go by the tide.'),
        ),
    },
  ],
  spaces: {
    'side-box.inset': space('.side-box', 'padding', 'inset-small', 'inside a side box'),
    'side-box.gap': space('.side-box', 'gap', 'tight', 'between the words of a side box'),
    'cards.gap': space('.cards', 'row-gap', 'gutter', 'between rows of cards'),
    'card.inset': space('.card', 'padding', 'inset', 'inside a card'),
    'card.gap': space('.card', 'gap', 'tight', 'between the words of a card'),
  },
});
