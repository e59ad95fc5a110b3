import { inOrder } from '../../system/document.ts';
import { room, type Section } from '../build.ts';
import { element } from '../node.ts';

/** What people ask, each question near its answer. */
export const questions: Section = ({ build: { text }, document: { content } }) => {
  if (!content.questions) return [];
  const at = '/content/questions';
  return [
    element(
      'section',
      { class: 'block width-text' },
      text('h2', 'h2', [content.questions.title], `${at}/title`),
      room(
        'dl',
        { class: 'questions' },
        '/space/parts/questions.gap',
        ...inOrder(content.questions.items).map(([id, { question, answer }]) =>
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
};
