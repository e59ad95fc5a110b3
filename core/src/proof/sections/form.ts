import { collection, label, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { block, button, room } from '../parts.ts';
import { each, kind, listed } from './kind.ts';

/** A form: labels, fields with a strong edge, a hint that is faint, one button. */
export const form = kind({
  id: 'form',
  name: 'Form',
  says: 'labels, fields, a hint and one button',
  shape: { title: words, fields: collection(label), hint: words, submit: label },
  start: () => ({
    title: 'Write to us',
    fields: listed('Your name', 'Your address'),
    hint: 'as you like to be called',
    submit: 'Send',
  }),
  nodes({ title, fields, hint, submit }, at, build) {
    const { text } = build;
    return [
      block(
        'width-text',
        ...(title === '' ? [] : [text('h2', 'h2', [title], `${at}/title`)]),
        ...each(fields, (words, id) =>
          room(
            'div',
            { class: 'form-row' },
            '/space/parts/form-row.gap',
            text('span', 'label', [words], `${at}/fields/items/${id}`),
            {
              ...element(
                'span',
                { class: 'field width-field' },
                text('span', 'small', [hint], `${at}/hint`, 'hint'),
              ),
              decision: '/color/roles/items/line-strong/light',
            },
          ),
        ),
        element('p', { class: 'actions' }, button(build, submit, `${at}/submit`)),
      ),
    ];
  },
});
