import { component } from './component.ts';
import { space, STACK } from './pieces.ts';

/** Questions and their answers. */
export const questions = component({
  id: 'questions',
  name: 'Questions',
  group: 'telling',
  says: 'questions and their answers',
  classes: [
    {
      name: 'questions',
      says: 'questions and their answers',
      markup: `<dl class="questions"><div class="question"><dt class="type-h5">…</dt><dd class="type-body">…</dd></div></dl>`,
      own: STACK,
    },
    {
      name: 'question',
      says: 'a question near its answer',
      markup: `<div class="question"><dt class="type-h5">…</dt><dd class="type-body">…</dd></div>`,
      own: STACK,
    },
  ],
  spaces: {
    'questions.gap': space('.questions', 'gap', 'stack', 'between questions'),
    'question.gap': space('.question', 'gap', 'closest', 'between a question and its answer'),
  },
});
