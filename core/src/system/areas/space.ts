import { namedItems, type Area } from './area.ts';

export const space = {
  id: 'space',
  name: 'Space',
  views: [
    {
      id: 'scale',
      name: 'Scale',
      at: ['/space/unit', '/space/steps', '/space/series', '/space/scale', '/space/names'],
    },
    { id: 'roles', name: 'Roles', at: ['/space/roles'] },
    { id: 'grid', name: 'Grid', at: ['/layout/grid', '/layout/breakpoints'] },
    { id: 'page', name: 'Page', at: ['/layout', '/content/pattern'] },
    {
      id: 'shape',
      name: 'Shape',
      at: ['/shape/radii', '/shape/corners', '/shape/borders', '/shape/edges'],
    },
    {
      id: 'depth',
      name: 'Depth',
      at: [
        '/shape/light',
        '/shape/dark',
        '/shape/shadows',
        '/shape/cards',
        '/shape/opacities',
        '/shape/layers',
      ],
    },
    {
      id: 'motion',
      name: 'Motion',
      at: ['/shape/durations', '/shape/easings'],
    },
    { id: 'check', name: 'Check', at: ['/space/parts', '/space/limits'] },
    { id: 'classes', name: 'Classes', at: ['/space/utilities'] },
  ],
  decides: ['space', 'layout', 'shape'],
  named: ({ layout, space: { roles, steps } }) => [
    { name: 'Base unit of space', path: '/space/unit' },
    ...namedItems('Space step', '/space/steps', steps),
    ...namedItems('Space role', '/space/roles', roles),
    { name: 'Column grid', path: '/layout/grid' },
    ...namedItems('Breakpoint', '/layout/breakpoints', layout.breakpoints),
    { name: 'Logo', path: '/layout/logo' },
    { name: 'Radii', path: '/shape/radii' },
    { name: 'Light and shadows', path: '/shape/light' },
    { name: 'Durations', path: '/shape/durations' },
    { name: 'Utility classes', path: '/space/utilities' },
  ],
} as const satisfies Area;
