import { element, type ProofElement } from '../proof/node.ts';
import { component, type Attributes } from './component.ts';
import { CONTROL, CONTROL_CORNER, LINE_WIDTH, space } from './pieces.ts';
import { POINTING } from './states.ts';

/** A field that is filled, as its kind needs it. */
const typed =
  (className: string, own: Attributes) =>
  (state: Attributes): ProofElement =>
    element('input', { class: className, ...own, ...state });

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
      // Places of pictures have no logical names: the arrow is at the end of the line in either direction.
      inside: { '&:dir(rtl)': { 'background-position': 'left 0.7em center, left 1.05em center' } },
    },
    {
      name: 'number-field',
      says: 'where a number is typed: its figures stand below those of other fields',
      markup: `<input class="field number-field" type="number" inputmode="numeric">`,
      own: { 'text-align': 'end', 'font-variant-numeric': 'tabular-nums' },
    },
    {
      name: 'file-field',
      says: 'where a file is chosen',
      markup: `<input class="field file-field" type="file">`,
      own: { display: 'block', 'align-content': 'center' },
      inside: {
        '&::file-selector-button': {
          font: 'inherit',
          color: 'inherit',
          'background-color': 'transparent',
          border: '0',
          'text-decoration-line': 'underline',
          'margin-inline-end': '1em',
        },
      },
    },
    {
      name: 'word-field',
      says: 'plain words that become a field when they are pointed at; by touch the edge is there from the start',
      markup: `<input class="field word-field" aria-label="Name of the trip" value="To the lighthouse">`,
      own: { 'field-sizing': 'content' },
    },
    {
      name: 'problem',
      groundless: {},
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
      isEdge: true,
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
    { of: 'field', part: 'lasts', from: ['duration.1'], property: 'transition-duration' },
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
    { of: 'placeholder', declarations: { opacity: '1' } },
    // What can be written in is told by its lower edge before anybody points at it.
    {
      of: 'word-field',
      within: POINTING,
      declarations: {
        'border-style': 'dashed',
        'border-color': 'transparent transparent currentcolor',
      },
    },
    {
      of: 'word-field',
      state: 'hover',
      declarations: { 'border-style': 'solid', 'border-color': 'currentcolor' },
    },
    {
      of: 'word-field',
      state: 'focus',
      declarations: { 'border-style': 'solid', 'border-color': 'currentcolor' },
    },
  ],
  selectors: { placeholder: '.field&::placeholder' },
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
      id: 'number',
      of: 'field',
      name: 'number',
      states: ['hover', 'focus', 'invalid', 'off'],
      specimen: typed('field number-field', {
        type: 'number',
        'aria-label': 'How many',
        value: '12',
      }),
    },
    {
      id: 'date',
      of: 'field',
      name: 'date',
      states: ['hover', 'focus', 'invalid', 'off'],
      specimen: typed('field', { type: 'date', 'aria-label': 'Day', value: '2027-05-14' }),
    },
    {
      id: 'search',
      of: 'field',
      name: 'search',
      states: ['hover', 'focus', 'off'],
      specimen: typed('field', { type: 'search', 'aria-label': 'Search', value: 'timetable' }),
    },
    {
      id: 'file',
      of: 'field',
      name: 'file',
      states: ['hover', 'focus', 'invalid', 'off'],
      specimen: typed('field file-field', { type: 'file', 'aria-label': 'A picture' }),
    },
    {
      id: 'words',
      of: 'word-field',
      name: 'plain words',
      states: ['hover', 'focus'],
      specimen: typed('field word-field', {
        'aria-label': 'Name of the trip',
        value: 'To the light',
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
