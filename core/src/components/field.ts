import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CONTROL, CONTROL_CORNER, LINE_WIDTH, space } from './pieces.ts';

const STATES_OF_FIELD = ['hover', 'focus', 'invalid', 'readonly', 'off'] as const;

/** Where something is typed. */
export const field = component({
  id: 'field',
  name: 'Field',
  group: 'fields',
  says: 'where something is typed',
  classes: [
    {
      name: 'form-row',
      says: 'a label and its field',
      markup: `<div class="form-row"><label class="type-label" for="name">Name</label><input class="field width-field" id="name"></div>`,
      own: { display: 'grid' },
    },
    {
      name: 'field',
      says: 'where something is typed',
      markup: `<input class="field width-field">`,
      text: 'small',
      own: {
        ...CONTROL,
        display: 'flex',
        'align-items': 'center',
        'inline-size': '100%',
        'background-color': 'transparent',
      },
    },
    {
      name: 'long-field',
      says: 'where several lines are typed',
      markup: `<textarea class="field long-field"></textarea>`,
      own: { resize: 'vertical' },
    },
    {
      name: 'choice-field',
      says: 'one of several, opened from a field',
      markup: `<select class="field choice-field"><option>Oxney Quay</option></select>`,
      own: {
        'padding-inline-end': '2em',
        'background-image':
          'linear-gradient(45deg, transparent 50%, currentcolor 50%), linear-gradient(-45deg, transparent 50%, currentcolor 50%)',
        'background-position': 'right 1.05em center, right 0.7em center',
        'background-repeat': 'no-repeat',
        'background-size': '0.35em 0.35em',
      },
    },
    {
      name: 'problem',
      says: 'what is wrong with a field, below it',
      markup: `<p class="problem type-small" id="day-problem">There is no such day.</p>`,
      text: 'small',
      hasInk: true,
      inside: { '&::before': { content: '"! "', 'font-weight': '700' } },
    },
  ],
  parts: [
    { of: 'field', part: 'edge-width', ...LINE_WIDTH },
    { of: 'field', part: 'corner', ...CONTROL_CORNER },
    {
      of: 'field',
      part: 'edge-hover',
      from: ['color.text'],
      property: 'border-color',
      state: 'hover',
    },
    {
      of: 'field',
      part: 'edge-invalid',
      from: ['color.danger-edge', 'color.danger'],
      property: 'border-color',
      state: 'invalid',
    },
    {
      of: 'field',
      part: 'ring-invalid',
      from: ['edge.line'],
      property: 'box-shadow',
      state: 'invalid',
      write: (value) => `inset 0 0 0 ${value} var(--field-edge-invalid)`,
    },
    {
      of: 'field',
      part: 'ground-readonly',
      from: ['color.surface'],
      property: 'background-color',
      state: 'readonly',
    },
    { of: 'field', part: 'edge-off', from: ['color.line'], property: 'border-color', state: 'off' },
    { of: 'field', part: 'ink-off', from: ['color.faint'], property: 'color', state: 'off' },
    {
      of: 'problem',
      part: 'ink',
      from: ['color.danger-edge', 'color.danger'],
      property: 'color',
    },
  ],
  fixed: [
    {
      of: 'field',
      state: 'off',
      declarations: { cursor: 'not-allowed', 'border-style': 'dashed' },
    },
    { of: 'field', state: 'readonly', declarations: { 'border-style': 'dotted' } },
  ],
  variants: [
    {
      id: 'text',
      of: 'field',
      name: 'text',
      states: STATES_OF_FIELD,
      specimen: (state) =>
        element('input', { class: 'field', 'aria-label': 'Name', value: 'Ada', ...state }),
    },
    {
      id: 'hint',
      of: 'field',
      name: 'empty',
      states: ['hover', 'focus', 'invalid'],
      specimen: (state) =>
        element('input', {
          class: 'field',
          'aria-label': 'Name',
          placeholder: 'as you like',
          ...state,
        }),
    },
    {
      id: 'long',
      of: 'field',
      name: 'long text',
      states: ['hover', 'focus', 'invalid', 'off'],
      specimen: (state) =>
        element(
          'textarea',
          { class: 'field long-field', 'aria-label': 'Words', rows: '2', ...state },
          'Two bicycles',
        ),
    },
    {
      id: 'choice',
      of: 'field',
      name: 'choice',
      states: ['hover', 'focus', 'invalid', 'off'],
      specimen: (state) =>
        element(
          'select',
          { class: 'field choice-field', 'aria-label': 'From', ...state },
          element('option', {}, 'Oxney Quay'),
        ),
    },
    {
      id: 'problem',
      of: 'problem',
      name: 'what is wrong',
      states: [],
      specimen: () => element('p', { class: 'problem' }, 'There is no such day.'),
    },
  ],
  spaces: {
    'field.inset': space('.field', 'padding', 'control-small', 'inside a field'),
    'field.target': space('.field', 'min-block-size', 'target', 'height of a field'),
    'long-field.target': space(
      '.long-field',
      'min-block-size',
      'section',
      'height of a long field',
    ),
    'form-row.gap': space('.form-row', 'gap', 'tight', 'between a label and its field'),
  },
});
