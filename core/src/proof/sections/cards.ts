import * as z from 'zod/mini';
import { collection, id, label, words } from '../../system/schema-parts.ts';
import { element, type ProofNode } from '../node.ts';
import { block, nowhere, pictureIn, room, wordsAt } from '../parts.ts';
import { each, kind, listed, shownPicture } from './kind.ts';

/** A few things side by side, each on a surface of its own. */
export const cards = kind({
  id: 'cards',
  name: 'Cards',
  says: 'a few things side by side, with pictures or without',
  shape: {
    title: words,
    cards: collection(
      z.strictObject({
        title: words,
        text: words,
        link: label,
        picture: z.optional(shownPicture),
        icon: z.optional(id),
      }),
    ),
  },
  start: () => ({
    title: 'Good to know',
    cards: listed(
      {
        title: 'The first thing',
        text: 'What it is and what it is good for.',
        link: 'More about it',
      },
      {
        title: 'The second thing',
        text: 'What it is and what it is good for.',
        link: 'More about it',
      },
      {
        title: 'The third thing',
        text: 'What it is and what it is good for.',
        link: 'More about it',
      },
    ),
  }),
  shows: () => true,
  role: 'card',
  signed: { of: 'cards', role: 'h3' },
  nodes({ title, cards: all }, at, build) {
    const { text, ground, icon, raised, hangs } = build;
    if (all.order.length === 0) return [];
    // A sign that hangs in the margin, so that the words after it keep to the edge.
    const hung: readonly ProofNode[] = hangs
      ? [element('span', { class: 'pull-hang', 'aria-hidden': 'true' }, '+\u00a0')]
      : [];
    return [
      block(
        '',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        room(
          'div',
          { class: 'grid cards' },
          '/layout/grid/base',
          ...each(all, (card, key) => {
            const own = `${at}/cards/items/${key}`;
            const shown = icon(card.icon);
            return ground(
              'article',
              'surface',
              { class: ['card', 'span-4', raised].filter(Boolean).join(' ') },
              [
                ...(card.picture ? [pictureIn(build, 'card', card.picture)] : []),
                ...(shown.length === 0 ? [] : [text('div', 'h3', shown)]),
                text('h3', 'h4', [card.title], `${own}/title`),
                text('p', 'body', [card.text], `${own}/text`),
                text('p', 'body', [...hung, wordsAt('a', card.link, `${own}/link`, nowhere)]),
              ],
            );
          }),
        ),
      ),
    ];
  },
});
