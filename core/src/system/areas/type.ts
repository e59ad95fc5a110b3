import { inOrder } from '../document.ts';
import { namedItems, type Area } from './area.ts';

export const type = {
  id: 'type',
  name: 'Type',
  views: [
    { id: 'decide', name: 'decide', at: [] },
    { id: 'table', name: 'table', at: [] },
    { id: 'words', name: 'words', at: [] },
  ],
  decides: ['type'],
  named: (document) => [
    ...inOrder(document.type.anchors).flatMap(([id, { width }]) => [
      { name: `Base at ${width} px`, path: `/type/anchors/items/${id}/base` },
      { name: `Ratio at ${width} px`, path: `/type/anchors/items/${id}/ratio` },
    ]),
    { name: 'Root font size', path: '/type/root' },
    { name: 'Baseline grid', path: '/type/baseline' },
    ...namedItems('Text role', '/type/roles', document.type.roles),
  ],
} as const satisfies Area;
