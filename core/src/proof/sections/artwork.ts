import { element } from '../node.ts';
import { paintedArtwork } from '../artwork.ts';
import type { Section } from '../build.ts';

/** A picture of the site's own that takes its colors from the roles. */
export const artwork: Section = ({ document: { content }, derived: { colors } }) => {
  if (!content.artwork) return [];
  return [
    {
      ...element('figure', { class: 'artwork' }),
      svg: paintedArtwork(content.artwork, colors),
      decision: '/content/artwork',
    },
  ];
};
