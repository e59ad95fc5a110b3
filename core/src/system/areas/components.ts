import { namedItems, type Area } from './area.ts';

export const components = {
  id: 'components',
  name: 'Components',
  views: [],
  decides: ['components'],
  named: ({ components }) => [
    { name: 'Manner of all components', path: '/components/manner' },
    { name: 'Navigation on narrow screens', path: '/components/narrow' },
    ...(components.variants
      ? namedItems('Variant', '/components/variants', components.variants)
      : []),
  ],
} as const satisfies Area;
