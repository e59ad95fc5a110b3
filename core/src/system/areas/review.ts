import type { Area } from './area.ts';

export const review = {
  id: 'review',
  name: 'Review',
  views: [],
  decides: ['accepted'],
} as const satisfies Area;
