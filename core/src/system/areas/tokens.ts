import type { Area } from './area.ts';

export const tokens = {
  id: 'tokens',
  name: 'Tokens',
  views: [
    { id: 'all', name: 'all tokens', at: ['/tokens/custom'] },
    { id: 'names', name: 'names', at: ['/tokens/sheet'] },
    { id: 'files', name: 'files', at: [] },
  ],
  decides: ['tokens'],
  named: () => [
    { name: 'Prefix of custom properties', path: '/tokens/sheet/properties' },
    { name: 'Prefix of classes', path: '/tokens/sheet/classes' },
    { name: 'Cascade layer', path: '/tokens/sheet/layer' },
  ],
} as const satisfies Area;
