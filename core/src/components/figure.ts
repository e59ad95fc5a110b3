import { component } from './component.ts';
import { space } from './pieces.ts';

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
      markup: `<figure class="figure"><img class="picture-opening" src="…" alt="…"><figcaption class="type-caption">…</figcaption></figure>`,
      own: { display: 'grid', 'align-content': 'start', margin: '0' },
    },
  ],
  spaces: {
    'figure.gap': space('.figure', 'gap', 'closest', 'between a picture and its caption'),
    'gallery.gap': space('.gallery', 'row-gap', 'gutter', 'between rows of a gallery'),
  },
});
