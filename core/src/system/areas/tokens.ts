import type { Area } from './area.ts';

export const tokens = {
  id: 'tokens',
  name: 'Tokens',
  views: [],
  decides: ['tokens'],
} as const satisfies Area;
