import type { Area } from './area.ts';

export const components = {
  id: 'components',
  name: 'Components',
  views: [],
  decides: ['components'],
  named: () => [{ name: 'Manner of all components', path: '/components/manner' }],
} as const satisfies Area;
