import type { Area } from './area.ts';

export const brief = {
  id: 'brief',
  name: 'Brief',
  views: [],
  decides: ['name', 'description', 'brief'],
  named: () => [
    { name: 'Description', path: '/description' },
    { name: 'What it is for', path: '/brief/purpose' },
    { name: 'Mood', path: '/brief/mood' },
    { name: 'Languages', path: '/brief/languages' },
    { name: 'Needs', path: '/brief/needs' },
    { name: 'Budget of the fonts', path: '/brief/fontBudgetKb' },
    { name: 'Conformance', path: '/brief/conformance' },
    { name: 'Length of lines', path: '/brief/line' },
    { name: 'Highest zoom', path: '/brief/zoom' },
  ],
} as const satisfies Area;
