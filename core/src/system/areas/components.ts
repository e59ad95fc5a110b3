import { namedItems, type Area } from './area.ts';

export const components = {
  id: 'components',
  name: 'Components',
  views: [
    { id: 'parts', name: 'Parts', at: [] },
    { id: 'icons', name: 'Icons', at: ['/icons'] },
  ],
  decides: ['components', 'icons'],
  named: ({ components, icons }) => [
    { name: 'Icons', path: '/icons' },
    { name: 'Size of icons', path: '/icons/size' },
    { name: 'Stroke of icons', path: '/icons/stroke' },
    ...namedItems('Icon', '/icons/named', icons.named),
    { name: 'Manner of all components', path: '/components/manner' },
    { name: 'Navigation on narrow screens', path: '/components/narrow' },
    ...(components.variants
      ? namedItems('Variant', '/components/variants', components.variants)
      : []),
  ],
} as const satisfies Area;
