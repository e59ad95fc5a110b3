import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** A quote with its source. */
export const quotation = component({
  id: 'quotation',
  name: 'Testimonial',
  group: 'together',
  says: 'a quote with its source',
  classes: [
    {
      name: 'quotation',
      says: 'a quote with its source',
      markup: `<figure class="quotation"><blockquote><p class="type-quote">…</p></blockquote><figcaption class="type-caption">…</figcaption></figure>`,
      own: {
        display: 'grid',
        'align-content': 'start',
        margin: '0',
        'border-inline-start-style': 'solid',
      },
    },
    {
      name: 'voice-picture',
      says: 'who said it',
      markup: `<img class="voice-picture" src="…" alt="…" width="800" height="800">`,
      own: {
        display: 'block',
        'inline-size': '4.5rem',
        'block-size': '4.5rem',
        'border-radius': '50%',
        'object-fit': 'cover',
      },
    },
  ],
  parts: [
    {
      of: 'quotation',
      part: 'edge',
      from: ['color.accent', 'color.link'],
      property: 'border-inline-start-color',
    },
    {
      of: 'quotation',
      part: 'edge-width',
      from: ['edge.strong'],
      property: 'border-inline-start-width',
    },
  ],
  variants: [
    {
      id: 'usual',
      of: 'quotation',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'figure',
          { class: 'quotation' },
          element('blockquote', {}, element('p', { class: 'type-quote' }, 'We stayed until dark.')),
          element('figcaption', { class: 'type-caption' }, 'A guest'),
        ),
    },
  ],
  spaces: {
    'quotation.inset': space('.quotation', 'padding-inline-start', 'inline', 'before a quote'),
    'quotation.gap': space('.quotation', 'gap', 'tight', 'between a quote and its source'),
    'testimonials.gap': space('.testimonials', 'row-gap', 'gutter', 'between rows of testimonials'),
  },
});
