import type { Area } from './area.ts';

export const handoff = {
  id: 'handoff',
  name: 'Handoff',
  views: [
    { id: 'next', name: 'next release', at: [] },
    { id: 'things', name: 'parts', at: ['/content/handed'] },
    { id: 'drawings', name: 'drawings', at: ['/components/labels'] },
    { id: 'guide', name: 'guide', at: [] },
    { id: 'releases', name: 'releases', at: [] },
    { id: 'links', name: 'links', at: [] },
    { id: 'notes', name: 'notes', at: [] },
    { id: 'messages', name: 'messages', at: [] },
  ],
  decides: [],
} as const satisfies Area;
