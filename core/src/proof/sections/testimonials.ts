import * as z from 'zod/mini';
import { collection, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block, pictureIn, room } from '../parts.ts';
import { each, kind, listed, shownPicture } from './kind.ts';

/** What others say of it. */
export const testimonials = kind({
  id: 'testimonials',
  name: 'Testimonials',
  says: 'what others say, with who they are',
  shape: {
    title: words,
    voices: collection(
      z.strictObject({ text: words, who: words, picture: z.optional(shownPicture) }),
    ),
  },
  start: () => ({
    title: 'What people say',
    voices: listed(
      { text: 'They rang back the same afternoon, and the price held.', who: 'A neighbor' },
      { text: 'We came for an hour and stayed until they closed.', who: 'A guest' },
    ),
  }),
  shows: () => true,
  role: 'portrait',
  nodes({ title, voices }, at, build) {
    const { text } = build;
    if (voices.order.length === 0) return [];
    return [
      block(
        '',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        element(
          'div',
          { class: 'grid testimonials' },
          ...each(voices, (voice, id) =>
            room(
              'figure',
              { class: 'quotation span-4 span-6-from-wide' },
              '/space/parts/quotation.inset',
              element(
                'blockquote',
                {},
                text('p', 'quote', [voice.text], `${at}/voices/items/${id}/text`),
              ),
              ...(voice.picture ? [pictureIn(build, 'portrait', voice.picture)] : []),
              text('figcaption', 'caption', [voice.who], `${at}/voices/items/${id}/who`),
            ),
          ),
        ),
      ),
    ];
  },
});
