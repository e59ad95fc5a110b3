import { raiseClass } from '../../derive/shape/shape.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { nowhere, room, type Section, wordsAt } from '../build.ts';
import { element, type ProofNode } from '../node.ts';

/** A sign that hangs in the margin, so that the words after it keep to the edge. */
const hung = ({ roles }: StyleDocument['space'], sign: string): ProofNode[] =>
  'hang' in roles.items
    ? [element('span', { class: 'pull-hang', 'aria-hidden': 'true' }, sign)]
    : [];

/** A few things side by side, each on a surface of its own. */
export const cards: Section = ({
  build: { text, ground },
  document: { content, shape, space },
}) => {
  const { title, cards: collection } = content.cards;
  if (collection.order.length === 0) return [];
  return [
    element(
      'section',
      { class: 'block' },
      text('h2', 'h2', [title], '/content/cards/title'),
      room(
        'div',
        { class: 'grid cards' },
        '/layout/grid/base',
        ...inOrder(collection).map(([id, card]) =>
          ground(
            'article',
            'surface',
            { class: ['card', 'span-4', raiseClass(shape)].filter(Boolean).join(' ') },
            [
              text('h3', 'h4', [card.title], `/content/cards/cards/items/${id}/title`),
              text('p', 'body', [card.text], `/content/cards/cards/items/${id}/text`),
              text('p', 'body', [
                ...hung(space, '+'),
                wordsAt('a', card.link, `/content/cards/cards/items/${id}/link`, nowhere),
              ]),
            ],
          ),
        ),
      ),
    ),
  ];
};
