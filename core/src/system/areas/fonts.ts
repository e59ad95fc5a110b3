import type { Area } from './area.ts';

export const fonts = {
  id: 'fonts',
  name: 'Fonts',
  views: [
    { id: 'families', name: 'families', at: [] },
    { id: 'pairs', name: 'pairs', at: [] },
    { id: 'set aside', name: 'set aside', at: [] },
    { id: 'close look', name: 'close look', at: [] },
    { id: 'delivery', name: 'delivery', at: [] },
  ],
  decides: ['fonts'],
  named: () => [
    { name: 'Heading face', path: '/fonts/roles/heading/family' },
    { name: 'Text face', path: '/fonts/roles/text/family' },
    { name: 'Label face', path: '/fonts/roles/label' },
    { name: 'Pair for narrow screens', path: '/fonts/narrow' },
    { name: 'Reasons for the faces', path: '/fonts/reasons' },
  ],
} as const satisfies Area;
