import type { Area } from './area.ts';

export const components = {
  id: 'components',
  name: 'Components',
  views: [],
  decides: ['components'],
  named: () => [
    { name: 'Manner of all components', path: '/components/manner' },
    { name: 'Navigation on narrow screens', path: '/components/narrow' },
  ],
} as const satisfies Area;
