import { namedItems, type Area } from './area.ts';

export const brief = {
  id: 'brief',
  name: 'Brief',
  views: [
    { id: 'site', name: 'Site', at: ['/name', '/description', '/brief'] },
    { id: 'pages', name: 'Pages', at: ['/content'] },
    { id: 'dials', name: 'Dials', at: ['/brief/locked'] },
  ],
  decides: ['name', 'description', 'brief', 'content'],
  named: ({ brief: own, content }) => [
    { name: 'Pages', path: '/content/pages' },
    { name: 'Navigation', path: '/content/nav' },
    ...namedItems('Page', '/content/pages', content.pages),
    ...(content.parts ? namedItems('Part', '/content/parts', content.parts) : []),
    { name: 'Description', path: '/description' },
    { name: 'What it is for', path: '/brief/purpose' },
    { name: 'Mood', path: '/brief/mood' },
    { name: 'Languages', path: '/brief/languages' },
    { name: 'Needs', path: '/brief/needs' },
    { name: 'Budget of the fonts', path: '/brief/fontBudgetKb' },
    { name: 'Conformance', path: '/brief/conformance' },
    { name: 'Length of lines', path: '/brief/line' },
    { name: 'Highest zoom', path: '/brief/zoom' },
    ...(own.locked ? [{ name: 'Locked decisions', path: '/brief/locked' }] : []),
  ],
} as const satisfies Area;
