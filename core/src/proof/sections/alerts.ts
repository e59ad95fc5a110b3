import * as z from 'zod/mini';
import { FAMILIES } from '../../system/families.ts';
import { collection, words } from '../../system/schema-parts.ts';
import { element, type ProofElement } from '../node.ts';
import { block } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** What states say, each on a wash of its color with a label filled with it. */
export const alerts = kind({
  id: 'alerts',
  name: 'Messages',
  says: 'what states say, in their colors',
  shape: {
    messages: collection(z.strictObject({ family: z.enum(FAMILIES), title: words, text: words })),
  },
  start: () => ({
    messages: listed(
      { family: 'success' as const, title: 'Running', text: 'Everything goes as planned.' },
      { family: 'warning' as const, title: 'Later', text: 'Allow ten minutes more today.' },
      { family: 'danger' as const, title: 'Closed', text: 'Not before Thursday.' },
    ),
  }),
  nodes({ messages }, at, { text, color }) {
    const shown = each(messages, (alert, id) => ({ id, alert, slug: color(alert.family) })).filter(
      ({ slug }) => slug !== undefined,
    );
    if (shown.length === 0) return [];
    return [
      block(
        '',
        element(
          'div',
          { class: 'grid alerts' },
          ...shown.map(({ id, alert, slug = '' }): ProofElement => ({
            ...element(
              'div',
              { class: `alert span-4 span-3-from-wide wash-${slug}` },
              {
                ...element(
                  'span',
                  { class: `tag fill-${slug}` },
                  text('span', 'label', [alert.title], `${at}/messages/items/${id}/title`),
                ),
                decision: `/color/roles/items/${alert.family}/light`,
              },
              text('p', 'body', [alert.text], `${at}/messages/items/${id}/text`),
            ),
            decision: `/color/roles/items/${alert.family}-wash/light`,
          })),
        ),
      ),
    ];
  },
});
