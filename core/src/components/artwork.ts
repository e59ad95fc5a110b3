import { component } from './component.ts';

/** A drawing of the site’s own. */
export const artwork = component({
  id: 'artwork',
  name: 'Drawing',
  group: 'together',
  says: 'a drawing of the site’s own',
  classes: [
    {
      name: 'artwork',
      says: 'a drawing of the site’s own',
      markup: `<figure class="artwork"><svg>…</svg></figure>`,
      inside: {
        '& svg': { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
      },
    },
  ],
  parts: [
    { of: 'mark-a', part: 'ink', from: ['color.link'], property: 'fill' },
    { of: 'mark-b', part: 'ink', from: ['color.action'], property: 'fill' },
  ],
});
