import * as z from 'zod/mini';
import { words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { kind } from './kind.ts';

/** A drawing of the site’s own that takes its colors from the roles. */
export const artwork = kind({
  id: 'artwork',
  name: 'Drawing',
  says: 'the site’s own drawing, in the colors of the system',
  shape: { caption: z.optional(words) },
  start: () => ({}),
  nodes: ({ caption }, at, { artwork: svg, text }) =>
    svg === undefined
      ? []
      : [
          { ...element('figure', { class: 'artwork' }), svg, decision: '/content/artwork' },
          ...(caption === undefined ? [] : [text('p', 'caption', [caption], `${at}/caption`)]),
        ],
});
