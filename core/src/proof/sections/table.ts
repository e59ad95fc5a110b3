import * as z from 'zod/mini';
import { collection, id, label, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block } from '../parts.ts';
import { each, kind } from './kind.ts';

/** Times or prices, with a note under them. */
export const table = kind({
  id: 'table',
  name: 'Table',
  says: 'times or prices in rows and columns',
  shape: {
    title: words,
    note: words,
    columns: collection(label),
    rows: collection(z.record(id, words)),
  },
  start: () => ({
    title: 'Hours',
    note: 'On holidays as on Sundays.',
    columns: { order: ['day', 'from', 'to'], items: { day: 'Day', from: 'From', to: 'To' } },
    rows: {
      order: ['weekdays', 'saturday'],
      items: {
        weekdays: { day: 'Monday to Friday', from: '08:30', to: '17:00' },
        saturday: { day: 'Saturday', from: '10:00', to: '14:15' },
      },
    },
  }),
  nodes({ title, note, columns, rows }, at, { text }) {
    if (columns.order.length === 0) return [];
    return [
      block(
        '',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        {
          ...element(
            'table',
            { class: 'table' },
            element(
              'thead',
              {},
              element(
                'tr',
                {},
                ...each(columns, (words, column) =>
                  text('th', 'label', [words], `${at}/columns/items/${column}`),
                ),
              ),
            ),
            element(
              'tbody',
              {},
              ...each(rows, (row, key) =>
                element(
                  'tr',
                  {},
                  ...columns.order.map((column) =>
                    text('td', 'body', [row[column] ?? ''], `${at}/rows/items/${key}/${column}`),
                  ),
                ),
              ),
            ),
          ),
          decision: '/color/roles/items/line/light',
        },
        ...(note === '' ? [] : [text('p', 'small', [note], `${at}/note`)]),
      ),
    ];
  },
});
