import type { Finding } from '@garnish/core/checks/finding';

/** The area in which a decision is made, by the first part of its place in the document. */
const AREA_OF: ReadonlyMap<string, string> = new Map(
  Object.entries({
    brief: 'brief',
    fonts: 'fonts',
    type: 'type',
    color: 'color',
    space: 'space',
    layout: 'space',
    shape: 'space',
    tokens: 'tokens',
    // Artwork, the picture of the opening and the pattern are decided with the colors; words in the proof.
    content: 'color',
    name: 'brief',
    description: 'brief',
  }),
);

/** Where a decision is made: its area, and the place in it. Relative to the open system. */
export function decisionAddress(path: string): string {
  const area = AREA_OF.get(path.split('/')[1] ?? '') ?? 'tokens';
  return `${area}?at=${encodeURIComponent(path)}`;
}

export const findingAddress = ({ id }: Finding): string =>
  `review?finding=${encodeURIComponent(id)}`;
