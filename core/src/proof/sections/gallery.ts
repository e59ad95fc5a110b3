import * as z from 'zod/mini';
import { collection, words } from '../../system/schema-parts.ts';
import { block, pictureOr, room } from '../parts.ts';
import { each, kind, shownPicture } from './kind.ts';

/** Pictures beside each other, in the shapes of the system, each with a caption. */
export const gallery = kind({
  id: 'gallery',
  name: 'Gallery',
  says: 'pictures beside each other, in the shapes of the system',
  shape: {
    title: words,
    pictures: collection(z.strictObject({ picture: z.optional(shownPicture), caption: words })),
  },
  start: () => ({
    title: 'To look at',
    pictures: {
      order: ['item-1', 'item-2', 'item-3'],
      items: {
        'item-1': { caption: 'In the morning' },
        'item-2': { caption: 'At noon' },
        'item-3': { caption: 'After dark' },
      },
    },
  }),
  shows: () => true,
  keepsPlaces: true,
  nodes({ title, pictures }, at, build) {
    const { text } = build;
    if (pictures.order.length === 0) return [];
    return [
      block(
        '',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        room(
          'div',
          { class: 'grid gallery' },
          '/space/parts/gallery.gap',
          ...each(pictures, (own, id) => {
            return room(
              'figure',
              { class: 'figure span-4' },
              '/space/parts/figure.gap',
              pictureOr(build, 'figure', own.picture, pictures.order.indexOf(id)),
              text('figcaption', 'caption', [own.caption], `${at}/pictures/items/${id}/caption`),
            );
          }),
        ),
      ),
    ];
  },
});
