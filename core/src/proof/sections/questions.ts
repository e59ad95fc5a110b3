import * as z from 'zod/mini';
import { collection, words } from '../../system/schema-parts.ts';
import { block, room } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** What people ask, each question near its answer. */
export const questions = kind({
  id: 'questions',
  name: 'Questions',
  says: 'what people ask, and the answers',
  shape: {
    title: words,
    items: collection(z.strictObject({ question: words, answer: words })),
  },
  start: () => ({
    title: 'What people ask',
    items: listed(
      { question: 'May I come without an appointment?', answer: 'Yes, on weekdays before noon.' },
      { question: 'Is there a lift?', answer: 'At the side entrance; ring and we open.' },
    ),
  }),
  nodes({ title, items }, at, { text }) {
    if (items.order.length === 0) return [];
    return [
      block(
        'width-text',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        room(
          'dl',
          { class: 'questions' },
          '/space/parts/questions.gap',
          ...each(items, ({ question, answer }, id) =>
            room(
              'div',
              { class: 'question' },
              '/space/parts/question.gap',
              text('dt', 'h5', [question], `${at}/items/items/${id}/question`),
              text('dd', 'body', [answer], `${at}/items/items/${id}/answer`),
            ),
          ),
        ),
      ),
    ];
  },
});
