import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { drawnPicture, space } from './pieces.ts';

/** A picture with its caption. */
export const figure = component({
  id: 'figure',
  name: 'Figure',
  group: 'together',
  says: 'a picture with its caption',
  classes: [
    {
      name: 'figure',
      says: 'a picture with its caption',
      markup: `<figure class="figure"><img class="figure-picture picture-opening" src="…" alt="…"><figcaption class="type-caption">…</figcaption></figure>`,
      own: { display: 'grid', 'align-content': 'start', margin: '0' },
    },
    {
      name: 'figure-picture',
      says: 'the picture of a figure',
      markup: `<img class="figure-picture picture-opening" src="…" alt="…">`,
      own: { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
    },
    {
      name: 'gallery',
      says: 'pictures beside each other on the grid',
      markup: `<div class="grid gallery"><figure class="figure span-4">…</figure></div>`,
    },
  ],
  variants: [
    {
      id: 'usual',
      of: 'figure',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'figure',
          { class: 'figure' },
          drawnPicture(),
          element('figcaption', { class: 'type-caption' }, 'From the quay'),
        ),
    },
    {
      id: 'gallery',
      of: 'figure',
      name: 'gallery',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'grid gallery' },
          ...['The quay', 'The ferry', 'The mill'].map((words) =>
            element(
              'figure',
              { class: 'figure span-4' },
              drawnPicture(),
              element('figcaption', { class: 'type-caption' }, words),
            ),
          ),
        ),
    },
  ],
  spaces: {
    'figure.gap': space('.figure', 'gap', 'closest', 'between a picture and its caption'),
    'gallery.gap': space('.gallery', 'row-gap', 'gutter', 'between rows of a gallery'),
  },
});
