import { inOrder } from '../document.ts';
import { namedItems, type Area } from './area.ts';

export const color = {
  id: 'color',
  name: 'Color',
  views: [
    {
      id: 'palette',
      name: 'Palette',
      at: ['/color/sources', '/color/neutral', '/color/gradients', '/color/rungNames'],
    },
    {
      id: 'roles',
      name: 'Roles',
      at: ['/color/roles', '/color/themes', '/color/darkChroma', '/color/plainLinks'],
    },
    { id: 'contrast', name: 'Contrast', at: ['/color/texts'] },
    { id: 'pictures', name: 'Pictures', at: ['/color/veils', '/content/artwork'] },
    { id: 'displays', name: 'Displays', at: [] },
    { id: 'whole', name: 'Whole', at: ['/color'] },
  ],
  // Artwork, the picture of the opening and the pattern are decided with the colors; words in the proof.
  decides: ['color'],
  named: ({ color: { sources, roles, gradients, veils } }) => [
    ...inOrder(sources).map(([id, { name }]) => ({
      name: `Color ${name}`,
      path: `/color/sources/items/${id}/value`,
    })),
    ...namedItems('Color role', '/color/roles', roles),
    ...namedItems('Gradient', '/color/gradients', gradients),
    ...namedItems('Picture', '/color/veils', veils),
    { name: 'Themes', path: '/color/themes' },
    { name: 'Color kept in dark', path: '/color/darkChroma' },
  ],
} as const satisfies Area;
