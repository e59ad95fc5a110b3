import { element, type ProofElement } from '../proof/node.ts';
import { component, type Attributes } from './component.ts';
import { OFF, OFF_OPACITY, space } from './pieces.ts';

const BOX = {
  appearance: 'none',
  flex: 'none',
  'box-sizing': 'border-box',
  margin: '0',
  'inline-size': '1.25em',
  'block-size': '1.25em',
  'border-style': 'solid',
  'background-color': 'transparent',
  'background-position': 'center',
  'background-repeat': 'no-repeat',
} as const;

const line =
  (kind: 'check' | 'radio') =>
  (state: Attributes): ProofElement =>
    element(
      'label',
      { class: 'choice type-body' },
      element('input', {
        class: kind,
        type: kind === 'check' ? 'checkbox' : 'radio',
        ...state,
      }),
      'With a bicycle',
    );

/** What is chosen: boxes, radio buttons and switches with their words. */
export const choice = component({
  id: 'choice',
  name: 'Choice',
  group: 'fields',
  says: 'what is chosen: boxes, radio buttons and switches',
  classes: [
    {
      name: 'choice',
      says: 'a box with its words',
      markup: `<label class="choice type-body"><input class="check" type="checkbox"> With a bicycle</label>`,
      own: { display: 'flex', 'align-items': 'center' },
    },
    {
      name: 'check',
      says: 'a box of which several may be chosen',
      markup: `<input class="check" type="checkbox">`,
      // A box stays a box, however round the corners of controls are.
      own: { ...BOX, 'border-radius': '0.2em' },
    },
    {
      name: 'radio',
      says: 'one of several of which one is chosen',
      markup: `<input class="radio" type="radio" name="way">`,
      own: { ...BOX, 'border-radius': '50%' },
    },
    {
      name: 'switch',
      says: 'what is on or off at once',
      markup: `<label class="choice type-body"><input class="switch" type="checkbox" role="switch"> Tell me of delays</label>`,
      own: {
        ...BOX,
        'inline-size': '2.5em',
        'block-size': '1.5em',
        'border-radius': '1em',
        'background-image': 'radial-gradient(circle closest-side, currentcolor 95%, transparent)',
        'background-size': '1em 1em',
        'background-position': '0.15em center',
      },
      // Off is where the line begins.
      inside: { '&:dir(rtl)': { scale: '-1 1' } },
    },
  ],
  parts: [
    ...(['check', 'radio', 'switch'] as const).flatMap((of) => [
      {
        of,
        part: 'edge',
        property: 'border-color',
        from: ['color.line-strong'],
        isEdge: true as const,
      },
      { of, part: 'edge-width', property: 'border-width', from: ['edge.line'] },
      {
        of,
        part: 'edge-hover',
        property: 'border-color',
        from: ['color.text'],
        state: 'hover' as const,
      },
      {
        of,
        part: 'ground-pressed',
        property: 'background-color',
        from: ['color.action-wash', 'color.surface'],
        state: 'pressed' as const,
      },
      {
        of,
        part: 'ground-chosen',
        property: 'background-color',
        from: ['color.action'],
        state: 'chosen' as const,
      },
      {
        of,
        part: 'edge-chosen',
        property: 'border-color',
        from: ['color.action-edge', 'color.action'],
        state: 'chosen' as const,
      },
      {
        of,
        part: 'ink-chosen',
        property: 'color',
        isSign: true as const,
        from: ['color.action-ink'],
        state: 'chosen' as const,
      },
      {
        of,
        part: 'edge-invalid',
        property: 'border-color',
        isEdge: true as const,
        from: ['color.danger-edge', 'color.danger'],
        state: 'invalid' as const,
      },
      {
        of,
        part: 'edge-off',
        property: 'border-color',
        from: ['color.line'],
        state: 'off' as const,
      },
      { of, ...OFF_OPACITY },
    ]),
    { of: 'switch', part: 'ink', property: 'color', from: ['color.line-strong'], isSign: true },
  ],
  fixed: [
    {
      of: 'check',
      state: 'chosen',
      declarations: {
        'background-image':
          'linear-gradient(45deg, transparent 50%, currentcolor 50% 62%, transparent 62%), linear-gradient(-45deg, transparent 46%, currentcolor 46% 56%, transparent 56%)',
        'background-size': '0.5em 0.45em, 0.7em 0.7em',
        'background-position': '0.1em 0.5em, 0.32em 0.1em',
      },
    },
    {
      of: 'radio',
      state: 'chosen',
      declarations: {
        'background-image': 'radial-gradient(circle, currentcolor 32%, transparent 36%)',
      },
    },
    { of: 'switch', state: 'chosen', declarations: { 'background-position': '1.15em center' } },
    ...(['check', 'radio', 'switch'] as const).map((of) => ({
      of,
      state: 'off' as const,
      declarations: OFF,
    })),
    ...(['check', 'radio', 'switch'] as const).map((of) => ({
      of,
      state: 'invalid' as const,
      declarations: { 'border-style': 'double' },
    })),
  ],
  spaces: {
    'choice.gap': space('.choice', 'gap', 'closest', 'between a box and its words'),
    'choice.target': space('.choice', 'min-block-size', 'target', 'height of a choice'),
  },
  variants: [
    {
      id: 'check',
      of: 'check',
      name: 'check box',
      states: ['hover', 'pressed', 'focus', 'chosen', 'invalid', 'off'],
      specimen: line('check'),
    },
    {
      id: 'radio',
      of: 'radio',
      name: 'radio button',
      states: ['hover', 'pressed', 'focus', 'chosen', 'invalid', 'off'],
      specimen: line('radio'),
    },
    {
      id: 'switch',
      of: 'switch',
      name: 'switch',
      states: ['hover', 'pressed', 'focus', 'chosen', 'off'],
      specimen: (state) =>
        element(
          'label',
          { class: 'choice type-body' },
          element('input', { class: 'switch', type: 'checkbox', role: 'switch', ...state }),
          ' Tell me',
        ),
    },
  ],
});
