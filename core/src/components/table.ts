import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { space } from './pieces.ts';

/** Rows and columns. */
export const table = component({
  id: 'table',
  name: 'Table',
  group: 'telling',
  says: 'rows and columns',
  classes: [
    {
      name: 'table',
      says: 'rows and columns, with figures of one width',
      markup: `<table class="table"><thead><tr><th>From</th></tr></thead><tbody><tr><td>06:40</td></tr></tbody></table>`,
      own: {
        'border-collapse': 'collapse',
        'inline-size': '100%',
        'font-variant-numeric': 'tabular-nums',
      },
      inside: {
        '& th, & td': {
          padding: '0',
          'text-align': 'start',
          'border-block-end-style': 'solid',
          'border-color': 'inherit',
          'vertical-align': 'baseline',
          'overflow-wrap': 'break-word',
        },
        // Figures and headings stay whole: what says what a row is gives way.
        '& th:first-child, & td:first-child': { 'overflow-wrap': 'anywhere' },
      },
    },
  ],
  parts: [
    { of: 'table', part: 'line', from: ['color.line'], property: 'border-color' },
    {
      of: 'table-cell',
      part: 'line-width',
      from: ['edge.line'],
      property: 'border-block-end-width',
    },
    {
      of: 'table-sorted',
      part: 'line',
      from: ['color.text'],
      property: 'border-block-end-color',
    },
    {
      of: 'table-row',
      part: 'ground-hover',
      from: ['color.surface'],
      property: 'background-color',
      state: 'hover',
    },
    {
      of: 'table-row',
      part: 'ground-current',
      from: ['color.action-wash', 'color.surface'],
      property: 'background-color',
      state: 'current',
    },
    {
      of: 'table-row',
      part: 'line-current',
      from: ['color.action-edge', 'color.action'],
      property: 'outline-color',
      state: 'current',
    },
  ],
  fixed: [
    { of: 'table-sortable', inside: '::after', declarations: { content: '" ↕"' } },
    { of: 'table-up', inside: '::after', declarations: { content: '" ↑"' } },
    { of: 'table-down', inside: '::after', declarations: { content: '" ↓"' } },
    {
      of: 'table-row',
      state: 'current',
      declarations: { 'outline-style': 'solid', 'outline-width': '2px', 'outline-offset': '-2px' },
    },
  ],
  variants: [
    {
      id: 'head',
      of: 'table-sorted',
      name: 'sorted',
      states: [],
      specimen: () =>
        element(
          'table',
          { class: 'table' },
          element(
            'thead',
            {},
            element(
              'tr',
              {},
              ...(
                [
                  ['ascending', 'From'],
                  ['descending', 'To'],
                  ['none', 'Boat'],
                ] as const
              ).map(([sort, words]) =>
                element(
                  'th',
                  { scope: 'col', 'aria-sort': sort },
                  element('span', { class: 'type-label' }, words),
                ),
              ),
            ),
          ),
        ),
    },
    {
      id: 'row',
      of: 'table-row',
      name: 'row',
      states: ['hover', 'current'],
      specimen: (state) =>
        element(
          'table',
          { class: 'table' },
          element(
            'tbody',
            {},
            element(
              'tr',
              { ...state },
              element('td', {}, element('span', { class: 'type-body' }, '06:40')),
              element('td', {}, element('span', { class: 'type-body' }, '07:05')),
            ),
          ),
        ),
    },
  ],
  selectors: {
    'table-cell': '.table th&, .table td&',
    'table-row': '.table tbody tr&',
    'table-sortable': '.table th[aria-sort]&',
    'table-up': '.table th[aria-sort="ascending"]&',
    'table-down': '.table th[aria-sort="descending"]&',
    'table-sorted': '.table th[aria-sort="ascending"]&, .table th[aria-sort="descending"]&',
  },
  spaces: {
    'table.cell': space(
      '.table th, .table td',
      'padding-block',
      'tight',
      'above and below a table cell',
    ),
    'table.between': space(
      '.table th, .table td',
      'padding-inline-end',
      'inline',
      'between columns of a table',
    ),
  },
});
