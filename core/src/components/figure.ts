import { element } from '../proof/node.ts';
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
          element(
            'svg',
            { viewBox: '0 0 160 90', width: '160', height: '90', 'aria-hidden': 'true' },
            element('path', { d: 'M0 0H160V90H0Z', fill: 'currentcolor', opacity: '0.2' }),
            element('path', {
              d: 'M0 68 42 34 78 62 112 40 160 72V90H0Z',
              fill: 'currentcolor',
              opacity: '0.5',
            }),
          ),
          element('figcaption', { class: 'type-caption' }, 'From the quay'),
        ),
    },
  ],
  spaces: {
    'figure.gap': space('.figure', 'gap', 'closest', 'between a picture and its caption'),
    'gallery.gap': space('.gallery', 'row-gap', 'gutter', 'between rows of a gallery'),
  },
});
