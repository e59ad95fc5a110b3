import * as z from 'zod/mini';
import { collection, id, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block, room } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** What speaks for the site, in a few words each. */
export const points = kind({
  id: 'points',
  name: 'Selling points',
  says: 'what speaks for it, in a few words each',
  shape: {
    title: words,
    points: collection(z.strictObject({ title: words, text: words, icon: z.optional(id) })),
  },
  start: () => ({
    title: 'Why people come back',
    points: listed(
      { title: 'Near', text: 'Ten minutes from the station, on foot.' },
      { title: 'Simple', text: 'One price, everything in it.' },
      { title: 'Open', text: 'Every day but Monday, until late.' },
    ),
  }),
  signed: { of: 'points', role: 'h5' },
  nodes({ title, points: all }, at, { text, icon }) {
    if (all.order.length === 0) return [];
    return [
      block(
        '',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        room(
          'ul',
          { class: 'grid points' },
          '/space/parts/points.gap',
          ...each(all, (point, key) => {
            const shown = icon(point.icon);
            return element(
              'li',
              { class: 'point span-4' },
              ...(shown.length === 0 ? [] : [text('div', 'h5', shown)]),
              text('h3', 'h6', [point.title], `${at}/points/items/${key}/title`),
              text('p', 'small', [point.text], `${at}/points/items/${key}/text`),
            );
          }),
        ),
      ),
    ];
  },
});
