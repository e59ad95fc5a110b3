import type { Area } from './area.ts';

export const review = {
  id: 'review',
  name: 'Review',
  views: [
    { id: 'findings', name: 'findings', at: [] },
    { id: 'drift', name: 'drift', at: [] },
    { id: 'page', name: 'page', at: [] },
  ],
  decides: ['accepted'],
} as const satisfies Area;
