import * as z from 'zod/mini';
import { outwardSign } from '../../components/pieces.ts';
import { collection, id, label, words } from '../../system/schema-parts.ts';
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
    ways: collection(z.strictObject({ sign: words, words: label, icon: z.optional(id) })),
    places: collection(label),
  },
  start: () => ({
    title: 'How to reach us',
    text: 'The office is staffed from nine to five.',
    ways: listed(
      { sign: 'Call', words: '555 0142', icon: 'phone' },
      { sign: 'Write', words: 'hello@example.com', icon: 'mail' },
      { sign: 'Come', words: '4 Mill Row', icon: 'place' },
    ),
    places: listed('Pictures', 'Newsletter'),
  }),
  signed: { of: 'ways', role: 'label' },
  nodes({ title, text: said, ways, places }, at, { text, icon }) {
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
                ...each(ways, (way, key) => {
                  const own = `${at}/ways/items/${key}`;
                  const shown = icon(way.icon);
                  return element(
                    'div',
                    { class: 'way' },
                    shown.length === 0
                      ? text('dt', 'label', [way.sign], `${own}/sign`)
                      : element(
                          'dt',
                          { class: 'way-sign' },
                          ...shown,
                          text('span', 'label', [way.sign], `${own}/sign`),
                        ),
                    text('dd', 'body', [wordsAt('a', way.words, `${own}/words`, nowhere)]),
                  );
                }),
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
