import * as z from 'zod/mini';
import { collection, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block, room } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** How something goes, one thing after the other. */
export const steps = kind({
  id: 'steps',
  name: 'Steps',
  says: 'how it goes, one thing after the other',
  shape: {
    title: words,
    steps: collection(z.strictObject({ title: words, text: words })),
  },
  start: () => ({
    title: 'How it goes',
    steps: listed(
      { title: 'Choose', text: 'A day and a time that suit you.' },
      { title: 'Pay', text: 'By card, or when you come.' },
      { title: 'Come', text: 'Five minutes before it begins is enough.' },
    ),
  }),
  nodes({ title, steps: all }, at, { text }) {
    if (all.order.length === 0) return [];
    return [
      block(
        'width-text',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        room(
          'ol',
          { class: 'steps' },
          '/space/parts/steps.gap',
          ...each(all, (step, id) =>
            room(
              'li',
              { class: 'step' },
              '/space/parts/step.gap',
              text('span', 'h4', [String(all.order.indexOf(id) + 1)]),
              element(
                'div',
                { class: 'step-words' },
                text('h3', 'h5', [step.title], `${at}/steps/items/${id}/title`),
                text('p', 'body', [step.text], `${at}/steps/items/${id}/text`),
              ),
            ),
          ),
        ),
      ),
    ];
  },
});
