import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, LINE_WIDTH, space, STACK } from './pieces.ts';

/** What stands around fields: what they are for, how much they take, what is wrong with them. */
export const form = component({
  id: 'form',
  name: 'Form',
  group: 'fields',
  says: 'what stands around fields',
  classes: [
    {
      name: 'field-group',
      says: 'fields that belong together, under one name',
      markup: `<fieldset class="field-group"><legend class="type-h5">When</legend>…</fieldset>`,
      own: { ...STACK, margin: '0', padding: '0', 'border-style': 'none', 'min-inline-size': '0' },
    },
    {
      name: 'required',
      groundless: {},
      says: 'that a field must be filled, in words beside its label',
      markup: `<label class="type-label" for="name">Name <span class="required">required</span></label>`,
      text: 'small',
      own: { 'margin-inline-start': '0.4em' },
    },
    {
      name: 'field-hint',
      groundless: {},
      says: 'what helps to fill a field, below it',
      markup: `<p class="field-hint" id="name-hint">As on your ticket.</p>`,
      text: 'small',
    },
    {
      name: 'counter',
      groundless: {},
      says: 'how much of a field is used',
      markup: `<p class="counter" id="note-counter" aria-live="polite">120 of 300</p>`,
      text: 'small',
      own: { 'text-align': 'end', 'font-variant-numeric': 'tabular-nums' },
    },
    {
      name: 'error-summary',
      says: 'all that is wrong with a form, at its head, with ways to the fields',
      markup: `<div class="error-summary" role="alert" tabindex="-1"><h2 class="type-h5">Two things are missing</h2><p class="type-body"><a href="#day">Choose a day</a></p></div>`,
      own: { ...STACK, 'border-style': 'solid' },
    },
  ],
  parts: [
    {
      of: 'error-summary',
      part: 'edge',
      property: 'border-color',
      from: ['color.danger-edge', 'color.danger'],
      isEdge: true,
    },
    { of: 'error-summary', part: 'edge-width', ...LINE_WIDTH, from: ['edge.strong'] },
    { of: 'error-summary', part: 'corner', ...CARD_CORNER },
  ],
  spaces: {
    'field-group.gap': space('.field-group', 'gap', 'stack', 'between fields that belong together'),
    'error-summary.inset': space('.error-summary', 'padding', 'inset', 'inside an error summary'),
    'error-summary.gap': space(
      '.error-summary',
      'gap',
      'tight',
      'between the words of an error summary',
    ),
  },
  variants: [
    {
      id: 'labeled',
      of: 'form-row',
      name: 'label, hint, counter',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'form-row' },
          element(
            'label',
            { class: 'type-label' },
            'Name',
            element('span', { class: 'required' }, 'required'),
          ),
          element('input', { class: 'field', 'aria-label': 'Name', required: '', value: 'Ada' }),
          element('p', { class: 'field-hint' }, 'As on your ticket.'),
          element('p', { class: 'counter' }, '3 of 40'),
        ),
    },
    {
      id: 'group',
      of: 'field-group',
      name: 'fields together',
      states: [],
      specimen: () =>
        element(
          'fieldset',
          { class: 'field-group' },
          element('legend', { class: 'type-h5' }, 'When'),
          element('input', { class: 'field', 'aria-label': 'Day', value: 'Friday' }),
          element('input', { class: 'field', 'aria-label': 'Hour', value: '06:40' }),
        ),
    },
    {
      id: 'summary',
      of: 'error-summary',
      name: 'error summary',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'error-summary' },
          element('p', { class: 'type-h5' }, 'One thing is missing'),
          element(
            'p',
            { class: 'type-body' },
            element('a', { href: '#to-be-written' }, 'Choose a day'),
          ),
        ),
    },
  ],
});
