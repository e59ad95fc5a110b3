import * as z from 'zod/mini';
import { outwardSign } from '../../components/pieces.ts';
import { collection, label, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block, nowhere, room, wordsAt } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** How to reach the site’s people, and where else they are. */
export const contact = kind({
  id: 'contact',
  name: 'Contact',
  says: 'how to reach you, and where else you are',
  shape: {
    title: words,
    text: words,
    ways: collection(z.strictObject({ sign: words, words: label })),
    places: collection(label),
  },
  start: () => ({
    title: 'How to reach us',
    text: 'The office is staffed from nine to five.',
    ways: listed(
      { sign: 'Call', words: '555 0142' },
      { sign: 'Write', words: 'hello@example.com' },
      { sign: 'Come', words: '4 Mill Row' },
    ),
    places: listed('Pictures', 'Newsletter'),
  }),
  nodes({ title, text: said, ways, places }, at, { text }) {
    return [
      block(
        'width-text',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        ...(said === '' ? [] : [text('p', 'body', [said], `${at}/text`)]),
        ...(ways.order.length === 0
          ? []
          : [
              room(
                'dl',
                { class: 'ways' },
                '/space/parts/ways.gap',
                ...each(ways, (way, id) =>
                  element(
                    'div',
                    { class: 'way' },
                    text('dt', 'label', [way.sign], `${at}/ways/items/${id}/sign`),
                    text('dd', 'body', [
                      wordsAt('a', way.words, `${at}/ways/items/${id}/words`, nowhere),
                    ]),
                  ),
                ),
              ),
            ]),
        ...(places.order.length === 0
          ? []
          : [
              element(
                'ul',
                { class: 'site-nav' },
                ...each(places, (place, id) =>
                  element(
                    'li',
                    {},
                    element(
                      'a',
                      { class: 'nav-link', ...nowhere },
                      outwardSign(),
                      text('span', 'label', [place], `${at}/places/items/${id}`),
                    ),
                  ),
                ),
              ),
            ]),
      ),
    ];
  },
});
