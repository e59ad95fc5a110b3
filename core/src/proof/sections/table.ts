import { inOrder } from '../../system/document.ts';
import type { Section } from '../build.ts';
import { element, type ProofElement } from '../node.ts';

/** A table with the note under it; there may be two. */
export const table =
  (part: 'table' | 'prices'): Section =>
  ({ build: { text }, document: { content } }) => {
    const shown = content[part];
    if (!shown || shown.columns.order.length === 0) return [];
    const { title, note, columns, rows } = shown;
    const at = `/content/${part}`;
    const cells = (id: string, row: Readonly<Record<string, string>>): ProofElement[] =>
      columns.order.map((column) =>
        text('td', 'body', [row[column] ?? ''], `${at}/rows/items/${id}/${column}`),
      );
    return [
      element(
        'section',
        { class: 'block' },
        text('h2', 'h2', [title], `${at}/title`),
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
                ...inOrder(columns).map(([id, label]) =>
                  text('th', 'label', [label], `${at}/columns/items/${id}`),
                ),
              ),
            ),
            element(
              'tbody',
              {},
              ...inOrder(rows).map(([id, row]) => element('tr', {}, ...cells(id, row))),
            ),
          ),
          decision: '/color/roles/items/line/light',
        },
        text('p', 'small', [note], `${at}/note`),
      ),
    ];
  };
