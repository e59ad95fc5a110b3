import type { Area } from './area.ts';

export const handoff = {
  id: 'handoff',
  name: 'Handoff',
  views: [
    { id: 'next', name: 'next release', at: [] },
    { id: 'releases', name: 'releases', at: [] },
    { id: 'links', name: 'links', at: [] },
  ],
  decides: [],
} as const satisfies Area;
