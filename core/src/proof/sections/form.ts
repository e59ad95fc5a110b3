import { inOrder } from '../../system/document.ts';
import { button, room, type Section } from '../build.ts';
import { element } from '../node.ts';

/** A form: labels, fields with a strong edge, a hint that is faint, one button. */
export const form: Section = ({ build, document: { content }, derived: { styles } }) => {
  if (!content.form) return [];
  const { text } = build;
  const { title, fields, hint, submit } = content.form;
  const small = styles.get('small');
  const hintClass = ['hint', small && `type-${small.slug}`].filter(Boolean).join(' ');
  return [
    element(
      'section',
      { class: 'block width-text' },
      text('h2', 'h2', [title], '/content/form/title'),
      ...inOrder(fields).map(([id, label]) =>
        room(
          'div',
          { class: 'form-row' },
          '/space/parts/form-row.gap',
          text('span', 'label', [label], `/content/form/fields/items/${id}`),
          {
            ...element(
              'span',
              { class: 'field width-field' },
              {
                ...text('span', 'small', [hint], '/content/form/hint'),
                attributes: { class: hintClass },
              },
            ),
            decision: '/color/roles/items/line-strong/light',
          },
        ),
      ),
      element('p', { class: 'actions' }, button(build, submit, '/content/form/submit')),
    ),
  ];
};
